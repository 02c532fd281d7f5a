import { z } from 'zod';
import { movePlace } from '@/core/design/site/arrangement';
import { guardRingMm, liftGuards, plantGuards } from '@/core/design/site/guard-plants';
import { type Result, success } from '@/core/result';
import { type Layout, SiteFeature } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { changeArrangement } from '@/store/layouts';

const MoveForm = z.object({
  placeId: z.uuid(),
  xMm: z.number().min(-100_000).max(100_000),
  yMm: z.number().min(-100_000).max(100_000),
});

/** Stands a shelf, bed or unit somewhere else, so that the drawing is true. Only before the lock; in sight of the treatments it is noted. */
export function arrangePlace(trialId: string, input: unknown): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'place moved';
    if (data.trial.state !== 'planned') return refused(what, { kind: 'already-locked' });
    const parsed = MoveForm.safeParse(input);
    if (!parsed.success || !data.layout) return refused(what, { kind: 'changed-meanwhile' });
    const moved = movePlace(data.places, parsed.data.placeId, parsed.data.xMm, parsed.data.yMm);
    if (!moved.ok)
      return refused(
        what,
        moved.trouble.kind === 'stands-on'
          ? { kind: 'place-taken', by: moved.trouble.other }
          : { kind: 'changed-meanwhile' },
      );
    const changed = moved.value.filter((place, i) => place !== data.places[i]);
    await changeArrangement(db, trialId, {
      places: changed,
      layout: { isArrangedInSight: data.layout.isArrangedInSight || !data.trial.isBlind },
    });
    return { what, subjectId: parsed.data.placeId, detail: parsed.data, result: success(true) };
  });
}

type Site = Pick<Layout, 'site' | 'hasGuards'>;

/** The places with or without a ring of guard plants; what is drawn about the bench moves with what stands on it. */
function guarded(
  { places }: TrialData,
  { site, hasGuards }: Site,
): { readonly places: readonly Place[]; readonly site: Layout['site'] } {
  const had = places.some(place => place.kind === 'guard');
  if (had === hasGuards) return { places, site };
  const byMm = guardRingMm(places) * (hasGuards ? 1 : -1);
  const moved = site.map(feature => ({
    ...feature,
    line: feature.line && {
      x1Mm: feature.line.x1Mm + byMm,
      y1Mm: feature.line.y1Mm + byMm,
      x2Mm: feature.line.x2Mm + byMm,
      y2Mm: feature.line.y2Mm + byMm,
    },
  }));
  return { places: hasGuards ? plantGuards(places, newId) : liftGuards(places), site: moved };
}

const SiteForm = z.object({ site: z.array(SiteFeature).max(12), hasGuards: z.boolean() });

/** Says what lies about the bench: slope, light, wall, fence, tap, path; guard plants. Drawing it changes no deal. */
export function describeSite(trialId: string, input: unknown): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'site described';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = SiteForm.safeParse(input);
    if (!parsed.success)
      return invalid(what, { site: 'A feature has a side and a percentage from above 0 to 100.' });
    if (!data.layout) return refused(what, { kind: 'not-dealt' });
    const stood = guarded(data, parsed.data);
    if (stood.places !== data.places && data.trial.state !== 'planned')
      return refused(what, { kind: 'already-locked' });
    await changeArrangement(db, trialId, {
      ...(stood.places === data.places ? {} : { allPlaces: stood.places }),
      layout: { site: stood.site, hasGuards: parsed.data.hasGuards },
    });
    return { what, detail: parsed.data, result: success(true) };
  });
}
