import { randomBytes, randomInt } from 'node:crypto';
import { readBench } from '@/core/design/layouts/bench-form';
import { keepArrangement } from '@/core/design/site/arrangement';
import { layOutBench } from '@/core/design/site/bench-plan';
import { plantGuards } from '@/core/design/site/guard-plants';
import { type Result, success } from '@/core/result';
import { bottleCodes } from '@/core/schedule/rules/bottle-codes';
import type { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { changeCarePlan } from '@/store/care';
import { putLayout, setFactorStratum } from '@/store/layouts';
import { changeTrial } from '@/store/trials';

/** Deals the treatments out with a fresh seed, in place of the deal before. */
export async function dealTrial(
  trialId: string,
  input: unknown,
): Promise<Result<true, TrialTrouble>> {
  const { system } = await currentGarden();
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'dealt';
    if (data.trial.state !== 'planned') return refused(what, { kind: 'already-locked' });
    if (data.layout?.keptFrom) return refused(what, { kind: 'kept-deal' });
    const request = readBench(input, system, data.treatments);
    if (!request.ok) return invalid(what, request.trouble);
    const bench = layOutBench(
      {
        ...request.value,
        treatments: data.treatments,
        unitWord: data.trial.unitWord,
        seed: randomInt(2 ** 32),
        deals: (data.layout?.deals ?? 0) + 1,
      },
      newId,
    );
    const isSamePlan = data.layout !== null && data.layout.isTurned === bench.layout.isTurned;
    const places = data.layout?.hasGuards ? plantGuards(bench.places, newId) : bench.places;
    // What was said of a pot stays with its place; the lot is new.
    const units =
      isSamePlan && bench.units.length === data.units.length
        ? bench.units.map((unit, i) => ({ ...unit, traits: data.units[i]?.traits ?? {} }))
        : bench.units;
    const stood = {
      ...bench,
      units,
      layout: {
        ...bench.layout,
        site: data.layout?.site ?? [],
        hasGuards: data.layout?.hasGuards ?? false,
      },
      places: isSamePlan ? keepArrangement(data.places, places) : places,
    };
    await putLayout(db, data.trial, stood);
    await setFactorStratum(
      db,
      trialId,
      data.factors.map(({ name }) => ({
        name,
        dealtAt:
          name === bench.layout.wholeFactor
            ? (bench.layout.wholeWord ?? data.trial.unitWord)
            : data.trial.unitWord,
      })),
    );
    await changeTrial(db, trialId, { isBlind: request.value.isBlind });
    return { what, result: success(true), detail: bench.layout };
  });
}

/** Locks the plan: from here on readings are taken, and question, margin and deal stand. */
export function lockPlan(trialId: string): Promise<Result<Trial, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, { trial, layout, treatments }) => {
    const what = 'plan locked';
    if (trial.state !== 'planned') return refused(what, { kind: 'already-locked' });
    if (!layout) return refused(what, { kind: 'not-dealt' });
    const locked = { state: 'locked', lockedAt: instantNow() } as const;
    await changeTrial(db, trialId, locked);
    // Not from the deal's seed: who knows that could read the bottles.
    await changeCarePlan(db, trialId, {
      bottles: {
        ...bottleCodes(
          treatments.map(treatment => treatment.id),
          randomInt(2 ** 32),
        ),
        secret: randomBytes(4).toString('hex'),
      },
    });
    return { what, result: success({ ...trial, ...locked }) };
  });
}

/** Hands out the whole trial, treatments and all, to whoever feeds; the log says that someone looked. */
export function lookAtKey(trialId: string): Promise<Result<TrialData, TrialTrouble>> {
  return changeOneTrial(trialId, async (_, data) => ({
    what: 'key looked at',
    result: success(data),
  }));
}
