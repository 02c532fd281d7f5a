'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { TrialSummary } from '@/core/trial/trial-summary';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { Button } from '@/ui/Button';
import { ConfirmDialog } from '@/ui/ConfirmDialog';
import { Fold } from '@/ui/Fold';
import { Acts, Soft } from '@/ui/Page';
import { ActionTrouble } from './ActionTrouble';
import { useTrialAction } from './use-trial-action';

/** What can be done with a trial as a whole. */
export interface WholeTrialDoors {
  readonly putAway: (trialId: string) => Promise<Result<unknown, TrialTrouble>>;
  readonly bringBack: (trialId: string) => Promise<Result<unknown, TrialTrouble>>;
  readonly erase: (trialId: string) => Promise<Result<string, TrialTrouble>>;
}

interface PutAwayListProps extends WholeTrialDoors {
  readonly summaries: readonly TrialSummary[];
}

/** Trials that were put away: each can be brought back, or deleted for good. */
export function PutAwayList({ summaries, bringBack, erase }: PutAwayListProps) {
  const [asked, setAsked] = useState<TrialSummary | null>(null);
  const [said, setSaid] = useState('');
  const { trouble, isPending, run } = useTrialAction();
  const deleteAsked = (): void => {
    if (!asked) return;
    run(
      () => erase(asked.trial.id),
      backup => {
        setAsked(null);
        setSaid(`“${asked.trial.question}” is deleted. The backup ${backup} still holds it.`);
      },
    );
  };
  return (
    <>
      <p role="status">{said}</p>
      {summaries.length > 0 && (
        <Away title={`Put away, ${summaries.length}`}>
          <Soft>Nothing of these is due or listed. All of them is kept.</Soft>
          <ActionTrouble trouble={trouble} />
          <ul>
            {summaries.map(summary => (
              <li key={summary.trial.id}>
                <span>{summary.trial.question}</span>
                <Acts>
                  <Button
                    isPending={isPending}
                    onPress={() => run(() => bringBack(summary.trial.id))}
                    aria-label={`Bring back: ${summary.trial.question}`}
                  >
                    Bring back
                  </Button>
                  <Button
                    data-tone="quiet"
                    onPress={() => setAsked(summary)}
                    aria-label={`Delete: ${summary.trial.question}`}
                  >
                    Delete
                  </Button>
                </Acts>
              </li>
            ))}
          </ul>
        </Away>
      )}
      {asked && (
        <DeleteDialog
          summary={asked}
          isPending={isPending}
          confirm={deleteAsked}
          close={() => setAsked(null)}
        />
      )}
    </>
  );
}

interface DeleteDialogProps {
  readonly summary: TrialSummary;
  readonly isPending: boolean;
  readonly confirm: () => void;
  readonly close: () => void;
}

/** Asks twice: what goes with it, and whether that is really meant. */
function DeleteDialog({ summary, isPending, confirm, close }: DeleteDialogProps) {
  const [isSure, setSure] = useState(false);
  const { trial, units } = summary;
  return isSure ? (
    <ConfirmDialog
      title="Really delete it?"
      does="Delete it for good"
      isPending={isPending}
      confirm={confirm}
      close={close}
    >
      <p>
        It can’t be brought back from this list. A backup of the whole garden is made first and
        stays under Garden.
      </p>
    </ConfirmDialog>
  ) : (
    <ConfirmDialog
      title="Delete this trial?"
      does="Go on"
      confirm={() => setSure(true)}
      close={close}
    >
      <p>
        “{trial.question}”: its plan
        {units > 0 ? `, its ${counted(units, trial.unitWord)}` : ''}, all that was weighed, read and
        given, its pictures and its verdict go with it.
      </p>
    </ConfirmDialog>
  );
}

const Away = styled(Fold)`
  margin-top: 12px;
  & ul { list-style: none; margin: 8px 0 0; padding: 0; border-top: 1px solid var(--rule); }
  & li { display: flex; flex-wrap: wrap; justify-content: space-between; gap: 8px 16px; align-items: center; padding: 8px 0; border-bottom: 1px solid var(--rule); }
`;
