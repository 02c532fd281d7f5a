import { z } from 'zod';
import { expectedAgain } from '@/core/judge/after/expected-again';
import { lessonsOf, spreadWithin } from '@/core/judge/after/lessons';
import { partsAndUnitsOf } from '@/core/judge/after/parts-or-units';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { positionCheck } from '@/core/judge/sensitivity/position-check';
import { mainMeasure, plannedSpec } from '@/core/judge/units/trial-analysis';
import { plannedVerdict } from '@/core/judge/verdict/planned-verdict';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialData } from '@/core/trial/model/trial-data';
import { today } from '@/service/garden/clock';
import { findTrial } from './trials';

/** A trial that another begins from, and what it taught; undefined where there is none, or its key is still shut. */
export async function earlierTrial(
  asked: unknown,
): Promise<{ readonly data: TrialData; readonly lessons: readonly string[] } | undefined> {
  const id = z.uuid().safeParse(asked);
  const data = id.success ? await findTrial(id.data) : undefined;
  if (!data || data.trial.state === 'planned' || !isKeyOpen(data.trial)) return undefined;
  const verdict = plannedVerdict(data, plannedSpec(data, STARTING_GUESS_CV), judgeWithoutShuffle);
  return {
    data,
    lessons: lessonsOf(data, {
      spread: spreadWithin(verdict),
      split: partsAndUnitsOf(data, mainMeasure(data), verdict),
      again: expectedAgain(verdict.input, verdict.judgement),
      position: positionCheck(data, verdict.input) ?? null,
      today: today(),
    }),
  };
}
