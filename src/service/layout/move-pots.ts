import { randomInt } from 'node:crypto';
import { canMove, type MovingRound, movingRound } from '@/core/design/site/moving-round';
import { type Result, success } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { changeOneTrial, entryTrouble, refused } from '@/service/trial/change-trial';
import { moveUnits } from '@/store/layouts';

/** Deals the units' places anew, within what the layout allows, and puts the round in the log. @returns the walk */
export function movePots(trialId: string): Promise<Result<MovingRound['walk'], TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'pots moved';
    const trouble = entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    if (!data.layout || !canMove(data.layout)) return refused(what, { kind: 'cant-move' });
    const seed = randomInt(2 ** 32);
    const round = movingRound(data, seed);
    const positions = new Map(data.units.map(unit => [unit.placeId, unit.position]));
    const moved = data.units.map((unit, i) => ({
      id: unit.id,
      placeId: round.placeIds[i] ?? unit.placeId,
      position: positions.get(round.placeIds[i] ?? unit.placeId) ?? unit.position,
    }));
    await moveUnits(db, trialId, moved);
    return {
      what,
      detail: {
        seed,
        from: data.units.map(unit => [unit.code, unit.placeId]),
        to: data.units.map((unit, i) => [unit.code, round.placeIds[i]]),
      },
      result: success(round.walk),
    };
  });
}
