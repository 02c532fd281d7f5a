import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { z } from 'zod';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { TrialData } from '@/core/trial/model/trial-data';
import { bundledCli } from './cli-fixture';

const CLI = bundledCli('turnspit-cli');

function turnspit(...args: readonly string[]) {
  return CLI.run(args);
}

const Shape = z.object({
  design: z.object({ units: z.literal(30), treatments: z.literal(3) }),
  anova: z.array(z.object({ term: z.string(), df: z.number(), ss: z.number() })),
  contrasts: z.array(
    z.object({
      treatment: z.string(),
      estimable: z.boolean(),
      pAdjusted: z.number(),
      shufflePAdjusted: z.number(),
      call: z.string(),
    }),
  ),
  letters: z.record(z.string(), z.string()),
  verdict: z.object({
    call: z.string(),
    best: z.null(),
    mayHoldTheBest: z.array(z.string()),
    sentence: z.string(),
  }),
});

test('judge prints the documented shape', () => {
  const ran = turnspit(
    'judge',
    'reference/data/plant-growth.csv',
    '--response',
    'weight',
    '--treatment',
    'group',
    '--control',
    'ctrl',
    '--json',
  );
  expect(ran.status).toBe(0);
  const printed = Shape.parse(JSON.parse(ran.stdout));
  expect(printed.letters).toEqual({ trt2: 'a', ctrl: 'ab', trt1: 'b' });
  expect(printed.verdict).toMatchObject({ call: 'cant-tell', mayHoldTheBest: ['ctrl', 'trt2'] });
});

test('a spreadsheet is judged as the same table in CSV is: to the last figure', () => {
  const judged = (file: string): string =>
    turnspit(
      ...['judge', `reference/data/${file}`, '--response', 'weight', '--treatment', 'group'],
      ...['--control', 'ctrl', '--shuffles', '200', '--json'],
    ).stdout;
  const csv = judged('plant-growth.csv');
  expect(csv).toContain('"verdict"');
  // Both written by LibreOffice 7.4 from the CSV file.
  expect(judged('plant-growth.ods')).toBe(csv);
  expect(judged('plant-growth.xlsx')).toBe(csv);
});

test('a trial goes out of one garden and into another, and a garden into a folder and back', () => {
  const folder = mkdtempSync(join(tmpdir(), 'turnspit-cli-'));
  const inGarden = (name: string, ...args: readonly string[]) =>
    CLI.run(args, { TURNSPIT_DATA: join(folder, name, 'garden.sqlite') });
  const file = join(folder, 'trial.json');
  const data = trialFixture({ treatments: 2 });
  writeFileSync(file, JSON.stringify(data));
  const { question, id } = data.trial;
  expect(inGarden('one', 'import', file).stdout).toBe(`Taken in: ${question}\n`);
  expect(inGarden('one', 'import', file)).toMatchObject({
    status: 2,
    stderr: `${file}: “${question}” is in this garden already.\n`,
  });
  expect(
    TrialData.parse(JSON.parse(inGarden('one', 'export', question.slice(3, 12)).stdout)).trial.id,
  ).toBe(id);
  expect(inGarden('one', 'backup', join(folder, 'copy')).status).toBe(0);
  expect(JSON.parse(inGarden('two', 'restore', join(folder, 'copy'), '--json').stdout)).toEqual({
    movedAside: null,
  });
  expect(JSON.parse(inGarden('two', 'export', '--json').stdout)).toMatchObject([{ id, question }]);
  expect(inGarden('two', 'export', 'no such words')).toMatchObject({
    status: 2,
    stderr: 'No trial is “no such words”. turnspit export lists them.\n',
  });
}, 60_000);

test('quantity prints an amount', () => {
  expect(turnspit('quantity', '5 lb 12.7 oz', '--to', 'g', '--json').stdout).toBe(
    '{"value":2628.0007936875,"unit":"g"}\n',
  );
});

