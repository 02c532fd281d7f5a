import { z } from 'zod';
import type { AuditFinding } from '@/core/design/fairness-audit';
import type { SeasonsTogether } from '@/core/judge/combine-seasons';
import type { PositionCheck } from '@/core/judge/position-check';
import type { Rival } from '@/core/judge/rivals';
import type { Scorecard } from '@/core/judge/scorecard';
import type { TreatmentCost } from '@/core/judge/treatment-cost';
import { TrialData } from '@/core/trial/trial-data';
import type { LogLine } from './Tables';

/** What the server sums up beside a verdict, as it was planned. */
interface Beside {
  readonly card: Scorecard;
  readonly bases: readonly { readonly name: string; readonly cells: readonly { readonly treatment: string; readonly words: string }[] }[];
  readonly costs: readonly TreatmentCost[];
  readonly position: PositionCheck | null;
  readonly lessons: readonly string[];
  readonly seasons: readonly SeasonsTogether[];
  readonly rivals: readonly Rival[];
}

// Of the server's own sums only the frame is looked at; the trial itself is read as anywhere else.
export const RestOfVerdict = z.object({
  data: TrialData, beside: z.custom<Beside>(each => typeof each === 'object' && each !== null),
  audit: z.object({ findings: z.custom<readonly AuditFinding[]>(Array.isArray), checks: z.number() }), log: z.custom<readonly LogLine[]>(Array.isArray),
});
export type RestOfVerdict = Readonly<z.infer<typeof RestOfVerdict>>;
