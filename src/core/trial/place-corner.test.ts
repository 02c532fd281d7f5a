import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { cornersOn } from './place-corner';

test('offsets add up from the pot over its shelf to the bench', () => {
  const { places } = trialFixture({ treatments: 2, unitsEach: 2, blockCount: 2 });
  const cornerOf = cornersOn(places);
  for (const pot of places.filter(place => place.kind === 'pot')) {
    const shelf = places.find(place => place.id === pot.parentId);
    expect(cornerOf(pot)).toEqual({
      xMm: (shelf?.xMm ?? 0) + pot.xMm,
      yMm: (shelf?.yMm ?? 0) + pot.yMm,
      within: [shelf?.id, shelf?.parentId],
    });
  }
});

test('the bench itself stands on nothing, and a place without its parent on nothing known', () => {
  const { places } = trialFixture({ blockCount: 2, unitsEach: 2 });
  const bench = places.find(place => place.kind === 'bench');
  const pot = places.find(place => place.kind === 'pot');
  if (!bench || !pot) throw new Error('the fixture must stand on a bench');
  expect(cornersOn(places)(bench)).toEqual({ xMm: 0, yMm: 0, within: [] });
  expect(cornersOn([pot])(pot)).toEqual({ xMm: pot.xMm, yMm: pot.yMm, within: [] });
});