test('a file that is no table, and an option that is none, end with 2 and one line', () => {
  const file = join(mkdtempSync(join(tmpdir(), 'turnspit-')), 'broken.csv');
  writeFileSync(file, 'feed,weight\nnone,1\na,2\na,heavy\n');
  for (const args of [
    [file, '--response', 'weight', '--treatment', 'feed', '--control', 'none'],
    [file, '--nonsense'],
    ['missing.csv', '--response', 'x'],
  ]) {
    const ran = turnspit('judge', ...args);
    expect(ran.status).toBe(2);
    expect(ran.stderr.trim().split('\n')).toHaveLength(1);
  }
  expect(
    turnspit('judge', file, '--response', 'weight', '--treatment', 'feed', '--control', 'none')
      .stderr,
  ).toContain('row 4, column weight: “heavy” can’t be used');
});

test('power prints a chance, or how many units it takes', () => {
  const plan = ['power', '--kind', 't', '--delta', '0.3', '--sd', '0.3', '--json'] as const;
  expect(JSON.parse(turnspit(...plan, '--n', '17').stdout)).toEqual({
    power: expect.closeTo(0.807, 3),
  });
  expect(JSON.parse(turnspit(...plan, '--power', '0.8').stdout)).toEqual({
    n: 17,
    power: expect.closeTo(0.807, 3),
  });
  expect(
    turnspit('power', '--kind', 'dunnett', '--n', '4', '--delta', '1', '--sd', '1').stderr,
  ).toBe('--groups is missing: a whole number from 2 to 40.\n');
});

test('judge takes a Latin square and a split plot', () => {
  const latin = turnspit(
    'judge',
    'reference/data/orchard-sprays.csv',
    '--response',
    'decrease',
    '--treatment',
    'treatment',
    '--control',
    'H',
    '--block',
    'rowpos',
    '--block',
    'colpos',
    '--shuffles',
    '200',
    '--json',
  );
  expect(JSON.parse(latin.stdout)).toMatchObject({
    design: { kind: 'latin-square' },
    shuffle: { exact: false, arrangements: 200 },
  });
  const split = turnspit(
    'judge',
    'reference/data/oats.csv',
    '--response',
    'Y',
    '--factor',
    'V',
    '--factor',
    'N',
    '--block',
    'B',
    '--whole',
    'V',
    '--shuffles',
    '200',
    '--json',
  );
  expect(JSON.parse(split.stdout)).toMatchObject({
    design: { kind: 'split-plot' },
    anova: [
      { term: 'B' },
      { term: 'V' },
      { term: 'whole plots' },
      { term: 'N' },
      { term: 'V:N' },
      { term: 'residual' },
    ],
  });
});

