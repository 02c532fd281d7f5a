import { builtAfter, readAsBuilt } from './as-built-form';

const units = [
  { id: 'u1', treatmentId: 't1', blockId: 'b1' },
  { id: 'u2', treatmentId: 't2', blockId: 'b1' },
  { id: 'u3', treatmentId: 't1', blockId: 'b2' },
] as never;
const read = (form: object, isOpen = true, system: 'uk' | 'us' = 'uk') =>
  readAsBuilt({ which: 'all', ...form }, { units }, { system, isOpen });
const changes = (form: object, system: 'uk' | 'us' = 'uk') => {
  const found = read(form, true, system);
  return found.ok ? found.value.changes : found.trouble;
};

test.each([
  [{ size: '30 cm' }, { areaM2: expect.closeTo(0.070686, 6) }],
  [{ size: '30 cm across' }, { areaM2: expect.closeTo(0.070686, 6) }],
  [{ size: '30 x 40 cm' }, { areaM2: expect.closeTo(0.12, 9) }],
  [{ size: '1 m by 2 m' }, { areaM2: expect.closeTo(2, 9) }],
  [{ size: '0.5 m2' }, { areaM2: 0.5 }],
  [
    { litres: '12 l', medium: 'old mix' },
    { mixMl: 12_000, medium: 'old mix' },
  ],
  [
    { plants: '3', seed: '90 g', lot: 'crate 2' },
    { plants: 3, seedG: 90, lot: 'crate 2' },
  ],
  [
    { plantedDeep: '10 cm', plantedOn: '2026-04-12' },
    { plantedMm: 100, plantedOn: '2026-04-12' },
  ],
  [{ container: 'none' }, { container: '' }],
  [{ size: 'none' }, { areaM2: null }],
])('%j is put down', (form, expected) => {
  expect(changes(form)).toEqual(expected);
});

test('an American bed and bucket', () => {
  expect(changes({ size: '4 x 8 ft', litres: '5 gal', seed: '3 oz' }, 'us')).toEqual({
    areaM2: expect.closeTo(2.97289728, 6),
    mixMl: expect.closeTo(18_927.06, 1),
    seedG: expect.closeTo(85.05, 2),
  });
});

test.each([
  [{}, 'size'],
  [{ size: 'large' }, 'size'],
  [{ size: '3 kg' }, 'size'],
  [{ litres: '3 kg' }, 'litres'],
  [{ plants: '0' }, 'plants'],
  [{ plants: '1.5' }, 'plants'],
  [{ seed: '0 g' }, 'seed'],
  [{ plantedOn: 'in May' }, 'plantedOn'],
  [{ which: 'unit:nobody', plants: '1' }, 'which'],
])('%j is asked back at its field', (form, field) => {
  expect(Object.keys(changes(form))).toEqual([field]);
});

test.each([
  { size: 'large' },
  { size: '3 lb' },
  { size: '0 in' },
  { size: '3 x 0 in' },
  { litres: '3 lb' },
  { litres: '0 gal' },
  { seed: '0 oz' },
  { plantedDeep: '0 in' },
  { plantedDeep: '12' },
])('%j is answered with the units of an American garden', form => {
  const [says] = Object.values(changes(form, 'us'));
  expect(says).not.toMatch(/\d ?(?:g|kg|ml|l|mm|cm|m)\b/);
});

test('it is said of all, of a block, of one, and of a treatment only where the key is open', () => {
  const ids = (which: string, isOpen = true) => {
    const found = read({ which, plants: '1' }, isOpen);
    return found.ok ? found.value.unitIds : [];
  };
  expect(ids('all')).toEqual(['u1', 'u2', 'u3']);
  expect(ids('block:b1')).toEqual(['u1', 'u2']);
  expect(ids('unit:u3')).toEqual(['u3']);
  expect(ids('treatment:t1')).toEqual(['u1', 'u3']);
  expect(ids('treatment:t1', false)).toEqual([]);
});

test('a change leaves the rest, and nothing said is nothing', () => {
  const once = builtAfter(null, { plants: 2, container: 'sack' });
  expect(builtAfter(once, { areaM2: 1 })).toMatchObject({
    plants: 2,
    container: 'sack',
    areaM2: 1,
  });
  expect(builtAfter(once, { plants: null, container: '' })).toBeNull();
});
