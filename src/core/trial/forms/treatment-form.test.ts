import fc from 'fast-check';
import { v7 } from 'uuid';
import { crossedCells, readDoses, readTreatments, TreatmentsForm } from './treatment-form';

const EMPTY = TreatmentsForm.parse({ treatments: [], control: 0 });
const read = (changes: Partial<TreatmentsForm>) =>
  readTreatments({ ...EMPTY, ...changes }, 'pot', v7);
const troublesOf = (changes: Partial<TreatmentsForm>): readonly string[] => {
  const found = read(changes);
  return found.ok ? [] : Object.keys(found.trouble);
};
const named = (...names: readonly string[]): TreatmentsForm['treatments'] =>
  names.map(name => ({ name, detail: '', controlKind: '' }));

describe('separate treatments', () => {
  test('the control keeps its place, references are told from what is tested', () => {
    const found = read({
      treatments: [
        { name: 'usual', detail: '', controlKind: 'usual' },
        { name: 'water', detail: '', controlKind: 'carrier' },
        { name: 'feed', detail: 'Weekly.', controlKind: '' },
      ],
      control: 1,
    });
    expect(
      found.ok &&
        found.value.treatments.map(({ name, role, controlKind, letter, detail }) => ({
          name,
          role,
          controlKind,
          letter,
          detail,
        })),
    ).toEqual([
      { name: 'usual', role: 'reference', controlKind: 'usual', letter: 'A', detail: '' },
      { name: 'water', role: 'control', controlKind: 'carrier', letter: 'B', detail: '' },
      { name: 'feed', role: 'test', controlKind: null, letter: 'C', detail: 'Weekly.' },
    ]);
  });

  test.each([
    [named('a'), ['treatments']],
    [named('a', ''), ['treatments.1.name']],
    [named('Tea', 'tea '.trim()), ['treatments.1.name']],
  ])('trouble %#', (treatments, fields) => {
    expect(troublesOf({ treatments })).toEqual(fields);
  });

  test('a control that is not among them', () => {
    expect(troublesOf({ treatments: named('a', 'b'), control: 5 })).toEqual(['control']);
  });
});

describe('crossed', () => {
  const factors = [
    { name: 'soil', levels: ['loam', 'bark'] },
    { name: 'feed', levels: ['none', 'fed', ''] },
  ];

  test('every combination, the first levels being the control; empty levels are passed over', () => {
    const found = read({ made: 'crossed', factors });
    expect(
      found.ok && found.value.treatments.map(treatment => [treatment.name, treatment.role]),
    ).toEqual([
      ['loam, none', 'control'],
      ['loam, fed', 'test'],
      ['bark, none', 'test'],
      ['bark, fed', 'test'],
    ]);
    expect(found.ok && found.value.factors.map(factor => factor.levels)).toEqual([
      ['loam', 'bark'],
      ['none', 'fed'],
    ]);
  });

  test('as many cells as the product of the levels, each once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 3 }),
        counts => {
          const cells = crossedCells(
            counts.map((count, f) => ({
              name: `f${f}`,
              levels: Array.from({ length: count }, (_, l) => `l${f}${l}`),
            })),
          );
          expect(new Set(cells.map(cell => cell.name)).size).toBe(
            counts.reduce((product, count) => product * count, 1),
          );
        },
      ),
    );
  });

  test.each([
    ['one factor', { factors: factors.slice(0, 1) }, 'factors'],
    ['no name', { factors: [{ name: '', levels: ['a', 'b'] }, ...factors] }, 'factors.0.name'],
    ['one level', { factors: [{ name: 'x', levels: ['a'] }, ...factors] }, 'factors.0.levels'],
    [
      'the same factor twice',
      { factors: [...factors, { name: 'Soil', levels: ['a', 'b'] }] },
      'factors.2.name',
    ],
    [
      'the same level twice',
      { factors: [{ name: 'x', levels: ['a', 'A'] }, ...factors] },
      'factors.0.levels',
    ],
    ['the control not grown', { factors, emptyCells: ['loam, none'] }, 'factors'],
    ['a level grown nowhere', { factors, emptyCells: ['bark, none', 'bark, fed'] }, 'factors'],
    [
      'too many cells',
      { factors: [{ name: 'x', levels: ['a', 'b', 'c', 'd'] }, ...factors] },
      'factors',
    ],
  ])('%s', (_, changes, field) => {
    expect(troublesOf({ made: 'crossed', ...changes })).toContain(field);
  });
});

describe('a series of doses', () => {
  test('lowest first, zero being nothing at all', () => {
    const found = read({ made: 'series', series: { name: 'depth', unit: 'cm', doses: '5 0 2.5' } });
    expect(
      found.ok &&
        found.value.treatments.map(({ name, dose, role, controlKind }) => ({
          name,
          dose,
          role,
          controlKind,
        })),
    ).toEqual([
      { name: '0 cm', dose: 0, role: 'control', controlKind: 'nothing' },
      { name: '2.5 cm', dose: 2.5, role: 'test', controlKind: null },
      { name: '5 cm', dose: 5, role: 'test', controlKind: null },
    ]);
  });

  test.each([
    ['0 2,5 5', [0, 2.5, 5]],
    ['0, 5, 10', [0, 5, 10]],
    ['0;5;10', [0, 5, 10]],
    ['  10\n0 5 ', [0, 5, 10]],
  ])('%j', (written, doses) => {
    expect(readDoses(written)).toEqual({ ok: true, value: doses });
  });

  test.each([
    ['0 5', 'at least three'],
    ['0 5 5 10', 'twice'],
    ['0 five 10', '“five”'],
    ['0 -5 10', '“-5”'],
    ['0 1 2 3 4 5 6 7 8 9 10 11 12', 'At most 12'],
    ['', 'at least three'],
  ])('%j is no series', (written, sentence) => {
    const found = readDoses(written);
    expect(found.ok ? '' : found.trouble).toContain(sentence);
  });

  test('what is listed is read back, in order, whatever stands between', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 500 }), { minLength: 3, maxLength: 8 }),
        fc.constantFrom(' ', '; ', ', ', '\n'),
        (doses, between) => {
          expect(readDoses(doses.join(between))).toEqual({
            ok: true,
            value: [...doses].sort((a, b) => a - b),
          });
        },
      ),
    );
  });

  test('a series without a name', () => {
    expect(troublesOf({ made: 'series', series: { name: '', unit: '', doses: '0 1 2' } })).toEqual([
      'series.name',
    ]);
  });
});
