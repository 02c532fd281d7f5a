import { agreedLooksWords } from '@/core/judge/question/planned-looks';
import { setWords } from '@/core/judge/units/analysis-sets';
import { fullDay } from '@/core/time/days';
import type { Amendment } from '@/core/trial/model/plan-record';
import type { Trial } from '@/core/trial/model/trial';
import { counted, pluralOf } from '@/core/words/plural';
import { WayOn } from '@/ui/WayOn';

interface VerdictNotesProps {
  readonly trial: Pick<
    Trial,
    'id' | 'unitWord' | 'interest' | 'state' | 'isBlind' | 'rules' | 'startsOn' | 'endsOn'
  >;
  readonly amendments: readonly Amendment[];
  readonly frozen: { readonly closedAt: string; readonly headline: string } | null;
  /** On how many days somebody looked while it ran. */
  readonly interimLooks: number;
  /** What the trial's main measure says now. */
  readonly headline: string;
}

/** What must be known beside a verdict: what was changed, whose interest it is, whether it is over, what it said when it was. */
export function VerdictNotes({
  trial,
  amendments,
  frozen,
  interimLooks,
  headline,
}: VerdictNotesProps) {
  return (
    <>
      {amendments.map(amendment => (
        <p key={amendment.id} data-differs>
          Changed after the lock{amendment.afterKeyOpened ? ', with values already in sight' : ''}:{' '}
          {amendment.from ? `${amendment.from} → ` : ''}
          {amendment.to}. {amendment.why}
        </p>
      ))}
      {trial.interest !== '' && <p data-soft>Interest declared: {trial.interest}</p>}
      {trial.state !== 'closed' && (
        <p data-soft>The trial is still open: this is how it stands today.</p>
      )}
      {looksWords(trial, interimLooks).map(says => (
        <p key={says} data-soft>
          {says}
        </p>
      ))}
      {frozen && (
        <p data-soft>
          Closed and frozen on {fullDay(frozen.closedAt.slice(0, 10))}.
          {frozen.headline === headline ? '' : ` It said then: ${frozen.headline}`} These are the{' '}
          {pluralOf(trial.unitWord)} {setWords('planned', trial)}.
        </p>
      )}
      {frozen && <WayOn href={`/trials/${trial.id}/report`}>Read or send what was found</WayOn>}
    </>
  );
}

/** How often it was looked at, and whether that was agreed: what was agreed is paid for, what was not is only said. */
function looksWords(trial: VerdictNotesProps['trial'], before: number): readonly string[] {
  const agreed = agreedLooksWords(trial);
  const turns = 'A lead in the middle often turns: no rule may change for it.';
  const days = `Looked at on ${counted(before, 'day')} before the end`;
  if (agreed === null) return before === 0 ? [] : [`${days}. ${turns}`];
  return before < trial.rules.looks
    ? [agreed]
    : [
        agreed,
        `${days}, more often than was agreed: what it says is less sure than it reads. ${turns}`,
      ];
}
