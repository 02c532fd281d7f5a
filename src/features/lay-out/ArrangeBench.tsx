'use client';

import { useRef, useState } from 'react';
import { styled } from 'styled-components';
import { isLine, lineOf, SITE_WORDS } from '@/core/design/site/site-bias';
import type { Result } from '@/core/result';
import type { SiteFeature } from '@/core/trial/model/layout';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { SiteMarks } from '@/features/bench/SiteMarks';
import { siteExtent } from '@/features/bench/site-extent';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Choice } from '@/ui/Choice';
import { Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { cm, Handle, LineHandle, movedFeature, readSiteId, SITE_ENDS, siteId } from './LineHandle';
import { type PlaceRequest, useRequests } from './use-requests';
import { useShift } from './use-shift';

/** A place that can be stood elsewhere: its corner on the ground, and from the corner of what it stands on. */
export interface Movable {
  readonly id: string;
  readonly name: string;
  readonly kind: 'bench' | 'block' | 'bed' | 'unit' | 'guard';
  readonly shape: 'round' | 'square';
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly ownXMm: number;
  readonly ownYMm: number;
  /** The place it stands on, and all above it. */
  readonly within: readonly string[];
}

interface ArrangeBenchProps {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly places: readonly Movable[];
  readonly site: readonly SiteFeature[];
  readonly closestMm: number | null;
  readonly blockWord: string;
  readonly unitWord: string;
  readonly move: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly drawSite: (site: readonly SiteFeature[]) => Promise<Result<unknown, TrialTrouble>>;
}

interface Placed {
  readonly xMm: number;
  readonly yMm: number;
}

/** What was asked for and not yet shown by the page, with the words that say it is done. */
type Wanted = { readonly words: string } & (
  | ({ readonly kind: 'place' } & Placed)
  | { readonly kind: 'site'; readonly site: readonly SiteFeature[] }
);

const SITE = 'site';
const KINDS = ['bench', 'block', 'bed', 'unit', 'guard'] as const;

/** The bench as it really stands: benches, shelves, beds, pots and guards, and what lies about them. */
export function ArrangeBench({
  widthMm,
  depthMm,
  places,
  site,
  closestMm,
  blockWord,
  unitWord,
  move,
  drawSite,
}: ArrangeBenchProps) {
  const kinds = KINDS.filter(kind => places.some(place => place.kind === kind));
  const hasLines = site.some(isLine);
  const [moving, setMoving] = useState<Movable['kind'] | 'site'>(kinds[0] ?? 'unit');
  const { trouble, isPending, tryOut } = useTrialAction();
  const [said, setSaid] = useState('');
  const drawing = useRef<SVGSVGElement>(null);
  const room = siteExtent(site, { widthMm, depthMm });
  const edge = Math.max(widthMm, depthMm) * 0.05;
  const shown = {
    widthMm: widthMm + room.left + room.right + 2 * edge,
    depthMm: depthMm + room.far + room.near + 2 * edge,
  };
  const send = ({ id, to }: PlaceRequest<Wanted>): Promise<boolean> =>
    tryOut(async () => {
      const done = await (to.kind === 'place'
        ? move({ placeId: id, xMm: to.xMm, yMm: to.yMm })
        : drawSite(to.site));
      setSaid(done.ok ? to.words : '');
      return done;
    });
  const { requested, request } = useRequests<Wanted>(places, send);
  const placeRequested = (id: string): Placed | undefined => {
    const to = requested(id);
    return to?.kind === 'place' ? to : undefined;
  };
  const requestedSite = requested(SITE);
  const drawnSite = requestedSite?.kind === 'site' ? requestedSite.site : site;
  const settle = (id: string, dx: number, dy: number): void => {
    const place = places.find(each => each.id === id);
    if (place) {
      const from = placeRequested(id) ?? { xMm: place.ownXMm, yMm: place.ownYMm };
      const [xMm, yMm] = [Math.max(0, from.xMm + dx), Math.max(0, from.yMm + dy)];
      request({
        id,
        to: {
          kind: 'place',
          xMm,
          yMm,
          words: `${place.name}: ${cm(xMm)} from the left, ${cm(yMm)} from the far edge.`,
        },
      });
      return;
    }
    const [at, end] = readSiteId(id);
    const feature = drawnSite[at];
    if (feature)
      request({
        id: SITE,
        to: {
          kind: 'site',
          site: drawnSite.map((each, i) =>
            i === at ? movedFeature(each, end, dx, dy, { widthMm, depthMm }) : each,
          ),
          words: `${SITE_WORDS[feature.kind]} moved.`,
        },
      });
  };
  const { shift, handlersOf } = useShift(drawing, shown, settle);
  const shiftOf = (place: Movable): readonly [number, number] => {
    const parts = places.filter(each => each.id === place.id || place.within.includes(each.id));
    const ways = parts.map(each => {
      const to = placeRequested(each.id);
      return to ? ([to.xMm - each.ownXMm, to.yMm - each.ownYMm] as const) : ([0, 0] as const);
    });
    const held =
      shift && parts.some(each => each.id === shift.id)
        ? ([shift.xMm, shift.yMm] as const)
        : ([0, 0] as const);
    return [...ways, held].reduce<readonly [number, number]>(
      ([x, y], [dx, dy]) => [x + dx, y + dy],
      [0, 0],
    );
  };
  const labelMm = Math.max(
    ...places.filter(place => place.kind === 'unit').map(place => place.widthMm * 0.24),
    20,
  );
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
        {/* biome-ignore lint/a11y/useSemanticElements: a fieldset can't stand inside a drawing */}
        <svg
          ref={drawing}
          viewBox={`${-room.left - edge} ${-room.far - edge} ${shown.widthMm} ${shown.depthMm}`}
          role="group"
          aria-label="Arrange: choose with Tab, move with the arrows, Shift for ten centimetres"
          data-busy={isPending || undefined}
        >
          <SiteMarks
            site={moving === 'site' ? drawnSite.filter(feature => !isLine(feature)) : drawnSite}
            widthMm={widthMm}
            depthMm={depthMm}
          />
          {places.map(place => {
            const [dx, dy] = shiftOf(place);
            const at = `translate(${place.xMm + dx} ${place.yMm + dy})`;
            return place.kind === moving ? (
              <Handle
                key={place.id}
                transform={at}
                data-kind={place.kind}
                data-movable
                role="button"
                tabIndex={0}
                aria-label={`${place.name}, ${cm(place.ownXMm)} from the left, ${cm(place.ownYMm)} from the far edge`}
                {...handlersOf(place.id)}
              >
                <PlaceDrawn place={place} labelMm={labelMm} />
              </Handle>
            ) : (
              <g key={place.id} transform={at} data-kind={place.kind} pointerEvents="none">
                <PlaceDrawn place={place} labelMm={labelMm} />
              </g>
            );
          })}
          {moving === 'site' &&
            drawnSite.map(
              (feature, i) =>
                isLine(feature) &&
                SITE_ENDS.filter(part => part === 'whole' || feature.kind !== 'tap').map(part => {
                  const id = siteId(i, part);
                  const bench = { widthMm, depthMm };
                  const moved =
                    shift && readSiteId(shift.id)[0] === i
                      ? movedFeature(feature, readSiteId(shift.id)[1], shift.xMm, shift.yMm, bench)
                      : feature;
                  const line = lineOf(moved, bench);
                  const [x, y] = part === 'start' ? [line.x1Mm, line.y1Mm] : [line.x2Mm, line.y2Mm];
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
                }),
            )}
        </svg>
      </div>
      <p role="status">{said}</p>
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Soft>
        {closestMm === null
          ? ''
          : `The closest two ${pluralOf(unitWord)} stand ${(closestMm / 10).toFixed(closestMm < 100 ? 1 : 0)} cm apart${closestMm < 1 ? ': they touch, and may share roots and water' : ''}. `}
        Codes stay with their places: moving one here says where it really stands. To change which
        gets what, deal again.
      </Soft>
    </Arrange>
  );
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
