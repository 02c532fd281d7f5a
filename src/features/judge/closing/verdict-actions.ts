import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import type { LeaveOutActions } from './LeftOut';

/** What the page of a verdict lets a gardener put on record. */
export interface VerdictActions extends LeaveOutActions {
  /** Begins the trial that asks what this one leaves in the ground. */
  readonly askWhatIsLeft: () => Promise<Result<string, TrialTrouble>>;
  readonly regret: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly close: () => Promise<Result<unknown, TrialTrouble>>;
}
