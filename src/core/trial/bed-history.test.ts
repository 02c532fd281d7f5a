import { leaveOutFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { bedHistory, historyLines } from './bed-history';
import { familyOf } from './crop-families';
import { readTrait } from './forms/trait-form';
import type { TrialData } from './model/trial-data';

/** A trial in three beds of these names. */
function inBeds(
  crop: string,
  names: readonly string[],
  startsOn: string,
  endsOn: string,
): TrialData {
  const data = trialFixture({ treatments: 2, unitsEach: 3, blockCount: 3 });
  const blocks = data.blocks.map((block, i) => ({ ...block, name: names[i] ?? block.name }));
  const called = new Map(blocks.map(({ placeId, name }) => [placeId, name]));
  return {
    ...data,
    trial: { ...data.trial, crop, startsOn, endsOn, state: 'closed', keyOpenedAt: null },
    blocks,
    places: data.places.map(place => ({ ...place, name: called.get(place.id) ?? place.name })),
  };
}

const BEFORE = inBeds('potatoes', ['South bed', 'by the hedge', '3'], '2025-04-01', '2025-09-01');
const NOW = inBeds('tomatoes', ['south bed', 'under the pear', '3'], '2026-05-01', '2026-09-01');

test('what stood in a bed of the same name before is told, with a warning of the same family', () => {
  expect(bedHistory(NOW, [BEFORE, NOW])).toEqual([
    {
      place: 'south bed',
      isMedium: false,
      codes: NOW.units.filter(unit => unit.blockId === NOW.blocks[0]?.id).map(unit => unit.code),
      trialId: BEFORE.trial.id,
      crop: 'potatoes',
      endedOn: '2025-09-01',
      treatments: ['plain water', 'feed 1'],
      mishaps: [],
      family: 'the nightshades',
    },
  ]);
});

test('a trial that stands there still, or comes later, is no history; nor is a bench that every trial has', () => {
  const still = { ...BEFORE, trial: { ...BEFORE.trial, endsOn: '2026-06-01' } };
  expect(bedHistory(NOW, [still])).toEqual([]);
  const common = inBeds('beans', ['1', 'shelf 2', 'bench'], '2026-05-01', '2026-09-01');
  expect(
    bedHistory(common, [inBeds('peas', ['1', 'shelf 2', 'bench'], '2025-05-01', '2025-09-01')]),
  ).toEqual([]);
});

test('while the key of the earlier trial is shut nothing says what stood where', () => {
  const shut: TrialData = { ...BEFORE, trial: { ...BEFORE.trial, state: 'locked', isBlind: true } };
  expect(bedHistory(NOW, [shut])[0]?.treatments).toEqual([]);
});

test('the last crop of each bed is a trait that can be put down as it stands', () => {
  const earlier = inBeds('onions', ['south bed', 'x', 'y'], '2024-04-01', '2024-09-01');
  const lines = historyLines(bedHistory(NOW, [earlier, BEFORE]));
  expect(lines).toBe('potatoes: south bed');
  const read = readTrait({ name: 'stood there before', lines }, NOW);
  expect(read.ok && read.value.byUnit.size).toBe(2);
});

test('a batch of a mix has a history as a bed has: what grew in it, what it was given, what befell it', () => {
  const mixed = (crop: string, startsOn: string, endsOn: string, mix: (i: number) => string) => {
    const data = trialFixture({ treatments: 2, unitsEach: 2 });
    const units = data.units.map((unit, i) => ({ ...unit, traits: { Batch: mix(i) } }));
    return { ...data, units, trial: { ...data.trial, crop, startsOn, endsOn } };
  };
  const before = mixed('peppers', '2025-04-01', '2025-09-01', i => (i < 2 ? 'March mix' : 'bag 7'));
  const now = mixed('tomatoes', '2026-05-01', '2026-09-01', i => (i === 0 ? 'march mix' : 'new'));
  const blight = {
    ...leaveOutFixture(before.units[0]!),
    cause: 'blight' as const,
  };
  const frost = { ...leaveOutFixture(before.units[1]!), cause: 'frost' as const };
  const history = bedHistory(now, [{ ...before, incidents: [blight, frost] }]);
  expect(history).toMatchObject([
    {
      place: 'march mix',
      isMedium: true,
      codes: [now.units[0]?.code],
      crop: 'peppers',
      mishaps: ['blight or another disease'],
      family: 'the nightshades',
    },
  ]);
  // Put down as it stands, it names the pot.
  const lines = historyLines(history);
  expect(lines).toBe(`peppers: ${now.units[0]?.code}`);
  expect(readTrait({ name: 'stood there before', lines }, now).ok).toBe(true);
});

test('a family is one of those known, and the plural is of the same as the singular', () => {
  for (const [one, many] of [
    ['potato', 'potatoes'],
    ['dwarf bean', 'dwarf beans'],
    ['strawberry', 'strawberries'],
    ['courgette', 'courgettes'],
  ] as const)
    expect(familyOf(many)).toBe(familyOf(one));
  expect(familyOf('peaches')).toBeUndefined();
});
