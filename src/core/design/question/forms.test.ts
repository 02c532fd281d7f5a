import fc from 'fast-check';
import { v7 } from 'uuid';
import { readBench } from '@/core/design/layouts/bench-form';
import { BLANK_OWN, OWN_KEY } from '@/core/measure/library/own-fields';
import { addDays, daysBetween, GardenDay } from '@/core/time/garden-day';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { readPick } from '@/core/trial/forms/pick-form';
import { comparedAct } from './compared-act';
import { readQuestion } from './question-form';
import { USUAL_RULES } from './question-shape';

const HOSTILE = [
  '',
  '   ',
  '<script>alert(1)</script>',
  'x'.repeat(10_000),
  '1900-01-01',
  '-5',
  '1e99',
  'NaN',
  '٣',
  "'; drop table picks; --",
] as const;

describe('a question', () => {
  const good = {
    question: 'Does a feed bring more beans?',
    crop: 'dwarf beans',
    picked: 'beans',
    unitWord: 'pot',
    startsOn: '2026-05-01',
    endsOn: '2026-08-01',
    treatments: [{ name: 'plain water' }, { name: 'Heronsgill feed' }],
    control: 0,
    summary: 'sound-weight',
    better: 'higher',
    marginKind: 'percent',
    margin: '15',
  } as const;
  const troublesOf = (changes: Readonly<Record<string, unknown>>) => {
    const read = readQuestion({ ...good, ...changes }, 'uk', v7);
    return read.ok ? {} : read.trouble;
  };

  test('makes lettered treatments, one control, one main measure, and the others beside it', () => {
    const read = readQuestion({ ...good, control: 1 }, 'uk', v7);
    if (!read.ok) throw new Error(JSON.stringify(read.trouble));
    expect(read.value.treatments.map(({ letter, role }) => [letter, role])).toEqual([
      ['A', 'test'],
      ['B', 'control'],
    ]);
    expect(
      read.value.measures
        .filter(measure => measure.isMain)
        .map(measure => [measure.summary, measure.response, measure.margin]),
    ).toEqual([['sound-weight', 'beans', { kind: 'percent', percent: 15 }]]);
    expect(read.value.measures).toHaveLength(4);
  });

  test('what is compared is kept as it was chosen, whatever it began from; else it goes by the pattern', () => {
    const read = readQuestion({ ...good, act: 'mulch', pattern: 'which-remedy' }, 'uk', v7);
    if (!read.ok) throw new Error(JSON.stringify(read.trouble));
    const { rules, pattern } = read.value.facts;
    expect(comparedAct({ rules, pattern })).toBe('mulch');
    expect(comparedAct({ rules: { ...rules, act: '' }, pattern: 'which-remedy' })).toBe('remedy');
    expect(comparedAct({ rules: { ...rules, act: '' }, pattern: null })).toBe('feed');
  });

  test('may be about what is read off the plants: then the harvest stands beside it', () => {
    const read = readQuestion(
      { ...good, summary: 'read', mainKey: 'slugs', better: 'lower' },
      'uk',
      v7,
    );
    if (!read.ok) throw new Error(JSON.stringify(read.trouble));
    expect(read.value.measures.filter(measure => measure.isMain)).toMatchObject([
      {
        name: 'Slugs found',
        better: 'lower',
        scale: { kind: 'count' },
        margin: { kind: 'percent', percent: 15 },
      },
    ]);
    expect(
      read.value.measures.filter(measure => !measure.isMain).map(measure => measure.summary),
    ).toEqual(['sound-weight', 'sound-count', 'mean-piece-weight', 'total-weight']);
    expect(troublesOf({ summary: 'read' })).toEqual({ mainKey: 'Choose what is read.' });
    expect(troublesOf({ summary: 'read', mainKey: 'ph', marginKind: 'any' })).toEqual({});
    expect(troublesOf({ summary: 'read', mainKey: 'want' }).mainKey).toBeDefined(); // kinds without order
  });

  test('may be about a measure of one’s own, with how its days and parts are put together', () => {
    const own = {
      ...BLANK_OWN,
      name: 'Tendrils',
      definition: 'Tendrils over 1 cm that hold on to something.',
      scale: 'count',
      parts: '5',
      partsAre: 'added',
      days: 'on-day',
      onDay: '30',
    };
    const read = readQuestion({ ...good, summary: 'read', mainKey: OWN_KEY, own }, 'uk', v7);
    if (!read.ok) throw new Error(JSON.stringify(read.trouble));
    expect(read.value.measures[0]).toMatchObject({
      name: 'Tendrils',
      summary: 'reading-on-day',
      onDay: 30,
      parts: 5,
      partsAre: 'added',
      isMain: true,
      kindKey: null,
      margin: { kind: 'percent', percent: 15 },
    });
    const wrong = (changes: Readonly<Record<string, unknown>>) =>
      troublesOf({ summary: 'read', mainKey: OWN_KEY, own: { ...own, ...changes } });
    expect(wrong({ onDay: 'June' })).toEqual({ 'own.onDay': expect.stringContaining('0 to 1100') });
    expect(wrong({ name: ' ' })).toEqual({ 'own.name': 'Give it a name.' });
    expect(wrong({ scale: 'rank' })).toEqual({ 'own.scale': expect.any(String) });
    expect(wrong({ scale: 'ordinal', steps: 'one' })).toEqual({ 'own.steps': expect.any(String) });
  });

  test.each([
    ['slugs', '3', 3],
    ['slugs', '0', undefined],
    ['height', '20 mm', 20],
    ['height', '20', 20],
    ['height', 'tall', undefined],
    ['holed-leaves', '10', 0.1],
    ['first-flower', '2', 2],
    ['vigour', '1', 1],
    ['tuber-mass', '50 g', 50],
    ['tuber-mass', '50', undefined],
    ['leaf-missing', '12%', 12],
    ['leaf-missing', '12 %', 12],
    ['leaf-missing', '12', 12],
  ])('of %s an amount of %s is worth having: %s', (mainKey, margin, amount) => {
    const read = readQuestion(
      { ...good, summary: 'read', mainKey, marginKind: 'amount', margin },
      'uk',
      v7,
    );
    expect(read.ok ? read.value.measures[0]?.margin : undefined).toEqual(
      amount === undefined ? undefined : { kind: 'absolute', amount },
    );
  });

  test.each([
    [{ treatments: [{ name: 'plain water' }] }, 'treatments', 'Compare at least two treatments'],
    [
      { treatments: [{ name: 'plain water' }, { name: ' Plain Water ' }] },
      'treatments.1.name',
      'There is a “Plain Water” already',
    ],
    [
      { treatments: [{ name: 'plain water' }, { name: '' }] },
      'treatments.1.name',
      'Give this treatment a name',
    ],
    [
      { treatments: Array.from({ length: 13 }, (_, i) => ({ name: `feed ${i}` })) },
      'treatments',
      'At most twelve',
    ],
    [{ control: 5 }, 'control', 'Mark one of the treatments'],
    [{ endsOn: '2026-04-01' }, 'endsOn', 'after the start'],
    [{ endsOn: '2036-04-01' }, 'endsOn', 'more than three years'],
    [{ startsOn: '1900-05-01' }, 'startsOn', '1900-05-01 is long past'],
    [{ startsOn: '2026-02-30' }, 'startsOn', 'not a date'],
    [{ margin: '0' }, 'margin', 'above zero'],
    [{ margin: 'a lot' }, 'margin', 'above zero'],
    [{ margin: '5000' }, 'margin', 'More than 1000%'],
    [{ marginKind: 'amount', margin: '50' }, 'margin', 'has no unit'],
    [{ marginKind: 'amount', margin: '2 pints' }, 'margin', 'mass is wanted'],
    [{ unitWord: '<b>' }, 'unitWord', 'Letters only'],
    [
      { rules: { ...USUAL_RULES, askedOne: 'plain water' } },
      'rules.askedOne',
      'each on one side only',
    ],
    [
      { rules: { ...USUAL_RULES, askedOne: 'plain water', askedOther: 'plain water' } },
      'rules.askedOne',
      'each on one side only',
    ],
    [
      {
        rules: {
          ...USUAL_RULES,
          askedOne: 'plain water',
          askedOther: 'feed',
          askedOtherWith: ['plain water'],
        },
      },
      'rules.askedOne',
      'each on one side only',
    ],
    [
      { rules: { ...USUAL_RULES, askedOne: 'plain water', askedOther: 'no such feed' } },
      'rules.askedOne',
      'each on one side only',
    ],
  ])('trouble %j', (changes, field, sentence) => {
    expect(troublesOf(changes)[field]).toContain(sentence);
  });

  test('an amount worth having is kept in grams; none is any difference', () => {
    const read = readQuestion({ ...good, marginKind: 'amount', margin: '2 oz' }, 'uk', v7);
    expect(read.ok && read.value.measures[0]?.margin).toEqual({
      kind: 'absolute',
      amount: 56.69904625,
    });
    const any = readQuestion({ ...good, marginKind: 'any', margin: '' }, 'uk', v7);
    expect(any.ok && any.value.measures[0]?.margin).toBeNull();
  });

  test('whatever comes, the answer is a question or sentences, never a throw', () => {
    fc.assert(
      fc.property(fc.anything(), input => {
        const read = readQuestion(input, 'us', v7);
        expect(read.ok || Object.values(read.trouble).every(sentence => sentence.length > 0)).toBe(
          true,
        );
      }),
    );
  });
});

