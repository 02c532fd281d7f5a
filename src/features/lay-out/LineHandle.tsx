'use client';

import { styled } from 'styled-components';
import { lineOf, SITE_WORDS } from '@/core/design/site/site-features';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { SiteFeature } from '@/core/trial/model/layout';
import { LineMark, siteTextMm } from '@/features/bench/SiteMarks';
import { useSystem } from '@/features/frame/use-garden-units';
import type { ShiftHandlers } from './use-shift';

interface LineHandleProps {
  readonly id: string;
  readonly part: 'whole' | 'start' | 'end';
  readonly feature: SiteFeature;
  readonly x: number;
  readonly y: number;
  readonly handlersOf: (id: string) => ShiftHandlers;
  readonly line: Readonly<{ x1Mm: number; y1Mm: number; x2Mm: number; y2Mm: number }>;
  readonly bench: { widthMm: number; depthMm: number };
  readonly moved: SiteFeature;
}

export function LineHandle({
  id,
  part,
  feature,
  x,
  y,
  handlersOf,
  line,
  bench,
  moved,
}: LineHandleProps) {
  const system = useSystem();
  return (
    <Handle
      data-movable
      data-kind="site"
      role="button"
      tabIndex={0}
      aria-label={
        part === 'whole'
          ? SITE_WORDS[feature.kind]
          : `${SITE_WORDS[feature.kind]}, its ${part}: ${stand(x, system)} from the left, ${stand(y, system)} from the far edge`
      }
      {...handlersOf(id)}
    >
      {part === 'whole' ? (
        <>
          <path
            d={`M${line.x1Mm} ${line.y1Mm}L${line.x2Mm} ${line.y2Mm}`}
            stroke="transparent"
            strokeWidth={siteTextMm(bench) * 2}
            strokeLinecap="round"
          />
          <LineMark feature={moved} textMm={siteTextMm(bench)} bench={bench} />
        </>
      ) : (
        <circle
          cx={x}
          cy={y}
          r={siteTextMm(bench) * 0.6}
          fill="var(--paper)"
          strokeWidth={siteTextMm(bench) * 0.15}
        />
      )}
    </Handle>
  );
}

export const SITE_ENDS = ['whole', 'start', 'end'] as const;
type SitePart = (typeof SITE_ENDS)[number];

export function siteId(at: number, part: SitePart): string {
  return `site:${at}:${part}`;
}

export function readSiteId(id: string): readonly [number, SitePart] {
  const [, at, part] = id.split(':');
  return [Number(at ?? -1), SITE_ENDS.find(each => each === part) ?? 'whole'];
}

export function movedFeature(
  feature: SiteFeature,
  part: SitePart,
  dx: number,
  dy: number,
  bench: { readonly widthMm: number; readonly depthMm: number },
): SiteFeature {
  const { x1Mm, y1Mm, x2Mm, y2Mm } = lineOf(feature, bench);
  const [start, end] = [part !== 'end', part !== 'start'];
  return {
    ...feature,
    line: {
      x1Mm: x1Mm + (start ? dx : 0),
      y1Mm: y1Mm + (start ? dy : 0),
      x2Mm: x2Mm + (end ? dx : 0),
      y2Mm: y2Mm + (end ? dy : 0),
    },
  };
}

export const Handle = styled.g`
  cursor: grab; outline: none; touch-action: none;
  & * { touch-action: none; }
  &[data-movable] > rect, &[data-movable] > circle { stroke: var(--clay); }
  &[data-kind='bench'] > rect { pointer-events: all; }
  &:focus-visible > rect, &:focus-visible > circle { stroke-width: 16; }
  &:focus-visible > path { stroke: var(--clay); stroke-opacity: 0.3; }
`;

/** How far something stands from an edge, to a whole centimetre or half an inch. */
export function stand(mm: number, system: MeasureSystem): string {
  return system === 'us' ? `${Math.round(mm / 12.7) / 2} in` : `${Math.round(mm / 10)} cm`;
}
