'use client';

import { styled } from 'styled-components';
import { waitedOf } from '@/core/judge/outcomes/working/waits';
import { isRead, type JudgeInput, type ReadUnit } from '@/core/judge/question/judge-input';
import { kaplanMeier } from '@/core/stats/survival/survival';

const WIDTH = 640;

/** Of days: how many still wait, day by day. */
export function WaitingCurves({ input }: { readonly input: JudgeInput }) {
  const units = input.units.filter(isRead);
  if (units.length === 0) return null;
  return (
    <Scroller tabIndex={0} role="region" aria-label="Every unit, drawn">
      <Waiting input={input} units={units} />
    </Scroller>
  );
}

const DASHES = ['none', '8 4', '2 4', '10 3 2 3', '14 4', '4 2', '1 3', '12 2 2 2'] as const;

const hue = (i: number): string => (i === 0 ? 'var(--ink)' : `var(--hue-${((i - 1) % 8) + 1})`);

function Waiting({
  input,
  units,
}: {
  readonly input: JudgeInput;
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
        const steps = kaplanMeier(waitedOf(own));
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
  & line { stroke: var(--rule-strong); }
  & path { fill: none; stroke-width: 2.5; }
`;
