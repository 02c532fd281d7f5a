import type { JudgedUnit } from '@/core/design/linear/design-input';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';

/** Of sixty verdicts, the most telling ones that were read aloud, as they are said now. The first treatment is the control. */
type Said = Partial<JudgeInput> & {
  readonly values: Readonly<Record<string, readonly (number | readonly [number, boolean])[]>>;
  readonly outOf?: number;
  readonly headline: string;
  readonly detail: string;
};

const percentOf = (percent: number) => ({ kind: 'percent', percent }) as const;
const amountOf = (amount: number) => ({ kind: 'absolute', amount }) as const;

const SAID: readonly Said[] = [
  {
    response: 'beans',
    margin: percentOf(15),
    values: {
      'plain water': [300, 310, 290, 305, 295],
      comfrey: [401, 390, 410, 395, 399],
      peat: [200, 190, 215, 205, 190],
    },
    headline: 'Comfrey gave 33% more beans than plain water, but peat did worse.',
    detail:
      'Between 28% and 39% more. 15% was worth having: clearly better. Peat: 33% less beans than plain water, between 29% and 37% less.',
  },
  {
    response: 'beans',
    margin: percentOf(15),
    values: {
      nothing: [300, 330, 270, 310],
      bark: [310, 350, 280, 330],
      grit: [330, 290, 300, 360],
    },
    headline: 'Can’t tell yet whether anything beats “nothing”.',
    detail:
      'Bark: 5% more beans than nothing, anything from 12% less to 25% more. Grit: 5.8% more beans than nothing, anything from 11% less to 26% more. About 18 pots of each would settle it.',
  },
  {
    response: 'beans',
    margin: percentOf(15),
    values: {
      none: [300, 310, 290, 305],
      salt: [372, 380, 365, 378],
      crystals: [430, 440, 425, 436],
      feed: [482, 490, 475, 486],
    },
    headline: 'Feed did best: 60% more beans than “none”.',
    detail:
      'Salt: between 19% and 29% more; crystals: between 38% and 49% more; feed: between 55% and 67% more. 15% was worth having: salt, crystals and feed are clearly better.',
  },
  {
    response: 'beans',
    margin: percentOf(15),
    values: {
      nothing: [300, 330, 270, 310],
      bark: [310, 350, 280, 330],
      grit: [330, 290, 300, 360],
      sand: [290, 340, 310, 280],
    },
    headline: 'Can’t tell yet whether anything beats “nothing”.',
    detail:
      'Bark: 5% more beans than nothing, anything from 12% less to 25% more; grit: 5.8% more beans than nothing, anything from 11% less to 26% more; sand: 0.8% more beans than nothing, anything from 16% less to 21% more. About 19 pots of each would settle it.',
  },
  {
    outcome: 'count',
    response: 'slugs',
    better: 'lower',
    margin: percentOf(30),
    values: { untreated: [9, 12, 8, 11], wool: [2, 3, 1, 4], ash: [21, 35, 18, 40] },
    headline: 'Wool gave 75% fewer slugs than untreated, but ash did worse.',
    detail:
      'Between 17% and 92% fewer. 30% was worth having: better, though perhaps not by enough. Ash: 2.9 times as many slugs as untreated, between 1.5 and 5.3 times as many.',
  },
  {
    outcome: 'count',
    response: 'slugs',
    better: 'lower',
    values: { none: [6, 8, 7, 9], copper: [0, 0, 0, 0] },
    headline: 'Copper gave 100% fewer slugs than “none”.',
    detail: 'None 7.5 a pot; copper 0 a pot. Between 46% and 100% fewer.',
  },
  {
    outcome: 'count',
    response: 'slugs',
    better: 'lower',
    values: { none: [3, 9, 5, 12], soap: [4, 7, 2, 10] },
    headline: 'Can’t tell yet whether soap beats “none”.',
    detail:
      'None 7.25 a pot; soap 5.75 a pot. Soap: 21% fewer slugs than none, anything from 71% fewer to 118% more.',
  },
  {
    outcome: 'proportion',
    response: 'seeds up',
    outOf: 20,
    margin: amountOf(0.1),
    values: { dry: [11, 13, 10, 12], soaked: [17, 16, 18, 19] },
    headline: 'Soaked beat dry: 30 points more.',
    detail:
      'Dry 46 of 80 (58%); soaked 70 of 80 (88%). Between 19 and 41 points more. 10 points were worth having: clearly better.',
  },
  {
    outcome: 'proportion',
    response: 'seeds up',
    outOf: 20,
    margin: amountOf(0.2),
    values: { dry: [14, 15, 14, 13, 15, 14], soaked: [14, 14, 15, 15, 13, 14] },
    headline: 'No difference that matters from dry.',
    detail:
      'Dry 85 of 120 (71%); soaked 85 of 120 (71%). Soaked: 0 points fewer than dry, anything from 3.9 points fewer to 3.9 points more. 20 points were worth having, and as much is ruled out.',
  },
  {
    outcome: 'ordinal',
    response: 'vigour',
    values: { plain: [3, 4, 3, 4, 3], fed: [5, 6, 5, 6, 7], over: [3, 3, 4, 4, 3] },
    headline: 'Fed beat plain: higher in 100 of 100 pairs.',
    detail: 'Between 1 and 3 steps higher. Over: can’t tell yet.',
  },
  {
    outcome: 'time',
    response: 'days to flower',
    better: 'lower',
    margin: amountOf(3),
    values: {
      plain: [
        [29, true],
        [31, true],
        [33, true],
        [28, true],
        [35, false],
      ],
      pinched: [
        [21, true],
        [22, true],
        [19, true],
        [24, true],
        [20, true],
      ],
    },
    headline: 'Pinched beat plain: 10 days sooner.',
    detail:
      'Plain half by day 31, 4 of 5 came; pinched half by day 21, 5 of 5 came. Between 6.4 and 14 days sooner. 3 days were worth having: clearly better.',
  },
  {
    outcome: 'count',
    response: 'slugs',
    better: 'lower',
    values: { none: [12, 12, 12, 12], wool: [3, 3, 3, 3] },
    headline: 'Wool gave 75% fewer slugs than “none”.',
    detail: 'None 12 a pot; wool 3 a pot. A parting as clean as this turns up in 2.9 of 100 deals.',
  },
];

test.each(SAID)('$headline', ({ values, outOf, headline, detail, ...changes }) => {
  const units = Object.entries(values).flatMap(([treatment, own]) =>
    own.map((read, i): JudgedUnit => {
      const [value, hasCome] = typeof read === 'number' ? [read, true] : read;
      return { id: `${treatment} ${i}`, treatment, blocks: [], value, hasCome, outOf };
    }),
  );
  const control = Object.keys(values)[0] ?? '';
  const { verdict } = judgeWithoutShuffle(judgeInputFixture(units, { control, ...changes }));
  expect([verdict.headline, verdict.detail]).toEqual([headline, detail]);
});
