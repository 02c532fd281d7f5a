import { z } from 'zod';
import { failure, type Result, success } from '@/core/result';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { Tasting } from '@/core/trial/model/tasting';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow, today } from '@/service/garden/clock';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { database } from '@/store/connection/database';
import { addTasting, countTasting, tastingsOf } from '@/store/inspect';

const TastingForm = z.object({
  codeA: z.string().max(8),
  codeB: z.string().max(8),
  tasters: z.coerce
    .number('How many tasters?')
    .int('A whole number.')
    .min(3, 'Two can show nothing, even if both are right: at least three.')
    .max(60, 'At most 60.'),
});

/** Lays out cups for a triangle test between two units. Who gets which follows from a seed nobody chose. */
export function layCups(trialId: string, input: unknown): Promise<Result<Tasting, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'tasting laid out';
    if (data.trial.state !== 'locked')
      return refused(what, { kind: data.trial.state === 'closed' ? 'closed' : 'not-locked' });
    const form = TastingForm.safeParse(input);
    if (!form.success) return invalid(what, fieldTroublesOf(form.error));
    const [a, b] = [form.data.codeA, form.data.codeB].map(code =>
      data.units.find(unit => unit.code === code),
    );
    if (!a || !b || a === b) return invalid(what, { codeB: 'Choose two that differ.' });
    const tasting: Tasting = {
      id: newId(),
      unitA: a.id,
      unitB: b.id,
      heldOn: today(),
      laidAt: instantNow(),
      tasters: form.data.tasters,
      seed: crypto.getRandomValues(new Uint32Array(1))[0] ?? 1,
      correct: null,
    };
    await addTasting(db, trialId, tasting);
    return { what, subjectId: tasting.id, result: success(tasting) };
  });
}

const CountForm = z.object({
  tastingId: z.uuid(),
  correct: z.coerce.number('How many found it?').int('A whole number.').min(0, 'None is 0.'),
});

/** Puts down how many found the odd cup. Once: a count that can be changed is counted until it pleases. */
export function countCups(trialId: string, input: unknown): Promise<Result<number, TrialTrouble>> {
  return changeOneTrial(trialId, async db => {
    const what = 'tasting counted';
    const form = CountForm.safeParse(input);
    if (!form.success) return invalid(what, fieldTroublesOf(form.error));
    const { tastingId, correct } = form.data;
    const tasting = (await tastingsOf(db, trialId)).find(each => each.id === tastingId);
    if (!tasting) return refused(what, { kind: 'changed-meanwhile' });
    if (correct > tasting.tasters)
      return invalid(what, { correct: `There were ${tasting.tasters} tasters.` });
    return {
      what,
      subjectId: tastingId,
      detail: { correct },
      result: (await countTasting(db, trialId, tastingId, correct))
        ? success(correct)
        : failure({ kind: 'changed-meanwhile' }),
    };
  });
}

export function tastingsOfTrial(trialId: string): Promise<readonly Tasting[]> {
  return tastingsOf(database(), trialId);
}
