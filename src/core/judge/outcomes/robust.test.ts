import fc from 'fast-check';
import {
  type JudgeInput,
  type Outcome,
  STARTING_GUESS_CV,
} from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { judgementJson } from '@/core/judge/verdict/judgement-json';
import { judgeWithoutShuffle } from './judge';
import type { Call } from './judgement';

const means = (
  values: readonly (readonly (number | null)[])[],
  changes: Partial<JudgeInput> = {},
): JudgeInput => ({
  outcome: 'continuous',
  response: 'beans',
  unitWord: 'pot',
  treatmentName: 'feed',
  treatments: values.map((_, t) => `t${t}`),
  control: 't0',
  blockNames: [],
  units: values.flatMap((own, t) =>
    own.map((value, i) => ({ id: `${t}-${i}`, treatment: `t${t}`, blocks: [], value })),
  ),
  subsamples: values.flat().length,
  better: 'higher',
  margin: null,
  confidence: 0.95,
  shuffles: 0,
  seed: 1,
  isDeclared: true,
  priorCv: STARTING_GUESS_CV,
  ...changes,
});
const callsOf = (input: JudgeInput): readonly Call[] =>
  judgeWithoutShuffle(input).contrasts.map(contrast => contrast.call);
const sample = fc.array(fc.integer({ min: 50, max: 150 }), { minLength: 3, maxLength: 5 });
const two = fc.tuple(sample, sample);

describe('the rule of the call', () => {
  test('a wider margin never turns “no difference that matters” into “can’t tell”', () => {
    fc.assert(
      fc.property(
        two,
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 60 }),
        (values, margin, more) => {
          const at = (amount: number): Call | undefined =>
            callsOf(means(values, { margin: { kind: 'absolute', amount } }))[0];
          if (at(margin) === 'no-difference-that-matters')
            expect(at(margin + more)).toBe('no-difference-that-matters');
        },
      ),
      { numRuns: 20 },
    );
  });
  test('a constant added to all pots changes no call with an absolute margin', () => {
    fc.assert(
      fc.property(two, fc.integer({ min: 1, max: 500 }), (values, constant) => {
        const moved = values.map(own => own.map(value => value + constant));
        const margin = { kind: 'absolute', amount: 15 } as const;
        expect(callsOf(means(moved, { margin }))).toEqual(callsOf(means(values, { margin })));
      }),
      { numRuns: 20 },
    );
  });
  test('swapped names swap the verdict', () => {
    const swapped: Readonly<Record<Call, Call>> = {
      'clearly-better': 'clearly-worse',
      better: 'worse',
      'no-difference-that-matters': 'no-difference-that-matters',
      worse: 'better',
      'clearly-worse': 'clearly-better',
      'cant-tell': 'cant-tell',
      'no-test': 'no-test',
    };
    fc.assert(
      fc.property(two, ([a, b]) => {
        const margin = { kind: 'absolute', amount: 15 } as const;
        const [one] = callsOf(means([a, b], { margin }));
        expect(callsOf(means([b, a], { margin }))[0]).toBe(one && swapped[one]);
      }),
      { numRuns: 20 },
    );
  });
  test('grams or kilograms, the call is the same', () => {
    fc.assert(
      fc.property(two, values => {
        const kilograms = values.map(own => own.map(value => value / 1000));
        expect(callsOf(means(kilograms, { margin: { kind: 'absolute', amount: 0.015 } }))).toEqual(
          callsOf(means(values, { margin: { kind: 'absolute', amount: 15 } })),
        );
        expect(callsOf(means(kilograms, { margin: { kind: 'percent', percent: 15 } }))).toEqual(
          callsOf(means(values, { margin: { kind: 'percent', percent: 15 } })),
        );
      }),
      { numRuns: 20 },
    );
  });
  test('better high and better low are each other’s mirror, for every kind', () => {
    fc.assert(
      fc.property(two, fc.constantFrom<Outcome>('count', 'ordinal', 'time'), (values, kind) => {
        const [high, low] = (['higher', 'lower'] as const).map(
          better => judgeWithoutShuffle(kinds(kind, values, { better })).contrasts[0]?.call,
        );
        const mirrored = high?.includes('better')
          ? high.replace('better', 'worse')
          : high?.replace('worse', 'better');
        expect(low).toBe(mirrored);
      }),
      { numRuns: 40 },
    );
  });
});

const kinds = (
  kind: Outcome,
  values: readonly (readonly (number | null)[])[],
  changes: Partial<JudgeInput> = {},
): JudgeInput =>
  judgeInputFixture(
    values.flatMap((own, t) =>
      own.map((value, i) => ({
        id: `${t}-${i}`,
        treatment: `t${t}`,
        blocks: [],
        value: kind === 'proportion' && value !== null ? Math.min(value, 150) : value,
        ...(kind === 'proportion' ? { outOf: 150 } : {}),
        hasCome: true,
      })),
    ),
    {
      outcome: kind,
      response: 'spots',
      treatments: values.map((_, t) => `t${t}`),
      control: 't0',
      ...changes,
    },
  );
/** Paths at which a plain value holds no number that JSON can hold. */
const broken = (value: unknown, path = ''): readonly string[] => {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path];
  return typeof value === 'object' && value !== null
    ? Object.entries(value).flatMap(([key, each]) => broken(each, `${path}.${key}`))
    : [];
};
const KINDS: readonly Outcome[] = ['count', 'proportion', 'ordinal', 'time'];