describe('the shed’s arithmetic', () => {
  const json = (...args: readonly string[]): unknown =>
    JSON.parse(turnspit(...args, '--json').stdout);
  test.each([
    [
      ['dose', '--label', '20 ml per 4.5 l', '--strength', '0.5', '--volume', '0.5 l'],
      { productMl: expect.closeTo(1.1111, 4) },
    ],
    [
      ['dose', '--label', '70-80 g per square metre', '--take', 'low', '--area', '0.0707 m2'],
      { productG: expect.closeTo(4.949, 3) },
    ],
    [
      ['dose', '--label', '1 lb N per 1000 sq ft', '--grade', '10-5-5', '--area', '50 sq ft'],
      { productG: expect.closeTo(226.796, 3) },
    ],
    [
      ['dose', '--label', '20 ml in 4 l for 3 plants', '--plants', '3'],
      { productMl: expect.closeTo(20, 9) },
    ],
    [
      ['dose', '--label', '3 tbsp per 12 in pot', '--pot', '12 in'],
      { productMl: expect.closeTo(44.36, 2), system: 'us' },
    ],
    [
      ['dose', '--label', '4.5 handfuls (30 g) per 20 plants', '--plants', '4'],
      { productG: expect.closeTo(27, 9) },
    ],
    [
      ['dose', '--label', '1 tbsp per gallon, weekly', '--volume', '2 l'],
      { productMl: expect.closeTo(7.8125, 9), everyDays: 7, system: 'us' },
    ],
    [
      [
        'nutrients',
        '--grade',
        '12-4-8',
        '--basis',
        'oxide',
        '--amount',
        '44 ml',
        '--density',
        '1.0',
      ],
      {
        nG: expect.closeTo(5.28, 9),
        p2o5G: expect.closeTo(1.76, 9),
        k2oG: expect.closeTo(3.52, 9),
        pG: expect.closeTo(0.7681, 4),
        kG: expect.closeTo(2.9221, 3),
      },
    ],
    [
      [
        'equal',
        '--grade-a',
        '12-4-8',
        '--amount-a',
        '3 tbsp',
        '--grade-b',
        '4-6-2',
        '--by',
        'n',
        '--density-a',
        '1',
        '--density-b',
        '1',
        '--system',
        'uk',
      ],
      { amountMl: expect.closeTo(135, 9), amountG: expect.closeTo(135, 9) },
    ],
    [
      ['depth', '--length', '36 in', '--width', '36 in', '--depth', '3 in', '--bag', '1.5 cu ft'],
      { volumeL: expect.closeTo(63.713, 3), bags: 2, bagsExact: expect.closeTo(1.5, 9) },
    ],
    [
      ['dilute', '--stock', '3', '--add', '6 tbsp', '--to', '1 gal', '--system', 'us'],
      {
        percentAddedTo: expect.closeTo(0.0687, 4),
        percentMadeUpTo: expect.closeTo(0.0703, 4),
        mlPerL: expect.closeTo(23.4375, 4),
      },
    ],
    [
      [
        'eto',
        '--method',
        'fao56',
        '--lat',
        '50.8',
        '--day',
        '187',
        '--tmax',
        '21.5',
        '--tmin',
        '12.3',
        '--altitude',
        '100',
        '--rhmax',
        '84',
        '--rhmin',
        '63',
        '--wind',
        '2.78',
        '--wind-height',
        '10',
        '--sun',
        '9.25',
      ],
      { etoMm: expect.closeTo(3.88, 2) },
    ],
    [
      [
        'gdd',
        '--base',
        '10',
        '--upper',
        '30',
        '--method',
        'capped',
        '--tmax',
        '22,18',
        '--tmin',
        '12,6',
      ],
      { daily: [7, 4], total: 11 },
    ],
  ])('%j', (args, printed) => {
    expect(json(...args)).toEqual(printed);
  });

  test.each([
    [['dose', '--label', '3 to 1', '--volume', '1 l'], 'Say which'],
    [['dose', '--label', '20 ml per gallon', '--volume', '1 l'], 'differ'],
    [['dose', '--label', '20 ml per litre'], '--volume'],
    [['nutrients', '--grade', '60-30-20', '--amount', '5 g'], '110%'],
    [['nutrients', '--grade', '5-5-5', '--amount', '5 ml'], '--density'],
    [
      ['equal', '--grade-a', '0-5-5', '--amount-a', '5 g', '--grade-b', '4-6-2', '--by', 'n'],
      'A holds no N',
    ],
    [['depth', '--length', '1 m', '--width', '1 kg', '--depth', '3 cm'], '--width'],
    [['dilute', '--stock', '130', '--add', '6 ml', '--to', '1 l'], '--stock'],
    [['eto', '--lat', '50', '--day', '400', '--tmax', '20', '--tmin', '10'], '--day'],
    [['eto', '--lat', '50', '--day', '180', '--tmax', '10', '--tmin', '20'], 'above'],
    [['gdd', '--base', '10', '--tmax', '20,21', '--tmin', '10'], '2 days'],
    [['gdd', '--base', '10', '--tmax', 'warm', '--tmin', '10'], '--tmax'],
  ])('%j ends with 2 and one line', (args, words) => {
    const ran = turnspit(...args);
    expect([ran.status, ran.stderr.trim().split('\n').length]).toEqual([2, 1]);
    expect(ran.stderr).toContain(words);
  });
});

