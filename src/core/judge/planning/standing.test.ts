import { leaveOutFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { chanceSeen } from './chance-seen';
import { lostChance, standingChance, standingLines, standingOf } from './standing';

const CV = 0.2;

/** Two treatments in 12 blocks of two pots, of which the first so many pots of the second treatment are lost. */
function trial(
  lost: number,
  changes: Partial<Parameters<typeof leaveOutFixture>[1]> = {},
): TrialData {
  const data = trialFixture({ treatments: 2, unitsEach: 12, blockCount: 12 });
  const gone = data.units
    .filter(unit => unit.treatmentId === data.treatments[1]?.id)
    .slice(0, lost);
  return {
    ...data,
    measures: data.measures.map(measure =>
      measure.isMain ? { ...measure, margin: { kind: 'percent', percent: 30 } } : measure,
    ),
    incidents: gone.map(unit => leaveOutFixture(unit, { afterKeyOpened: false, ...changes })),
  };
}

test('nothing lost, or left out too late to count: nothing to say', () => {
  expect(standingOf(trial(0))).toBeNull();
  expect(standingOf(trial(3, { afterKeyOpened: true }))).toBeNull();
});

test('24 became 20: the new numbers and the new chance, which is that of a trial that was planned with those', () => {
  const data = trial(4);
  const standing = standingOf(data);
  expect(standing).toMatchObject({ planned: 24, left: 20 });
  expect(standing?.byTreatment.map(each => [each.planned, each.left])).toEqual([
    [12, 12],
    [12, 8],
  ]);
  const lost = new Set(data.incidents.map(incident => incident.unitId));
  const alone = { ...data, incidents: [], units: data.units.filter(unit => !lost.has(unit.id)) };
  const chance = standingChance(data, CV);
  expect(chance).toEqual({
    planned: chanceSeen({ ...data, incidents: [] }, CV),
    left: chanceSeen(alone, CV),
  });
  expect(chance?.left).toBeLessThan((chance?.planned ?? 0) - 0.03);
});

test('a trial down to one of a kind, or none, says so; a blind one tells nothing by treatment', () => {
  const words = (lost: number, isOpen: boolean): string =>
    standingLines(trial(lost), isOpen, CV).join(' ');
  const [first, second] = trial(0).treatments.map(treatment => treatment.name);
  expect(words(4, true)).toMatch(
    new RegExp(
      `^20 of 24 pots still count: ${first} 12, ${second} 8 \\(of 12\\)\\. With 20 of 24 pots what is worth having is seen about \\d+ times of 100; as planned, \\d+\\.$`,
    ),
  );
  expect(words(0, true)).toBe('');
  expect(standingLines(trial(4), true).join(' ')).not.toContain('times of 100');
  expect(words(11, true)).toMatch(/has one left: how much such pots differ/);
  expect(words(12, true)).toMatch(/has none left: nothing can be said of it\./);
  expect(words(4, false)).toBe(
    '20 of 24 pots still count. How they fall to the treatments, and what they can still show, waits for the key.',
  );
});

test('of a large trial that is read, not weighed, no chance is made up: it would keep the page waiting', () => {
  const counted = (blocks: number): TrialData => {
    const data = trialFixture({ treatments: 2, unitsEach: blocks, blockCount: blocks });
    return {
      ...data,
      measures: data.measures.map(measure =>
        measure.isMain
          ? { ...measure, scale: { kind: 'count' }, margin: { kind: 'percent', percent: 60 } }
          : measure,
      ),
      incidents: data.units
        .slice(0, 1)
        .map(unit => leaveOutFixture(unit, { afterKeyOpened: false })),
    };
  };
  expect(lostChance(counted(24), CV, () => 0.5)).toEqual([
    'With 47 of 48 pots what is worth having is seen about 50 times of 100; as planned, 50.',
  ]);
  expect(lostChance(counted(25), CV, () => 0.5)).toEqual([]);
});
