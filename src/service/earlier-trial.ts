import { z } from 'zod';
import { judgeWithoutShuffle } from '@/core/judge/judge';
import { STARTING_GUESS_CV } from '@/core/judge/judge-input';
import { lessonsOf, spreadWithin } from '@/core/judge/lessons';
import { plannedVerdict } from '@/core/judge/planned-verdict';
import { positionCheck } from '@/core/judge/position-check';
import { plannedLook } from '@/core/judge/trial-verdict';
import type { TrialData } from '@/core/trial/trial-data';
import { today } from './clock';
import { isKeyOpen } from './judge';
import { findTrial } from './trials';

/** A trial that another begins from, and what it taught; undefined where there is none, or its key is still shut. */
export async function earlierTrial(
  asked: unknown,
): Promise<{ readonly data: TrialData; readonly lessons: readonly string[] } | undefined> {
  const id = z.uuid().safeParse(asked);
  const data = id.success ? await findTrial(id.data) : undefined;
  if (!data || data.trial.state === 'planned' || !isKeyOpen(data.trial)) return undefined;
  const verdict = plannedVerdict(data, plannedLook(data, STARTING_GUESS_CV), judgeWithoutShuffle);
  return {
    data,
    lessons: lessonsOf(
      data,
      verdict.by === 'kind'
        ? { spread: null, position: null, today: today() }
        : {
            spread: spreadWithin(verdict.judgement),
            position: positionCheck(data, verdict.input) ?? null,
            today: today(),
          },
    ),
  };
}
