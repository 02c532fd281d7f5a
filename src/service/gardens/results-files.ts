import { z } from 'zod';
import type { GardenSource } from '@/core/judge/together/gardens-together';
import {
  type Intake,
  type IntakeTrouble,
  intakeOf,
  intakeSentence,
  sourcesOfResults,
} from '@/core/judge/together/take-in-results';
import { failure, type Result, success } from '@/core/result';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { protocolOf } from '@/core/trial/shared/protocol';
import {
  NO_RESULTS_WORDS,
  type ResultsFile,
  type ResultsTrouble,
  readResults,
  resultsOf,
} from '@/core/trial/shared/results-file';
import { resultsSentence } from '@/core/trial/shared/results-sentence';
import { instantNow } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { findTrial } from '@/service/trial/trials';
import { logChange } from '@/store/changes';
import { inTransaction } from '@/store/connection/database';
import { heldResultsOf, putGardenResults } from '@/store/other-gardens';
import { findTrialData } from '@/store/trials';
import { asKept } from './sent-sources';

/** What a garden says of itself to the others. */
export const SiteForm = z.object({
  name: z.string().trim().min(1, 'Say what the others shall call this garden.').max(120),
  place: z.string().trim().max(120).default(''),
  soil: z.string().trim().max(60).default(''),
  person: z.string().trim().max(120).default(''),
  withNames: z.boolean().default(false),
});

/** What this garden found, for the garden that made the plan; else a sentence that says why not. */
export async function resultsFile(
  trialId: string,
  input: unknown,
): Promise<Result<ResultsFile, string>> {
  const form = SiteForm.safeParse(input);
  if (!form.success) return failure(Object.values(fieldTroublesOf(form.error))[0] ?? '');
  const data = await findTrial(trialId);
  if (!data) return failure('There is no such trial any more.');
  const { withNames, ...facts } = form.data;
  const made = resultsOf(data, { ...facts, traits: {} }, { writtenAt: instantNow(), withNames });
  return made.ok ? made : failure(NO_RESULTS_WORDS[made.trouble]);
}

/** Why results were not taken in. Nothing of them is kept then. */
export type TakeInResultsTrouble =
  | { readonly of: 'file'; readonly trouble: ResultsTrouble }
  | { readonly of: 'plan'; readonly trouble: IntakeTrouble }
  | { readonly of: 'trial' };

export interface TakenIn {
  readonly name: string;
  readonly intake: Intake;
}

/** Takes a garden’s results in beside the trial that its plan was made from: whole, or not at all. */
export async function takeResultsIn(
  trialId: string,
  input: unknown,
): Promise<Result<TakenIn, TakeInResultsTrouble>> {
  const read = readResults(input);
  if (!read.ok) return failure({ of: 'file', trouble: read.trouble });
  const results = read.value;
  const garden = await currentGarden();
  return inTransaction(async db => {
    const data = await findTrialData(db, trialId);
    const plan = data && protocolOf(data, { garden: '', person: '', madeAt: instantNow() });
    if (!plan) return failure({ of: 'trial' });
    const intake = intakeOf(plan, garden.id, await heldResultsOf(db, trialId), results);
    if (!intake.ok) return failure({ of: 'plan', trouble: intake.trouble });
    const taken = { name: results.garden.name, intake: intake.value };
    if (intake.value === 'same') return success(taken);
    const sources: readonly GardenSource[] = sourcesOfResults(plan, results);
    const { gardenId, writtenAt } = results;
    const held = {
      gardenId,
      siteTrialId: results.trial.trial.id,
      name: results.garden.name,
      writtenAt,
      takenAt: instantNow(),
    };
    await putGardenResults(db, trialId, held, { file: results, sources: asKept(sources) });
    await logChange(db, {
      at: instantNow(),
      trialId,
      what: 'results taken in',
      subjectId: null,
      detail: JSON.stringify({ garden: results.garden.name, intake: intake.value }),
    });
    return success(taken);
  });
}

/** Why results were not taken in, for whoever brought them. */
export function takeInResultsSentence(found: TakeInResultsTrouble): string {
  switch (found.of) {
    case 'file':
      return resultsSentence(found.trouble);
    case 'plan':
      return intakeSentence(found.trouble);
    case 'trial':
      return 'This trial’s plan is not locked, so no other garden can have run it.';
  }
}

/** What was done with results that were taken in. */
export function takenInWords({ name, intake }: TakenIn): string {
  switch (intake) {
    case 'new':
      return `Taken in: ${name}.`;
    case 'newer':
      return `Taken in: ${name}, in place of what it sent before.`;
    case 'same':
      return `${name} was in already; nothing changed.`;
  }
}
