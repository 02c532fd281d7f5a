import { addDays, type CalendarDay } from '@/core/time/garden-day';
import type { Product } from '@/core/trial/model/product';

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
export function stepUpLadder(
  start: CalendarDay,
  looks: readonly boolean[] = [],
  waitDays = WAIT_DAYS,
): readonly Rung[] {
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
export const NOT_A_COMPARISON =
  'A rising dose tells what harms, not which dose works best: each strength met leaves that had the one before.';

/** Why a spray may not go on a whole trial yet; undefined where it may. @param ofLabel strength as a share of the most its label allows */
export function untriedTrouble(
  { name, form, isKnownHere, stepUp }: Pick<Product, 'name' | 'form' | 'isKnownHere' | 'stepUp'>,
  ofLabel: number,
): string | undefined {
  if (isKnownHere || !SPRAYS.has(form)) return undefined;
  if (stepUp === null)
    return `${name} is new here: step it up on a few leaves first, or say on the shelf that it was used here before.`;
  const safe = safeStrength(stepUpLadder(stepUp.startedOn, stepUp.looks));
  if (safe === null)
    return `${name} is still being stepped up: finish the looks on the shelf first.`;
  if (safe === 0) return `${name} did harm at its weakest. Don’t spray a trial with it.`;
  return ofLabel > safe + 1e-9
    ? `${name} did harm above ${Math.round(100 * safe)}% of its label: at most that.`
    : undefined;
}

const SPRAYS: ReadonlySet<Product['form']> = new Set([
  'spray-concentrate',
  'ready-spray',
  'home-made',
]);
