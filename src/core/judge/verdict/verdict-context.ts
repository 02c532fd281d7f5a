import type { Contrast, TreatmentGroup } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';

export interface VerdictContext {
  readonly input: JudgeInput;
  readonly contrasts: readonly Contrast[];
  readonly groups: readonly TreatmentGroup[];
  readonly mayHoldTheBest: readonly string[];
}

export interface Words {
  readonly headline: string;
  readonly detail: string;
}
