import fc from 'fast-check';
import { careActFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';
import { coverLines, coverSpells, daysUnder } from './covers';

const trial = trialFixture({ treatments: 2, unitsEach: 3 });
const [first, second] = trial.units;
if (!first || !second) throw new Error('the fixture must have units');

const fleece = careRuleFixture({ name: 'Fleece', kind: 'cover' });
const fleeceOff = careRuleFixture({ name: 'fleece', kind: 'uncover' });
const band = careRuleFixture({
  name: 'grease band',
  kind: 'cover',
  treatmentIds: [first.treatmentId],
});
const cleared = careRuleFixture({ name: 'all cleared', kind: 'uncover' });
const weeding = careRuleFixture({ name: 'weeding', kind: 'other' });
const rules = [fleece, fleeceOff, band, cleared, weeding];

type Step = readonly [rule: CareRule, on: string, unitIds?: readonly (typeof first.id)[]];
const after = (...steps: readonly Step[]): TrialData => ({
  ...trial,
  care: {
    ...trial.care,
    rules,
    acts: steps.map(([rule, on, unitIds], nth) =>
      careActFixture(rule, nth, on, {
        unitIds: unitIds ?? null,
        takenAt: `${on}T08:00:${String(nth).padStart(2, '0')}.000Z`,
      }),
    ),
  },
});

test('who has what, and since when', () => {
  const data = after(
    [fleece, '2026-05-02'],
    [weeding, '2026-05-03'],
    [fleeceOff, '2026-05-20', [first.id]],
  );
  expect(coverLines(data)).toEqual([
    { name: 'Fleece', on: '2026-05-02', off: '2026-05-20', codes: [first.code] },
    {
      name: 'Fleece',
      on: '2026-05-02',
      off: null,
      codes: trial.units.slice(1).map(unit => unit.code),
    },
  ]);
  const spells = coverSpells(data);
  expect(daysUnder(spells, first.id, 'fleece', '2026-06-01')).toBe(18);
  expect(daysUnder(spells, second.id, 'fleece', '2026-06-01')).toBe(30);
});

test('a band that is a treatment goes to its pots only, and stays when the fleece comes off', () => {
  const data = after([band, '2026-05-01'], [fleece, '2026-05-02'], [fleeceOff, '2026-05-09']);
  const lying = coverSpells(data).filter(each => each.off === null);
  expect(new Set(lying.map(each => [each.name, each.isForAll].join()))).toEqual(
    new Set(['grease band,false']),
  );
  expect(lying.map(each => each.unitId)).toEqual(
    trial.units.filter(unit => unit.treatmentId === first.treatmentId).map(unit => unit.id),
  );
});

test('what comes off by another name is all that lies there', () => {
  const data = after([band, '2026-05-01'], [fleece, '2026-05-02'], [cleared, '2026-05-09']);
  expect(coverSpells(data).every(each => each.off === '2026-05-09')).toBe(true);
});

test('put on twice is once, and off on the day it went on again is a new spell', () => {
  expect(coverSpells(after([fleece, '2026-05-02'], [fleece, '2026-05-04'])).length).toBe(6);
  const spells = coverSpells(
    after([fleece, '2026-05-02'], [fleeceOff, '2026-05-04'], [fleece, '2026-05-04']),
  ).filter(each => each.unitId === first.id);
  expect(spells.map(({ on, off }) => [on, off])).toEqual([
    ['2026-05-02', '2026-05-04'],
    ['2026-05-04', null],
  ]);
});

test('no unit ever lies under the same cover twice at once, in whatever order it is entered', () => {
  const step = fc.tuple(
    fc.constantFrom(fleece, fleeceOff, band, cleared),
    fc.integer({ min: 1, max: 28 }).map(day => `2026-05-${String(day).padStart(2, '0')}`),
  );
  fc.assert(
    fc.property(fc.array(step, { maxLength: 12 }), steps => {
      const spells = coverSpells(after(...steps));
      for (const [i, early] of spells.entries())
        for (const late of spells.slice(i + 1)) {
          if (early.unitId !== late.unitId || early.name !== late.name) continue;
          expect(early.off !== null && early.off <= late.on).toBe(true);
        }
    }),
  );
});
