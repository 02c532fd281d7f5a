'use client';

import { useEffect, useState } from 'react';
import { v7 } from 'uuid';
import { oddnessWords, oddReading } from '@/core/measure/reading/odd-reading';
import { readValue } from '@/core/measure/reading/read-value';
import type { Outcome } from '@/core/trial/model/pick';
import type { OutboxState } from '@/features/walk/outbox/use-outbox';
import { useDraft } from '@/ui/use-draft';
import { nextOpen, type Stop, stopsOf, unitsToRepeat, type WalkOrder } from './walk-order';
import type { CurrentValue, WalkMeasure, WalkView } from './walk-view';

/** What a walk remembers in this browser: where one is, and what was put down today, sent or not. */
interface WalkMemory {
  readonly day: string;
  readonly measureId: string;
  readonly order: WalkOrder;
  readonly isRepeat: boolean;
  readonly mine: readonly CurrentValue[];
}

function isMemory(stored: unknown): stored is WalkMemory {
  return (
    typeof stored === 'object' &&
    stored !== null &&
    'mine' in stored &&
    Array.isArray(stored.mine) &&
    'day' in stored &&
    typeof stored.day === 'string' &&
    'order' in stored &&
    'measureId' in stored
  );
}

/** The day here, as the phone's own clock has it: a page may be open since yesterday. */
export function dayHere(now: Date = new Date()): string {
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;
}

const placeOf = (stop: Stop, measureId: string, isRepeat: boolean): string =>
  `${stop.unitId} ${measureId} ${stop.part} ${isRepeat}`;

