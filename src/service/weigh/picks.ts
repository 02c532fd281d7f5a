import { asStrictest } from '@/core/blinding/strictest-bottle';
import { mainMeasure } from '@/core/judge/units/trial-analysis';
import { type TooEarly, tooEarly } from '@/core/materials/safety/pre-harvest-interval';
import { type Result, success } from '@/core/result';
import { reEntryOf } from '@/core/schedule/tasks/re-entry-interval';
import { clockIn } from '@/core/time/time-zone';
import { isSecondPick, readPick } from '@/core/trial/forms/pick-form';
import { isKeyOpen } from '@/core/trial/key';
import { PickId } from '@/core/trial/model/ids';
import type { Pick } from '@/core/trial/model/pick';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { gardenTimeZone, instantNow, today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, entryTrouble, invalid, refused } from '@/service/trial/change-trial';
import { database } from '@/store/connection/database';
import { addPick, findPick, pickHistory } from '@/store/entries';

/** Takes a pick, or a revision of one. The same id sent twice changes nothing. */
export async function takePick(
  trialId: string,
  input: unknown,
): Promise<Result<Pick, TrialTrouble>> {
  const { system } = await currentGarden();
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'pick';
    const trouble = entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    const read = readPick(input, {
      system,
      today: today(),
      startsOn: data.trial.startsOn,
      mainMeasure: mainMeasure(data),
      now: instantNow(),
    });
    if (!read.ok) return invalid(what, read.trouble);
    const pick = read.value;
    if (!data.units.some(unit => unit.id === pick.unitId))
      return refused(what, { kind: 'no-such-unit' });
    const safe = asStrictest(data);
    const early = pick.outcome === 'picked' ? waitingOn(safe, pick)[0] : undefined;
    if (early && pick.note.length < 3)
      return invalid(what, {
        pickedOn: `${isKeyOpen(data.trial) ? `${early.product} was given on ${early.appliedOn}: nothing` : 'A waiting time runs: nothing'} is to be eaten before ${early.allowedFrom}. Another day, or write under Note why it is picked all the same.`,
      });
    const off =
      pick.outcome === 'picked' && pick.pickedOn === today() && pick.note.length < 3
        ? reEntryOf(
            safe.care.rules,
            safe.care.acts,
            safe.products,
            instantNow(),
            gardenTimeZone(),
          )[0]
        : undefined;
    if (off)
      return invalid(what, {
        pickedOn: `Nobody is to go in before ${clockIn(off.until, gardenTimeZone())}, by a label. Wait, or write under Note how it was done all the same.`,
      });
    const stored = await findPick(db, trialId, pick.id);
    if (stored)
      return isSamePick(stored, pick)
        ? { what: 'pick sent again', subjectId: pick.id, result: success(stored) }
        : invalid(what, {
            form: 'It was stored as it was first sent, though the answer was lost. Change that pick instead.',
          });
    const before = pick.supersedes === null ? null : await findPick(db, trialId, pick.supersedes);
    if (pick.supersedes !== null && before?.unitId !== pick.unitId)
      return refused(what, { kind: 'changed-meanwhile' });
    if (!isSecondPick(input) && isTwin(pick, data.picks))
      return invalid(what, {
        again: `The same is on record for that day already. Save it again if it was picked twice.`,
      });
    if (!(await addPick(db, trialId, pick))) return refused(what, { kind: 'changed-meanwhile' });
    return {
      what: pick.supersedes ? 'pick changed' : what,
      subjectId: pick.id,
      result: success(pick),
    };
  });
}

/** What was found, whatever was said of it. */
function foundIn({ unitId, pickedOn, outcome, pieces, grossG, tareG, grade }: Pick) {
  return { unitId, pickedOn, outcome, pieces, grossG, tareG, grade };
}

function isSamePick(stored: Pick, sent: Pick): boolean {
  const all = (pick: Pick) => JSON.stringify([foundIn(pick), pick.cullReason, pick.note]);
  return all(stored) === all(sent);
}

/** Whether a new pick is the same, to the gram, as one of that day: perhaps it was typed twice. */
export function isTwin(pick: Pick, picks: readonly Pick[]): boolean {
  const own = JSON.stringify(foundIn(pick));
  return (
    pick.supersedes === null &&
    pick.outcome === 'picked' &&
    picks.some(each => JSON.stringify(foundIn(each)) === own)
  );
}

/** Waiting times that still run for a pick's unit, the longest first. */
function waitingOn(
  { units, care, products }: TrialData,
  { unitId, pickedOn }: Pick,
): readonly TooEarly[] {
  const treatmentId = units.find(unit => unit.id === unitId)?.treatmentId;
  const applied = care.acts
    .filter(act => !act.isSkipped)
    .flatMap(act => {
      if (act.unitIds !== null && !act.unitIds.includes(unitId)) return [];
      const rule = care.rules.find(
        each =>
          each.id === act.ruleId &&
          (each.treatmentIds.length === 0 || each.treatmentIds.some(id => id === treatmentId)),
      );
      const product = products.find(each => each.id === rule?.material?.productId);
      return product?.waitingDays
        ? [{ product: product.name, appliedOn: act.doneOn, waitingDays: product.waitingDays }]
        : [];
    });
  return tooEarly(applied, pickedOn);
}

/** Takes a pick out of the sums by a revision that says so: the entry itself stays in the history. */
export function removePick(
  trialId: string,
  pickId: string,
  by: string,
): Promise<Result<Pick, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'pick taken out';
    const trouble = entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    const current = data.picks.find(pick => pick.id === pickId);
    if (!current) return refused(what, { kind: 'changed-meanwhile' });
    const removal: Pick = {
      ...current,
      id: PickId.parse(newId()),
      supersedes: current.id,
      isRemoval: true,
      takenAt: instantNow(),
      by,
    };
    await addPick(db, trialId, removal);
    return { what, subjectId: current.id, result: success(removal) };
  });
}

/** Brings back what a revision changed or took out: a new revision with the older values. Undo, in short. */
export function undoRevision(
  trialId: string,
  revisionId: string,
  by: string,
): Promise<Result<Pick, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'undone';
    const trouble = entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    const revision = await findPick(db, trialId, revisionId);
    const before = revision?.supersedes
      ? await findPick(db, trialId, revision.supersedes)
      : undefined;
    if (!revision || !before) return refused(what, { kind: 'changed-meanwhile' });
    const restored: Pick = {
      ...before,
      id: PickId.parse(newId()),
      supersedes: revision.id,
      takenAt: instantNow(),
      by,
    };
    if (!(await addPick(db, trialId, restored)))
      return refused(what, { kind: 'changed-meanwhile' });
    return { what, subjectId: restored.id, result: success(restored) };
  });
}

/** Every revision of one unit's picks, newest first. */
export function historyOf(unitId: string): Promise<readonly Pick[]> {
  return pickHistory(database(), unitId);
}