describe('a bench', () => {
  const good = {
    kind: 'complete-blocks',
    unitsEach: '1',
    blockCount: '6',
    blockWord: 'shelf',
    unitWidth: '25 cm',
    isBlind: true,
  };
  const read = (
    changes: Readonly<Record<string, unknown>>,
    treatments = trialFixture({ treatments: 4 }).treatments,
  ) => readBench({ ...good, ...changes }, 'uk', treatments);

  test('units of each count over all blocks, and a bare width is in cm or inches', () => {
    expect(read({ unitsEach: '2' })).toMatchObject({
      ok: true,
      value: { each: 2, blockCount: 6, unitWidthMm: 250, unitDepthMm: 250 },
    });
    expect(read({ unitWidth: '30' })).toMatchObject({ ok: true, value: { unitWidthMm: 300 } });
    expect(readBench({ ...good, unitWidth: '10' }, 'us', trialFixture().treatments)).toMatchObject({
      ok: true,
      value: { unitWidthMm: 254 },
    });
  });

  test('a line that another kind of layout asked, and that does not show any more, keeps nothing back', () => {
    const left = { blockCount: '1', blockWord: '', perBlock: '', wholeWord: '', columnWord: '' };
    expect(read({ ...left, kind: 'complete-randomisation' })).toMatchObject({ ok: true });
    expect(read({ ...left, kind: 'pairs' }, trialFixture().treatments)).toMatchObject({
      ok: false,
      trouble: { blockCount: expect.any(String), blockWord: expect.any(String) },
    });
    expect(
      read(
        { kind: 'pairs', blockCount: '4', unitsEach: '0', benches: '1' },
        trialFixture().treatments,
      ),
    ).toMatchObject({ ok: true, value: { blockCount: 4 } });
  });
  test.each([
    [{ unitsEach: '0' }, 'unitsEach'],
    [{ unitsEach: '61' }, 'unitsEach'],
    [{ unitsEach: '20' }, 'unitsEach'],
    [{ blockCount: '1' }, 'blockCount'],
    [{ benches: '7' }, 'benches'],
    [{ benches: '0' }, 'benches'],
    [{ unitWidth: '1 mm' }, 'unitWidth'],
    [{ unitWidth: '2 kg' }, 'unitWidth'],
    [{ blockWord: '' }, 'blockWord'],
  ])('trouble %j', (changes, field) => {
    const found = read(changes);
    expect(found.ok ? {} : found.trouble).toHaveProperty([field]);
  });

  test.each(HOSTILE)('hostile width %#', width => {
    expect(read({ unitWidth: width }).ok).toBe(false);
  });
});

