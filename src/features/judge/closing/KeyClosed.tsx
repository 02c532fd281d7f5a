'use client';

import type { Result } from '@/core/result';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { Bench } from '@/features/bench/Bench';
import type { BenchView } from '@/features/bench/bench-view';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { AskFirst } from '@/ui/AskFirst';
import { Acts, Soft, TwoParts } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

interface KeyClosedProps {
  readonly bench: BenchView;
  readonly unitWord: string;
  readonly open: () => Promise<Result<unknown, TrialTrouble>>;
}

/** Judging a blind trial needs its key; opening it is on record, and can't be taken back. */
export function KeyClosed({ bench, unitWord, open }: KeyClosedProps) {
  const { trouble, isPending, run } = useTrialAction();
  return (
    <TwoParts>
      <div>
        <Bench
          view={bench}
          label="The bench from above, labels turned away"
          lens={unit => ({
            state: 'done',
            share: null,
            words: `${unit.where}, what it gets is hidden`,
          })}
        />
      </div>
      <div>
        <h2>The key is shut</h2>
        <p>
          This trial is blind: nobody who weighs knows which {unitWord} got what. A verdict needs
          the key, and the key can’t be shut again.
        </p>
        <p>
          Finish the season first where you can. What is left out before the key is opened is above
          suspicion; what is left out afterwards is marked so.
        </p>
        {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
        <Acts>
          <AskFirst
            label="Open the key and judge"
            title="Open the key?"
            does="Open it"
            tone="main"
            isPending={isPending}
            act={() => run(() => open())}
          >
            <p>
              Everybody will see which {unitWord} got what, and it can’t be hidden again. What is
              read, changed or left out from then on is marked so.
            </p>
          </AskFirst>
        </Acts>
        <Soft>The day and hour go on record.</Soft>
      </div>
    </TwoParts>
  );
}
