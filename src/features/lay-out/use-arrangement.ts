import { useRef, useState } from 'react';
import { SITE_WORDS } from '@/core/design/site/site-features';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { SiteFeature } from '@/core/trial/model/layout';
import { siteExtent } from '@/features/bench/site-extent';
import { useSystem } from '@/features/frame/use-garden-units';
import { useTrialAction } from '@/features/trial/use-trial-action';
import type { ArrangeBenchProps, Movable } from './arrange-props';
import { movedFeature, readSiteId, stand } from './LineHandle';
import { type PlaceRequest, useRequests } from './use-requests';
import { useShift } from './use-shift';

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

/** The state of a bench that is being arranged: what is on its way, what is held, and where each thing is drawn. */
export function useArrangement({
  widthMm,
  depthMm,
  places,
  site,
  move,
  drawSite,
}: ArrangeBenchProps) {
  const system = useSystem();
  const { trouble, isPending, tryOut } = useTrialAction();
  const [said, setSaid] = useState('');
  const drawing = useRef<SVGSVGElement>(null);
  const view = viewOf(site, { widthMm, depthMm });
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
      request({ id, to: placeMoved(place, from, [dx, dy], system) });
      return;
    }
    const to = siteMoved(drawnSite, id, [dx, dy], { widthMm, depthMm });
    if (to) request({ id: SITE, to });
  };
  const { shift, handlersOf } = useShift(drawing, view, settle);
  /** How far a place is drawn from where the page has it: what was asked for, and what is held. */
  const shiftOf = (place: Movable): readonly [number, number] => {
    const parts = places.filter(each => each.id === place.id || place.within.includes(each.id));
    const isHeld = shift !== null && parts.some(each => each.id === shift.id);
    const held: readonly [number, number] = isHeld ? [shift.xMm, shift.yMm] : [0, 0];
    return parts.reduce<readonly [number, number]>(([x, y], { id, ownXMm, ownYMm }) => {
      const to = placeRequested(id);
      return to ? [x + to.xMm - ownXMm, y + to.yMm - ownYMm] : [x, y];
    }, held);
  };
  return { trouble, isPending, said, drawing, view, drawnSite, shift, handlersOf, shiftOf };
}

interface Size {
  readonly widthMm: number;
  readonly depthMm: number;
}

/** What the drawing shows: the ground with room for all that lies about it. */
function viewOf(site: readonly SiteFeature[], { widthMm, depthMm }: Size) {
  const room = siteExtent(site, { widthMm, depthMm });
  const edge = Math.max(widthMm, depthMm) * 0.05;
  return {
    xMm: -room.left - edge,
    yMm: -room.far - edge,
    widthMm: widthMm + room.left + room.right + 2 * edge,
    depthMm: depthMm + room.far + room.near + 2 * edge,
  };
}

function placeMoved(
  place: Movable,
  from: Placed,
  [dx, dy]: readonly [number, number],
  system: MeasureSystem,
): Wanted {
  const [xMm, yMm] = [Math.max(0, from.xMm + dx), Math.max(0, from.yMm + dy)];
  return {
    kind: 'place',
    xMm,
    yMm,
    words: `${place.name}: ${stand(xMm, system)} from the left, ${stand(yMm, system)} from the far edge.`,
  };
}

/** The site with one line of it moved; undefined where there is no such line. */
function siteMoved(
  site: readonly SiteFeature[],
  id: string,
  [dx, dy]: readonly [number, number],
  size: Size,
): Wanted | undefined {
  const [at, end] = readSiteId(id);
  const feature = site[at];
  if (!feature) return undefined;
  const moved = movedFeature(feature, end, dx, dy, size);
  return {
    kind: 'site',
    site: site.map((each, i) => (i === at ? moved : each)),
    words: `${SITE_WORDS[feature.kind]} moved.`,
  };
}
