'use client';

import { styled } from 'styled-components';
import type { OutcomeInput, ReadUnit } from '@/core/judge/question/outcome-input';
import { readUnits } from '@/core/judge/question/outcome-input';
import { kaplanMeier } from '@/core/stats/survival/survival';
import { counted } from '@/core/words/plural';

const [WIDTH, ROW, LEFT, RIGHT] = [640, 44, 150, 24];

/** Every unit as a mark in its treatment's row; of days, how many still wait, day by day. */
export function OutcomePicture({ input }: { readonly input: OutcomeInput }) {
  const units = readUnits(input);
  if (units.length === 0) return null;
  return (
    <Scroller tabIndex={0} role="region" aria-label="Every unit, drawn">
      {input.kind === 'time' ? (
        <Waiting input={input} units={units} />
      ) : (
        <Marks input={input} units={units} />
      )}
    </Scroller>
  );
}

function figureOf(unit: ReadUnit): number {
  return unit.outOf === null ? unit.value : (100 * unit.value) / unit.outOf;
}

function Marks({
  input,
  units,
}: {
  readonly input: OutcomeInput;
  readonly units: readonly ReadUnit[];
}) {
  const values = units.map(figureOf);
  const [low, high] =
    input.kind === 'ordinal'
      ? [Math.min(...values), Math.max(...values, Math.min(...values) + 1)]
      : [0, input.kind === 'proportion' ? 100 : Math.max(...values, 1)];
  const x = (value: number): number =>
    LEFT + ((WIDTH - LEFT - RIGHT) * (value - low)) / (high - low);
  const height = ROW * input.treatments.length + 26;
  return (
    <Drawing
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={`${counted(units.length, input.unitWord)} by treatment: ${input.treatments
        .map(
          name =>
            `${name} ${units
              .filter(unit => unit.treatment === name)
              .map(unit => Number(figureOf(unit).toPrecision(3)))
              .join(', ')}`,
        )
        .join('; ')}`}
    >
      {input.treatments.map((name, row) => {
        const y = ROW * row + ROW / 2;
        const own = units.filter(unit => unit.treatment === name);
        const stacked = new Map<number, number>();
        return (
          <g key={name}>
            <text x={0} y={y + 5}>
              {name.length > 18 ? `${name.slice(0, 17)}…` : name}
            </text>
            <line x1={LEFT} x2={WIDTH - RIGHT} y1={y} y2={y} />
            {own.map(unit => {
              const value = figureOf(unit);
              const nth = stacked.get(value) ?? 0;
              stacked.set(value, nth + 1);
              return <circle key={unit.id} cx={x(value)} cy={y - 7 * nth} r={5} />;
            })}
          </g>
        );
      })}
      <text x={LEFT} y={height - 6} data-axis>
        {low}
        {input.kind === 'proportion' ? '%' : ''}
      </text>
      <text x={WIDTH - RIGHT} y={height - 6} data-axis textAnchor="end">
        {Number(high.toPrecision(3))}
        {input.kind === 'proportion' ? '%' : ''}
      </text>
    </Drawing>
  );
}

const DASHES = ['none', '8 4', '2 4', '10 3 2 3', '14 4', '4 2', '1 3', '12 2 2 2'] as const;

const hue = (i: number): string => (i === 0 ? 'var(--ink)' : `var(--hue-${((i - 1) % 8) + 1})`);

function Waiting({
  input,
  units,
}: {
  readonly input: OutcomeInput;
  readonly units: readonly ReadUnit[];
}) {
  const most = Math.max(1, ...units.map(unit => unit.value));
  const [height, base] = [260, 220];
  const x = (days: number): number => 40 + ((WIDTH - 40 - 140) * days) / most;
  const y = (share: number): number => 16 + (base - 16) * (1 - share);
  return (
    <Drawing
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={`Share still waiting, day by day, of ${input.treatments.join(', ')}`}
    >
      <line x1={40} x2={WIDTH - 140} y1={base} y2={base} />
      <line x1={40} x2={40} y1={16} y2={base} />
      {input.treatments.map((name, i) => {
        const own = units.filter(unit => unit.treatment === name);
        const steps = kaplanMeier(own.map(unit => ({ days: unit.value, hasCome: unit.hasCome })));
        const path = steps.reduce(
          (drawn, step) => `${drawn}H${x(step.days)}V${y(step.waiting)}`,
          `M${x(0)} ${y(1)}`,
        );
        return (
          <g key={name}>
            <path
              d={`${path}H${x(Math.max(0, ...own.map(unit => unit.value)))}`}
              strokeDasharray={DASHES[i % DASHES.length]}
              style={{ stroke: hue(i) }}
            />
            <path
              d={`M${WIDTH - 128} ${24 + 22 * i}h26`}
              strokeDasharray={DASHES[i % DASHES.length]}
              style={{ stroke: hue(i) }}
            />
            <text x={WIDTH - 96} y={29 + 22 * i}>
              {name.length > 13 ? `${name.slice(0, 12)}…` : name}
            </text>
          </g>
        );
      })}
      <text x={40} y={height - 18} data-axis>
        0 days
      </text>
      <text x={WIDTH - 140} y={height - 18} data-axis textAnchor="end">
        {most}
      </text>
      <text x={4} y={22} data-axis>
        all
      </text>
      <text x={4} y={base} data-axis>
        none
      </text>
    </Drawing>
  );
}

// On a phone the drawing keeps a size one can read, and scrolls by itself.
const Scroller = styled.div`
  overflow-x: auto;
  &:focus-visible { outline: 3px solid var(--clay); outline-offset: 2px; }
`;

const Drawing = styled.svg`
  width: 100%; min-width: 560px; max-width: 820px; height: auto;
  & text { font-size: 14px; fill: var(--ink); } & text[data-axis] { font-size: 12px; fill: var(--ink-soft); }
  & line { stroke: var(--rule-strong); } & circle { fill: var(--clay); fill-opacity: 0.75; stroke: var(--paper); }
  & path { fill: none; stroke-width: 2.5; }
`;