describe('a pick', () => {
  const trial = trialFixture();
  const weight = trial.measures[0];
  const count = trial.measures.find(measure => measure.summary === 'sound-count');
  if (!weight || !count) throw new Error('the fixture must have both measures');
  const good = {
    id: v7(),
    unitId: trial.units[0]?.id,
    supersedes: null,
    pickedOn: '2026-07-01',
    outcome: 'picked',
    pieces: '',
    gross: '397',
    tare: '184 g',
    grade: 'sound',
    cullReason: null,
    note: '',
  };
  const read = (
    changes: Readonly<Record<string, unknown>>,
    mainMeasure = weight,
    system: 'uk' | 'us' = 'uk',
  ) =>
    readPick(
      { ...good, ...changes },
      {
        system,
        today: '2026-07-15',
        startsOn: '2026-05-01',
        mainMeasure,
        now: '2026-07-15T10:00:00.000Z',
      },
    );
  const troubleAt = (
    field: string,
    changes: Readonly<Record<string, unknown>>,
    mainMeasure = weight,
  ): string => {
    const found = read(changes, mainMeasure);
    return found.ok ? 'no trouble' : (found.trouble[field] ?? JSON.stringify(found.trouble));
  };

  test('net is gross less tare, and what was written stays', () => {
    expect(read({})).toMatchObject({
      ok: true,
      value: { grossG: 397, tareG: 184, netG: 213, asWritten: '397' },
    });
    expect(read({ gross: '1 lb 2 oz', tare: '' })).toMatchObject({
      ok: true,
      value: { tareG: 0, asWritten: '1 lb 2 oz' },
    });
    expect(read({ gross: '413 g + 1.2 kg+398', tare: '184 + 184 g + 0.2 kg' })).toMatchObject({
      ok: true,
      value: { grossG: 2011, tareG: 568, netG: 1443, asWritten: '413 g + 1.2 kg+398' },
    });
    expect(read({ gross: '413 g + tray', tare: '' })).toMatchObject({
      ok: false,
      trouble: { gross: expect.any(String) },
    });
    expect(
      read({ gross: Array.from({ length: 21 }, () => '1 g').join('+'), tare: '' }),
    ).toMatchObject({ ok: false, trouble: { gross: expect.stringContaining('20 loads') } });
    expect(read({ gross: '10', tare: '' }, weight, 'us')).toMatchObject({
      ok: true,
      value: { grossG: 283.49523125 },
    });
  });

  test.each([
    ['gross', { gross: '' }, 'What does the scale show?'],
    ['gross', { gross: '100' }, 'less than the empty container'],
    ['gross', { gross: '1000000 kg' }, 'more than any pot or bed gives'],
    ['gross', { gross: '-3' }, 'below zero'],
    ['gross', { gross: '2,5o' }, ''],
    ['pieces', { pieces: '1.5' }, 'not a whole number'],
    ['pieces', { pieces: '-2' }, 'can’t be below zero'],
    ['pieces', { pieces: '0' }, 'nothing to pick'],
    ['pieces', { pieces: '999999999' }, 'At most 100000'],
    ['pickedOn', { pickedOn: '2026-07-16' }, 'still to come'],
    ['pickedOn', { pickedOn: '2026-04-30' }, 'before the trial began'],
    ['pickedOn', { pickedOn: 'yesterday' }, 'not a date'],
    ['cullReason', { grade: 'cull' }, 'Say why'],
    ['note', { note: 'x'.repeat(2001) }, 'at most 2000'],
  ])('%s, %j', (field, changes, sentence) => {
    expect(troubleAt(field, changes)).toContain(sentence);
    expect(troubleAt(field, changes)).not.toBe('no trouble');
  });

  test.each(HOSTILE)('hostile weight %#', gross => {
    expect(read({ gross }).ok).toBe(false);
  });

  test('a trial that counts wants a count', () => {
    expect(troubleAt('pieces', { pieces: '' }, count)).toContain('How many pieces?');
    expect(read({ pieces: '31', gross: '' }, count)).toMatchObject({
      ok: true,
      value: { pieces: 31, netG: null },
    });
  });

  test('what was not picked has neither weight nor grade', () => {
    expect(read({ outcome: 'dead', gross: '999', grade: 'cull', cullReason: 'rot' })).toMatchObject(
      { ok: true, value: { netG: null, tareG: 0, grade: 'sound', cullReason: null } },
    );
  });
});

test('days count over months, leap years and back', () => {
  expect(daysBetween('2024-02-28', '2024-03-01')).toBe(2);
  fc.assert(
    fc.property(
      fc.integer({ min: -5000, max: 5000 }),
      days => daysBetween('2026-05-03', addDays('2026-05-03', days)) === days,
    ),
  );
});

test.each(['1989-12-31', '0001-01-01', '2026-13-01', '3 May'])('%s is no day in a garden', day => {
  expect(GardenDay.safeParse(day).success).toBe(false);
});
