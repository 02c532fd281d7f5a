'use client';

import type { Result } from '@/core/result';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

/** The season is over: the verdict is frozen. */
export function Closing({
  close,
}: {
  readonly close: () => Promise<Result<unknown, TrialTrouble>>;
}) {
  const { trouble, isPending, run } = useTrialAction();
  return (
    <section aria-label="Close the trial">
      <h2>When the season is over</h2>
      <Soft>
        Closing freezes the verdict on the planned measure and margin. Picks can’t be changed
        afterwards.
      </Soft>
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Acts>
        <Button isPending={isPending} onPress={() => run(() => close())}>
          Close the trial
        </Button>
      </Acts>
    </section>
  );
}
