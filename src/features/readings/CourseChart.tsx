'use client';

import {
  Chart as ChartJs,
  type ChartOptions,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js';
import { Chart } from 'react-chartjs-2';
import { styled } from 'styled-components';
import { shownUnit } from '@/core/measure/library/shown-unit';
import { shortDay } from '@/core/time/days';
import { daysApart } from '@/core/time/days-apart';
import { useSystem } from '@/features/frame/use-garden-units';
import { chartFont, STILL } from '@/ui/charts/chart-look';
import { SavedChart } from '@/ui/charts/SavedChart';
import { type Tokens, useTokens } from '@/ui/use-tokens';
import type { CourseEvent } from './course-events';
import type { MeasureCourses } from './desk-view';

ChartJs.register(LinearScale, LineController, LineElement, PointElement);

interface CourseChartProps {
  readonly courses: MeasureCourses;
  /** The pot in hand. */
  readonly code: string;
  /** Drawn as lines on their days. */
  readonly events: readonly CourseEvent[];
}

/** A line for each pot over the days, the one in hand drawn out. */
export function CourseChart({ courses, code, events }: CourseChartProps) {
  const tokens = useTokens();
  const { name, base } = shownUnit(courses.unit, useSystem());
  const days = courses.pots.flatMap(pot => pot.course.map(point => point.day)).sort();
  const from = days[0] ?? '';
  return (
    <SavedChart title={`${courses.name}: ${code} among ${courses.pots.length}`}>
      <Box>
        {tokens && (
          <Chart
            type="line"
            data={linesOf(inUnit(courses, base), code, from, tokens)}
            options={optionsOf(from, name, events, tokens)}
            aria-label={`${courses.name}, ${code} among ${courses.pots.length}`}
            role="img"
          />
        )}
      </Box>
    </SavedChart>
  );
}

function inUnit(courses: MeasureCourses, base: number): MeasureCourses {
  return {
    ...courses,
    pots: courses.pots.map(pot => ({
      ...pot,
      course: pot.course.map(point => ({ ...point, value: point.value / base })),
    })),
  };
}

function linesOf({ pots }: MeasureCourses, code: string, from: string, tokens: Tokens) {
  const ordered = [...pots].sort((a, b) => Number(b.code === code) - Number(a.code === code)); // drawn last first: the one in hand on top
  return {
    datasets: ordered.map(pot => ({
      data: pot.course.map(point => ({ x: daysApart(from, point.day) ?? 0, y: point.value })),
      showLine: true,
      tension: 0,
      borderColor: pot.code === code ? tokens.clay : tokens['rule-strong'],
      borderWidth: pot.code === code ? 3 : 1,
      pointRadius: pot.code === code ? 4 : pot.course.length === 1 ? 2 : 0,
      pointBackgroundColor: pot.code === code ? tokens.clay : tokens['rule-strong'],
    })),
  };
}

function optionsOf(
  from: string,
  unit: string,
  events: readonly CourseEvent[],
  tokens: Tokens,
): ChartOptions<'line'> {
  const font = chartFont(tokens);
  const dayAt = (value: number | string): string => {
    const at = new Date(`${from}T00:00:00Z`);
    at.setUTCDate(at.getUTCDate() + Number(value));
    return shortDay(at.toISOString().slice(0, 10));
  };
  return {
    ...STILL,
    scales: {
      x: {
        type: 'linear',
        grid: { display: false },
        border: { color: tokens.ink },
        ticks: { color: tokens['ink-soft'], font, maxTicksLimit: 8, precision: 0, callback: dayAt },
      },
      y: {
        beginAtZero: true,
        grid: { color: tokens.rule },
        border: { display: false },
        ticks: {
          color: tokens['ink-soft'],
          font,
          maxTicksLimit: 6,
          callback: value => `${value}${spaced(unit)}`,
        },
      },
    },
    plugins: {
      legend: { display: false },
      tooltip: { enabled: false },
      annotation: { animations: {}, annotations: marksOf(events, from, tokens) },
    },
  };
}

/** 40%, but 40 cm. */
function spaced(unit: string): string {
  return unit === '' || unit === '%' ? unit : ` ${unit}`;
}

function marksOf(events: readonly CourseEvent[], from: string, tokens: Tokens) {
  const hues = { care: tokens['hue-2'], mishap: tokens.clay, weather: tokens['hue-4'] };
  return events.map(({ on, kind }) => {
    const x = daysApart(from, on) ?? 0;
    return {
      type: 'line' as const,
      xMin: x,
      xMax: x,
      borderColor: hues[kind],
      borderWidth: 1.5,
      borderDash: kind === 'care' ? [2, 4] : [],
      drawTime: 'beforeDatasetsDraw' as const,
    };
  });
}

const Box = styled.div`
  height: 260px; position: relative; max-width: 860px;
`;
