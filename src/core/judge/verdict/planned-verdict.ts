import { judge } from '@/core/judge/outcomes/judge';
import type { Call, Judgement } from '@/core/judge/outcomes/judgement';
import { judgeKind } from '@/core/judge/outcomes/outcome-judge';
import type { KindJudgement } from '@/core/judge/outcomes/outcome-judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { KindInput } from '@/core/judge/question/outcome-input';
import { kindInputOf } from '@/core/judge/question/trial-outcome';
import { leftOutOf, withCuts } from '@/core/judge/units/analysis-sets';
import { judgeInputOf, type Look, measureOf } from '@/core/judge/units/trial-analysis';
import type { TrialData } from '@/core/trial/model/trial-data';

/** What a trial's main measure says: by its mean, or by the method of its kind. */
export type PlannedVerdict =
  | { readonly by: 'means'; readonly input: JudgeInput; readonly judgement: Judgement }
  | { readonly by: 'kind'; readonly input: KindInput; readonly judgement: KindJudgement };

/** @param judgeIt of a measure with a mean: the whole judge, or one without its shuffles */
export function plannedVerdict(
  data: TrialData,
  look: Look,
  judgeIt: (input: JudgeInput) => Judgement = judge,
): PlannedVerdict {
  const kind = kindInputOf(data, measureOf(data, look.measureId), look);
  if (kind) return { by: 'kind', input: kind, judgement: judgeKind(kind) };
  const input = judgeInputOf(data, look);
  return { by: 'means', input, judgement: judgeIt(input) };
}

/** The verdict in short, whatever it was judged by. */
export interface VerdictInShort {
  readonly headline: string;
  readonly detail: string;
  readonly call: Call;
  readonly best: string | null;
}

export function inShort(judgement: Judgement | KindJudgement): VerdictInShort {
  const { headline, detail, call, best } = 'verdict' in judgement ? judgement.verdict : judgement;
  return { headline, detail, call, best };
}

/** A measure judged by its kind under one look, with and without what was left out. */
export interface LookedKind {
  readonly look: Look;
  readonly input: KindInput;
  readonly judgement: KindJudgement;
  /** With every left-out unit back in; null where none was left out. */
  readonly allIn: KindJudgement | null;
  /** Of those only that had no mishap; null where those are the same. */
  readonly sound: KindJudgement | null;
}

/** @returns undefined where the measure is judged by its mean */
export function kindUnderLook(data: TrialData, look: Look): LookedKind | undefined {
  const under = (changes: Partial<Look>): KindInput | undefined =>
    kindInputOf(data, measureOf(data, look.measureId), { ...look, ...changes });
  const input = under({});
  if (!input) return undefined;
  const sound = leftOutOf(data, 'sound');
  const allIn =
    look.leftOut.length === 0 && withCuts(data) === data
      ? undefined
      : under({ leftOut: [], isUncut: true });
  const only = sound.every(code => look.leftOut.includes(code))
    ? undefined
    : under({ leftOut: [...new Set([...look.leftOut, ...sound])] });
  return {
    look,
    input,
    judgement: judgeKind(input),
    allIn: allIn ? judgeKind(allIn) : null,
    sound: only ? judgeKind(only) : null,
  };
}
