import fc from 'fast-check';
import { v7 } from 'uuid';
import { READING_KINDS, readingKind, stepPercent } from '@/core/measure/library/reading-library';
import { dayIn } from '@/core/time/time-zone';
import type { Scale } from '@/core/trial/model/scale';
import { readValue, valueWords } from './read-value';
import { readReading } from './reading-form';

const context = (scale: Scale, unit = '') => ({
  measure: { id: v7() as never, scale, unit },
  system: 'uk' as const,
  startsOn: '2026-05-01',
  today: '2026-06-30',
  now: '2026-06-30T10:00:00.000Z',
});
const read = (written: string, scale: Scale, unit = '', outOf = '') =>
  readValue(written, outOf, scale, context(scale, unit));
const height: Scale = { kind: 'continuous', least: 0, most: 6000 };
const firmness: Scale = {
  kind: 'ordinal',
  from: 0,
  steps: ['loose', 'gives', 'firm', 'hard'],
  hasBeyond: false,
};
const probe: Scale = {
  kind: 'ordinal',
  from: 1,
  steps: ['dry', 'moist', 'wet', 'soaked'],
  hasBeyond: true,
};
const lettered: Scale = { ...probe, steps: ['A dry', 'B moist', 'C wet', 'D soaked'] };
const minutes: Scale = { kind: 'continuous', least: 0, most: 1440 };
const days: Scale = { kind: 'days', most: 120 };
const count: Scale = { kind: 'count' };
const share: Scale = { kind: 'proportion', outOf: null };

test.each([
  ['213', height, 'mm', 213],
  ['21.3 cm', height, 'mm', 213],
  ['8 1/2 in', height, 'mm', 215.9],
  ['12,5', height, 'mm', 12.5],
  ['5 lb 12 oz', { kind: 'continuous', least: 0, most: 50_000 } as Scale, 'g', 2608.1561],
  ['1.5 l', { kind: 'continuous', least: 0, most: 1000 } as Scale, 'l', 1.5],
  ['7', { kind: 'count' } as Scale, '', 7],
  ['45%', { kind: 'percent', step: 5 } as Scale, '%', 45],
  ['yes', { kind: 'yes-no' } as Scale, '', 1],
  ['n', { kind: 'yes-no' } as Scale, '', 0],
  ['firm', firmness, '', 2],
  ['2.5', firmness, '', 2.5],
  ['2½', firmness, '', 2.5],
  ['+', probe, '', 5],
  ['<1', probe, '', 0],
  ['earthy', { kind: 'class', classes: ['none', 'earthy'] } as Scale, '', 1],
  ['2026-05-21', { kind: 'date' } as Scale, 'd', 20],
  // As people say them. Common practice, no source.
  ['A', lettered, '', 1],
  ['c', lettered, '', 3],
  ['C', probe, '', 3],
  ['B+', lettered, '', 2.5],
  ['C-', lettered, '', 2.5],
  ['C−', lettered, '', 2.5],
  ['B½', lettered, '', 2.5],
  ['2 and a half', lettered, '', 2.5],
  ['B/C', lettered, '', 2.5],
  ['B to C', lettered, '', 2.5],
  ['between moist and wet', lettered, '', 2.5],
  ['moist', lettered, '', 2],
  ['wet', probe, '', 3],
  ['D+', lettered, '', 5],
  ['4+', probe, '', 5],
  ['beyond', probe, '', 5],
  ['beyond the end', lettered, '', 5],
  ['off the scale', lettered, '', 5],
  ['>4', probe, '', 5],
  ['below', probe, '', 0],
  ['A-', lettered, '', 0],
  ['2-3', probe, '', 2.5],
  ['25', minutes, 'min', 25],
  ['25 min', minutes, 'min', 25],
  ['25 minutes', minutes, 'min', 25],
  ['1 h 10 min', minutes, 'min', 70],
  ['1h10m', minutes, 'min', 70],
  ['1:10', minutes, 'min', 70],
  ['1.5 hours', minutes, 'min', 90],
  ['1½ h', minutes, 'min', 90],
  ['half an hour', minutes, 'min', 30],
  ['an hour and a half', minutes, 'min', 90],
  ['12', days, 'd', 12],
  ['12 days', days, 'd', 12],
  ['2 weeks', days, 'd', 14],
  ['a week', days, 'd', 7],
  ['none', count, '', 0],
  ['seven', count, '', 7],
  ['a dozen', count, '', 12],
  ['2½', { kind: 'continuous', least: 0, most: 14 } as Scale, '', 2.5],
  ['3 1/2', { kind: 'percent', step: 1 } as Scale, '%', 3.5],
  ['5 ft 6 in', height, 'mm', 1676.4],
  [`5' 6"`, height, 'mm', 1676.4],
  ["2'", height, 'mm', 609.6],
  ['none', height, 'mm', 0],
  // C069: gravimetric, of the dry soil (calc).
  ['tare 20, wet 145, dry 120', { kind: 'continuous', least: 0, most: 500 } as Scale, '%', 25],
  ['wet 145 g dry 120 g tin 20 g', { kind: 'continuous', least: 0, most: 500 } as Scale, '%', 25],
])('“%s” is read', (written, scale, unit, value) => {
  expect(read(written, scale, unit)).toEqual({
    ok: true,
    value: { value: expect.closeTo(value, 4), outOf: null },
  });
});

