import { dosesOf } from '@/core/judge/question/dose-line';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputOf, mainMeasure, plannedSpec } from '@/core/judge/units/trial-analysis';
import { daysBetween } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { guessedTruth, plannedGain, plannedReadingOf } from './planning-guess';
import { simulateVerdicts } from './simulate-verdicts';

/** Enough to tell half from a third; what is weighed is drawn sooner than what is judged unit by unit. */
const SEASONS = { weighed: 400, drawn: 60 };
const SEED = 1;

/**
 * How often a trial that is dealt like this would see what is worth having of its main measure, by seasons made up and judged by
 * the verdict's own rule on what its question asks.
 *
 * @param cv spread of what is weighed (SD over mean); other readings are made up by the starting guesses
 * @returns null where nothing was called worth having, or nothing is dealt yet
 */
export function chanceSeen(data: TrialData, cv: number): number | null {
  const { scale, margin, better } = mainMeasure(data);
  if (margin === null || data.units.length === 0) return null;
  const reading = plannedReadingOf(scale, daysBetween(data.trial.startsOn, data.trial.endsOn));
  const isWeighed = reading.outcome === 'continuous';
  const isYesNo = reading.outcome === 'proportion' && reading.outOf === 1;
  const judged = judgeInputOf(
    { ...data, picks: [], readings: [] },
    { ...plannedSpec(data, STARTING_GUESS_CV), leftOut: [], shuffles: isYesNo ? 99 : 0 },
  );
  const guess = guessedTruth(reading, margin, better);
  const simulation = simulateVerdicts(
    { ...judged, doses: isYesNo ? undefined : dosesOf(data.treatments) },
    reading,
    {
      level: guess.level,
      cv: isWeighed ? cv : guess.cv,
      effect: plannedGain(reading, margin, guess.level),
    },
    SEED,
  );
  simulation?.run(isWeighed ? SEASONS.weighed : SEASONS.drawn);
  return simulation?.shares().seen ?? null;
}
