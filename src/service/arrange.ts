import { z } from 'zod';
import { movePlace } from '@/core/design/arrangement';
import { failure, type Result, success } from '@/core/result';
import { SiteFeature } from '@/core/trial/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { changeArrangement } from '@/store/trials';
import { changeOneTrial } from './change-trial';

const MoveForm = z.object({ placeId: z.uuid(), xMm: z.number().min(-100_000).max(100_000), yMm: z.number().min(-100_000).max(100_000) });

/** Stands a shelf, bed or unit somewhere else, so that the drawing is true. Only before the lock; in sight of the treatments it is noted. */
export function arrangePlace(trialId: string, input: unknown): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'place moved';
    if (data.trial.state !== 'planned') return { what, result: failure({ kind: 'already-locked' }) };
    const parsed = MoveForm.safeParse(input);
    if (!parsed.success || !data.layout) return { what, result: failure({ kind: 'changed-meanwhile' }) };
    const moved = movePlace(data.places, parsed.data.placeId, parsed.data.xMm, parsed.data.yMm);
    if (!moved.ok) return { what, result: failure(moved.trouble.kind === 'stands-on' ? { kind: 'place-taken', by: moved.trouble.other } : { kind: 'changed-meanwhile' }) };
    const changed = moved.value.filter((place, i) => place !== data.places[i]);
    await changeArrangement(db, trialId, { places: changed, layout: { isArrangedInSight: data.layout.isArrangedInSight || !data.trial.isBlind } });
    return { what, subjectId: parsed.data.placeId, detail: parsed.data, result: success(true) };
  });
}

const SiteForm = z.object({ site: z.array(SiteFeature).max(12), hasGuards: z.boolean() });

/** Says what lies about the bench: slope, light, wall, fence, tap, path; guard plants. Drawing it changes no deal. */
export function describeSite(trialId: string, input: unknown): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'site described';
    if (data.trial.state === 'closed') return { what, result: failure({ kind: 'closed' }) };
    const parsed = SiteForm.safeParse(input);
    if (!parsed.success) return { what, result: failure({ kind: 'invalid', fields: { site: 'A feature has a side and a percentage from above 0 to 100.' } }) };
    if (!data.layout) return { what, result: failure({ kind: 'not-dealt' }) };
    await changeArrangement(db, trialId, { layout: parsed.data });
    return { what, detail: parsed.data, result: success(true) };
  });
}
