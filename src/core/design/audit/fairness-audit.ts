import { withoutBottles } from '@/core/blinding/seen-acts';
import { comparedAct } from '@/core/design/question/compared-act';
import { daysBetween } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { pluralOf } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import {
  type AuditFinding,
  type AuditGrade,
  type AuditView,
  type Check,
  note,
  spoils,
} from './audit-view';
import { type Confound, confoundScan } from './confound-scan';
import { confoundWords } from './confound-words';
import { LAYOUT_CHECKS } from './layout-checks';
import { QUESTION_CHECKS } from './question-checks';
import { REPLICATION_CHECKS } from './replication-checks';
import { SEASON_CHECKS } from './season-checks';
import { TIME_CHECKS } from './time-checks';

/** Every check by its code. Each looks at one thing. */
export const AUDIT_CHECKS: Readonly<Record<string, Check>> = {
  ...QUESTION_CHECKS,
  ...REPLICATION_CHECKS,
  ...LAYOUT_CHECKS,
  ...SEASON_CHECKS,
  ...TIME_CHECKS,
};

/**
 * Looks a plan over, or a trial that is running or done: the worst first. While the key is shut nothing of what was given by bottles.
 *
 * @param seen how often what is worth having would be seen, by made-up seasons; null where that is not asked
 */
export function fairnessAudit(whole: TrialData, seen: number | null): readonly AuditFinding[] {
  const data = withoutBottles(whole);
  const counts = data.treatments.map(
    treatment => data.units.filter(unit => unit.treatmentId === treatment.id).length,
  );
  const view: AuditView = {
    data,
    act: comparedAct(data.trial),
    fewest: counts.length > 0 ? Math.min(...counts) : 0,
    days: daysBetween(data.trial.startsOn, data.trial.endsOn),
    word: data.trial.unitWord,
    words: pluralOf(data.trial.unitWord),
    isPlanned: data.trial.state === 'planned',
    seen,
  };
  const found = Object.entries(AUDIT_CHECKS).flatMap(([code, check]): AuditFinding[] => {
    const finding = check(view);
    return finding
      ? [{ ...finding, code, says: sentenceCase(finding.says), why: sentenceCase(finding.why) }]
      : [];
  });
  return [...found, ...confounded(data)].sort(
    (a, b) => GRADES.indexOf(a.grade) - GRADES.indexOf(b.grade),
  );
}

const GRADES: readonly AuditGrade[] = ['spoils', 'weakens', 'note'];

function confounded(data: TrialData): readonly AuditFinding[] {
  return confoundScan(data).map((found): AuditFinding => {
    if (found.how === 'partly') return { code: 'leans', ...leaning(found, data) };
    return {
      code: 'confounded',
      ...spoils(
        `${confoundWords(found, data)}.`,
        'A difference may be the one’s doing or the other’s: nothing here can tell.',
        data.trial.state === 'planned' ? 'Deal again, within blocks.' : '',
      ),
    };
  });
}

function leaning({ what, with: column, p }: Confound, { trial }: TrialData) {
  return note(
    `${sentenceCase(what)} goes partly with ${column}${p === null ? '' : ` (p ${p < 0.001 ? '< 0.001' : p.toFixed(3)})`}.`,
    'By chance one column in ten does. If that column matters, the sums are off by its share.',
    trial.state === 'planned' ? 'Block by it, or take it as it came.' : '',
  );
}
