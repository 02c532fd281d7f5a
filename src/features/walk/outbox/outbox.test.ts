/** @jest-environment node */
import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { nextOpen, stopsOf, unitsToRepeat } from '@/features/walk/walk-order';
import { addToOutbox, deleteEntry, waitingEntries } from './outbox';
import { type Answer, type Post, postReadings, sendOutbox } from './send-outbox';

const ids = (count: number): readonly string[] =>
  Array.from({ length: count }, (_, i) => `entry ${i}`);
const took = (entries: readonly unknown[]): readonly Answer[] =>
  entries.map(entry => ({ id: idOf(entry), result: { ok: true, value: null } }));
const idOf = (entry: unknown): string =>
  typeof entry === 'object' && entry !== null && 'id' in entry ? String(entry.id) : '';

beforeEach(async () => {
  for (const trial of ['a', 'b'])
    for (const kept of await waitingEntries(trial)) await deleteEntry(kept.seq);
});

test('what is kept is sent in order, in batches, and gone once it is answered', async () => {
  for (const id of ids(120)) await addToOutbox('a', { id });
  await addToOutbox('b', { id: 'another trial’s' });
  const sent: string[][] = [];
  expect(
    await sendOutbox('a', async (_, entries) => {
      sent.push(entries.map(idOf));
      return took(entries);
    }),
  ).toBe('answered');
  expect(sent.map(batch => batch.length)).toEqual([50, 50, 20]);
  expect(sent.flat()).toEqual(ids(120));
  expect([await waitingEntries('a'), (await waitingEntries('b')).length]).toEqual([[], 1]);
});

test('without a connection nothing is lost, and the next try goes on where it broke off', async () => {
  for (const id of ids(60)) await addToOutbox('a', { id });
  let calls = 0;
  const flaky: Post = async (_, entries) => {
    calls += 1;
    if (calls === 2) throw new Error('no connection');
    return took(entries);
  };
  expect(await sendOutbox('a', flaky)).toBe('no-connection');
  expect((await waitingEntries('a')).map(kept => kept.entry.id)).toEqual(ids(60).slice(50));
  expect(await sendOutbox('a', flaky)).toBe('answered');
  expect(await waitingEntries('a')).toEqual([]);
});

test('what the server refuses stays with its reason, is not sent again, and keeps none of the others back', async () => {
  for (const id of ids(3)) await addToOutbox('a', { id });
  const trouble = { kind: 'already-read' };
  await sendOutbox('a', async (_, entries) =>
    entries.map(entry => ({
      id: idOf(entry),
      result:
        idOf(entry) === 'entry 1'
          ? { ok: false as const, trouble }
          : { ok: true as const, value: null },
    })),
  );
  expect((await waitingEntries('a')).map(kept => [kept.entry.id, kept.refusal])).toEqual([
    ['entry 1', trouble],
  ]);
  const again = jest.fn();
  expect(await sendOutbox('a', again)).toBe('answered');
  expect(again).not.toHaveBeenCalled();
});

describe('the order of a walk', () => {
  const units = fc.uniqueArray(fc.uuid(), { minLength: 1, maxLength: 40 });
  test('stops at every part of every unit once, by lot the same all day', () => {
    fc.assert(
      fc.property(
        units,
        fc.integer({ min: 1, max: 6 }),
        fc.constantFrom('bench' as const, 'random' as const),
        (unitIds, parts, order) => {
          const stops = stopsOf(unitIds, parts, order, '2026-06-01');
          expect(new Set(stops.map(stop => `${stop.unitId} ${stop.part}`)).size).toBe(
            unitIds.length * parts,
          );
          expect(stopsOf([...unitIds].reverse(), parts, 'random', '2026-06-01')).toEqual(
            stopsOf(unitIds, parts, 'random', '2026-06-01'),
          );
        },
      ),
    );
  });
  test('goes to what is open, round once, until nothing is', () => {
    fc.assert(
      fc.property(units, fc.func(fc.boolean()), fc.nat(), (unitIds, isDone, from) => {
        const stops = stopsOf(unitIds, 1, 'bench', 'x');
        const next = nextOpen(stops, from % stops.length, stop => isDone(stop.unitId));
        const open = stops.filter(stop => !isDone(stop.unitId));
        expect(next === undefined ? open.length : isDone(stops[next]?.unitId ?? '')).toBe(
          next === undefined ? 0 : false,
        );
      }),
    );
  });
  test('a fifth is read again, at least three', () => {
    expect([
      unitsToRepeat(ids(40), 'x').length,
      unitsToRepeat(ids(4), 'x').length,
      unitsToRepeat(ids(2), 'x').length,
    ]).toEqual([8, 3, 2]);
  });
});

test.each([
  [401, 'signed-out'],
  [404, 'no-trial'],
  [507, 'no-room'],
  [500, 'not-now'],
  [503, 'not-now'],
])(
  'an answer of %i is no lost connection: nothing is taken out of the outbox, and why is known',
  async (status, why) => {
    const trial = `trial ${status}`;
    await addToOutbox(trial, { id: 'entry' });
    Object.defineProperty(globalThis, 'fetch', {
      value: async () => ({ ok: false, status }),
      configurable: true,
    });
    expect(await sendOutbox(trial, postReadings)).toBe(why);
    expect((await waitingEntries(trial)).map(kept => kept.refusal)).toEqual([null]);
  },
);
