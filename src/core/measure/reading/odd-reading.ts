import { shownUnit } from '@/core/measure/library/shown-unit';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { median } from '@/core/stats/median';
import type { Scale } from '@/core/trial/model/scale';

/** Why a value looks like a slip: asked about, never refused. */
export type Oddness =
  | { readonly kind: 'jump'; readonly before: number; readonly ratio: number }
  | { readonly kind: 'far-from-others'; readonly middle: number };

const JUMP = 3; // a plant that trebles between two looks is rare, a slipped decimal is not
const FAR = 5; // in median absolute deviations, where 5 lie beyond what a bell curve gives once in a thousand

/**
 * Whether a value is far from the unit's own last one, or from what other units gave today.
 *
 * @param own the unit's earlier values, oldest first
 * @param others of the same day, at least five to be asked
 */
export function oddReading(
  value: number,
  scale: Scale,
  own: readonly number[],
  others: readonly number[],
): Oddness | null {
  if (scale.kind !== 'continuous' && scale.kind !== 'count') return null;
  const before = own.at(-1);
  if (before !== undefined && before > 0 && value > 0) {
    const ratio = value / before;
    if (ratio >= JUMP || ratio <= 1 / JUMP) return { kind: 'jump', before, ratio };
  }
  if (others.length < 5) return null;
  const middle = median(others);
  const spread = median(others.map(other => Math.abs(other - middle)));
  return spread > 0 &&
    Math.abs(value - middle) > FAR * spread &&
    (value > 2 * middle || value < middle / 2)
    ? { kind: 'far-from-others', middle }
    : null;
}

/** What is asked: “sure?” with the reason. */
export function oddnessWords(odd: Oddness, unit: string, system: MeasureSystem = 'uk'): string {
  const { name, base } = shownUnit(unit, system);
  const figure = (value: number): string =>
    `${Number((value / base).toPrecision(3))}${name === '' ? '' : ` ${name}`}`;
  return odd.kind === 'jump'
    ? `Sure? Last time it was ${figure(odd.before)}.`
    : `Sure? Others give about ${figure(odd.middle)} today.`;
}
