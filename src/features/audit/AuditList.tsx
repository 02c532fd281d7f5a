'use client';

import { styled } from 'styled-components';
import type { AuditFinding, AuditGrade } from '@/core/design/audit/audit-view';
import { sentenceCase } from '@/core/words/sentence-case';
import { Fold } from '@/ui/Fold';
import { Soft } from '@/ui/Page';

const GRADE_WORDS: Readonly<Record<AuditGrade, string>> = {
  spoils: 'Spoils the test',
  weakens: 'Weakens it',
  note: 'Worth knowing',
};
const GRADES: readonly AuditGrade[] = ['spoils', 'weakens', 'note'];

/** Is it a fair test? What was found, the worst first, each with its reason and what to do. */
export function AuditList({
  findings,
  checks,
  isDraft = false,
}: {
  readonly findings: readonly AuditFinding[];
  readonly checks: number;
  readonly isDraft?: boolean;
}) {
  const hasBad = findings.some(finding => finding.grade !== 'note');
  return (
    <Audit aria-label="Is it a fair test?">
      <h2>Is it a fair test?</h2>
      <Soft>
        {isDraft
          ? `${checks} checks of the plan as it is written now, not saved yet.`
          : `${checks} checks, and every column of the plan held against the treatments.`}
        {hasBad ? '' : ' Nothing found that spoils or weakens it.'}
      </Soft>
      {GRADES.map(grade => {
        const own = findings.filter(finding => finding.grade === grade);
        if (own.length === 0) return null;
        return grade === 'note' ? (
          <Fold title={`${GRADE_WORDS[grade]} (${own.length})`} key={grade} grade={grade}>
            <Findings findings={own} />
          </Fold>
        ) : (
          <div key={grade}>
            <h3 data-grade={grade}>{GRADE_WORDS[grade]}</h3>
            <Findings findings={own} />
          </div>
        );
      })}
    </Audit>
  );
}

function Findings({ findings }: { readonly findings: readonly AuditFinding[] }) {
  return (
    <ul>
      {findings.map(finding => (
        <li key={finding.code + finding.says}>
          <b>{sentenceCase(finding.says)}</b> {sentenceCase(finding.why)}{' '}
          {finding.remedy && <i>{finding.remedy}</i>}
        </li>
      ))}
    </ul>
  );
}

const Audit = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & ul { margin: 4px 0 0; padding: 0; list-style: none; display: grid; gap: 8px; max-width: var(--measure); }
  & i { font-style: normal; color: var(--ink-soft); }
  & [data-grade='spoils'] { color: var(--beet); }
  & [data-grade='weakens'] { color: var(--straw); }
`;
