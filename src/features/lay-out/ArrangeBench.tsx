'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { isLine, lineOf } from '@/core/design/site/site-features';
import { printLength } from '@/core/quantity/print-quantity';
import { trialSentence } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { SiteMarks } from '@/features/bench/SiteMarks';
import { useSystem } from '@/features/frame/use-garden-units';
import { Choice } from '@/ui/fields/Choice';
import { Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import type { ArrangeBenchProps, Movable } from './arrange-props';
import {
  Handle,
  LineHandle,
  movedFeature,
  readSiteId,
  SITE_ENDS,
  siteId,
  stand,
} from './LineHandle';
import { useArrangement } from './use-arrangement';

const KINDS = ['bench', 'block', 'bed', 'unit', 'guard'] as const;

/** The bench as it really stands: benches, shelves, beds, pots and guards, and what lies about them. */
export function ArrangeBench(props: ArrangeBenchProps) {
  const system = useSystem();
  const { places, site, closestMm, blockWord, unitWord } = props;
  const kinds = KINDS.filter(kind => places.some(place => place.kind === kind));
  const hasLines = site.some(isLine);
  const [moving, setMoving] = useState<Movable['kind'] | 'site'>(kinds[0] ?? 'unit');
  const arrangement = useArrangement(props);
  return (
    <Arrange aria-label="Arrange the bench">
      {kinds.length + Number(hasLines) > 1 && (
        <Choice
          label="Move"
          name="moving"
          value={moving}
          onChange={setMoving}
          direction="row"
          options={[
            ...kinds.map(kind => ({ value: kind, label: wordsOf(kind, blockWord, unitWord) })),
            ...(hasLines ? [{ value: 'site' as const, label: 'walls, fences, paths, taps' }] : []),
          ]}
        />
      )}
      <div>
        <ArrangeDrawing {...props} moving={moving} arrangement={arrangement} />
      </div>
      <p role="status">{arrangement.said}</p>
      {arrangement.trouble && <Trouble>{trialSentence(arrangement.trouble)}</Trouble>}
      <Soft>
        {closestMm === null
          ? ''
          : `The closest two ${pluralOf(unitWord)} stand ${system === 'us' ? printLength(closestMm, system) : `${(closestMm / 10).toFixed(closestMm < 100 ? 1 : 0)} cm`} apart${closestMm < 1 ? ': they touch, and may share roots and water' : ''}. `}
        Codes stay with their places: moving one here says where it really stands. To change which
        gets what, deal again.
      </Soft>
    </Arrange>
  );
}

interface ArrangeDrawingProps extends ArrangeBenchProps {
  readonly moving: Movable['kind'] | 'site';
  readonly arrangement: ReturnType<typeof useArrangement>;
}

function ArrangeDrawing({ moving, arrangement, places, widthMm, depthMm }: ArrangeDrawingProps) {
  const { drawing, view, drawnSite, isPending } = arrangement;
  const bench = { widthMm, depthMm };
  const unitWidths = places.filter(place => place.kind === 'unit').map(place => place.widthMm);
  const labelMm = Math.max(...unitWidths.map(width => width * 0.24), 20);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset can't stand inside a drawing
    <svg
      ref={drawing}
      viewBox={`${view.xMm} ${view.yMm} ${view.widthMm} ${view.depthMm}`}
      role="group"
      aria-label="Arrange: choose with Tab, move with the arrows, Shift for longer steps"
      data-busy={isPending || undefined}
    >
      <SiteMarks
        site={moving === 'site' ? drawnSite.filter(feature => !isLine(feature)) : drawnSite}
        {...bench}
      />
      {places.map(place => (
        <MovablePlace
          key={place.id}
          place={place}
          isMoving={place.kind === moving}
          labelMm={labelMm}
          arrangement={arrangement}
        />
      ))}
      {moving === 'site' && <MovableLines bench={bench} arrangement={arrangement} />}
    </svg>
  );
}

interface MovablePlaceProps {
  readonly place: Movable;
  readonly isMoving: boolean;
  readonly labelMm: number;
  readonly arrangement: ReturnType<typeof useArrangement>;
}

