import { z } from 'zod';
import { isDecidedLate } from '@/core/judge/units/analysis-sets';
import { failure, type Result, success } from '@/core/result';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { INTERIM_LOOK } from '@/core/trial/interim-look';
import { IncidentId } from '@/core/trial/model/ids';
import type { Incident } from '@/core/trial/model/incident';
import type { Trial } from '@/core/trial/model/trial';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow, today } from '@/service/garden/clock';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, entryTrouble, invalid, refused } from '@/service/trial/change-trial';
import { changesOf, logChange } from '@/store/changes';
import { database, inTransaction } from '@/store/connection/database';
import { addIncident } from '@/store/entries';
import { changeTrial, findTrialData } from '@/store/trials';
import { type FrozenWords, freezeVerdict, frozenWords } from '@/store/verdicts';
import { askedOf, plannedFreeze } from './freeze';

/** Opens the key of a blind trial: from now on everyone sees which unit got what. It can't be shut again. */
export function openKey(trialId: string): Promise<Result<Trial, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, { trial }) => {
    const what = 'key opened';
    if (trial.state === 'planned') return refused(what, { kind: 'not-locked' });
    if (trial.keyOpenedAt !== null) return { what, result: success(trial) };
    const opened = { keyOpenedAt: instantNow() };
    await changeTrial(db, trialId, opened);
    return { what, result: success({ ...trial, ...opened }) };
  });
}

const LeaveOutForm = z.object({
  unitId: z.uuid(),
  why: z
    .string()
    .trim()
    .min(3, 'Say why, so that a reader can judge it.')
    .max(2000, 'At most 2000 characters.'),
  by: z.string().trim().max(80, 'At most 80 characters.'),
});

/** Leaves a unit out of the sums, with a reason. The verdict will show it with the unit back in, too. */
export function leaveOut(trialId: string, input: unknown): Promise<Result<Incident, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'left out';
    const trouble = entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    const parsed = LeaveOutForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const unit = data.units.find(candidate => candidate.id === parsed.data.unitId);
    if (!unit) return refused(what, { kind: 'no-such-unit' });
    if (
      data.incidents.some(
        incident => incident.unitId === unit.id && incident.decision === 'leave-out',
      )
    )
      return refused(what, { kind: 'changed-meanwhile' });
    const incident: Incident = {
      id: IncidentId.parse(newId()),
      unitId: unit.id,
      happenedOn: today(),
      recordedAt: instantNow(),
      what: 'left out of the sums',
      why: parsed.data.why,
      by: parsed.data.by,
      decision: 'leave-out',
      cause: null,
      byTreatment: 'unknown',
      afterKeyOpened: isDecidedLate(data),
      supersedes: null,
      isRemoval: false,
    };
    await addIncident(db, trialId, incident);
    return {
      what,
      subjectId: unit.id,
      detail: { why: incident.why, by: incident.by },
      result: success(incident),
    };
  });
}

/** Takes a unit back into the sums. */
export function undoLeaveOut(
  trialId: string,
  incidentId: string,
): Promise<Result<Incident, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'counted again';
    const trouble = entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    const current = data.incidents.find(incident => incident.id === incidentId);
    if (!current) return refused(what, { kind: 'changed-meanwhile' });
    const removal: Incident = {
      ...current,
      id: IncidentId.parse(newId()),
      supersedes: current.id,
      isRemoval: true,
      recordedAt: instantNow(),
    };
    await addIncident(db, trialId, removal);
    return { what, subjectId: current.unitId, result: success(removal) };
  });
}

const MOST_TRIES = 4; // entries that come one after another while it judges

/**
 * Closes a trial and freezes its verdict on the planned measure and margin. The shuffles are made before the change begins, so that
 * nobody else waits for them; where an entry came meanwhile, they are made anew.
 */
export async function closeTrial(
  trialId: string,
  tries = MOST_TRIES,
): Promise<Result<Trial, TrialTrouble>> {
  const found = await findTrialData(database(), trialId);
  if (!found) return failure({ kind: 'no-such-trial' });
  const open = entryTrouble(found.trial);
  const judged = open ? undefined : plannedFreeze(found);
  const closed = await changeOneTrial(trialId, async (db, data) => {
    const what = 'closed';
    const trouble = entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    if (data.picks.length === 0 && data.readings.length === 0)
      return refused(what, { kind: 'nothing-read' });
    if (!judged || judged.asked !== askedOf(data))
      return refused(what, { kind: 'changed-meanwhile' });
    const closed = {
      state: 'closed',
      closedAt: instantNow(),
      keyOpenedAt: data.trial.keyOpenedAt ?? instantNow(),
    } as const;
    await changeTrial(db, trialId, closed);
    await freezeVerdict(db, { ...judged.verdict, closedAt: closed.closedAt });
    return { what, result: success({ ...data.trial, ...closed }) };
  });
  const isLate = !closed.ok && closed.trouble.kind === 'changed-meanwhile';
  return isLate && tries > 1 ? closeTrial(trialId, tries - 1) : closed;
}

/** Puts a look at the verdict of a running trial on record, once a day: whoever judges later is to know of it. */
export async function noteInterimLook(trialId: string): Promise<void> {
  await inTransaction(async db => {
    const isNoted = (await changesOf(db, trialId)).some(
      change =>
        change.what === INTERIM_LOOK && change.at.slice(0, 10) === instantNow().slice(0, 10),
    );
    if (!isNoted)
      await logChange(db, {
        at: instantNow(),
        trialId,
        what: INTERIM_LOOK,
        subjectId: null,
        detail: '{}',
      });
  });
}

/** What the verdict of a closed trial said when it was frozen. */
export function frozenVerdictOf(trialId: string): Promise<FrozenWords | undefined> {
  return frozenWords(database(), trialId);
}
