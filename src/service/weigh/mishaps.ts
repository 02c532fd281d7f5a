import { z } from 'zod';
import { isDecidedLate } from '@/core/judge/units/analysis-sets';
import { type Result, success } from '@/core/result';
import { CalendarDay } from '@/core/time/garden-day';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { IncidentId } from '@/core/trial/model/ids';
import {
  ByTreatment,
  Decision,
  type Incident,
  MISHAP_WORDS,
  MishapCause,
} from '@/core/trial/model/incident';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow, today } from '@/service/garden/clock';
import { nthId } from '@/service/garden/new-id';
import { changeOneTrial, entryTrouble, invalid, refused } from '@/service/trial/change-trial';
import { addIncident } from '@/store/entries';

const MishapForm = z.object({
  /** Of the press: the same sent twice is one mishap. */
  id: IncidentId,
  codes: z.array(z.string().max(8)).min(1, 'Tick those it happened to.').max(500),
  cause: MishapCause,
  byTreatment: ByTreatment,
  decision: Decision,
  happenedOn: z
    .string()
    .min(1, 'Say on which day it happened.')
    .pipe(z.iso.date('That is not a date. Write it as 2026-08-03.'))
    .pipe(CalendarDay)
    .refine(day => day <= today(), 'That day is still to come.'),
  why: z
    .string()
    .trim()
    .min(3, 'Say what happened, and why it is decided so.')
    .max(2000, 'At most 2000 characters.'),
  by: z.string().trim().max(80, 'At most 80 characters.').default(''),
});

/** Puts a mishap on record for each unit it happened to, with what was decided. What the treatment did is a result: it stays in. */
export function recordMishap(
  trialId: string,
  input: unknown,
): Promise<Result<readonly Incident[], TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'mishap';
    const trouble = entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    const parsed = MishapForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const { codes, id, ...form } = parsed.data;
    const units = data.units.filter(unit => codes.includes(unit.code));
    if (units.length !== new Set(codes).size)
      return invalid(what, { codes: 'Choose among the codes of this trial.' });
    if (form.byTreatment === 'yes' && form.decision !== 'keep')
      return invalid(what, { decision: 'What the treatment did is its result: it stays in.' });
    const { replaceUntil } = data.trial.rules;
    if (form.decision === 'replace' && replaceUntil !== '' && form.happenedOn > replaceUntil)
      return invalid(what, {
        decision: `It was agreed that no spare stands in after ${replaceUntil}. Let it count to that day, or leave it out.`,
      });
    const incidents = units.map(
      (unit, i): Incident => ({
        ...form,
        id: IncidentId.parse(nthId(id, i)),
        unitId: unit.id,
        recordedAt: instantNow(),
        what: MISHAP_WORDS[form.cause],
        afterKeyOpened: isDecidedLate(data),
        supersedes: null,
        isRemoval: false,
      }),
    );
    const stored = data.incidents.filter(({ id: known }) =>
      incidents.some(each => each.id === known),
    );
    if (stored.length > 0)
      return stored.every(known => isSameMishap(known, incidents))
        ? { what: 'mishap sent again', subjectId: id, result: success(stored) }
        : invalid(what, { why: 'It is on record as it was first sent. Undo that first.' });
    for (const incident of incidents) await addIncident(db, trialId, incident);
    return {
      what,
      subjectId: incidents[0]?.id ?? '',
      detail: { codes, cause: form.cause, decision: form.decision },
      result: success(incidents),
    };
  });
}

function isSameMishap(known: Incident, sent: readonly Incident[]): boolean {
  const told = ({ unitId, happenedOn, cause, byTreatment, decision, why, by }: Incident): string =>
    JSON.stringify([unitId, happenedOn, cause, byTreatment, decision, why, by]);
  return sent.some(each => told(each) === told(known));
}
