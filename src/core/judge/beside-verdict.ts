import type { SeasonsTogether } from './combine-seasons';
import type { PositionCheck } from './position-check';
import type { Rival } from './rivals';
import type { Scorecard } from './scorecard';
import type { TreatmentCost } from './treatment-cost';

/** What stands beside a verdict on its page: the server sums it up, the page shows it. */
export interface BesideVerdict {
  readonly card: Scorecard;
  readonly bases: readonly {
    readonly name: string;
    readonly cells: readonly { readonly treatment: string; readonly words: string }[];
  }[];
  readonly costs: readonly TreatmentCost[];
  readonly position: PositionCheck | null;
  readonly lessons: readonly string[];
  /** The same question in other seasons. */
  readonly seasons: readonly SeasonsTogether[];
  readonly rivals: readonly Rival[];
}
