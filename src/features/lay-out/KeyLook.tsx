'use client';

import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import type { BenchView } from '@/features/bench/bench-view';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';

interface KeyLookProps {
  readonly keyBench: BenchView | null;
  readonly setKeyBench: (bench: BenchView | null) => void;
  readonly showKey: () => Promise<Result<BenchView | null, TrialTrouble>>;
  readonly keyRule: string;
}

/** The way to the key of a blind trial, for whoever feeds. */
export function KeyLook({ keyBench, setKeyBench, showKey, keyRule }: KeyLookProps) {
  const { trouble, isPending, run } = useTrialAction();
  return (
    <Acts>
      <Button
        isPending={isPending}
        onPress={() => {
          if (keyBench) setKeyBench(null);
          else run(showKey, setKeyBench);
        }}
      >
        {keyBench ? 'Hide the key' : 'Show the key'}
      </Button>
      <Soft>
        {keyRule || 'For whoever feeds. Who weighs had better not look.'} Each look is put in the
        log.
      </Soft>
      <ActionTrouble trouble={trouble} />
    </Acts>
  );
}
