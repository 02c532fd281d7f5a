import type { AuditFinding } from '@/core/design/audit/audit-view';
import type { BenchDraft } from '@/core/design/layouts/bench-form';
import type { MovingRound } from '@/core/design/site/moving-round';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import type { Result } from '@/core/result';
import type { Amendment } from '@/core/trial/model/plan-record';
import type { Treatment } from '@/core/trial/model/treatment';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import type { BenchView, TagView } from '@/features/bench/bench-view';
import type { Planted } from './PlantList';
import type { SiteAndTraitsProps } from './SiteAndTraits';

export interface LayOutProps extends SiteAndTraitsProps {
  readonly saved: BenchDraft;
  /** Another garden's plan says how many of each: it stands in the form already. */
  readonly isProposed: boolean;
  readonly tags: readonly TagView[];
  /** Counts, shares, steps or days are asked for: the planner reckons with means. */
  /** Of the question: what a plan of it would be judged by. */
  readonly question: Omit<PlannedTrial, 'request' | 'treatments' | 'unitWord'>;
  /** What its readings are in, where they have a unit. */
  readonly marginUnit: string;
  /** Names and roles only, in a blind trial too: not which unit got which. */
  readonly treatments: readonly Treatment[];
  readonly costEach: number | null;
  /** Who may see the key, as it was agreed. */
  readonly keyRule: string;
  readonly ownCv: { readonly cv: number; readonly trials: number } | null;
  readonly audit: { readonly findings: readonly AuditFinding[]; readonly checks: number };
  /** The trial without its deal: what an audit of a plan being typed begins from. */
  readonly undealt: TrialData;
  /** Which raised plant goes where; empty where none were measured. */
  readonly planted: readonly Planted[];
  readonly amendments: readonly Amendment[];
  readonly askHref: string;
  /** `/trials/…`, without a step. */
  readonly trialHref: string;
  readonly tendHref: string;
  /** Brings a layout in that was made elsewhere. */
  readonly takeLayout: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly deal: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly lock: () => Promise<Result<unknown, TrialTrouble>>;
  readonly showKey: () => Promise<Result<BenchView | null, TrialTrouble>>;
  readonly arrange: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly amend: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly printHref: string;
  readonly movedOn: readonly string[];
  /** null where they can't be moved: before the lock, after the end, in a square. */
  readonly move: (() => Promise<Result<MovingRound['walk'], TrialTrouble>>) | null;
}
