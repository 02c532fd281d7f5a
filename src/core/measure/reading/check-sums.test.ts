import fc from 'fast-check';
import { PickId, UnitId } from '@/core/trial/model/ids';
import type { Pick } from '@/core/trial/model/pick';
import { checkSums } from './check-sums';

const UNITS = [1, 2, 3].map(n => UnitId.parse(`00000000-0000-7000-8000-00000000000${n}`));
const pick = (i: number, changes: Partial<Pick> = {}): Pick => ({
  id: PickId.parse('00000000-0000-7000-8000-000000000009'),
  unitId: UNITS[i % 3]!,
  pickedOn: `2026-07-0${1 + (i % 7)}`,
  takenAt: '2026-07-09T10:00:00.000Z',
  outcome: 'picked',
  pieces: 3,
  grossG: 120 + i,
  tareG: 20,
  netG: 100 + i,
  grade: i % 5 === 0 ? 'cull' : 'sound',
  cullReason: i % 5 === 0 ? 'rot' : null,
  note: '',
  asWritten: '',
  by: '',
  supersedes: null,
  isRemoval: false,
  ...changes,
});

test('by pot and by day the same sum comes out, culls left aside', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 400 }), { maxLength: 40 }), list => {
      const sums = checkSums(
        list.map(i => pick(i)),
        'uk',
      );
      expect(sums.byUnitG).toBeCloseTo(sums.byDayG, 6);
      expect(sums.byUnitG).toBeCloseTo(
        list.filter(i => i % 5 !== 0).reduce((sum, i) => sum + 100 + i, 0),
        6,
      );
      expect(sums.mismatches).toEqual([]);
    }),
  );
});

// C090: tare 3.25, gross 21.75 lb: 18.5 lb.
test('net is gross less tare, or it is told', () => {
  const [gross, tare, net] = [21.75, 3.25, 18.5].map(lb => lb * 453.59237);
  expect(
    checkSums([pick(1, { grossG: gross!, tareG: tare!, netG: net! })], 'us').mismatches,
  ).toEqual([]);
  expect(
    checkSums([pick(1, { grossG: 120, tareG: 20, netG: 101 })], 'uk').mismatches.map(
      each => each.says,
    ),
  ).toEqual(['120 g less 20 g is not 101 g']);
  expect(
    checkSums([pick(1, { grossG: 453.59237, tareG: 0, netG: 226.796185 })], 'us').mismatches.map(
      each => each.says,
    ),
  ).toEqual(['1 lb less 0 oz is not 8 oz']);
  expect(
    checkSums([pick(1, { grossG: 20, netG: 0 })], 'uk').mismatches.map(each => each.says),
  ).toEqual(['3 pieces weigh nothing']);
  expect(checkSums([pick(1, { outcome: 'dead' })], 'uk').mismatches).toHaveLength(1);
});