const DEGENERATE: readonly (readonly [string, readonly (readonly (number | null)[])[]])[] = [
  [
    'all zeros',
    [
      [0, 0, 0],
      [0, 0, 0],
    ],
  ],
  [
    'all the same',
    [
      [7, 7, 7],
      [7, 7, 7],
    ],
  ],
  [
    'one pot left',
    [
      [null, null, null],
      [null, 4, null],
    ],
  ],
  [
    'a treatment wiped out',
    [
      [5, 6, 7],
      [null, null, null],
      [8, 9, 9],
    ],
  ],
  [
    'the control wiped out',
    [
      [null, null],
      [3, 4],
    ],
  ],
  [
    'ties everywhere',
    [
      [1, 1, 2, 2],
      [1, 2, 2, 1],
    ],
  ],
  ['one each', [[5], [9]]],
  ['nothing at all', [[], []]],
  [
    'zeros against some',
    [
      [0, 0, 0, 0],
      [3, 4, 5, 4],
    ],
  ],
];

describe('what is barely data', () => {
  test.each(DEGENERATE)(
    '%s: a verdict or a clear reason, and no figure that is none',
    (_, values) => {
      const found = judgeWithoutShuffle(means(values));
      expect([
        broken(judgementJson(found, means(values))),
        found.verdict.headline.length > 5,
      ]).toEqual([[], true]);
      for (const kind of KINDS) {
        const judged = judgeWithoutShuffle(kinds(kind, values));
        expect([
          kind,
          broken(judgementJson(judged, kinds(kind, values))),
          judged.verdict.headline.length > 5,
          /NaN|Infinity|undefined|null/.test(judged.verdict.headline + judged.verdict.detail),
        ]).toEqual([kind, [], true, false]);
      }
    },
  );
  test('hardly anything and very much are judged alike', () => {
    const values = [
      [101, 99, 100, 102],
      [141, 139, 140, 138],
    ];
    for (const scale of [1e-9, 1, 1e9]) {
      const scaled = values.map(own => own.map(value => value * scale));
      expect(callsOf(means(scaled, { margin: { kind: 'percent', percent: 10 } }))).toEqual([
        'clearly-better',
      ]);
      expect(judgeWithoutShuffle(kinds('ordinal', scaled)).contrasts[0]?.call).toBe('better');
      expect(judgeWithoutShuffle(kinds('time', scaled)).contrasts[0]?.call).toBe('better');
    }
    expect(
      judgeWithoutShuffle(
        kinds(
          'count',
          values.map(own => own.map(value => value * 1e9)),
        ),
      ).contrasts[0]?.call,
    ).toBe('better');
  });
  test('two hundred treatments come to an end', () => {
    const many = Array.from({ length: 200 }, (_, t) =>
      Array.from({ length: 3 }, (__, i) => 20 + ((7 * t + 13 * i) % 11)),
    );
    for (const kind of KINDS)
      expect(
        broken(judgementJson(judgeWithoutShuffle(kinds(kind, many)), kinds(kind, many))),
      ).toEqual([]);
  });
  test('a hundred and twenty pots of two treatments come to an end', () => {
    const many = [0, 1].map(t =>
      Array.from({ length: 60 }, (_, i) => 20 + 4 * t + ((13 * i) % 11)),
    );
    for (const kind of KINDS)
      expect(judgeWithoutShuffle(kinds(kind, many)).contrasts[0]?.call).toBe('better');
  });
});

describe('the sentences', () => {
  const CALLED: readonly (readonly [Call, readonly (readonly number[])[]])[] = [
    [
      'better',
      [
        [10, 11, 12, 11, 10],
        [30, 31, 32, 31, 30],
      ],
    ],
    [
      'worse',
      [
        [30, 31, 32, 31, 30],
        [10, 11, 12, 11, 10],
      ],
    ],
    [
      'cant-tell',
      [
        [10, 20, 30, 12, 28],
        [12, 19, 31, 14, 25],
      ],
    ],
    ['no-test', [[10], [20]]],
  ];
  const JARGON =
    /\bp\b|signific|null hypothesis|variance|confidence|log-rank|Wilcoxon|Fisher|quasi|Dunnett|Tukey|deviation/i;
  test.each(CALLED.flatMap(([call, values]) => KINDS.map(kind => [kind, call, values] as const)))(
    '%s, %s: a first line without jargon, and a detail that says how sure',
    (kind, call, values) => {
      const judged = judgeWithoutShuffle(kinds(kind, values));
      expect(judged.contrasts[0]?.call).toBe(call);
      expect(judged.verdict.headline).not.toMatch(JARGON);
      expect(judged.verdict.headline).toMatch(/^[A-Z].*\.$/);
      if (call !== 'no-test') expect(judged.verdict.detail).toMatch(/of 100|between|anything/i);
      expect(judged.verdict.detail).not.toMatch(/signific/i);
    },
  );
  test.each([
    [
      'clearly-better',
      [
        [10, 11, 12, 11],
        [30, 31, 32, 31],
      ],
    ],
    [
      'clearly-worse',
      [
        [30, 31, 32, 31],
        [10, 11, 12, 11],
      ],
    ],
    [
      'no-difference-that-matters',
      [
        [100, 101, 100, 101],
        [100, 101, 101, 100],
      ],
    ],
    [
      'cant-tell',
      [
        [10, 20, 30, 12],
        [12, 19, 31, 14],
      ],
    ],
  ] as const)('means, %s: a first line without jargon', (call, values) => {
    const judged = judgeWithoutShuffle(means(values, { margin: { kind: 'percent', percent: 10 } }));
    expect(judged.contrasts[0]?.call).toBe(call);
    expect(judged.verdict.headline).not.toMatch(JARGON);
  });
});
