'use client';

import {
  type ChartData,
  Chart as ChartJs,
  type ChartOptions,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  ScatterController,
} from 'chart.js';
import { Chart } from 'react-chartjs-2';
import { styled } from 'styled-components';
import type { DosedUnit } from '@/core/judge/outcomes/dose/dose-response';
import { roundTicks } from '@/core/quantity/axis-span';
import type { FittedCurve } from '@/core/stats/curves/fit-curve';
import { tQuantile } from '@/core/stats/distributions/distributions';
import { chartFont, roundFigures, STILL } from '@/ui/charts/chart-look';
import { SavedChart } from '@/ui/charts/SavedChart';
import { type Tokens, useTokens } from '@/ui/use-tokens';
import { CURVE_WORDS } from './curve-words';

ChartJs.register(Filler, LinearScale, LineElement, PointElement, ScatterController);

interface DoseChartProps {
  readonly units: readonly DosedUnit[];
  readonly best: FittedCurve | undefined;
  /** What a dose is of: `leaf-mould, cm`. */
  readonly name: string;
  readonly printValue: (value: number) => string;
  /** What the round figures up to `most` are multiples of. */
  readonly roundUnit: (most: number) => number;
}

/** Every unit by its dose, with the curve that fits best. */
export function DoseChart({ units, best, name, printValue, roundUnit }: DoseChartProps) {
  const tokens = useTokens();
  return (
    <SavedChart title={`Each by its dose of ${name}`}>
      <Drawn>
        {tokens && (
          <Chart
            type="scatter"
            data={dataOf(units, best, tokens)}
            options={optionsOf(units, name, { printValue, roundUnit }, tokens)}
            aria-label={`Each by its dose of ${name}${best ? `, with ${CURVE_WORDS[best.curve]} and the range it may run in` : ''}`}
            role="img"
          />
        )}
      </Drawn>
    </SavedChart>
  );
}

const DRAWN_AT = 101;

function dataOf(
  units: readonly DosedUnit[],
  best: FittedCurve | undefined,
  tokens: Tokens,
): ChartData<'scatter'> {
  const most = Math.max(...units.map(unit => unit.dose));
  const doses = Array.from({ length: DRAWN_AT }, (_, i) => (most * i) / (DRAWN_AT - 1));
  return {
    datasets: [
      {
        data: units.map(({ dose, value }) => ({ x: dose, y: value })),
        clip: false,
        pointRadius: 5,
        pointBackgroundColor: tokens.clay,
        pointBorderColor: tokens.slate,
      },
      ...(best
        ? [
            ...bandOf(best, doses, tokens),
            {
              data: doses.map(dose => ({ x: dose, y: best.at(dose) })),
              showLine: true,
              pointRadius: 0,
              borderColor: tokens.ink,
              borderWidth: 2.5,
            },
          ]
        : []),
    ],
  };
}

/** Where the curve itself may run, place by place (95%): two edges with the ground between them shaded. */
function bandOf(
  best: FittedCurve,
  doses: readonly number[],
  tokens: Tokens,
): ChartData<'scatter'>['datasets'] {
  const t = tQuantile(0.975, best.residualDf);
  const edge = (sign: 1 | -1) => ({
    data: doses.flatMap(dose => {
      const error = best.errorAt(dose);
      return error === null ? [] : [{ x: dose, y: best.at(dose) + sign * t * error }];
    }),
    showLine: true,
    pointRadius: 0,
    borderWidth: 0,
    backgroundColor: `${tokens.ink}1f`,
  });
  return best.residualDf < 1 ? [] : [edge(-1), { ...edge(1), fill: '-1' }];
}

function optionsOf(
  units: readonly DosedUnit[],
  name: string,
  { printValue, roundUnit }: Pick<DoseChartProps, 'printValue' | 'roundUnit'>,
  tokens: Tokens,
): ChartOptions<'scatter'> {
  const font = chartFont(tokens);
  const ticks = { color: tokens['ink-soft'], font };
  return {
    ...STILL,
    layout: { padding: { top: 8, right: 12 } },
    scales: {
      x: {
        min: 0,
        suggestedMax: Math.max(...units.map(unit => unit.dose)),
        grid: { display: false },
        border: { color: tokens['rule-strong'] },
        ticks: { ...ticks, maxTicksLimit: 9 },
        title: { display: true, text: name, color: tokens['ink-soft'], font },
      },
      y: {
        beginAtZero: true,
        grid: { color: tokens.rule },
        border: { display: false },
        ticks: { ...ticks, callback: value => printValue(Number(value)) },
        ...roundFigures(span => roundTicks(span, roundUnit(span[1]))),
      },
    },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  };
}

const Drawn = styled.div`
  position: relative; height: 300px; max-width: 820px;
`;
