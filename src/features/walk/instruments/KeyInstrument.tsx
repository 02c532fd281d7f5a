'use client';

import { useEffect, useRef, useState } from 'react';
import { styled } from 'styled-components';
import { readCaliperLine, readProbeLine } from '@/core/measure/reading/instrument-line';
import { caliperStandIn, type KeyStandIn, probeStandIn } from '@/devices/key-stand-ins';
import type { LineInstrument } from '@/devices/line-instrument';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Soft } from '@/ui/Page';
import { hasLines, NOT_OPENED, openLine } from './open-line';

interface KeyInstrumentProps {
  readonly kind: 'caliper' | 'probe';
  /** What the unit had last time: the stand-in closes on something like it. */
  readonly lastMm: number | null;
  readonly take: (written: string, device: string) => void;
}

const READ = {
  caliper: (line: string): string | undefined => readCaliperLine(line)?.toFixed(2),
  probe: readProbeLine,
} as const;

/** A caliper or a probe: each press of its key is a value, and the next pot comes. */
export function KeyInstrument({ kind, lastMm, take }: KeyInstrumentProps) {
  const [instrument, setInstrument] = useState<LineInstrument | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const standIn = useRef<KeyStandIn | null>(null);
  const taking = useRef(take);
  taking.current = take;
  useEffect(
    () =>
      instrument?.listen(line => {
        const written = READ[kind](line);
        if (written !== undefined) taking.current(written, instrument.name);
      }),
    [instrument, kind],
  );
  const start = (): void => {
    const seed = Math.floor(performance.now());
    standIn.current = kind === 'caliper' ? caliperStandIn(lastMm ?? 12, seed) : probeStandIn(seed);
    setInstrument(standIn.current);
  };
  const connect = async (): Promise<void> => {
    const opened = await openLine(setTrouble);
    setTrouble(opened ? null : NOT_OPENED);
    if (opened) setInstrument({ ...opened, name: `${kind} on a line` });
  };
  return (
    <Panel
      title={`With a ${kind}${instrument?.isStandIn ? ', simulated' : ''}`}
      isOpen={instrument !== null}
      isRuled
    >
      {instrument === null ? (
        <div>
          <Button onPress={start}>The stand-in {kind}</Button>
          {hasLines() && <Button onPress={() => void connect()}>A {kind} on a cable</Button>}
        </div>
      ) : (
        <div>
          {instrument.isStandIn && (
            <Button onPress={() => standIn.current?.press()}>Press its key</Button>
          )}
          <Button onPress={() => setInstrument(null)}>Without it</Button>
        </div>
      )}
      {trouble && <p role="alert">{trouble}</p>}
      {instrument !== null && <Soft>Each press of its key is taken, and the next one comes.</Soft>}
    </Panel>
  );
}

const Panel = styled(Fold)`
  & > div { display: flex; flex-wrap: wrap; gap: 8px; }
`;
