import { oddWords, typedValue } from './typed-value';
import { blankMemory, memoryOn, readMemory, withoutValue, withValue } from './walk-memory';
import { walkSheetOf } from './walk-sheet';
import type { CurrentValue, WalkMeasure, WalkView } from './walk-view';

const HEIGHT: WalkMeasure = {
  id: 'height',
  name: 'Height',
  definition: 'From the rim to the tip.',
  unit: 'mm',
  scale: { kind: 'continuous', least: 0, most: 5000 },
  scaleWords: '',
  parts: 1,
  drawing: null,
  fromPicture: null,
};
const DAY = '2026-06-10';

function read(unitId: string, value: number, changes: Partial<CurrentValue> = {}): CurrentValue {
  return {
    id: `${unitId} ${value}`,
    unitId,
    measureId: HEIGHT.id,
    part: '',
    on: DAY,
    value,
    outOf: null,
    outcome: 'picked',
    isRepeat: false,
    ...changes,
  };
}

function viewWith(...values: readonly CurrentValue[]): WalkView {
  return {
    trialId: 't',
    question: '',
    unitWord: 'pot',
    state: 'locked',
    startsOn: '2026-05-01',
    system: 'uk',
    units: ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].map(id => ({ id, code: id, where: '' })),
    measures: [HEIGHT],
    values,
  };
}

const stop = (unitId: string) => ({ unitId, part: '' });

test('what stands of today is what the server has and what this browser put down, the latter last', () => {
  const view = viewWith(read('a', 100), read('b', 90, { on: '2026-06-03' }));
  const fresh = memoryOn(DAY, blankMemory(view));
  const sheet = walkSheetOf(view, withValue(fresh, read('a', 120)));
  expect(sheet.currentValue(stop('a'))?.value).toBe(120);
  expect(sheet.isDone(stop('b'))).toBe(false);
  expect(sheet.before(stop('b'))?.value).toBe(90);
  expect(sheet.before(stop('a'))).toBeUndefined();
});

test('a value takes the place of one at the same stop, and can be taken out again', () => {
  const view = viewWith();
  const first = withValue(memoryOn(DAY, blankMemory(view)), read('a', 100));
  const second = withValue(withValue(first, read('a', 101)), read('b', 99));
  expect(second.mine.map(each => each.value)).toEqual([101, 99]);
  expect(withoutValue(second, 'a 101').mine.map(each => each.value)).toEqual([99]);
});

test('a second reading is another place; both together make a pair', () => {
  const view = viewWith(read('a', 100), read('a', 104, { isRepeat: true }));
  const sheet = walkSheetOf(view, memoryOn(DAY, blankMemory(view)));
  expect(sheet.currentValue(stop('a'))?.value).toBe(100);
  expect(sheet.pairs).toEqual([[100, 104]]);
});

test('what was put down yesterday is not today’s, but the measure is remembered', () => {
  const stored = withValue(
    { ...memoryOn('2026-06-09', blankMemory(viewWith())), order: 'random' },
    read('a', 100, { on: '2026-06-09' }),
  );
  const memory = memoryOn(DAY, stored);
  expect(memory.mine).toEqual([]);
  expect(memory.order).toBe('random');
  expect(readMemory(JSON.parse(JSON.stringify(memory)))).toEqual(memory);
  expect(readMemory({ day: DAY, mine: 'none' })).toBeUndefined();
});

test('a value far from today’s others is asked about; one among them is not', () => {
  const view = viewWith(...['a', 'b', 'c', 'd', 'f', 'g', 'h'].map((id, i) => read(id, 100 + i)));
  const sheet = walkSheetOf(view, memoryOn(DAY, blankMemory(view)));
  expect(oddWords(sheet, stop('e'), { value: 1020, outOf: null }, 'uk')).toMatch(
    /Press again to keep/,
  );
  expect(oddWords(sheet, stop('e'), { value: 102, outOf: null }, 'uk')).toBeNull();
  expect(oddWords(sheet, stop('e'), { value: null, outOf: null }, 'uk')).toBeNull();
});

test('only what was picked has a value; what can’t be read says why', () => {
  const at = { view: viewWith(), day: DAY };
  expect(typedValue('dead', 'whatever', HEIGHT, at)).toEqual({
    ok: true,
    value: { value: null, outOf: null },
  });
  expect(typedValue('picked', '12 cm', HEIGHT, at)).toMatchObject({ value: { value: 120 } });
  expect(typedValue('picked', 'tall', HEIGHT, at)).toMatchObject({ ok: false });
});