/** Where a walk stands, what is typed, and what one can do. Knows no markup. */
export function useWalk(view: WalkView, outbox: OutboxState) {
  const [day, setDay] = useState('');
  const blank: WalkMemory = {
    day: '',
    measureId: view.measures[0]?.id ?? '',
    order: 'bench',
    isRepeat: false,
    mine: [],
  };
  const [stored, keep] = useDraft(`walk ${view.trialId}`, blank, isMemory);
  const [at, setAt] = useState<number | null>(null);
  const [typed, setTyped] = useState('');
  const [note, setNote] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [asked, setAsked] = useState<string | null>(null);
  const [undoable, setUndoable] = useState<readonly CurrentValue[]>([]);
  useEffect(() => setDay(dayHere()), []);
  const memory = stored.day === day ? stored : { ...stored, day, mine: [], isRepeat: false };
  const measure = view.measures.find(each => each.id === memory.measureId) ?? view.measures[0];
  const unitIds = view.units.map(unit => unit.id);
  const stops = measure
    ? stopsOf(
        memory.isRepeat ? unitsToRepeat(unitIds, day) : unitIds,
        measure.parts,
        memory.order,
        day,
      )
    : [];
  const today = new Map(
    [...view.values.filter(value => value.on === day), ...memory.mine].map(value => [
      `${value.unitId} ${value.measureId} ${value.part} ${value.isRepeat}`,
      value,
    ]),
  );
  const currentValue = (stop: Stop, isRepeat = memory.isRepeat): CurrentValue | undefined =>
    today.get(placeOf(stop, measure?.id ?? '', isRepeat));
  const isDone = (stop: Stop): boolean => currentValue(stop) !== undefined;
  const here = at ?? nextOpen(stops, -1, isDone) ?? 0;
  const stop = stops[here];
  const go = (to: number): void => {
    setAt(to);
    setTyped('');
    setNote('');
    setTrouble(null);
    setAsked(null);
  };
  const before = (of: Stop): CurrentValue | undefined =>
    view.values
      .filter(
        value =>
          value.unitId === of.unitId &&
          value.measureId === measure?.id &&
          value.part === of.part &&
          !value.isRepeat &&
          value.on < day,
      )
      .at(-1);

  const save = async (outcome: Outcome, written = typed, device = ''): Promise<void> => {
    if (!stop || !measure) return;
    const read =
      outcome === 'picked'
        ? readValue(written, '', measure.scale, {
            measure,
            system: view.system,
            startsOn: view.startsOn,
            today: day,
          })
        : { ok: true as const, value: { value: null, outOf: null } };
    if (!read.ok) {
      setTrouble(Object.values(read.trouble)[0] ?? 'That can’t be read.');
      return;
    }
    const odd =
      outcome === 'picked' && asked !== written
        ? oddWords(measure, stop, read.value.value, {
            before: before(stop),
            others: [...today.values()],
          })
        : null;
    if (odd !== null) {
      setTyped(written);
      setAsked(written);
      setTrouble(odd);
      return;
    }
    const old = currentValue(stop);
    const value: CurrentValue = {
      id: v7(),
      unitId: stop.unitId,
      measureId: measure.id,
      part: stop.part,
      on: day,
      ...read.value,
      outcome,
      isRepeat: memory.isRepeat,
    };
    // The next pot comes at once: what a fast thumb types meanwhile is the next pot's.
    const kept = outbox.add({
      id: value.id,
      unitId: value.unitId,
      measureId: value.measureId,
      subsample: value.part,
      takenOn: day,
      takenAt: new Date().toISOString(),
      value: outcome === 'picked' ? written : '',
      outcome,
      note,
      isRepeat: memory.isRepeat,
      device: device === '' ? deviceName() : device,
      supersedes: old?.id ?? null,
    });
    keep({
      ...memory,
      mine: [
        ...memory.mine.filter(
          each =>
            placeOf(each, each.measureId, each.isRepeat) !==
            placeOf(stop, measure.id, memory.isRepeat),
        ),
        value,
      ],
    });
    setUndoable([...undoable, value]);
    go(nextOpen(stops, here, each => each === stop || isDone(each)) ?? here);
    try {
      await kept;
    } catch {
      // Private windows of some browsers keep nothing.
      keep(memory);
      go(here);
      setTyped(written);
      setTrouble(
        'This browser could not keep the value. Write it on paper, or type it at the desk.',
      );
    }
  };
  const undo = async (): Promise<void> => {
    const last = undoable.at(-1);
    if (!last) return;
    await outbox.add({ id: v7(), removes: last.id });
    keep({ ...memory, mine: memory.mine.filter(each => each.id !== last.id) });
    setUndoable(undoable.slice(0, -1));
    go(
      Math.max(
        0,
        stops.findIndex(each => each.unitId === last.unitId && each.part === last.part),
      ),
    );
  };
  return {
    day,
    measure,
    stops,
    stop,
    here,
    typed,
    note,
    trouble,
    isAsked: asked !== null,
    order: memory.order,
    isRepeat: memory.isRepeat,
    unit: view.units.find(unit => unit.id === stop?.unitId),
    last: stop ? before(stop) : undefined,
    now: stop ? currentValue(stop) : undefined,
    done: stops.filter(isDone).length,
    isAllDone: stops.length > 0 && stops.every(isDone),
    canUndo: undoable.length > 0,
    pairs: stops.flatMap((each): (readonly [number, number])[] => {
      const [first, second] = [currentValue(each, false)?.value, currentValue(each, true)?.value];
      return first != null && second != null ? [[first, second]] : [];
    }),
    type: (next: string): void => {
      setTyped(next);
      setTrouble(null);
      setAsked(null);
    },
    setNote,
    save,
    undo,
    go,
    choose: (measureId: string): void => {
      keep({ ...memory, measureId, isRepeat: false });
      go(0);
      setAt(null);
    },
    setOrder: (order: WalkOrder): void => {
      keep({ ...memory, order });
      setAt(null);
    },
    repeat: (isRepeat: boolean): void => {
      keep({ ...memory, isRepeat });
      setAt(null);
    },
  };
}

export type Walking = ReturnType<typeof useWalk>;

function oddWords(
  measure: WalkMeasure,
  stop: Stop,
  value: number | null,
  {
    before,
    others,
  }: { readonly before: CurrentValue | undefined; readonly others: readonly CurrentValue[] },
): string | null {
  if (value === null) return null;
  const around = others
    .filter(
      other => other.measureId === measure.id && other.unitId !== stop.unitId && !other.isRepeat,
    )
    .flatMap(other => (other.value === null ? [] : [other.value]));
  const odd = oddReading(value, measure.scale, before?.value == null ? [] : [before.value], around);
  return odd === null ? null : `${oddnessWords(odd, measure.unit)} Press again to keep it.`;
}

/** What this browser calls itself in the log. */
function deviceName(): string {
  return window.matchMedia('(pointer: coarse)').matches ? 'a phone' : 'a desk';
}