function MovablePlace({ place, isMoving, labelMm, arrangement }: MovablePlaceProps) {
  const system = useSystem();
  const [dx, dy] = arrangement.shiftOf(place);
  const at = `translate(${place.xMm + dx} ${place.yMm + dy})`;
  if (!isMoving)
    return (
      <g transform={at} data-kind={place.kind} pointerEvents="none">
        <PlaceDrawn place={place} labelMm={labelMm} />
      </g>
    );
  return (
    <Handle
      transform={at}
      data-kind={place.kind}
      data-movable
      role="button"
      tabIndex={0}
      aria-label={`${place.name}, ${stand(place.ownXMm, system)} from the left, ${stand(place.ownYMm, system)} from the far edge`}
      {...arrangement.handlersOf(place.id)}
    >
      <PlaceDrawn place={place} labelMm={labelMm} />
    </Handle>
  );
}

interface MovableLinesProps {
  readonly bench: { readonly widthMm: number; readonly depthMm: number };
  readonly arrangement: ReturnType<typeof useArrangement>;
}

/** Walls, fences, paths and taps, each by its ends and as a whole. */
function MovableLines({ bench, arrangement }: MovableLinesProps) {
  const { drawnSite, shift, handlersOf } = arrangement;
  return drawnSite.map((feature, i) => {
    if (!isLine(feature)) return null;
    const [held, end] = shift ? readSiteId(shift.id) : [];
    const moved =
      shift && held === i && end
        ? movedFeature(feature, end, shift.xMm, shift.yMm, bench)
        : feature;
    const line = lineOf(moved, bench);
    return SITE_ENDS.filter(part => part === 'whole' || feature.kind !== 'tap').map(part => {
      const [x, y] = part === 'start' ? [line.x1Mm, line.y1Mm] : [line.x2Mm, line.y2Mm];
      const id = siteId(i, part);
      return (
        <LineHandle
          key={id}
          id={id}
          part={part}
          feature={feature}
          x={x}
          y={y}
          handlersOf={handlersOf}
          line={line}
          bench={bench}
          moved={moved}
        />
      );
    });
  });
}

function PlaceDrawn({ place, labelMm }: { readonly place: Movable; readonly labelMm: number }) {
  const isUnit = place.kind === 'unit';
  return (
    <>
      {place.shape === 'round' ? (
        <circle cx={place.widthMm / 2} cy={place.depthMm / 2} r={place.widthMm / 2} />
      ) : (
        <rect width={place.widthMm} height={place.depthMm} />
      )}
      {place.kind !== 'guard' && (
        <text
          x={isUnit ? place.widthMm / 2 : labelMm * 0.2}
          y={isUnit ? place.depthMm / 2 + labelMm * 0.35 : labelMm * 0.75}
          textAnchor={isUnit ? 'middle' : 'start'}
          fontSize={isUnit ? labelMm : labelMm * 0.9}
        >
          {place.name}
        </text>
      )}
    </>
  );
}

function wordsOf(kind: Movable['kind'], blockWord: string, unitWord: string): string {
  switch (kind) {
    case 'bench':
      return 'a whole bench';
    case 'block':
      return `a whole ${blockWord}`;
    case 'bed':
      return 'a bed';
    case 'unit':
      return `one ${unitWord}`;
    case 'guard':
      return 'a guard plant';
  }
}

const Arrange = styled.section`
  display: grid; gap: 10px;
  & > div:has(> svg) { overflow-x: auto; }
  & svg { display: block; width: 100%; max-height: 80vh; user-select: none; }
  /* Pots under a finger must be as large as on the bench: the drawing is wider than the phone, and is pushed at its empty places. */
  @media (max-width: 640px) { & svg { min-width: 620px; max-height: none; } }
  & svg[data-busy] { opacity: 0.8; }
  & [data-kind='bench'] > rect { fill: none; stroke: var(--rule-strong); stroke-width: 4; }
  & [data-kind='block'] > rect { fill: var(--slate-deep); stroke: var(--rule-strong); stroke-width: 4; }
  & [data-kind='bed'] > rect { fill: none; stroke: var(--rule-strong); stroke-width: 4; }
  & [data-kind='unit'] > * { fill: var(--paper); stroke: var(--pot); stroke-width: 8; }
  & [data-kind='guard'] > * { fill: none; stroke: var(--crown); stroke-width: 6; stroke-dasharray: 12 10; pointer-events: all; }
  & text { fill: var(--ink) !important; stroke: none !important; font-weight: 700; }
  & [data-kind='bench'] > text, & [data-kind='block'] > text, & [data-kind='bed'] > text { fill: var(--ink-soft) !important; font-weight: 400; }
`;
