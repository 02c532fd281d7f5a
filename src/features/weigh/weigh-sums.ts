import type { Pick } from '@/core/trial/model/pick';

/** What one day's round has come to. */
export interface RoundSums {
  readonly unitsDone: number;
  readonly pieces: number;
  readonly netG: number;
  /** Mean over the units done; null before the first. */
  readonly meanG: number | null;
}

/** Sums of the sound picks of one day; a unit counts as done whatever was found there. */
export function roundSums(picks: readonly Pick[], day: string): RoundSums {
  const today = picks.filter(pick => pick.pickedOn === day);
  const unitsDone = new Set(today.map(pick => pick.unitId)).size;
  const { pieces, netG } = soundSums(today);
  return { unitsDone, pieces, netG, meanG: unitsDone === 0 ? null : netG / unitsDone };
}

/** Weight and count of the sound pieces in some picks. */
export function soundSums(picks: readonly Pick[]): {
  readonly pieces: number;
  readonly netG: number;
} {
  const sound = picks.filter(pick => pick.grade === 'sound');
  return {
    pieces: sound.reduce((sum, pick) => sum + (pick.pieces ?? 0), 0),
    netG: sound.reduce((sum, pick) => sum + (pick.netG ?? 0), 0),
  };
}

/** How often a weight holds the median of the day's other units; null where fewer than four give one, or it is nothing odd. */
export function oddity(picks: readonly Pick[], pick: Pick): number | null {
  const others = picks
    .filter(
      other =>
        other.pickedOn === pick.pickedOn &&
        other.unitId !== pick.unitId &&
        other.grade === 'sound' &&
        (other.netG ?? 0) > 0,
    )
    .map(other => other.netG ?? 0)
    .sort((a, b) => a - b);
  const middle = others[Math.floor(others.length / 2)];
  if (others.length < 4 || middle === undefined || pick.netG === null || pick.grade === 'cull')
    return null;
  const ratio = pick.netG / middle;
  return ratio > 4 || ratio < 0.2 ? ratio : null;
}

/** How a weight that far from the others is asked about. @param ratio as `oddity` gives it, ≥ 0 */
export function oddityWords(ratio: number): string {
  const share = ratio >= 1 ? `${ratio.toFixed(0)} times` : `${Math.round(100 * ratio)}% of`;
  return `That is ${share} what others gave today. Undo it if it was a slip.`;
}
