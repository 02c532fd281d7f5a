import { z } from 'zod';
import { failure, type Result, success } from '@/core/result';
import type { Trial } from '@/core/trial/model/trial';
import { planSentence, takePlanIn } from '@/service/gardens/plan-files';
import { takeInSentence, takeTrialIn } from './whole-trials';

const Head = z.object({ format: z.string() });

/** Takes a file in by what it says that it is: a whole trial, or another garden’s plan. Otherwise a sentence that says why not. */
export async function takeAnyIn(
  input: unknown,
): Promise<Result<Pick<Trial, 'id' | 'question'>, string>> {
  const format = Head.safeParse(input).data?.format;
  if (format === 'turnspit-results')
    return failure(
      'Those are a garden’s results. Take them in at the trial that its plan was made from, under “Other gardens”.',
    );
  if (format === 'turnspit-protocol') {
    const taken = await takePlanIn(input);
    return taken.ok ? success(taken.value) : failure(planSentence(taken.trouble));
  }
  const taken = await takeTrialIn(input);
  return taken.ok ? success(taken.value) : failure(takeInSentence(taken.trouble));
}
