'use client';

import { useTransition } from 'react';
import type { BenchView } from '@/features/bench/bench-view';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';

interface KeyLookProps {
  readonly keyBench: BenchView | null;
  readonly setKeyBench: (bench: BenchView | null) => void;
  readonly showKey: () => Promise<BenchView | null>;
  readonly keyRule: string;
}

/** The way to the key of a blind trial, for whoever feeds. */
export function KeyLook({ keyBench, setKeyBench, showKey, keyRule }: KeyLookProps) {
  const [isLooking, startLooking] = useTransition();
  return (
    <Acts>
      <Button
        isPending={isLooking}
        onPress={() => {
          if (keyBench) setKeyBench(null);
          else startLooking(async () => setKeyBench(await showKey()));
        }}
      >
        {keyBench ? 'Hide the key' : 'Show the key'}
      </Button>
      <Soft>
        {keyRule || 'For whoever feeds. Who weighs had better not look.'} Each look is put in the
        log.
      </Soft>
    </Acts>
  );
}
