import { addDays, type CalendarDay } from '@/core/trial/calendar-day';

/** One rung of a test for harm: a strength on few leaves, a wait, a look. */
export interface Rung {
  readonly strength: number;
  readonly on: CalendarDay;
  readonly lookOn: CalendarDay;
  /** Harm seen on the look; null while nobody looked. */
  readonly harm: boolean | null;
}

const FIRST_STRENGTH = 0.25;
const WAIT_DAYS = 3; // 48 to 72 hours: common practice, no source

/** A ladder of strengths for a spray that is new here: each doubled, up to the label's own, a rung only after the last one's look. */
export function stepUpLadder(start: CalendarDay, looks: readonly boolean[] = [], waitDays = WAIT_DAYS): readonly Rung[] {
  const rungs: Rung[] = [];
  let on = start;
  for (let strength = FIRST_STRENGTH; strength <= 1; strength *= 2) {
    const lookOn = addDays(on, waitDays);
    const harm = looks[rungs.length] ?? null;
    rungs.push({ strength, on, lookOn, harm });
    if (harm) break;
    on = lookOn;
  }
  return rungs;
}

/** The strongest that did no harm, once the ladder is through or has been stopped; null while it runs, 0 where the first already harmed. */
export function safeStrength(rungs: readonly Rung[]): number | null {
  const at = rungs.findIndex(rung => rung.harm === true);
  if (at >= 0) return at === 0 ? 0 : (rungs[at - 1]?.strength ?? 0);
  return rungs.every(rung => rung.harm === false) ? (rungs.at(-1)?.strength ?? 0) : null;
}

/** A rising dose on the same leaves: later doses meet leaves that had the earlier ones, and other weather. */
export const NOT_A_COMPARISON = 'A rising dose tells what harms, not which dose works best: each strength met leaves that had the one before.';
