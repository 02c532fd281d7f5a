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
import type { TrialData } from '@/core/trial/model/trial-data';
import { useSystem } from '@/features/frame/use-garden-units';
import { printFigure, printP } from '@/features/judge/print-value';
import { Fold } from '@/ui/Fold';
import type { BoundField } from '@/ui/fields/form-fields';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import { CURVE_WORDS } from './curve-words';
import { DoseChart } from './DoseChart';
import { readMoney } from './written-money';

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
  readonly roundUnit: (most: number) => number;
  readonly isWeight: boolean;
  readonly unitWord: string;
  readonly worthPerKg: number | null;
}

/** How much of it? Trend, bend, plateau, and the dose that leaves the most money. */
export function DosePanel(props: DosePanelProps) {
  const { doses, printValue, roundUnit, isWeight, unitWord, worthPerKg } = props;
  const { units, response, name } = doses;
  const sold = soldBy(useSystem());
  const { form, field } = useForm({
    worth: worthPerKg === null ? '' : String(Number((worthPerKg * sold.kg).toFixed(2))),
    cost: '',
  });
  const { worth, cost } = form;
  const best = response.fits[0];
  const [price, perDose] = [readMoney(worth), readMoney(cost)];
  const found =
    best && isWeight && price.base !== undefined && perDose.base !== undefined
      ? bestDoseForMoney(
          best,
          units.map(unit => unit.dose),
          { costPerDose: perDose.base, worthPerValue: price.base / sold.kg / 1000 },
        )
      : null;
  return (
    <Box aria-label="How much of it?">
      <h2>How much of it?</h2>
      <DoseChart
        units={units}
        best={best}
        name={name}
        printValue={printValue}
        roundUnit={roundUnit}
      />
      <p>{trendWords(doses, printValue)}</p>
      {response.fits.length > 0 && (
        <Fold title="The curves that fit" tone="soft">
          <FitTable response={response} />
          <Soft>
            Each counts by itself, blocks taken out. Shaded: where the curve itself may run, 19
            times in 20. Between two doses that were tried the curve guesses; beyond the largest it
            knows nothing.
          </Soft>
        </Fold>
      )}
      {isWeight && best && (
        <BestDose
          field={field}
          troubles={{ worth: price.trouble, cost: perDose.trouble }}
          found={found}
          sold={sold.name}
          more={moreOf(name)}
          unitWord={unitWord}
        />
      )}
    </Box>
  );
}

interface BestDoseProps {
  readonly field: <Key extends 'worth' | 'cost'>(
    key: Key,
  ) => BoundField<{ worth: string; cost: string }[Key]>;
  readonly troubles: Readonly<Record<'worth' | 'cost', string | undefined>>;
  readonly found: { readonly dose: number; readonly net: number } | null;
  readonly sold: string;
  /** What there is more of: `cm of leaf-mould`. */
  readonly more: string;
  readonly unitWord: string;
}

function BestDose({ field, troubles, found, sold, more, unitWord }: BestDoseProps) {
  return (
    <>
      <div data-fields>
        <TextField
          label={`A ${sold} is worth`}
          {...field('worth')}
          trouble={troubles.worth}
          inputMode="decimal"
        />
        <TextField
          label={`Each extra ${more} costs, a ${unitWord}`}
          {...field('cost')}
          trouble={troubles.cost}
          inputMode="decimal"
        />
      </div>
      {found && (
        <p role="status">
          The most is left at <b>{Number(found.dose.toPrecision(3))}</b>: {found.net.toFixed(2)} a{' '}
          {unitWord}. More gives a larger harvest and a smaller purse.
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

const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr);
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(180px, 220px)); gap: 12px; }
  & p { max-width: var(--measure); }
`;
