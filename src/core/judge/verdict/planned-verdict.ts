import { judge } from '@/core/judge/outcomes/judge';
import type { Call, Judgement } from '@/core/judge/outcomes/judgement';
import { judgeOutcome } from '@/core/judge/outcomes/outcome-judge';
import type { OutcomeJudgement } from '@/core/judge/outcomes/outcome-judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { OutcomeInput } from '@/core/judge/question/outcome-input';
import { outcomeInputOf } from '@/core/judge/question/trial-outcome';
import { leftOutOf, withCuts } from '@/core/judge/units/analysis-sets';
import { type AnalysisSpec, judgeInputOf, measureOf } from '@/core/judge/units/trial-analysis';
import type { TrialData } from '@/core/trial/model/trial-data';

/** What a trial's main measure says: by its mean, or by the method of its kind. */
export type PlannedVerdict =
  | { readonly by: 'means'; readonly input: JudgeInput; readonly judgement: Judgement }
  | { readonly by: 'kind'; readonly input: OutcomeInput; readonly judgement: OutcomeJudgement };

/** @param judgeIt of a measure with a mean: the whole judge, or one without its shuffles */
export function plannedVerdict(
  data: TrialData,
  spec: AnalysisSpec,
  judgeIt: (input: JudgeInput) => Judgement = judge,
): PlannedVerdict {
  const kind = outcomeInputOf(data, measureOf(data, spec.measureId), spec);
  if (kind) return { by: 'kind', input: kind, judgement: judgeOutcome(kind) };
  const input = judgeInputOf(data, spec);
  return { by: 'means', input, judgement: judgeIt(input) };
}

/** The verdict in short, whatever it was judged by. */
export interface VerdictInShort {
  readonly headline: string;
  readonly detail: string;
  readonly call: Call;
  readonly best: string | null;
}

export function inShort(judgement: Judgement | OutcomeJudgement): VerdictInShort {
  const { headline, detail, call, best } = 'verdict' in judgement ? judgement.verdict : judgement;
  return { headline, detail, call, best };
}

/** A measure judged by its kind under one look, with and without what was left out. */
export interface OutcomeAnalysis {
  readonly spec: AnalysisSpec;
  readonly input: OutcomeInput;
  readonly judgement: OutcomeJudgement;
  /** With every left-out unit back in; null where none was left out. */
  readonly allIn: OutcomeJudgement | null;
  /** Of those only that had no mishap; null where those are the same. */
  readonly sound: OutcomeJudgement | null;
}

/** @returns undefined where the measure is judged by its mean */
export function analyseOutcome(data: TrialData, spec: AnalysisSpec): OutcomeAnalysis | undefined {
  const under = (changes: Partial<AnalysisSpec>): OutcomeInput | undefined =>
    outcomeInputOf(data, measureOf(data, spec.measureId), { ...spec, ...changes });
  const input = under({});
  if (!input) return undefined;
  const sound = leftOutOf(data, 'sound');
  const allIn =
    spec.leftOut.length === 0 && withCuts(data) === data
      ? undefined
      : under({ leftOut: [], isUncut: true });
  const only = sound.every(code => spec.leftOut.includes(code))
    ? undefined
    : under({ leftOut: [...new Set([...spec.leftOut, ...sound])] });
  return {
    spec,
    input,
    judgement: judgeOutcome(input),
    allIn: allIn ? judgeOutcome(allIn) : null,
    sound: only ? judgeOutcome(only) : null,
  };
}
