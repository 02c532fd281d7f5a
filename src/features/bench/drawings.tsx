'use client';

import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { useSystem } from '@/features/frame/use-garden-units';
import type { UnitLens } from './bench-lens';
import type { BenchView } from './bench-view';

export function PotFromAbove({
  widthMm,
  lens,
  isLeftOut,
}: {
  readonly widthMm: number;
  readonly lens: UnitLens;
  readonly isLeftOut: boolean;
}) {
  const r = widthMm / 2;
  const reach = r * (0.36 + 0.4 * (lens.share ?? 0.25));
  return (
    <>
      <circle
        data-rim
        cx={r}
        cy={r}
        r={r * 0.94}
        fill={lens.state === 'open' ? 'var(--slate)' : 'var(--soil)'}
        stroke="var(--pot)"
        strokeWidth={r * 0.12}
        strokeDasharray={isLeftOut ? `${r * 0.2} ${r * 0.16}` : undefined}
      />
      {lens.state === 'dead' ? (
        <path
          d={`M${r * 0.5} ${r * 0.4}L${r * 1.5} ${r * 1.3}M${r * 1.5} ${r * 0.4}L${r * 0.5} ${r * 1.3}`}
          stroke="var(--slate)"
          strokeWidth={r * 0.12}
        />
      ) : (
        <g
          fill="var(--crown)"
          opacity={
            isLeftOut ? 0.25 : lens.state === 'open' ? 0.75 : 0.35 + 0.65 * (lens.share ?? 0.6)
          }
        >
          {LEAVES.map(turn => (
            <ellipse
              key={turn}
              cx={r}
              cy={r - reach / 2}
              rx={reach * 0.3}
              ry={reach / 2}
              transform={`rotate(${turn} ${r} ${r})`}
            />
          ))}
        </g>
      )}
    </>
  );
}

/** A plant that nobody reads: an empty outline. */
export function GuardPlant({ guard }: { readonly guard: BenchView['guards'][number] }) {
  const line = Math.min(guard.widthMm, guard.depthMm) * 0.05;
  const look = {
    fill: 'none',
    stroke: 'var(--crown)',
    strokeWidth: line,
    strokeDasharray: `${line * 2} ${line * 2}`,
  } as const;
  return guard.shape === 'round' ? (
    <circle
      cx={guard.xMm + guard.widthMm / 2}
      cy={guard.yMm + guard.depthMm / 2}
      r={guard.widthMm * 0.42}
      {...look}
    >
      <title>guard plant</title>
    </circle>
  ) : (
    <rect
      x={guard.xMm + line}
      y={guard.yMm + line}
      width={guard.widthMm - 2 * line}
      height={guard.depthMm - 2 * line}
      {...look}
    >
      <title>guard plants</title>
    </rect>
  );
}

const ROWS = [0.3, 0.7] as const;
const PLANTS = [0.18, 0.5, 0.82] as const;

/** A plot, trough or bag: soil with two rows of plants. */
export function PlotFromAbove({
  widthMm,
  depthMm,
  lens,
  isLeftOut,
}: {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly lens: UnitLens;
  readonly isLeftOut: boolean;
}) {
  const line = widthMm * 0.03;
  const reach = Math.min(widthMm, depthMm) * (0.07 + 0.08 * (lens.share ?? 0.25));
  return (
    <>
      <rect
        data-rim
        x={line / 2}
        y={line / 2}
        width={widthMm - line}
        height={depthMm - line}
        fill={lens.state === 'open' ? 'var(--slate)' : 'var(--soil)'}
        stroke="var(--pot)"
        strokeWidth={line}
        strokeDasharray={isLeftOut ? `${line * 3} ${line * 2}` : undefined}
      />
      {lens.state === 'dead' ? (
        <path
          d={`M${widthMm * 0.3} ${depthMm * 0.2}L${widthMm * 0.7} ${depthMm * 0.6}M${widthMm * 0.7} ${depthMm * 0.2}L${widthMm * 0.3} ${depthMm * 0.6}`}
          stroke="var(--slate)"
          strokeWidth={line * 2}
        />
      ) : (
        <g
          fill="var(--crown)"
          opacity={
            isLeftOut ? 0.25 : lens.state === 'open' ? 0.75 : 0.35 + 0.65 * (lens.share ?? 0.6)
          }
        >
          {ROWS.flatMap(y =>
            PLANTS.map(x => (
              <circle key={`${x} ${y}`} cx={x * widthMm} cy={y * depthMm} r={reach} />
            )),
          )}
        </g>
      )}
    </>
  );
}

const LEAVES = [10, 75, 150, 215, 290] as const;

/** A round length that is a fair part of the bench, and how a ruler says it. */
function ruleOf(widthMm: number, system: MeasureSystem): readonly [mm: number, words: string] {
  if (system === 'us')
    return widthMm > 1500 ? [914.4, '3 ft'] : widthMm > 600 ? [304.8, '1 ft'] : [101.6, '4 in'];
  return widthMm > 1500 ? [1000, '1 m'] : widthMm > 600 ? [500, '50 cm'] : [100, '10 cm'];
}

export function Scale({
  widthMm,
  yMm,
  textMm,
}: {
  readonly widthMm: number;
  readonly yMm: number;
  readonly textMm: number;
}) {
  const [lengthMm, words] = ruleOf(widthMm, useSystem());
  return (
    <g stroke="var(--ink-soft)" strokeWidth={textMm * 0.08}>
      <path
        d={`M${widthMm - lengthMm} ${yMm - textMm * 0.3}v${textMm * 0.6}M${widthMm - lengthMm} ${yMm}H${widthMm}M${widthMm} ${yMm - textMm * 0.3}v${textMm * 0.6}`}
        fill="none"
      />
      <text
        x={widthMm - lengthMm - textMm * 0.5}
        y={yMm + textMm * 0.35}
        textAnchor="end"
        fontSize={textMm}
        fill="var(--ink-soft)"
        stroke="none"
      >
        {words}
      </text>
    </g>
  );
}
