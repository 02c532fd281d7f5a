import { evidenceOf } from './evidence';
import type { GardenSource } from './gardens-together';

/** A garden of so many pots, all read but `missing`. */
function source(gardenId: string, changes: Partial<GardenSource> = {}, missing = 0): GardenSource {
  return {
    id: gardenId,
    gardenId,
    name: gardenId,
    season: '2026',
    crop: 'beans',
    site: { place: '', soil: '', traits: {} },
    differs: [],
    typedFrom: null,
    isBlind: true,
    answer: { gaps: [], dots: [], units: 10, missing, leftOut: 0 },
    ...changes,
  };
}
const FIVE = ['a', 'b', 'c', 'd', 'e'].map(id => source(id));

test('five gardens with forty values, most of them blind, are enough to advise; less of any is not', () => {
  expect(evidenceOf(FIVE, 'pot')).toMatchObject({ grade: 'good' });
  expect(evidenceOf(FIVE.slice(1), 'pot')).toMatchObject({ grade: 'some' });
  expect(
    evidenceOf(
      FIVE.map(({ id }) => source(id, {}, 3)),
      'pot',
    ),
  ).toMatchObject({ grade: 'some' });
  const open = FIVE.map(({ id }, i) => source(id, { isBlind: i < 2 }));
  expect(evidenceOf(open, 'pot')).toMatchObject({ grade: 'some' });
});

test('seasons of one garden are one garden, and figures that were typed in are none', () => {
  const seasons = ['2024', '2025', '2026'].map(season => source('a', { id: season, season }));
  const typed = ['x', 'y', 'z', 'u'].map(id => source(id, { typedFrom: 'a paper' }));
  const { grade, says } = evidenceOf([...seasons, ...typed], 'pot');
  expect(grade).toBe('one-garden');
  expect(says).toEqual([
    'It rests on 1 garden, 3 seasons and 30 pots with a value; all measured blind.',
    'Beside them count 4 findings that were typed in; nobody here saw how they came about.',
    'That is one garden: what held here need not hold elsewhere.',
  ]);
});
