import { z } from 'zod';
import type { AuditFinding } from '@/core/design/audit/audit-view';
import type { VerdictDetails } from '@/core/judge/verdict/verdict-details';
import { TrialData } from '@/core/trial/model/trial-data';
import type { LogLine } from './Tables';

// Of the server's own sums only the frame is looked at; the trial itself is read as anywhere else.
export const VerdictDetailsData = z.object({
  data: TrialData,
  details: z.custom<VerdictDetails>(each => typeof each === 'object' && each !== null),
  audit: z.object({
    findings: z.custom<readonly AuditFinding[]>(Array.isArray),
    checks: z.number(),
  }),
  log: z.custom<readonly LogLine[]>(Array.isArray),
});
export type VerdictDetailsData = Readonly<z.infer<typeof VerdictDetailsData>>;
