'use client';

import type { Result } from '@/core/result';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { AskFirst } from '@/ui/AskFirst';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

interface ClosingProps {
  readonly unitWord: string;
  /** Of the main measure, how many have no value and were not left out. */
  readonly unread: number;
  readonly close: () => Promise<Result<unknown, TrialTrouble>>;
}

/** The season is over: the verdict is frozen. */
export function Closing({ unitWord, unread, close }: ClosingProps) {
  const { trouble, isPending, run } = useTrialAction();
  return (
    <section aria-label="Close the trial">
      <h2>When the season is over</h2>
      <Soft>Closing freezes the verdict as it was planned, and the report can be sent.</Soft>
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Acts>
        <AskFirst
          label="Close the trial"
          title="Close the trial?"
          does="Close it"
          isPending={isPending}
          act={() => run(() => close())}
        >
          {unread > 0 && (
            <p>
              <b>
                {counted(unread, unitWord)} {unread === 1 ? 'has' : 'have'} no value yet
              </b>{' '}
              and can get none afterwards.
            </p>
          )}
          <p>
            The verdict is frozen as it stands now. Nothing that was weighed or read can be changed
            afterwards, and the trial can’t be opened again.
          </p>
        </AskFirst>
      </Acts>
    </section>
  );
}