test('so many of so many, in one or in two fields', () => {
  expect([read('none of 6', share), read('all of 6', share), read('all', share, '', '6')]).toEqual([
    { ok: true, value: { value: 0, outOf: 6 } },
    { ok: true, value: { value: 6, outOf: 6 } },
    { ok: true, value: { value: 6, outOf: 6 } },
  ]);
  expect([
    read('5/6', share),
    read('5 of 6', share),
    read('5', share, '', '6'),
    read('5', { kind: 'proportion', outOf: 6 }),
  ]).toEqual(Array.from({ length: 4 }, () => ({ ok: true, value: { value: 5, outOf: 6 } })));
});

test.each([
  ['', height, 'Write a value'],
  ['2,5o', height, 'unit is not known'],
  ['tall', { kind: 'continuous', least: 0, most: 14 } as Scale, 'not a number'],
  ['9999', height, 'From 0 to 6000'],
  ['-3', height, 'From 0 to 6000'],
  ['3 kg', height, ''],
  ['1.5', { kind: 'count' } as Scale, 'not a whole count'],
  ['120', { kind: 'percent', step: 5 } as Scale, 'not a percentage'],
  ['maybe', { kind: 'yes-no' } as Scale, 'Yes or no'],
  ['2.3', firmness, 'no step'],
  ['+', firmness, 'no step'],
  ['7/6', share, 'more than all'],
  ['5', share, 'Of how many'],
  ['2027-01-01', { kind: 'date' } as Scale, 'still to come'],
  ['0', { kind: 'rank' } as Scale, 'not a rank'],
  ['1,250', { kind: 'continuous', least: 0, most: 5000 } as Scale, '1.250 or 1250'],
  [
    'd',
    {
      kind: 'ordinal',
      from: 1,
      steps: ['dust', 'crumbles', 'holds', 'sticky'],
      hasBeyond: false,
    } as Scale,
    'no step',
  ],
  ['3+', firmness, 'no step'],
  ['A/D', lettered, 'no step'],
  ['121', days, 'Write >28'],
  ['1.5', count, 'not a whole'],
  ['soon', minutes, 'not a number'],
  ['all', share, 'All of how many'],
])('“%s” is refused with a sentence', (written, scale, says) => {
  const found = read(written, scale, scale === height ? 'mm' : '');
  expect(found.ok ? 'taken' : Object.values(found.trouble).join()).toContain(says);
});

test('what is shown can be typed again', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 6 }),
      fc.constantFrom<readonly [Scale, string]>(
        [firmness, ''],
        [probe, ''],
        [height, 'mm'],
        [{ kind: 'count' }, ''],
        [{ kind: 'percent', step: 1 }, '%'],
      ),
      (tenths, [scale, unit]) => {
        const value =
          scale.kind === 'ordinal' ? scale.from + Math.min(tenths, scale.steps.length - 1) : tenths;
        const shown = valueWords({ scale, unit }, { value, outOf: null, outcome: 'picked' });
        expect(
          read(scale.kind === 'ordinal' ? (shown.split(' ')[0] ?? '') : shown, scale, unit),
        ).toMatchObject({ ok: true, value: { value } });
      },
    ),
  );
});