describe('judging by kind, and the sums beside it', () => {
  const json = (...args: readonly string[]): unknown =>
    JSON.parse(turnspit(...args, '--json').stdout);
  const file = (text: string): string => {
    const path = join(mkdtempSync(join(tmpdir(), 'turnspit-')), 'table.csv');
    writeFileSync(path, text);
    return path;
  };
  test('every kind names its method', () => {
    const table = file(
      't,k,n,score,days,came\na,18,20,1,3,1\na,17,20,2,4,1\na,19,20,1,5,1\na,16,20,2,4,1\nb,12,20,4,9,1\nb,11,20,3,8,0\nb,10,20,4,9,0\nb,14,20,4,7,1\n',
    );
    const methodOf = (...args: readonly string[]): unknown =>
      json('judge', table, '--treatment', 't', '--control', 'a', ...args);
    expect(methodOf('--kind', 'count', '--response', 'k')).toMatchObject({
      contrasts: [{ treatment: 'b', method: 'quasi-poisson' }],
    });
    expect(methodOf('--kind', 'proportion', '--response', 'k', '--out-of', 'n')).toMatchObject({
      groups: [
        { k: 70, of: 80 },
        { k: 47, of: 80 },
      ],
      contrasts: [
        {
          method: 'shares-of-units',
          difference: expect.closeTo(-23 / 80, 9),
          effect: { what: 'odds-ratio', value: expect.closeTo((47 / 33) * (10 / 70), 6) },
        },
      ],
    });
    expect(methodOf('--kind', 'ordinal', '--response', 'score')).toMatchObject({
      contrasts: [{ method: 'aligned-ranks', shuffleP: expect.closeTo(2 / 70, 9), call: 'better' }],
    });
    expect(
      methodOf('--kind', 'time', '--response', 'days', '--event', 'came', '--better', 'lower'),
    ).toMatchObject({ contrasts: [{ method: 'restricted-mean-wait', call: 'worse' }] });
  });
  test('an option that belongs to another kind ends with 2', () => {
    expect(
      turnspit(
        'judge',
        file('t,k\na,1\nb,2\n'),
        '--response',
        'k',
        '--treatment',
        't',
        '--control',
        'a',
        '--kind',
        'count',
        '--event',
        'k',
      ).stderr,
    ).toBe('--event goes with --kind time, not with count.\n');
  });
  test('a column of doses adds its trend and curves', () => {
    const table = file(
      `dose,g\n${[0, 1, 2, 4].flatMap(dose => [9, 10, 11].map(luck => `${dose},${luck + 3 * Math.min(dose, 2)}`)).join('\n')}\n`,
    );
    expect(
      json(
        'judge',
        table,
        '--response',
        'g',
        '--treatment',
        'dose',
        '--control',
        '0',
        '--dose',
        'dose',
      ),
    ).toMatchObject({
      dose: {
        trend: { slope: expect.any(Number) },
        fits: [{ curve: 'plateau', converged: true }, {}, {}, {}],
        levelsOffAt: expect.closeTo(2, 4),
      },
    });
  });
  test.each([
    [
      [
        'efficacy',
        '--method',
        'henderson-tilton',
        '--control-before',
        '300',
        '--control-after',
        '500',
        '--treated-before',
        '290',
        '--treated-after',
        '45',
      ],
      { percent: expect.closeTo(90.6897, 4) },
    ],
    [
      ['germination', '--days', '3,5,7', '--counts', '2,9,4', '--sown', '20'],
      { percent: 75, t50Days: expect.closeTo(4.2222, 4), meanDays: expect.closeTo(5.2667, 4) },
    ],
    [
      ['curve', '--days', '0,7,14,21', '--values', '0,10,30,50'],
      { area: 455, standardised: expect.closeTo(21.6667, 4) },
    ],
    [
      ['fit', 'reference/data/cars.csv', '--x', 'x', '--y', 'y', '--model', 'linear'],
      {
        parameters: { a: expect.closeTo(-17.5791, 4), b: expect.closeTo(3.93241, 5) },
        se: {},
        rss: expect.closeTo(11353.521, 3),
        aicc: expect.closeTo(419.6786, 4),
        converged: true,
      },
    ],
    [
      [
        'combine',
        'reference/data/bcg.csv',
        '--estimate',
        'estimate',
        '--se',
        'se',
        '--method',
        'hk',
      ],
      {
        estimate: expect.closeTo(-0.714532, 6),
        ci: [expect.closeTo(-1.108444, 5), expect.closeTo(-0.320621, 5)],
        tau2: expect.closeTo(0.313243, 5),
        i2: expect.closeTo(92.2214, 3),
        q: expect.closeTo(152.233, 3),
        p: expect.closeTo(0.00192, 5),
      },
    ],
  ])('%j', (args, expected) => {
    expect(json(...args)).toMatchObject(expected);
  });
  test.each([
    [
      ['germination', '--days', '3,5', '--counts', '2,9,4', '--sown', '20'],
      '--counts must hold as many numbers as --days: 2, got 3.',
    ],
    [
      ['germination', '--days', '3', '--counts', '21', '--sown', '20'],
      '21 came up of 20 sown: that can’t be.',
    ],
    [['curve', '--days', '7,0', '--values', '1,2'], '--days must rise, got 7,0.'],
    [
      ['efficacy', '--method', 'abbott', '--control-after', '0', '--treated-after', '1'],
      'There is nothing to divide by: the counts of the untreated must be above 0 (a mortality below 100%).',
    ],
    [
      ['fit', 'reference/data/cars.csv', '--x', 'speed', '--y', 'y', '--model', 'linear'],
      'reference/data/cars.csv: there is no column “speed”. Its columns are x, y.',
    ],
    [['check', 'reference/data/cars.csv'], 'reference/data/cars.csv can’t be read as JSON.'],
  ])('%j ends with 2 and says why', (args, says) => {
    const ran = turnspit(...args);
    expect([ran.status, ran.stderr.trim()]).toEqual([2, says]);
  });
});

