import type { AlternativeExplanation } from '@/core/judge/after/alternative-explanations';
import type { SeasonsTogether } from '@/core/judge/after/combine-seasons';
import type { PersonMinutes } from '@/core/judge/after/minutes-by-person';
import type { Scorecard } from '@/core/judge/after/scorecard';
import type { TreatmentCost } from '@/core/judge/after/treatment-cost';
import type { PositionCheck } from '@/core/judge/sensitivity/position-check';

/** What stands beside a verdict on its page: the server sums it up, the page shows it. */
export interface VerdictDetails {
  readonly card: Scorecard;
  readonly bases: readonly {
    readonly name: string;
    readonly cells: readonly { readonly treatment: string; readonly words: string }[];
  }[];
  readonly costs: readonly TreatmentCost[];
  /** Who put how much time into it. */
  readonly people: readonly PersonMinutes[];
  readonly position: PositionCheck | null;
  /** What is seen with the units that are left, where some were left out. */
  readonly lostChance: readonly string[];
  readonly lessons: readonly string[];
  /** The same question in other seasons. */
  readonly seasons: readonly SeasonsTogether[];
  readonly explanations: readonly AlternativeExplanation[];
}
