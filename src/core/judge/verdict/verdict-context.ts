import type {
  Contrast,
  DoseTrend,
  FactorEffect,
  Interaction,
  LevelsOff,
  TreatmentGroup,
} from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';

export interface VerdictContext {
  readonly input: JudgeInput;
  readonly contrasts: readonly Contrast[];
  /** The comparison that was agreed on before the lock; null where the question is about all and the control. */
  readonly agreed: Contrast | null;
  /** Of crossed factors what each does, and whether they depend on each other; empty where nothing is crossed. */
  readonly effects: readonly FactorEffect[];
  readonly interactions: readonly Interaction[];
  /** Of a series of doses; null where it is none. */
  readonly trend: DoseTrend | null;
  readonly levelsOff: LevelsOff | null;
  readonly groups: readonly TreatmentGroup[];
  readonly mayHoldTheBest: readonly string[];
}

export interface Words {
  readonly headline: string;
  readonly detail: string;
}
