'use client';

import {
  type ChartData,
  Chart as ChartJs,
  type ChartOptions,
  LinearScale,
  LineElement,
  PointElement,
  ScatterController,
} from 'chart.js';
import { Chart } from 'react-chartjs-2';
import { styled } from 'styled-components';
import { type AxisRange, axisSpan, cutAt, roundSpan } from '@/core/quantity/axis-span';
import { chartFont, endsOf, STILL } from '@/ui/charts/chart-look';
import { SavedChart } from '@/ui/charts/SavedChart';
import { Soft } from '@/ui/Page';
import { type Tokens, useTokens } from '@/ui/use-tokens';
import type { ForestRow, ForestView } from './together-view';

ChartJs.register(LinearScale, LineElement, PointElement, ScatterController);

const ROW_PX = 54;
const AXIS_PX = 34;

/** Every garden with its pots behind its bar, all together, and where one more garden may lie. */
export function ForestChart({ forest }: { readonly forest: ForestView }) {
  const tokens = useTokens();
  const { rows } = forest;
  const axis = rangeOf(forest);
  const isCut = rows.some(({ interval }) => interval && cutAt(interval, axis).beyond.some(Boolean));
  const title = `${forest.title}, by garden`;
  return (
    <SavedChart title={title} rows={rows.map(({ name, gap }) => [name, gap])} rowPx={ROW_PX}>
      <Figure style={{ gridTemplateRows: `repeat(${rows.length}, ${ROW_PX}px) ${AXIS_PX}px` }}>
        {rows.map(row => (
          <Label key={row.key} data-kind={row.kind}>
            <b>{row.name}</b>
            <small>{row.gap}</small>
          </Label>
        ))}
        <Canvas
          style={{
            gridRow: `1 / span ${rows.length + 1}`,
            height: rows.length * ROW_PX + AXIS_PX,
          }}
        >
          {tokens && (
            <Chart
              type="scatter"
              data={dataOf(rows, axis, tokens)}
              options={optionsOf(forest, axis, tokens)}
              aria-label={`${title}. The table below has every figure.`}
              role="img"
            />
          )}
        </Canvas>
      </Figure>
      {isCut && (
        <Soft>An arrow: the range goes on beyond the picture. The words above say how far.</Soft>
      )}
    </SavedChart>
  );
}

function dataOf(rows: readonly ForestRow[], axis: AxisRange, tokens: Tokens): ChartData<'scatter'> {
  return {
    datasets: rows.flatMap((row, at): ChartData<'scatter'>['datasets'] => [
      {
        data: row.dots.map(x => ({ x, y: at - 0.14 })),
        clip: false,
        pointRadius: 3,
        pointHitRadius: 0,
        pointBackgroundColor: tokens['ink-soft'],
        pointBorderColor: tokens.slate,
        pointBorderWidth: 1,
      },
      ...barOf(row, at, axis, tokens),
    ]),
  };
}

function barOf(
  { kind, x, interval, weight }: ForestRow,
  at: number,
  axis: AxisRange,
  tokens: Tokens,
): ChartData<'scatter'>['datasets'] {
  const colour = kind === 'together' ? tokens.clay : tokens.ink;
  const y = at + 0.16;
  const cut = interval && cutAt(interval, axis);
  const bar = cut && {
    data: cut.drawn.map(end => ({ x: end, y })),
    showLine: true,
    borderColor: colour,
    borderWidth: kind === 'together' ? 5 : 2,
    borderDash: kind === 'next' ? [6, 4] : [],
    ...endsOf(cut.beyond),
    pointRadius: 6,
    pointBorderWidth: 2,
    pointBorderColor: colour,
    pointBackgroundColor: colour,
    pointHitRadius: 0,
    clip: false as const,
  };
  const middle = x !== null && {
    data: [{ x, y }],
    pointStyle: (kind === 'together' ? 'rectRot' : 'rect') as 'rectRot' | 'rect',
    // By how much it counts: its area, not its side.
    pointRadius: kind === 'together' ? 9 : 3 + 1.2 * Math.sqrt(weight ?? 0),
    pointBackgroundColor: colour,
    pointBorderColor: tokens.slate,
    pointHitRadius: 0,
  };
  return [...(bar ? [bar] : []), ...(middle ? [middle] : [])];
}

function optionsOf(
  { rows, unit, band }: ForestView,
  axis: AxisRange,
  tokens: Tokens,
): ChartOptions<'scatter'> {
  const font = chartFont(tokens);
  const drawTime = 'beforeDatasetsDraw' as const;
  const none = {
    type: 'line' as const,
    xMin: 0,
    xMax: 0,
    borderColor: tokens['ink-soft'],
    borderWidth: 2,
    drawTime,
  };
  const small = band && {
    type: 'box' as const,
    xMin: band[0],
    xMax: band[1],
    backgroundColor: tokens.band,
    borderWidth: 0,
    drawTime,
  };
  return {
    ...STILL,
    layout: { padding: { right: 12 } },
    scales: {
      x: {
        ...axis,
        grid: { display: false },
        border: { color: tokens.rule },
        ticks: {
          color: tokens['ink-soft'],
          font,
          maxTicksLimit: 7,
          maxRotation: 0,
          callback: value =>
            `${Number(value) > 0 ? '+' : ''}${value}${unit === '%' ? '%' : ` ${unit}`}`,
        },
      },
      y: { min: -0.5, max: rows.length - 0.5, reverse: true, display: false },
    },
    plugins: {
      legend: { display: false },
      tooltip: { enabled: false },
      annotation: { animations: {}, annotations: small ? { small, none } : { none } },
    },
  };
}

/** All that was seen in the gardens; of what it comes to together, as much as leaves that its room. */
function rangeOf({ rows, isShare }: ForestView): AxisRange {
  const gardens = rows.filter(({ kind }) => kind === 'garden');
  const seen = [
    0,
    ...rows.flatMap(({ x, dots }) => [...(x === null ? [] : [x]), ...dots]),
    ...gardens.flatMap(({ interval }) => interval ?? []),
  ];
  const ranges = rows.flatMap(({ interval }) => interval ?? []);
  return roundSpan(axisSpan(seen, ranges, isShare ? -100 : undefined));
}

const Figure = styled.div`
  display: grid; grid-template-columns: minmax(150px, 230px) minmax(0, 1fr); column-gap: 16px;
  @media (max-width: 640px) { grid-template-columns: 118px minmax(0, 1fr); column-gap: 6px; }
`;

const Label = styled.div`
  grid-column: 1; display: grid; align-content: center; line-height: 1.15; min-width: 0; overflow: hidden;
  & b { font-weight: 600; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
  & small { color: var(--ink-soft); font-size: 0.875rem; }
  &[data-kind='together'] { border-top: 2px solid var(--rule-strong); }
  @media (max-width: 640px) { font-size: 0.875rem; }
`;

const Canvas = styled.div`
  grid-column: 2; position: relative; min-width: 0;
`;
