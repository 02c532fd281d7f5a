import { readFileSync } from 'node:fs';
import { fitCurve } from './curves/fit-curve';
import { kaplanMeier } from './survival/survival';

/** reference/r/bands.R: stats::predict, the delta method on stats::nls, survival::survfit(conf.type = "log-log"). */
interface Bands {
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly curves: readonly {
    readonly model: 'linear' | 'quadratic' | 'mitscherlich';
    readonly x: readonly number[];
    readonly se: readonly number[];
  }[];
  readonly aml: readonly {
    readonly days: number;
    readonly event: number;
    readonly group: string;
  }[];
  readonly waits: readonly {
    readonly group: string;
    readonly days: readonly number[];
    readonly low: readonly (number | null)[];
    readonly high: readonly (number | null)[];
  }[];
}

const bands: Bands = JSON.parse(readFileSync('reference/results/bands.json', 'utf8'));

test.each(bands.curves)('how sure a curve is at each place: $model', ({ model, x, se }) => {
  const found = fitCurve(bands.points, model);
  for (const [i, place] of x.entries())
    expect((found?.errorAt(place) ?? 0) / se[i]!).toBeCloseTo(1, model === 'mitscherlich' ? 5 : 9);
});

test.each(bands.waits)('how sure a waiting curve is: $group', ({ group, days, low, high }) => {
  const steps = kaplanMeier(
    bands.aml
      .filter(each => each.group === group)
      .map(each => ({ days: each.days, hasCome: each.event === 1 })),
  );
  expect(steps.map(step => step.days)).toEqual(days);
  expect(steps.some(step => step.range !== null)).toBe(true);
  for (const [i, { range }] of steps.entries()) {
    if (range === null) {
      expect(low[i]).toBeNull();
      continue;
    }
    expect(range[0]).toBeCloseTo(low[i]!, 10);
    expect(range[1]).toBeCloseTo(high[i]!, 10);
  }
});
