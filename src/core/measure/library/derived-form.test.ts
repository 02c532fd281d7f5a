import { v7 } from 'uuid';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { derivedTerms } from './derived-form';
import { measureFromLibrary, readMeasure } from './own-measure';
import { readingKind } from './reading-library';

const { measures: picked } = trialFixture({ treatments: 2, unitsEach: 2 });
const of = (key: string) => measureFromLibrary(readingKind(key)!, v7());
const measures = [...picked, of('leaves'), of('branches'), of('height'), of('fullness')];
const read = (changes: object) =>
  readMeasure(
    {
      from: 'derived',
      name: 'Leaves per side shoot',
      how: 'over',
      of: 'read Leaves',
      by: 'read Side shoots',
      better: 'higher',
      ...changes,
    },
    measures,
    v7(),
  );

test.each([
  [{}, 'leaves per side shoots', { how: 'over', times: 1 }],
  [{ of: 'harvest sound-weight', by: 'built area' }, 'g per m²', { how: 'over' }],
  [{ of: 'harvest sound-weight', by: 'hours' }, 'g per hour', { by: { kind: 'hours' } }],
  [{ how: 'less', of: 'harvest total-weight', by: 'harvest sound-weight' }, 'g', { how: 'less' }],
  [{ how: 'part', of: 'harvest sound-weight', by: 'built seed' }, '%', { times: 100 }],
  [{ how: 'share', of: 'harvest sound-count', by: 'harvest total-count' }, '', { how: 'share' }],
])('%j is worked out', (changes, unit, scale) => {
  expect(read(changes)).toMatchObject({
    ok: true,
    value: { unit, kindKey: null, isMain: false, scale: { kind: 'derived', ...scale } },
  });
});

test('a unit that is too long to be written out is none, instead of one that is cut off', () => {
  const long = { ...of('leaves'), name: 'Length of the side shoots' };
  const made = readMeasure(
    {
      from: 'derived',
      name: 'Length of a leaf',
      how: 'over',
      of: 'read Length of the side shoots',
      by: 'read Side shoots',
      better: 'higher',
    },
    [...measures, long],
    v7(),
  );
  expect(made).toMatchObject({ ok: true, value: { unit: '' } });
});

test.each([
  [{ name: '' }, 'name'],
  [{ name: 'Plant height' }, 'name'],
  [{ of: '' }, 'of'],
  [{ by: 'read Nothing' }, 'by'],
  [{ by: 'read Leaves' }, 'by'],
  [{ how: 'less', by: 'read Plant height' }, 'by'],
  [{ how: 'share', by: 'read Plant height' }, 'by'],
])('%j is asked back at its field', (changes, field) => {
  const found = read(changes);
  expect(found.ok ? [] : Object.keys(found.trouble)).toEqual([field]);
});

test('what has steps or classes can’t be divided, nor what is itself worked out', () => {
  const labels = derivedTerms([...measures, of('per-plant')]).map(term => term.label);
  expect(labels).toContain('Plant height');
  expect(labels).not.toContain('Fullness');
  expect(labels).not.toContain('Harvest per plant');
});
