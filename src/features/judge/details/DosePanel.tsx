'use client';
import { styled } from 'styled-components';
import {
  bestDoseForMoney,
  type DosedUnit,
  type DoseResponse,
  doseResponse,
} from '@/core/judge/outcomes/dose/dose-response';
import { dosedUnitsOf } from '@/core/judge/outcomes/dose/levels-off';
import type { DoseTrend, LevelsOff } from '@/core/judge/outcomes/judgement';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import { levelWords } from '@/core/judge/verdict/words/dose-words';
import { soldBy } from '@/core/quantity/sold-by';
import type { FittedCurve } from '@/core/stats/curves/fit-curve';
import type { TrialData } from '@/core/trial/model/trial-data';
import { useSystem } from '@/features/frame/use-garden-units';
import { printFigure, printP } from '@/features/judge/print-value';
import type { BoundField } from '@/ui/form-fields';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { TextField } from '@/ui/TextField';
import { useForm } from '@/ui/use-form';
import { WideTable } from '@/ui/WideTable';

/** A series of doses with what its units gave. */
export interface DoseSeries {
  readonly units: readonly DosedUnit[];
  readonly response: DoseResponse;
  /** As the verdict has them. */
  readonly trend: DoseTrend;
  readonly levelsOff: LevelsOff | null;
  /** What a dose is of: `leaf-mould, cm`. */
  readonly name: string;
}

/** null where the treatments are no series of doses. */
export function dosesOf(data: TrialData, { input, judgement }: Analysis): DoseSeries | null {
  const units = dosedUnitsOf(input);
  const [first] = data.treatments;
  const { trend, levelsOff } = judgement;
  return trend === null || input.outcome === 'time'
    ? null
    : {
        units,
        trend,
        levelsOff,
        response: doseResponse(units),
        name: `${data.factors[0]?.name ?? 'dose'}, ${(first?.name ?? '').replace(/^[\d.,\s]+/, '')}`.replace(
          /, $/,
          '',
        ),
      };
}

interface DosePanelProps {
  readonly doses: DoseSeries;
  readonly printValue: (value: number) => string;
  readonly isWeight: boolean;
  readonly worthPerKg: number | null;
}

const CURVE_WORDS = {
  linear: 'a straight line',
  quadratic: 'a curve with a peak',
  plateau: 'a curve that rises, then is flat',
  mitscherlich: 'a curve that levels off',
  logistic: 'an S',
  gompertz: 'a lopsided S',
} as const;

/** How much of it? Trend, bend, plateau, and the dose that leaves the most money. */
export function DosePanel({ doses, printValue, isWeight, worthPerKg }: DosePanelProps) {
  const { units, response, name } = doses;
  const sold = soldBy(useSystem());
  const { form, field } = useForm({
    worth: worthPerKg === null ? '' : String(Number((worthPerKg * sold.kg).toFixed(2))),
    cost: '',
  });
  const { worth, cost } = form;
  const best = response.fits[0];
  const [price, perDose] = [money(worth), money(cost)];
  const found =
    best && isWeight && price !== null && perDose !== null
      ? bestDoseForMoney(
          best,
          units.map(unit => unit.dose),
          { costPerDose: perDose, worthPerValue: price / sold.kg / 1000 },
        )
      : null;
  return (
    <Box aria-label="How much of it?">
      <h2>How much of it?</h2>
      <DoseChart units={units} best={best} name={name} printValue={printValue} />
      <p>{trendWords(doses, printValue)}</p>
      {response.fits.length > 0 && <FitTable response={response} />}
      {isWeight && best && <BestDose field={field} found={found} sold={sold.name} />}
      <Soft>
        Each unit counts, blocks taken out. Between two doses that were tried the curve guesses;
        beyond the largest it knows nothing.
      </Soft>
    </Box>
  );
}

interface BestDoseProps {
  readonly field: <Key extends 'worth' | 'cost'>(
    key: Key,
  ) => BoundField<{ worth: string; cost: string }[Key]>;
  readonly found: { readonly dose: number; readonly net: number } | null;
  readonly sold: string;
}

function BestDose({ field, found, sold }: BestDoseProps) {
  return (
    <>
      <div data-fields>
        <TextField label={`A ${sold} is worth`} {...field('worth')} inputMode="decimal" />
        <TextField label="One more of it costs, a unit" {...field('cost')} inputMode="decimal" />
      </div>
      {found && (
        <p role="status">
          The most is left at <b>{Number(found.dose.toPrecision(3))}</b>: {found.net.toFixed(2)} a
          unit. More gives a larger harvest and a smaller purse.
        </p>
      )}
    </>
  );
}

