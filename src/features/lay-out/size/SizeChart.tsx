'use client';

import {
  CategoryScale,
  Chart as ChartJs,
  type ChartOptions,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js';
import { Line } from 'react-chartjs-2';
import type { SizeCurve } from '@/core/judge/planning/size-curve';
import { STILL } from '@/ui/charts/chart-look';
import { SavedChart } from '@/ui/charts/SavedChart';
import { type Tokens, useTokens } from '@/ui/use-tokens';

ChartJs.register(LinearScale, CategoryScale, LineController, LineElement, PointElement);

interface SizeChartProps {
  readonly curve: SizeCurve;
  readonly own: number;
  readonly axis: string;
}

/** The chance to see the gain by the size of the plan, with four times in five as the line to reach. */
export function SizeChart({ curve, own, axis }: SizeChartProps) {
  const tokens = useTokens();
  const shown = curve.filter(point => point.shares !== null);
  const summary = `Seen, of 100 trials: ${shown.map(point => `${point.size} ${axis} ${Math.round(100 * (point.shares?.seen ?? 0))}`).join(', ')}.`;
  return (
    <SavedChart title="How many are enough?">
      <div style={{ height: 190 }}>
        {tokens && (
          <Line
            aria-label={summary}
            role="img"
            options={optionsOf(tokens, axis)}
            data={{
              labels: shown.map(point => String(point.size)),
              datasets: [
                {
                  data: shown.map(point => 100 * (point.shares?.seen ?? 0)),
                  borderColor: tokens.ink,
                  borderWidth: 2,
                  tension: 0.25,
                  pointRadius: shown.map(point => (point.size === own ? 7 : 3)),
                  pointBackgroundColor: shown.map(point =>
                    point.size === own ? tokens.clay : tokens.ink,
                  ),
                  pointBorderWidth: 0,
                },
              ],
            }}
          />
        )}
      </div>
    </SavedChart>
  );
}

function optionsOf(tokens: Tokens, axis: string): ChartOptions<'line'> {
  const font = { family: tokens.font, size: 13 };
  return {
    ...STILL,
    scales: {
      x: {
        grid: { display: false },
        border: { color: tokens.ink },
        ticks: { color: tokens['ink-soft'], font },
        title: { display: true, text: axis, color: tokens['ink-soft'], font },
      },
      y: {
        min: 0,
        max: 100,
        grid: { color: tokens.rule },
        border: { display: false },
        ticks: { color: tokens['ink-soft'], font, stepSize: 20 },
        title: { display: true, text: 'seen, of 100', color: tokens['ink-soft'], font },
      },
    },
    plugins: {
      legend: { display: false },
      tooltip: { enabled: false },
      annotation: {
        annotations: {
          enough: {
            type: 'line',
            yMin: 80,
            yMax: 80,
            borderColor: tokens.leaf,
            borderWidth: 2,
            borderDash: [6, 4],
          },
        },
      },
    },
  };
}
