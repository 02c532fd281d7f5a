import { failure, type Result, success } from '@/core/result';
import type { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import {
  readWholeTrial,
  type WholeTrialTrouble,
  wholeTrialSentence,
} from '@/core/trial/whole-trial';
import { currentGarden } from '@/service/garden/garden';
import { keepTrial } from '@/service/trial/keep-trial';
import { database, inTransaction, isClash } from '@/store/connection/database';
import { findTrialData, trialsOf } from '@/store/trials';

/** Why a trial was not taken in. Nothing of it is kept then. */
export type TakeInTrouble =
  | WholeTrialTrouble
  | { readonly kind: 'here-already'; readonly question: string }
  | { readonly kind: 'clash' };

/** The garden's trials, by what a file of them is asked for. */
export async function trialNames(): Promise<readonly Pick<Trial, 'id' | 'question' | 'state'>[]> {
  return (await trialsOf(database(), (await currentGarden()).id)).map(
    ({ id, question, state }) => ({ id, question, state }),
  );
}

/** A trial as one plain object: the open file format. */
export function wholeTrial(trialId: string): Promise<TrialData | undefined> {
  return findTrialData(database(), trialId);
}

/** Takes a trial from its file into this garden, whole or not at all. Its verdict is judged anew if it is closed. */
export async function takeTrialIn(
  input: unknown,
): Promise<Result<Pick<Trial, 'id' | 'question'>, TakeInTrouble>> {
  const read = readWholeTrial(input);
  if (!read.ok) return read;
  const garden = await currentGarden();
  const data: TrialData = { ...read.value, trial: { ...read.value.trial, gardenId: garden.id } };
  try {
    return await inTransaction(async db => {
      if (await findTrialData(db, data.trial.id))
        return failure({ kind: 'here-already', question: data.trial.question });
      await keepTrial(db, data);
      return success({ id: data.trial.id, question: data.trial.question });
    });
  } catch (error) {
    // The file's ids are its own: one of them stands in another trial here.
    if (isClash(error)) return failure({ kind: 'clash' });
    throw error;
  }
}

/** What stands in the way of taking a trial in, in plain words. */
export function takeInSentence(trouble: TakeInTrouble): string {
  switch (trouble.kind) {
    case 'here-already':
      return `“${trouble.question}” is in this garden already.`;
    case 'clash':
      return 'Something in it has the id of something in another trial here.';
    default:
      return wholeTrialSentence(trouble);
  }
}
