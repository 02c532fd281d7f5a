import type { Act } from '@/core/design/question/question-shape';
import type { TrialData } from '@/core/trial/model/trial-data';

/** How bad it is: the trial can't answer; it answers less surely; good to know. */
export type AuditGrade = 'spoils' | 'weakens' | 'note';

/** Something about a plan, or about how it was carried out, that bears on its answer. */
export interface AuditFinding {
  readonly code: string;
  readonly grade: AuditGrade;
  /** What it is. */
  readonly says: string;
  /** Why it matters. */
  readonly why: string;
  /** What to do about it; empty where nothing can be done any more. */
  readonly remedy: string;
}

/** One thing that a plan or a season may get wrong. */
export type Check = (view: AuditView) => Omit<AuditFinding, 'code'> | false;

/** What the checks look at. */
export interface AuditView {
  readonly data: TrialData;
  readonly act: Act;
  /** Units of the treatment that has fewest; 0 before the deal. */
  readonly fewest: number;
  readonly days: number;
  readonly word: string;
  readonly words: string;
  readonly isPlanned: boolean;
  /** How often what is worth having would be seen, in [0, 1]; null where that is not known. */
  readonly seen: number | null;
}

/** The answer is spoilt. */
export const spoils = (says: string, why: string, remedy: string) =>
  ({ grade: 'spoils', says, why, remedy }) as const;
/** The answer is less sure. */
export const weakens = (says: string, why: string, remedy: string) =>
  ({ grade: 'weakens', says, why, remedy }) as const;
/** Good to know. */
export const note = (says: string, why: string, remedy: string) =>
  ({ grade: 'note', says, why, remedy }) as const;
