import type { BetterWay, Margin } from '@/core/judge/question/judge-input';
import { outcomeOf } from '@/core/judge/question/unit-outcome';
import type { Scale } from '@/core/trial/model/scale';
import { counted } from '@/core/words/plural';
import type { PlannedReading, PlannedTruth } from './planned-reading';

/** Seeds in a pot, leaves on a plant: where nobody said how many. Common practice, no source. */
const USUAL_ITEMS = 10;
const MOST_RANKS = 10;

/** What a measure's readings will be, as far as a plan needs it. @param watchedDays from the start to the end of the trial */
export function plannedReadingOf(scale: Scale | null, watchedDays: number): PlannedReading {
  const outcome = outcomeOf(scale);
  switch (outcome) {
    case 'continuous':
    case 'count':
      return { outcome };
    case 'proportion':
      return { outcome, outOf: scale?.kind === 'proportion' ? (scale.outOf ?? USUAL_ITEMS) : 1 };
    case 'ordinal':
      return scale?.kind === 'ordinal'
        ? { outcome, lowest: scale.from, highest: scale.from + scale.steps.length - 1 }
        : { outcome, lowest: 1, highest: MOST_RANKS };
    case 'time':
      return { outcome, watchedDays: Math.max(1, watchedDays) };
  }
}

/** How units treated alike differ, and what an untreated one gives: starting guesses, no source, for the gardener to put right. */
export function guessedTruth(
  reading: PlannedReading,
  margin: Margin | null,
  better: BetterWay,
): Pick<PlannedTruth, 'cv' | 'level'> {
  switch (reading.outcome) {
    case 'continuous':
      // Of a share of the untreated it does not matter what that gives.
      return { cv: 0.3, level: margin?.kind === 'absolute' ? 4 * margin.amount : 1 };
    case 'count':
      return { cv: 0.3, level: 10 };
    case 'proportion':
      return { cv: 0.3, level: better === 'higher' ? 0.6 : 0.4 };
    case 'ordinal':
      return { cv: 1, level: (reading.lowest + reading.highest) / 2 };
    case 'time':
      return { cv: 0.3, level: Math.max(1, Math.round(reading.watchedDays / 2)) };
  }
}

/** The gain that the plan is tried on, in what is read: what is worth having, or where any is, one that most would notice. */
export function plannedGain(reading: PlannedReading, margin: Margin | null, level: number): number {
  if (margin?.kind === 'absolute') return margin.amount;
  if (margin) return (level * margin.percent) / 100;
  switch (reading.outcome) {
    case 'continuous':
    case 'count':
    case 'time':
      return level / 4;
    case 'proportion':
      return 0.2;
    case 'ordinal':
      return 1;
  }
}

/** A gain as one says it: `15%`, `40 g`, `10 points`, `1 step`, `3 days`. */
export function gainWords(
  reading: PlannedReading,
  margin: Margin | null,
  { effect, level }: Pick<PlannedTruth, 'effect' | 'level'>,
  unit: string,
): string {
  const plain = Number(effect.toPrecision(2));
  switch (reading.outcome) {
    case 'continuous':
    case 'count':
      return margin?.kind === 'absolute'
        ? `${plain}${unit === '' ? '' : ` ${unit}`}`
        : `${Math.round((100 * effect) / level)}%`;
    case 'proportion':
      return counted(Math.round(100 * effect), 'point');
    case 'ordinal':
      return counted(plain, 'step');
    case 'time':
      return counted(plain, 'day');
  }
}
