import type { TrialData } from '@/core/trial/model/trial-data';

/** What is looked for when all is dug up: kinds of the library, in the order in which they spoil. */
export const INSPECTION_KINDS: readonly string[] = [
  'smell',
  'worms',
  'pill-bugs',
  'root-score',
  'circling',
  'escaped',
  'root-mass',
  'residue',
  'top-mass',
  'liking',
];

/** Whether something was found already: then nothing can be foretold any more. */
export function isInspected({
  measures,
  readings,
}: Pick<TrialData, 'measures' | 'readings'>): boolean {
  const looked = new Set(
    measures
      .filter(measure => INSPECTION_KINDS.includes(measure.kindKey ?? ''))
      .map(measure => measure.id as string),
  );
  return readings.some(reading => looked.has(reading.measureId));
}
