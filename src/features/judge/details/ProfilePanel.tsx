'use client';

import {
  CategoryScale,
  Chart as ChartJs,
  type ChartOptions,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js';
import { Chart } from 'react-chartjs-2';
import { styled } from 'styled-components';
import type { PartProfile } from '@/core/judge/after/part-profile';
import { roundTicks } from '@/core/quantity/axis-span';
import { chartFont, roundFigures, STILL } from '@/ui/charts/chart-look';
import { SavedChart } from '@/ui/charts/SavedChart';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { type Tokens, useTokens } from '@/ui/use-tokens';
import { WideTable } from '@/ui/WideTable';

ChartJs.register(CategoryScale, Legend, LinearScale, LineController, LineElement, PointElement);

interface ProfilePanelProps {
  readonly name: string;
  readonly profile: PartProfile;
  readonly print: (value: number) => string;
  /** What the round figures up to `most` are multiples of. */
  readonly roundUnit: (most: number) => number;
}

const DASHES: readonly (readonly number[])[] = [[], [6, 4], [2, 3], [10, 4, 2, 4]];

/** What was read part by part, from the first part down to the last: a line for each treatment. */
export function ProfilePanel({ name, profile, print, roundUnit }: ProfilePanelProps) {
  const tokens = useTokens();
  return (
    <Box>
      <h3>Part by part</h3>
      {tokens && (
        <SavedChart title={`${name}, part by part`}>
          <div data-drawn>
            <Chart
              type="line"
              data={linesOf(profile, tokens)}
              options={optionsOf({ print, roundUnit }, tokens)}
              aria-label={`${name} by part, a line for each treatment`}
              role="img"
            />
          </div>
        </SavedChart>
      )}
      <WideTable label={`${name} by part`}>
        <TableHead of={['Part', ...profile.treatments.map(treatment => treatment.name)]} />
        <tbody>
          {profile.parts.map((part, i) => (
            <tr key={part}>
              <th scope="row">{part}</th>
              {profile.treatments.map(treatment => (
                <td key={treatment.name}>
                  {treatment.means[i] ? print(treatment.means[i].mean) : '–'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </WideTable>
      <Soft>
        Means over all of them. Each part is judged by itself under “All that was measured”.
      </Soft>
    </Box>
  );
}

function linesOf({ parts, treatments }: PartProfile, tokens: Tokens) {
  return {
    labels: [...parts],
    datasets: treatments.map(({ name, means }, i) => ({
      label: name,
      data: means.map(each => each?.mean ?? null),
      borderColor: hueOf(i, tokens),
      backgroundColor: hueOf(i, tokens),
      borderDash: [...(DASHES[i % DASHES.length] ?? [])],
      borderWidth: 2,
      pointRadius: 4,
    })),
  };
}

/** The control is drawn in ink, the others in the hues of their labels. */
function hueOf(i: number, tokens: Tokens): string {
  const hues = [tokens.ink, tokens['hue-1'], tokens['hue-2'], tokens['hue-3'], tokens['hue-4']];
  return hues[i % hues.length] ?? tokens.ink;
}

function optionsOf(
  { print, roundUnit }: Pick<ProfilePanelProps, 'print' | 'roundUnit'>,
  tokens: Tokens,
): ChartOptions<'line'> {
  const font = chartFont(tokens);
  return {
    indexAxis: 'y',
    ...STILL,
    scales: {
      x: {
        type: 'linear',
        position: 'top',
        grid: { color: tokens.rule },
        border: { display: false },
        ticks: {
          color: tokens['ink-soft'],
          font,
          callback: value => print(Number(value)),
        },
        ...roundFigures(span => roundTicks(span, roundUnit(span[1]))),
      },
      y: {
        type: 'category',
        grid: { display: false },
        border: { color: tokens.ink },
        ticks: { color: tokens.ink, font },
      },
    },
    plugins: {
      legend: {
        display: true,
        position: 'bottom',
        labels: { color: tokens.ink, font, usePointStyle: true, boxWidth: 8, boxHeight: 8 },
      },
      tooltip: { enabled: false },
    },
  };
}

const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr);
  & [data-drawn] { height: 280px; position: relative; max-width: 640px; }
`;