function FitTable({ response }: { readonly response: DoseResponse }) {
  return (
    <WideTable label="Curves that fit">
      <TableHead of={['Curve', 'AICc', 'figures']} />
      <tbody>
        {response.fits.map(fit => (
          <tr key={fit.curve}>
            <th scope="row">{CURVE_WORDS[fit.curve]}</th>
            <td>{fit.aicc === null ? '' : fit.aicc.toFixed(1)}</td>
            <td>
              {Object.entries(fit.parameters)
                .map(
                  ([parameter, value]) =>
                    `${parameter} ${printFigure(value)}${fit.se[parameter] == null ? '' : ` ± ${printFigure(fit.se[parameter])}`}`,
                )
                .join(', ')}
            </td>
          </tr>
        ))}
      </tbody>
    </WideTable>
  );
}

function trendWords(
  { trend, levelsOff, response, name }: DoseSeries,
  printValue: (value: number) => string,
): string {
  const slope = trend.difference / (trend.to - trend.from);
  const rise = `Each extra ${moreOf(name)} ${slope >= 0 ? 'adds' : 'takes away'} about ${printValue(Math.abs(slope))} (straight line through all, p ${printP(trend.p)}).`;
  const [first, second] = response.fits;
  const clear =
    first && second && (second.aicc ?? 0) - (first.aicc ?? 0) < 2
      ? `; ${CURVE_WORDS[second.curve]} fits nearly as well`
      : '';
  const fit = first ? ` The readings fit best to ${CURVE_WORDS[first.curve]}${clear}.` : '';
  return `${rise}${fit}${levelsOff === null ? '' : ` It levels off ${levelWords(levelsOff, trend)}: from there on more brings next to nothing.`}`;
}

/** “cm of leaf-mould” of `leaf-mould, cm`; “of feed”. */
function moreOf(name: string): string {
  const [what = '', unit] = name.split(', ');
  return unit === undefined ? `of ${what}` : `${unit} of ${what}`;
}

function money(written: string): number | null {
  const value = Number(written.trim().replace(',', '.'));
  return written.trim() === '' || !(value >= 0) ? null : value;
}

const [WIDTH, HEIGHT, LEFT, BASE] = [640, 260, 70, 220];

function DoseChart({
  units,
  best,
  name,
  printValue,
}: {
  readonly units: readonly DosedUnit[];
  readonly best: FittedCurve | undefined;
  readonly name: string;
  readonly printValue: (value: number) => string;
}) {
  const [most, high] = [
    Math.max(...units.map(unit => unit.dose)),
    Math.max(...units.map(unit => unit.value)),
  ];
  const x = (dose: number): number => LEFT + ((WIDTH - LEFT - 20) * dose) / (most || 1);
  const y = (value: number): number => BASE - ((BASE - 14) * value) / (high || 1);
  const path = best
    ? Array.from(
        { length: 101 },
        (_, i) =>
          `${i === 0 ? 'M' : 'L'}${x((most * i) / 100).toFixed(1)} ${y(best.at((most * i) / 100)).toFixed(1)}`,
      ).join('')
    : '';
  return (
    <Scroller tabIndex={0} role="region" aria-label="Every unit by its dose, drawn">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`Every unit by its dose of ${name}${best ? `, with ${CURVE_WORDS[best.curve]}` : ''}`}
      >
        <line x1={LEFT} x2={WIDTH - 20} y1={BASE} y2={BASE} />
        <line x1={LEFT} x2={LEFT} y1={14} y2={BASE} />
        {units.map(unit => (
          <circle
            key={`${unit.dose} ${unit.value} ${unit.block}`}
            cx={x(unit.dose)}
            cy={y(unit.value)}
            r={4.5}
          />
        ))}
        <path d={path} />
        {[...new Set(units.map(unit => unit.dose))]
          .sort((a, b) => a - b)
          .map(dose => (
            <text key={dose} x={x(dose)} y={BASE + 18} textAnchor="middle">
              {dose}
            </text>
          ))}
        <text x={LEFT - 8} y={20} textAnchor="end">
          {printValue(high)}
        </text>
        <text x={LEFT - 8} y={BASE} textAnchor="end">
          0
        </text>
        <text x={WIDTH - 20} y={HEIGHT - 4} textAnchor="end">
          {name}
        </text>
      </svg>
    </Scroller>
  );
}

const Scroller = styled.div`
  overflow-x: auto;
  &:focus-visible { outline: 3px solid var(--clay); outline-offset: 2px; }
`;

const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr);
  & svg { width: 100%; min-width: 560px; max-width: 820px; height: auto; }
  & svg text { font-size: 13px; fill: var(--ink-soft); } & line { stroke: var(--rule-strong); } & circle { fill: var(--clay); fill-opacity: 0.7; } & path { fill: none; stroke: var(--ink); stroke-width: 2.5; }
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(180px, 220px)); gap: 12px; }
  & p { max-width: var(--measure); }
`;