describe('two treatments that were agreed on', () => {
  const table = (): string => {
    const path = join(mkdtempSync(join(tmpdir(), 'turnspit-')), 'slugs.csv');
    const rows = { none: [9, 12, 10, 11], soap: [4, 5, 3, 4], beer: [8, 9, 10, 9] };
    writeFileSync(
      path,
      ['remedy,slugs']
        .concat(
          Object.entries(rows).flatMap(([remedy, counts]) =>
            counts.map(count => `${remedy},${count}`),
          ),
        )
        .join('\n'),
    );
    return path;
  };
  const judged = (...args: readonly string[]) =>
    turnspit(
      'judge',
      table(),
      ...['--response', 'slugs', '--treatment', 'remedy', '--control', 'none'],
      ...['--kind', 'count', '--better', 'lower', '--json'],
      ...args,
    );

  test('have the headline, and stand among the comparisons', () => {
    const found: unknown = JSON.parse(judged('--compare', 'soap', '--against', 'beer').stdout);
    expect(found).toMatchObject({
      outcome: 'count',
      comparisons: [{ treatment: 'soap', control: 'beer', call: 'better' }],
      unitSets: [{ set: 'all-read', units: 12 }],
      verdict: { sentence: expect.stringMatching(/^Soap gave 56% fewer slugs than beer\./) },
    });
    expect(JSON.parse(judged().stdout)).toMatchObject({ comparisons: [] });
  });

  test('may be several on a side, taken together', () => {
    const args = ['--compare', 'soap', '--compare', 'beer', '--against', 'none'];
    expect(JSON.parse(judged(...args).stdout)).toMatchObject({
      comparisons: [{ treatment: 'soap and beer', control: 'none' }],
      verdict: { sentence: expect.stringMatching(/^Soap and beer gave \d+% fewer slugs than /) },
    });
  });

  test.each([
    [['--compare', 'soap'], '--compare and --against go together'],
    [
      ['--compare', 'soap', '--compare', 'soap', '--against', 'none'],
      '--compare and --against go together',
    ],
    [['--compare', 'soap', '--against', 'soap'], '--compare and --against go together'],
    [['--compare', 'soap', '--against', 'milk'], 'no row has “milk”'],
  ])('%j ends with 2 and one line', (args, words) => {
    const ran = judged(...args);
    expect([ran.status, ran.stderr.trim().split('\n').length]).toEqual([2, 1]);
    expect(ran.stderr).toContain(words);
  });
});
