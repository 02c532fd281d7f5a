'use client';

import { useState, useTransition } from 'react';
import type { Result } from '@/core/result';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

/** The season is over: the verdict is frozen. */
export function Closing({
  close,
}: {
  readonly close: () => Promise<Result<unknown, TrialTrouble>>;
}) {
  const [trouble, setTrouble] = useState<TrialTrouble>();
  const [isPending, startTransition] = useTransition();
  return (
    <section aria-label="Close the trial">
      <h2>When the season is over</h2>
      <Soft>
        Closing freezes the verdict on the planned measure and margin. Picks can’t be changed
        afterwards.
      </Soft>
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Acts>
        <Button
          isPending={isPending}
          onPress={() =>
            startTransition(async () => {
              const done = await close();
              setTrouble(done.ok ? undefined : done.trouble);
            })
          }
        >
          Close the trial
        </Button>
      </Acts>
    </section>
  );
}
