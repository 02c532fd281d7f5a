'use client';

import { useEffect, useState } from 'react';
import { nowHere } from '@/features/frame/now-here';
import type { OutboxState } from '@/features/walk/outbox/use-outbox';
import { useDraft } from '@/ui/fields/use-draft';
import { useTypedEntry } from './use-typed-entry';
import { useWalkKeeping } from './use-walk-keeping';
import { blankMemory, memoryOn, readMemory, type WalkMemory } from './walk-memory';
import { nextOpen, type WalkOrder } from './walk-order';
import { walkSheetOf } from './walk-sheet';
import type { WalkView } from './walk-view';

/** The day here, as the phone's own clock has it: a page may be open since yesterday. */
export function dayHere(now: Date = nowHere()): string {
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;
}

/** Where a walk stands, what is typed, and what one can do. Knows no markup. */
export function useWalk(view: WalkView, outbox: OutboxState) {
  const [day, setDay] = useState('');
  useEffect(() => setDay(dayHere()), []);
  const [stored, keep] = useDraft(`walk ${view.trialId}`, blankMemory(view), readMemory);
  const memory = memoryOn(day, stored);
  const sheet = walkSheetOf(view, memory);
  const { measure, stops, isDone, pairs } = sheet;
  const [at, setAt] = useState<number | null>(null);
  const here = at ?? nextOpen(stops, -1, isDone) ?? 0;
  const stop = stops[here];
  const entry = useTypedEntry();
  const go = (to: number | null): void => {
    setAt(to);
    entry.clear();
  };
  const keeping = useWalkKeeping({ view, outbox, memory, keep, sheet, here, entry, go });
  /** Another round from its first open stop; what is typed stays. */
  const change = (changes: Partial<WalkMemory>): void => {
    keep({ ...memory, ...changes });
    setAt(null);
  };
  return {
    ...keeping,
    day,
    measure,
    stops,
    stop,
    here,
    entry,
    pairs,
    order: memory.order,
    isRepeat: memory.isRepeat,
    unit: view.units.find(unit => unit.id === stop?.unitId),
    last: stop ? sheet.before(stop) : undefined,
    now: stop ? sheet.currentValue(stop) : undefined,
    done: stops.filter(isDone).length,
    isAllDone: stops.length > 0 && stops.every(isDone),
    go,
    choose: (measureId: string): void => {
      change({ measureId, isRepeat: false });
      entry.clear();
    },
    setOrder: (order: WalkOrder): void => change({ order }),
    repeat: (isRepeat: boolean): void => change({ isRepeat }),
  };
}

export type Walking = ReturnType<typeof useWalk>;
