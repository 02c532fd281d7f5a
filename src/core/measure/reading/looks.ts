import type { Outcome } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import type { Scale } from '@/core/trial/model/scale';

/** A look that gave no value. */
export type ValuelessLook = Exclude<Outcome, 'picked'>;

/**
 * What a look without a value says of the unit on its day: that there was nothing, which is a value; that it is still waited for; or
 * nothing at all.
 */
export type LookMeaning = 'zero' | 'waiting' | 'no-value';

const NO_VALUE: Readonly<Record<ValuelessLook, LookMeaning>> = {
  'nothing-there': 'no-value',
  'not-yet': 'no-value',
  'not-looked': 'no-value',
  dead: 'no-value',
  gone: 'no-value',
};
/** Found empty is none of it; what has not come yet is none so far. */
const COUNTED = { ...NO_VALUE, 'nothing-there': 'zero', 'not-yet': 'zero' } as const;
/** A height or a weight that is not there yet has no figure. */
const MEASURED = { ...NO_VALUE, 'nothing-there': 'zero' } as const;

/** The one table of what a look means on each scale; `picked` from beds is `harvest`. */
export const LOOKS: Readonly<
  Record<Scale['kind'] | 'harvest', Readonly<Record<ValuelessLook, LookMeaning>>>
> = {
  harvest: COUNTED,
  count: COUNTED,
  percent: COUNTED,
  proportion: COUNTED,
  'yes-no': COUNTED,
  continuous: MEASURED,
  ordinal: NO_VALUE,
  class: NO_VALUE,
  rank: NO_VALUE,
  derived: NO_VALUE,
  date: {
    'nothing-there': 'waiting',
    'not-yet': 'waiting',
    'not-looked': 'no-value',
    dead: 'waiting',
    gone: 'waiting',
  },
  // Counted from a beginning of its own: how long it was waited for must be said.
  days: { ...NO_VALUE, 'not-yet': 'waiting' },
};

/** What a reading comes to by itself: its value, zero where nothing was found, or null. */
export function lookValue(
  { outcome, value }: Pick<Reading, 'outcome' | 'value'>,
  scale: Scale | null,
): number | null {
  if (outcome === 'picked') return value;
  return LOOKS[scale?.kind ?? 'harvest'][outcome] === 'zero' ? 0 : null;
}

/** Whether somebody looked, and the unit was there to be looked at. */
export function isLook(outcome: Outcome): boolean {
  return outcome !== 'not-looked' && outcome !== 'dead' && outcome !== 'gone';
}

/** How a look without a value is written, in a cell of the grid and on a clipboard sheet. */
export const LOOK_MARKS: Readonly<Record<ValuelessLook, string>> = {
  'nothing-there': '0',
  'not-yet': 'not yet',
  'not-looked': '-',
  dead: 'dead',
  gone: 'gone',
};

export const LOOK_WORDS: Readonly<Record<ValuelessLook, string>> = {
  'nothing-there': 'nothing there',
  'not-yet': 'not yet',
  'not-looked': 'not looked',
  dead: 'dead',
  gone: 'gone',
};

const WRITTEN: readonly (readonly [ValuelessLook, RegExp])[] = [
  ['not-looked', /^(-|–|—|\?|na|n\/a|not looked( at)?|missed)$/i],
  ['not-yet', /^(not yet|still waiting|waiting)$/i],
  ['dead', /^(dead|died|†)$/i],
  ['gone', /^(gone|stolen|removed|lost)$/i],
  ['nothing-there', /^(nothing( there)?|nil)$/i],
];

/** Of a day that something is waited for: no, none so far, and beyond so many days. */
const NOT_COME = /^(no|none|never|0|[>≥]\s*\d{1,4}(\s*d(ays?)?)?)$/i;

/** Of days that were counted: `>28`, `more than 28`, `28+`, `not yet after 28 days`. Undefined where it says no such thing. */
export function waitedDays(written: string): number | undefined {
  const found =
    /^(?:[>≥]|over|more than|beyond|not yet(?: after)?)\s*(\d{1,4})(?:\s*d(?:ays?)?)?$|^(\d{1,4})\s*(?:d(?:ays?)?)?\s*\+$/i.exec(
      written.trim(),
    );
  return found ? Number(found[1] ?? found[2]) : undefined;
}

/** What was written in place of a value; undefined where it is to be read as one. */
export function lookIn(written: string, scale: Scale | null): ValuelessLook | undefined {
  const said = written.trim();
  if (scale?.kind === 'date' && NOT_COME.test(said)) return 'not-yet';
  if (scale?.kind === 'days' && waitedDays(said) !== undefined) return 'not-yet';
  return WRITTEN.find(([, pattern]) => pattern.test(said))?.[0];
}
