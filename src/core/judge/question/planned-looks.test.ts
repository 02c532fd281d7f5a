import fc from 'fast-check';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { judgeInputOf, plannedSpec } from '@/core/judge/units/trial-analysis';
import { normalQuantile, tQuantile } from '@/core/stats/distributions/distributions';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { daysBetween } from '@/core/time/garden-day';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { STARTING_GUESS_CV } from './judge-input';
import { confidenceAtEach, costOfLooks, lookDays, MOST_LOOKS } from './planned-looks';

const LOOKS = [1, 2, 3, 4, 5];

test.each(LOOKS)('of %d looks at sums that grow evenly some goes wrong in 5 of 100', looks => {
  const random = seededRandom(20261130 + looks);
  const critical = normalQuantile(1 - (1 - confidenceAtEach(looks)) / 2);
  const runs = 60_000;
  let wrong = 0;
  for (let run = 0; run < runs; run++) {
    let sum = 0;
    for (let look = 1; look <= looks; look++) {
      sum += normalDraw(random);
      if (Math.abs(sum) / Math.sqrt(look) > critical) {
        wrong++;
        break;
      }
    }
  }
  // 3.5 times the error of so many runs.
  expect(Math.abs(wrong / runs - 0.05)).toBeLessThan(0.0032);
});

test.each(LOOKS)('what %d looks cost is the ratio of the quantiles', looks => {
  const [many, one] = [looks, 1].map(each => normalQuantile(1 - (1 - confidenceAtEach(each)) / 2));
  expect(costOfLooks(looks)).toBe(Math.round(100 * ((many ?? 0) / (one ?? 1) - 1)));
});

test('a trial that agreed on three looks has every interval wider by what it costs, at the end too', () => {
  const made = trialFixture({ treatments: 2, unitsEach: 6 });
  const picks = made.units.map((unit, i) => pickFixture(unit, { netG: 100 + ((i * 37) % 23) }));
  const intervalAt = (looks: number) => {
    const rules = { ...made.trial.rules, looks };
    const data = { ...made, picks, trial: { ...made.trial, rules } };
    const input = judgeInputOf(data, plannedSpec(data, STARTING_GUESS_CV));
    const [contrast] = judgeWithoutShuffle(input).contrasts;
    if (!contrast?.estimable || !contrast.ciAdjusted) throw new Error('it can be told');
    return contrast.ciAdjusted[1] - contrast.ciAdjusted[0];
  };
  const wider = tQuantile(1 - 0.0221 / 2, 10) / tQuantile(0.975, 10);
  expect(intervalAt(3) / intervalAt(1)).toBeCloseTo(wider, 6);
});

test('the looks lie evenly over the season and end with it; of days that can’t be read there are none', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 10, max: 400 }),
      fc.integer({ min: 1, max: MOST_LOOKS }),
      (days, looks) => {
        const end = new Date(Date.UTC(2026, 3, 1 + days)).toISOString().slice(0, 10);
        const on = lookDays('2026-04-01', end, looks);
        expect(on).toHaveLength(looks);
        expect(on.at(-1)).toBe(end);
        const gaps = ['2026-04-01', ...on]
          .slice(1)
          .map((day, i) => daysBetween(['2026-04-01', ...on][i] ?? day, day));
        expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1);
      },
    ),
  );
  expect(lookDays('2026-04-01', 'soon', 3)).toEqual([]);
  expect(lookDays('2026-04-01', '2026-03-01', 3)).toEqual([]);
});
