'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import {
  isLifted,
  readScaleLine,
  type ScaleSample,
  settledG,
} from '@/core/measure/reading/scale-line';
import type { BenchScale } from '@/devices/bench-scale';
import { type ScaleStandIn, scaleStandIn } from '@/devices/scale-stand-in';
import { hasLines, NOT_OPENED, openLine } from './open-line';

const KEPT = 60; // twelve seconds of lines

/** A scale that is listened to: what it shows, and each settled value once, after the pan was empty. */
export function useScale(onSettled: (massG: number, name: string) => void) {
  const [scale, setScale] = useState<BenchScale | null>(null);
  const [shownG, setShown] = useState<number | null>(null);
  const [isSettled, setSettled] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const standIn = useRef<ScaleStandIn | null>(null);
  const taken = useRef<{ readonly massG: number; readonly atMs: number } | null>(null);
  const take = useRef(onSettled);
  take.current = onSettled;
  useEffect(() => {
    if (!scale) return undefined;
    let samples: readonly ScaleSample[] = [];
    return scale.listen(line => {
      const sample = readScaleLine(line, performance.now());
      if (!sample) return;
      samples = [...samples, sample].slice(-KEPT);
      setShown(sample.massG);
      const settled = settledG(samples);
      setSettled(settled !== undefined);
      const before = taken.current;
      const mayTake =
        before === null ||
        isLifted(
          samples.filter(each => each.atMs > before.atMs),
          before.massG,
        );
      if (settled === undefined || settled < LEAST_G || !mayTake) return;
      taken.current = { massG: settled, atMs: sample.atMs };
      take.current(settled, scale.name);
    });
  }, [scale]);
  const connect = useCallback(async (): Promise<void> => {
    const opened = await openLine(setTrouble);
    setTrouble(opened ? null : NOT_OPENED);
    if (opened) setScale(opened);
  }, []);
  return {
    scale,
    shownG,
    isSettled,
    trouble,
    connect,
    canConnect: hasLines(),
    useStandIn: (): void => {
      standIn.current = scaleStandIn(Math.floor(performance.now()));
      setTrouble(null);
      setScale(standIn.current);
    },
    put: (massG: number): void => standIn.current?.put(massG),
    leave: (): void => {
      standIn.current = null;
      setScale(null);
      setShown(null);
    },
  };
}

const LEAST_G = 2; // less is dust or drift
