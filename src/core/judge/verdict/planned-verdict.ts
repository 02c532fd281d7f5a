import { judge } from '@/core/judge/outcomes/judge';
import type { Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { type AnalysisSpec, judgeInputOf } from '@/core/judge/units/trial-analysis';
import type { TrialData } from '@/core/trial/model/trial-data';

/** What a trial's main measure says, with what the judge was given. */
export interface PlannedVerdict {
  readonly input: JudgeInput;
  readonly judgement: Judgement;
}

/** @param judgeIt the whole judge, or one without its shuffles */
export function plannedVerdict(
  data: TrialData,
  spec: AnalysisSpec,
  judgeIt: (input: JudgeInput) => Judgement = judge,
): PlannedVerdict {
  const input = judgeInputOf(data, spec);
  return { input, judgement: judgeIt(input) };
}
