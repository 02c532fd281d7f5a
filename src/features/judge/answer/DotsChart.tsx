'use client';

import {
  type ChartData,
  Chart as ChartJs,
  type ChartOptions,
  LinearScale,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
} from 'chart.js';
import { Chart } from 'react-chartjs-2';
import { styled } from 'styled-components';
import { type AxisRange, cutAt } from '@/core/quantity/axis-span';
import { chartFont, endsOf, STILL } from '@/ui/charts/chart-look';
import { SavedChart } from '@/ui/charts/SavedChart';
import { Soft } from '@/ui/Page';
import { PlantLabel } from '@/ui/PlantLabel';
import { type Tokens, tokenHue, useTokens } from '@/ui/use-tokens';
import { axisOfDots, type DotRow, type DotRows } from './dot-rows';

ChartJs.register(LinearScale, LineElement, PointElement, ScatterController, Tooltip);

interface DotsChartProps {
  readonly dots: DotRows;
  readonly unitWord: string;
  /** Over the saved picture. */
  readonly title: string;
  /** One line of what is seen, for whoever can't see it. */
  readonly summary: string;
  readonly printValue: (value: number) => string;
}

const ROW_PX = 66;
const AXIS_PX = 34;

/** Every pot as a dot, the interval of each treatment under its dots, and the band of what does not matter. */
export function DotsChart({ dots, unitWord, title, summary, printValue }: DotsChartProps) {
  const tokens = useTokens();
  const axis = axisOfDots(dots);
  const isCut = dots.rows.some(
    ({ interval }) => interval && cutAt(interval, axis).beyond.some(Boolean),
  );
  return (
    <SavedChart
      title={title}
      rows={dots.rows.map(({ tag, gap }) => [tag.name, ...(gap ? [gap] : [])])}
      rowPx={ROW_PX}
    >
      <Figure style={{ gridTemplateRows: `repeat(${dots.rows.length}, ${ROW_PX}px) ${AXIS_PX}px` }}>
        {dots.rows.map(row => (
          <Label key={row.tag.letter}>
            <PlantLabel look={row.tag} width={20} />
            <span>
              <b>{row.tag.name}</b>
              <small>{row.tag.index < 0 ? 'the control' : (row.gap ?? 'can’t be compared')}</small>
            </span>
          </Label>
        ))}
        <Canvas
          style={{
            gridRow: `1 / span ${dots.rows.length + 1}`,
            height: dots.rows.length * ROW_PX + AXIS_PX,
          }}
        >
          {tokens && (
            <Chart
              type="scatter"
              data={chartData(dots, axis, tokens)}
              options={chartOptions(dots, axis, tokens, unitWord, printValue)}
              aria-label={summary}
              role="img"
            />
          )}
        </Canvas>
      </Figure>
      {isCut && <Soft>An arrow: the range goes on beyond the picture. The table has its end.</Soft>}
    </SavedChart>
  );
}

function chartData(dots: DotRows, axis: AxisRange, tokens: Tokens): ChartData<'scatter'> {
  return {
    datasets: dots.rows.flatMap((row, at): ChartData<'scatter'>['datasets'] => {
      const hue = tokenHue(tokens, row.tag.index);
      return [
        {
          label: row.tag.name,
          data: row.points.map((point, i) => ({
            x: point.x,
            y: at + JITTER[i % JITTER.length]! - 0.14,
          })),
          showLine: false,
          clip: false,
          pointRadius: 6,
          pointHoverRadius: 8,
          pointBackgroundColor: row.tag.index < 0 ? tokens.slate : hue,
          pointBorderColor: row.tag.index < 0 ? tokens.ink : tokens.slate,
          pointBorderWidth: row.tag.index < 0 ? 2 : 1,
        },
        ...intervalOf(row, at, axis, hue),
      ];
    }),
  };
}

/** A treatment's interval with its middle, as far as the picture reaches. */
function intervalOf(
  { interval, estimate }: DotRow,
  row: number,
  axis: AxisRange,
  hue: string,
): ChartData<'scatter'>['datasets'] {
  if (!interval) return [];
  const { drawn, beyond } = cutAt(interval, axis);
  const y = row + 0.3;
  const { pointStyle, pointRotation } = endsOf(beyond);
  return [
    {
      label: '',
      data: [drawn[0], estimate ?? drawn[0], drawn[1]].map(x => ({ x, y })),
      showLine: true,
      clip: false,
      borderColor: hue,
      borderWidth: 3,
      pointStyle: [pointStyle[0]!, 'line', pointStyle[1]!],
      pointRotation: [pointRotation[0]!, 90, pointRotation[1]!],
      pointRadius: [7, 9, 7],
      pointBorderWidth: [3, 5, 3],
      pointBorderColor: hue,
      pointBackgroundColor: hue,
      pointHitRadius: 0,
    },
  ];
}

// A fixed scatter up and down: enough to part dots that lie on each other, the same on every look.
const JITTER = [0, -0.14, 0.1, -0.07, 0.14, -0.18, 0.05, -0.11] as const;

function chartOptions(
  dots: DotRows,
  axis: AxisRange,
  tokens: Tokens,
  unitWord: string,
  printValue: (value: number) => string,
): ChartOptions<'scatter'> {
  const font = chartFont(tokens);
  const printTick = (value: string | number): string =>
    dots.axis === 'percent' ? `${value}%` : printValue(Number(value));
  return {
    ...STILL,
    layout: { padding: 0 },
    scales: {
      x: {
        ...axis,
        grid: { display: false },
        border: { color: tokens.rule },
        ticks: {
          color: tokens['ink-soft'],
          font,
          maxTicksLimit: 7,
          includeBounds: false,
          callback: printTick,
        },
      },
      y: { min: -0.5, max: dots.rows.length - 0.5, reverse: true, display: false },
    },
    plugins: {
      legend: { display: false },
      tooltip: {
        displayColors: false,
        filter: shown => shown.datasetIndex !== undefined && shown.dataset.label !== '',
        bodyFont: font,
        callbacks: {
          title: () => '',
          label: shown => {
            const row = dots.rows.find(each => each.tag.name === shown.dataset.label);
            const point = row?.points[shown.dataIndex];
            return point ? `${unitWord} ${point.code}: ${printValue(point.value)}` : '';
          },
        },
      },
      annotation: { animations: {}, annotations: marksOf(dots, tokens) },
    },
  };
}

/** The control's line, and the band of what is not worth having. */
function marksOf(dots: DotRows, tokens: Tokens) {
  const drawTime = 'beforeDatasetsDraw' as const;
  const control = {
    type: 'line' as const,
    xMin: dots.control,
    xMax: dots.control,
    borderColor: tokens['ink-soft'],
    borderWidth: 2,
    drawTime,
  };
  if (!dots.band) return { control };
  const [xMin, xMax] = dots.band;
  const backgroundColor = tokens.band;
  return {
    band: { type: 'box' as const, xMin, xMax, backgroundColor, borderWidth: 0, drawTime },
    control,
  };
}

const Figure = styled.div`
  display: grid; grid-template-columns: minmax(150px, 210px) minmax(0, 1fr); column-gap: 12px;
  @media (max-width: 640px) { grid-template-columns: 112px minmax(0, 1fr); column-gap: 6px; }
`;

const Label = styled.div`
  grid-column: 1; display: flex; gap: 10px; align-items: center; line-height: 1.2;
  & small { display: block; color: var(--ink-soft); font-size: 0.9375rem; }
  @media (max-width: 640px) { gap: 6px; font-size: 0.875rem; }
`;

const Canvas = styled.div`
  grid-column: 2; position: relative; min-width: 0;
`;
