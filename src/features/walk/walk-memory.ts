import type { Stop, WalkOrder } from './walk-order';
import type { CurrentValue, WalkView } from './walk-view';

/** What a walk remembers in this browser: where one is, and what was put down today, sent or not. */
export interface WalkMemory {
  readonly day: string;
  readonly measureId: string;
  readonly order: WalkOrder;
  readonly isRepeat: boolean;
  readonly mine: readonly CurrentValue[];
}

export function readMemory(stored: unknown): WalkMemory | undefined {
  return isMemory(stored) ? stored : undefined;
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

export function blankMemory(view: WalkView): WalkMemory {
  return {
    day: '',
    measureId: view.measures[0]?.id ?? '',
    order: 'bench',
    isRepeat: false,
    mine: [],
  };
}

/** What is remembered of an earlier day is the measure and the order alone. */
export function memoryOn(day: string, stored: WalkMemory): WalkMemory {
  return stored.day === day ? stored : { ...stored, day, mine: [], isRepeat: false };
}

/** With a value put down, in the place of one that stood there. */
export function withValue(memory: WalkMemory, value: CurrentValue): WalkMemory {
  const others = memory.mine.filter(each => valueKey(each) !== valueKey(value));
  return { ...memory, mine: [...others, value] };
}

export function withoutValue(memory: WalkMemory, id: string): WalkMemory {
  return { ...memory, mine: memory.mine.filter(each => each.id !== id) };
}

/** Where a value stands: of which unit and part, of which measure, at the first or the second reading. */
export function valueKey({
  unitId,
  measureId,
  part,
  isRepeat,
}: Stop & Pick<CurrentValue, 'measureId' | 'isRepeat'>): string {
  return `${unitId} ${measureId} ${part} ${isRepeat}`;
}
