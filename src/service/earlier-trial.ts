import { z } from 'zod';
import { judgeWithoutShuffle } from '@/core/judge/judge';
import { STARTING_GUESS_CV } from '@/core/judge/judge-input';
import { lessonsOf } from '@/core/judge/lessons';
import { positionCheck } from '@/core/judge/position-check';
import { judgeInputOf, plannedLook } from '@/core/judge/trial-verdict';
import type { TrialData } from '@/core/trial/trial-data';
import { today } from './clock';
import { isKeyOpen } from './judge';
import { findTrial } from './trials';

/** A trial that another begins from, and what it taught; undefined where there is none, or its key is still shut. */
export async function earlierTrial(asked: unknown): Promise<{ readonly data: TrialData; readonly lessons: readonly string[] } | undefined> {
  const id = z.uuid().safeParse(asked);
  const data = id.success ? await findTrial(id.data) : undefined;
  if (!data || data.trial.state === 'planned' || !isKeyOpen(data.trial)) return undefined;
  const input = judgeInputOf(data, { ...plannedLook(data, STARTING_GUESS_CV), shuffles: 0 });
  return { data, lessons: lessonsOf(data, { input, judgement: judgeWithoutShuffle(input), position: positionCheck(data, input) ?? null, today: today() }) };
}
