'use client';

import {
  type ChartData,
  Chart as ChartJs,
  type ChartOptions,
  Filler,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js';
import { Chart } from 'react-chartjs-2';
import { styled } from 'styled-components';
import { waitedOf } from '@/core/judge/outcomes/working/waits';
import { isRead, type JudgeInput, type ReadUnit } from '@/core/judge/question/judge-input';
import { kaplanMeier, type WaitingStep } from '@/core/stats/survival/survival';
import { chartFont, STILL } from '@/ui/charts/chart-look';
import { SavedChart } from '@/ui/charts/SavedChart';
import { Soft } from '@/ui/Page';
import { type Tokens, tokenHue, useTokens } from '@/ui/use-tokens';

ChartJs.register(Filler, Legend, LinearScale, LineController, LineElement, PointElement);

/** Of days: how many still wait, day by day. */
export function WaitingCurves({ input }: { readonly input: JudgeInput }) {
  const tokens = useTokens();
  const units = input.units.filter(isRead);
  if (units.length === 0) return null;
  return (
    <>
      <SavedChart title="Share still waiting, day by day">
        <Drawn>
          {tokens && (
            <Chart
              type="line"
              data={linesOf(input, units, tokens)}
              options={optionsOf(units, tokens)}
              aria-label={`Share still waiting, day by day, of ${input.treatments.join(', ')}`}
              role="img"
            />
          )}
        </Drawn>
      </SavedChart>
      <Soft>Shaded: the range each curve leaves open by itself, 19 times in 20.</Soft>
    </>
  );
}

const DASHES: readonly (readonly number[])[] = [
  [],
  [8, 4],
  [2, 4],
  [10, 3, 2, 3],
  [14, 4],
  [4, 2],
  [1, 3],
  [12, 2, 2, 2],
];

function linesOf(
  { treatments, control }: JudgeInput,
  units: readonly ReadUnit[],
  tokens: Tokens,
): ChartData<'line', { x: number; y: number }[]> {
  const tested = treatments.filter(name => name !== control);
  return {
    datasets: treatments.flatMap((name, i) => {
      const own = units.filter(unit => unit.treatment === name);
      const found = kaplanMeier(waitedOf(own));
      const steps = found.map(({ days, waiting }) => ({ x: days, y: 100 * waiting }));
      const end = { x: Math.max(0, ...own.map(unit => unit.value)), y: steps.at(-1)?.y ?? 100 };
      const hue = tokenHue(tokens, tested.indexOf(name));
      const line = {
        label: name,
        data: [{ x: 0, y: 100 }, ...steps, end],
        stepped: 'before' as const,
        borderColor: hue,
        backgroundColor: hue,
        borderDash: [...(DASHES[i % DASHES.length] ?? [])],
        borderWidth: 2.5,
        pointRadius: 0,
        pointStyle: 'line' as const,
      };
      return [...bandOf(found, end.x, hue), line];
    }),
  };
}

/** The range each curve leaves open by itself (95%), from its first day on; it ends where all or none wait. */
function bandOf(found: readonly WaitingStep[], until: number, hue: string) {
  const known = found.flatMap(({ days, range }) => (range ? [{ days, range }] : []));
  const edge = (side: 0 | 1) => ({
    label: '',
    data: [
      ...known.map(({ days, range }) => ({ x: days, y: 100 * range[side] })),
      ...known.slice(-1).map(({ range }) => ({ x: until, y: 100 * range[side] })),
    ],
    stepped: 'before' as const,
    borderWidth: 0,
    pointRadius: 0,
    backgroundColor: `${hue}1f`,
  });
  return known.length === 0 ? [] : [edge(0), { ...edge(1), fill: '-1' }];
}

function optionsOf(units: readonly ReadUnit[], tokens: Tokens): ChartOptions<'line'> {
  const font = chartFont(tokens);
  const ticks = { color: tokens['ink-soft'], font };
  return {
    ...STILL,
    scales: {
      x: {
        type: 'linear',
        min: 0,
        suggestedMax: Math.max(1, ...units.map(unit => unit.value)),
        grid: { display: false },
        border: { color: tokens['rule-strong'] },
        ticks: { ...ticks, maxTicksLimit: 8 },
        title: { display: true, text: 'days', color: tokens['ink-soft'], font },
      },
      y: {
        min: 0,
        max: 100,
        grid: { color: tokens.rule },
        border: { display: false },
        ticks: { ...ticks, stepSize: 25, callback: value => `${value}%` },
        title: { display: true, text: 'still waiting', color: tokens['ink-soft'], font },
      },
    },
    plugins: {
      legend: {
        position: 'bottom',
        align: 'start',
        labels: {
          color: tokens.ink,
          font,
          usePointStyle: true,
          pointStyleWidth: 32,
          filter: item => item.text !== '', // the bands belong to their lines
        },
      },
      tooltip: { enabled: false },
    },
  };
}

const Drawn = styled.div`
  position: relative; height: 300px; max-width: 820px;
`;
