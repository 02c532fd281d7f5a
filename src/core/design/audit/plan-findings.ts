import type { TrialData } from '@/core/trial/model/trial-data';
import type { AuditFinding } from './audit-view';
import { fairnessAudit } from './fairness-audit';

/** What is found of a deal, not of its plan: a draft has none yet. */
const OF_THE_DEAL: ReadonlySet<string> = new Set([
  'not-dealt',
  'leans',
  'confounded',
  'site-leans',
  'arranged-in-sight',
  'layout-given',
  'no-predictions',
]);

/** What an audit would find of a plan while it is still being typed, whichever deal comes of it. */
export function planFindings(draft: TrialData, seen: number | null): readonly AuditFinding[] {
  return fairnessAudit(draft, seen).filter(finding => !OF_THE_DEAL.has(finding.code));
}
