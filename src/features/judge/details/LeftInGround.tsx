'use client';

import { useRouter } from 'next/navigation';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Acts, Soft } from '@/ui/Page';

interface LeftInGroundProps {
  readonly unitWord: string;
  /** @returns the id of the trial that was begun */
  readonly ask: () => Promise<Result<string, TrialTrouble>>;
}

/** The next crop on the same ground: what did each treatment leave in it? */
export function LeftInGround({ unitWord, ask }: LeftInGroundProps) {
  const router = useRouter();
  const { trouble, isPending, run } = useTrialAction();
  return (
    <Fold title="What is left in the ground?">
      <Soft>
        The next crop in the same places: each {unitWord} keeps what it was dealt, nothing is given
        again, and what grows there is read. It is a trial of its own, with its own verdict.
      </Soft>
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button
          onPress={() => run(ask, id => router.push(`/trials/${id}/ask`))}
          isPending={isPending}
        >
          Ask that next
        </Button>
      </Acts>
    </Fold>
  );
}
