import { useState } from 'react';
import { v7 } from 'uuid';
import type { Outcome } from '@/core/trial/model/pick';
import { nowHere } from '@/features/frame/now-here';
import { writerName } from '@/features/frame/writer-name';
import type { Entry } from '@/features/walk/outbox/outbox';
import type { OutboxState } from '@/features/walk/outbox/use-outbox';
import { oddWords, typedValue } from './typed-value';
import type { TypedEntry } from './use-typed-entry';
import { type WalkMemory, withoutValue, withValue } from './walk-memory';
import { nextOpen } from './walk-order';
import type { WalkSheet } from './walk-sheet';
import type { CurrentValue, WalkView } from './walk-view';

const NOT_KEPT =
  'This browser could not keep the value. Write it on paper, or type it at the desk.';

interface WalkState {
  readonly view: WalkView;
  readonly outbox: OutboxState;
  readonly memory: WalkMemory;
  readonly keep: (memory: WalkMemory) => void;
  readonly sheet: WalkSheet;
  /** Of the stops of the sheet, the one in hand. */
  readonly here: number;
  readonly entry: TypedEntry;
  readonly go: (to: number) => void;
}

/** Taking a value at the stop in hand, and taking the last one back. */
export function useWalkKeeping({ view, outbox, memory, keep, sheet, here, entry, go }: WalkState) {
  const [undoable, setUndoable] = useState<readonly CurrentValue[]>([]);
  const { measure, stops, isDone } = sheet;
  const stop = stops[here];
  const save = async (outcome: Outcome, written = entry.typed, device = ''): Promise<void> => {
    if (!stop || !measure) return;
    const read = typedValue(outcome, written, measure, { view, day: memory.day });
    if (!read.ok) {
      entry.refuse(read.trouble);
      return;
    }
    const odd = entry.asked === written ? null : oddWords(sheet, stop, read.value, view.system);
    if (odd !== null) {
      entry.ask(written, odd);
      return;
    }
    const { day, isRepeat } = memory;
    const place = { ...stop, measureId: measure.id, isRepeat };
    const value: CurrentValue = { id: v7(), ...place, on: day, ...read.value, outcome };
    const supersedes = sheet.currentValue(stop)?.id ?? null;
    // The next pot comes at once: what a fast thumb types meanwhile is the next pot's.
    const kept = outbox.add(outboxEntry(value, { written, note: entry.note, device, supersedes }));
    keep(withValue(memory, value));
    setUndoable([...undoable, value]);
    go(nextOpen(stops, here, each => each === stop || isDone(each)) ?? here);
    try {
      await kept;
    } catch {
      // Private windows of some browsers keep nothing.
      keep(memory);
      go(here);
      entry.bringBack(written, NOT_KEPT);
    }
  };
  const undo = async (): Promise<void> => {
    const last = undoable.at(-1);
    if (!last) return;
    await outbox.add({ id: v7(), removes: last.id, by: writerName() });
    keep(withoutValue(memory, last.id));
    setUndoable(undoable.slice(0, -1));
    const at = stops.findIndex(each => each.unitId === last.unitId && each.part === last.part);
    go(Math.max(0, at));
  };
  return { save, undo, canUndo: undoable.length > 0 };
}

interface WrittenValue {
  readonly written: string;
  readonly note: string;
  /** Empty for this browser itself. */
  readonly device: string;
  readonly supersedes: string | null;
}

function outboxEntry(
  { id, unitId, measureId, part, on, outcome, isRepeat }: CurrentValue,
  { written, note, device, supersedes }: WrittenValue,
): Entry {
  return {
    id,
    unitId,
    measureId,
    subsample: part,
    takenOn: on,
    takenAt: nowHere().toISOString(),
    value: outcome === 'picked' || outcome === 'not-yet' ? written : '',
    outcome,
    note,
    isRepeat,
    device: device === '' ? deviceName() : device,
    supersedes,
    by: writerName(),
  };
}

/** What this browser calls itself in the log. */
function deviceName(): string {
  return window.matchMedia('(pointer: coarse)').matches ? 'a phone' : 'a desk';
}