describe('looks that gave no value', () => {
  const input = { id: v7(), unitId: v7(), measureId: v7(), takenOn: '2026-06-29' };
  test.each([
    ['>28', days, 'not-yet', 28, null],
    ['28+', days, 'not-yet', 28, null],
    ['not yet after 28 days', days, 'not-yet', 28, null],
    ['more than 28', days, 'not-yet', 28, null],
    ['dead', days, 'dead', null, null],
  ])('“%s” waits so long', (value, scale, outcome, waited, outOf) => {
    expect(readReading({ ...input, value }, context(scale, 'd'))).toMatchObject({
      ok: true,
      value: { outcome, value: waited, outOf },
    });
  });
  test('“not yet” of days that nobody counted is asked back', () => {
    expect(readReading({ ...input, value: 'not yet' }, context(days, 'd'))).toMatchObject({
      ok: false,
      trouble: { value: expect.stringContaining('after how many days') },
    });
  });
  test('nothing found keeps among how many it was looked for', () => {
    const found = readReading(
      { ...input, value: '', outcome: 'nothing-there', outOf: '6' },
      context(share),
    );
    expect(found).toMatchObject({ ok: true, value: { outcome: 'nothing-there', outOf: 6 } });
    if (found.ok) expect(valueWords({ scale: share, unit: '' }, found.value)).toBe('0 of 6');
  });
});

describe('a whole reading', () => {
  const input = { id: v7(), unitId: v7(), measureId: v7(), takenOn: '2026-06-29', value: '213' };
  test('made offline keeps its own instant, unless its clock ran ahead', () => {
    const taken = (takenAt: string) => {
      const found = readReading({ ...input, takenAt }, context(height, 'mm'));
      return found.ok ? found.value.takenAt : '';
    };
    expect([taken('2026-06-29T08:00:00.000Z'), taken('2026-07-09T08:00:00.000Z')]).toEqual([
      '2026-06-29T08:00:00.000Z',
      '2026-06-30T10:00:00.000Z',
    ]);
  });
  test('from a phone whose own day is ahead of the garden’s it is of the garden’s day; a round past midnight keeps its own', () => {
    const inGarden = (takenOn: string, takenAt: string) => {
      const found = readReading(
        { ...input, takenOn, takenAt },
        { ...context(height, 'mm'), dayAt: instant => dayIn(instant, 'America/Los_Angeles') },
      );
      return found.ok ? found.value.takenOn : found.trouble.takenOn;
    };
    // 22:00 of the 29th in Los Angeles, on a phone in Auckland.
    expect(inGarden('2026-06-30', '2026-06-30T05:00:00.000Z')).toBe('2026-06-29');
    // Two in the morning of the 30th, in a round that began on the 29th.
    expect(inGarden('2026-06-29', '2026-06-30T09:00:00.000Z')).toBe('2026-06-29');
    // A clock that is wrong by days is not put right unseen.
    expect(inGarden('2026-07-03', '2026-06-30T05:00:00.000Z')).toContain('still to come');
  });
  test('dead or not looked at needs no value; a day to come is refused', () => {
    expect(
      readReading({ ...input, outcome: 'dead', value: '' }, context(height, 'mm')),
    ).toMatchObject({ ok: true, value: { outcome: 'dead', value: null } });
    expect(readReading({ ...input, takenOn: '2026-07-01' }, context(height, 'mm'))).toMatchObject({
      ok: false,
      trouble: { takenOn: expect.stringContaining('still to come') },
    });
    expect(readReading({ ...input, id: 'x' }, context(height, 'mm')).ok).toBe(false);
  });
});

describe('the library', () => {
  test('holds at least 60 measures, each with one key, a definition and a way to be put down', () => {
    expect(READING_KINDS.length).toBeGreaterThanOrEqual(60);
    expect(new Set(READING_KINDS.map(kind => kind.key)).size).toBe(READING_KINDS.length);
    expect(
      READING_KINDS.filter(
        kind => kind.definition.length < 20 || kind.when === '' || kind.parts < 1,
      ).map(kind => kind.key),
    ).toEqual([]);
  });
  test('C135: half a millimetre on a stem of 3.5 mm is a seventh (calc)', () => {
    expect(stepPercent({ step: 0.5 }, 3.5)).toBeCloseTo(14.29, 2);
    expect(stepPercent({ step: null }, 3.5)).toBeNull();
    expect(readingKind('stem')).toMatchObject({ unit: 'mm', parts: 2, step: 0.1 });
  });
});
