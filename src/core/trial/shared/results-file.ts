import { z } from 'zod';
import { failure, type Result, success } from '@/core/result';
import { GardenId, TrialId } from '@/core/trial/model/ids';
import { Name } from '@/core/trial/model/limits';
import { TrialData } from '@/core/trial/model/trial-data';
import { readWholeTrial, type WholeTrialTrouble } from '@/core/trial/whole-trial';
import { withoutNames } from '@/core/trial/without-names';
import { type FileTrouble, readFile } from './shared-file';

/** A garden as far as a trial in several of them asks. */
export const SiteFacts = z
  .object({
    /** What it is called to the others: its name, or a number where it would rather not say. */
    name: Name,
    /** Town, slope, height: free words. */
    place: z.string().max(120),
    soil: z.string().max(60),
    /** Who looks after it; empty where that was not ticked. */
    person: z.string().max(120),
    /** What else tells gardens apart, by its name: rain, exposure, former crop. */
    traits: z.record(z.string().min(1).max(40), z.string().min(1).max(60)),
  })
  .readonly();
export type SiteFacts = z.infer<typeof SiteFacts>;

/** What a garden sends back: its whole trial, and what it says of itself. */
export const ResultsFile = z
  .object({
    format: z.literal('turnspit-results'),
    version: z.literal(1),
    protocolId: TrialId,
    gardenId: GardenId,
    writtenAt: z.iso.datetime(),
    garden: SiteFacts,
    trial: TrialData,
  })
  .readonly();
export type ResultsFile = z.infer<typeof ResultsFile>;

/** Why a trial has nothing to send back yet. */
export type NoResults = 'no-protocol' | 'not-closed';

/** The results of a closed trial that was run by another garden’s plan. Names of people only where they are wanted. */
export function resultsOf(
  data: TrialData,
  garden: SiteFacts,
  { writtenAt, withNames }: { readonly writtenAt: string; readonly withNames: boolean },
): Result<ResultsFile, NoResults> {
  const { protocolId, gardenId, state } = data.trial;
  if (protocolId === null) return failure('no-protocol');
  if (state !== 'closed') return failure('not-closed');
  return success({
    format: 'turnspit-results',
    version: 1,
    protocolId,
    gardenId,
    writtenAt,
    garden: withNames ? garden : { ...garden, person: '' },
    trial: withNames ? data : withoutNames(data),
  });
}

export const NO_RESULTS_WORDS: Readonly<Record<NoResults, string>> = {
  'no-protocol': 'This trial was not begun from another garden’s plan, so nobody waits for it.',
  'not-closed': 'Close the trial first: until then its results may still change.',
};

/** Why a results file can’t be used, by itself. */
export type ResultsTrouble = FileTrouble | WholeTrialTrouble | { readonly kind: 'still-running' };

/** Reads a garden’s results: the file, then the trial in it. */
export function readResults(input: unknown): Result<ResultsFile, ResultsTrouble> {
  const read = readFile(input, 'turnspit-results', ResultsFile);
  if (!read.ok) return read;
  const trial = readWholeTrial(read.value.trial);
  if (!trial.ok) return trial;
  return trial.value.trial.state === 'closed' ? read : failure({ kind: 'still-running' });
}
