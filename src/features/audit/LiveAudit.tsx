'use client';

import { useDeferredValue, useMemo } from 'react';
import { AUDIT_CHECKS } from '@/core/design/audit/fairness-audit';
import { planFindings } from '@/core/design/audit/plan-findings';
import { chanceSeen } from '@/core/judge/planning/chance-seen';
import type { TrialData } from '@/core/trial/model/trial-data';
import { AuditList } from './AuditList';

interface LiveAuditProps {
  /** The trial as it would be with what is typed now; null while that can't be read. */
  readonly draft: TrialData | null;
  readonly cv: number;
}

/** The audit of a plan while it is being typed: it follows each key. */
export function LiveAudit({ draft, cv }: LiveAuditProps) {
  const settled = useDeferredValue(draft);
  const findings = useMemo(
    () => (settled ? planFindings(settled, chanceSeen(settled, cv)) : null),
    [settled, cv],
  );
  return (
    findings && <AuditList findings={findings} checks={Object.keys(AUDIT_CHECKS).length} isDraft />
  );
}
