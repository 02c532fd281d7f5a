'use client';

import {
  BarController,
  BarElement,
  Chart as ChartJs,
  type ChartOptions,
  LinearScale,
} from 'chart.js';
import { Chart } from 'react-chartjs-2';
import { styled } from 'styled-components';
import type { PermutationResult } from '@/core/stats/permutation/permutation-test';
import { STILL } from '@/ui/charts/chart-look';
import { SavedChart } from '@/ui/charts/SavedChart';
import { type Tokens, useTokens } from '@/ui/use-tokens';
import { observedGap } from './observed-gap';

ChartJs.register(LinearScale, BarController, BarElement);

interface ShuffleChartProps {
  readonly shuffle: PermutationResult;
  readonly summary: string;
}

/** How large the largest gap of each deal was, with the gap that was really seen. */
export function ShuffleChart({ shuffle, summary }: ShuffleChartProps) {
  const tokens = useTokens();
  return (
    <SavedChart title="How often chance alone makes a gap as large">
      <Box>
        <div>
          {tokens && (
            <Chart
              type="bar"
              data={barsOf(shuffle, tokens)}
              options={optionsOf(shuffle, tokens)}
              aria-label={summary}
              role="img"
            />
          )}
        </div>
        <p aria-hidden>
          <span>no gap</span>
          <span>larger gaps →</span>
        </p>
      </Box>
    </SavedChart>
  );
}

function shownBins({ histogram, ...shuffle }: PermutationResult): number {
  const last = histogram.counts.reduce((found, count, bin) => (count > 0 ? bin : found), 0);
  const seen = Math.floor(
    Math.max(...shuffle.comparisons.map(comparison => comparison.observed)) / histogram.binWidth,
  );
  return Math.min(histogram.counts.length, Math.max(last, seen) + 2);
}

function barsOf(shuffle: PermutationResult, tokens: Tokens) {
  const { binWidth, counts } = shuffle.histogram;
  const seen = observedGap(shuffle);
  const bins = Array.from({ length: shownBins(shuffle) }, (_, bin) => bin);
  return {
    datasets: [
      {
        data: bins.map(bin => ({ x: (bin + 0.5) * binWidth, y: counts[bin] ?? 0 })),
        barPercentage: 1,
        categoryPercentage: 0.92,
        backgroundColor: bins.map(bin =>
          (bin + 0.5) * binWidth >= seen ? tokens.clay : tokens.rule,
        ),
      },
    ],
  };
}

function optionsOf(shuffle: PermutationResult, tokens: Tokens): ChartOptions<'bar'> {
  const seen = observedGap(shuffle);
  const end = shownBins(shuffle) * shuffle.histogram.binWidth;
  return {
    ...STILL,
    scales: {
      x: {
        type: 'linear',
        min: 0,
        max: end,
        offset: false,
        grid: { display: false },
        border: { color: tokens.ink },
        ticks: { display: false },
      },
      y: { display: false, grace: '12%' },
    },
    plugins: {
      legend: { display: false },
      tooltip: { enabled: false },
      annotation: {
        animations: {},
        annotations: {
          seen: {
            type: 'line',
            xMin: seen,
            xMax: seen,
            borderColor: tokens.clay,
            borderWidth: 2.5,
            label: {
              display: true,
              content: 'your gap',
              position: 'end',
              backgroundColor: 'transparent',
              color: tokens.clay,
              font: { family: tokens.font, size: 15, weight: 'bold' },
              xAdjust: seen > end * 0.75 ? -38 : 38,
              yAdjust: -2,
            },
          },
        },
      },
    },
  };
}

const Box = styled.div`
  & > div { height: 220px; position: relative; }
  & > p { display: flex; justify-content: space-between; color: var(--ink-soft); font-size: 0.9375rem; max-width: none; }
`;
