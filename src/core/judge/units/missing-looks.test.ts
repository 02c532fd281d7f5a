import fc from 'fast-check';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { measureFromLibrary } from '@/core/measure/library/own-measure';
import { readingKind } from '@/core/measure/library/reading-library';
import { addDays } from '@/core/time/garden-day';
import { readingFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { Measure, Summary } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { Scale } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import { judgeInputOf, plannedSpec } from './trial-analysis';

const bare = trialFixture({ treatments: 2, unitsEach: 4 });
const DAYS = [7, 14, 21, 28];
const height = readingKind('height');
if (!height) throw new Error('the library must know heights');

const SCALES: Readonly<Record<string, Scale>> = {
  'a number': { kind: 'continuous', least: 0, most: 1000 },
  'a count': { kind: 'count' },
  'so many of so many': { kind: 'proportion', outOf: 10 },
  'yes or no': { kind: 'yes-no' },
  steps: { kind: 'ordinal', from: 0, steps: ['a', 'b', 'c', 'd', 'e', 'f'], hasBeyond: false },
  'a percentage': { kind: 'percent', step: 1 },
  'a day that came': { kind: 'date' },
  kinds: { kind: 'class', classes: ['none', 'pale', 'dark', 'dead', 'new', 'old'] },
};
const RULES: readonly Summary[] = [
  'reading-mean',
  'reading-last',
  'reading-total',
  'reading-highest',
  'reading-area',
  'reading-change',
  'reading-rate',
  'reading-on-day',
];

function measureOf(scale: Scale, summary: Summary): Measure {
  return {
    ...measureFromLibrary(height!, '00000000-0000-7000-8000-0000000000e1'),
    kindKey: null,
    scale,
    summary,
    onDay: summary === 'reading-on-day' ? 21 : null,
    isMain: true,
  };
}

/** A value that any scale takes, and every look that a walk can end in. */
const look = fc.record({
  value: fc.integer({ min: 0, max: 5 }),
  outcome: fc.constantFrom('picked', 'picked', 'picked', 'nothing-there', 'not-yet', 'not-looked'),
});
const season = fc.array(look, {
  minLength: bare.units.length * DAYS.length,
  maxLength: bare.units.length * DAYS.length,
});
type Look = typeof look extends fc.Arbitrary<infer Each> ? Each : never;

function readingsOf(measure: Measure, looks: readonly Look[]): readonly Reading[] {
  return bare.units.flatMap((unit, u) =>
    DAYS.map((day, d) => {
      const { value, outcome } = looks[u * DAYS.length + d]!;
      return readingFixture(unit, measure, outcome === 'picked' ? value % limit(measure) : null, {
        outcome,
        outOf: measure.scale?.kind === 'proportion' ? 10 : null,
        takenOn: addDays(bare.trial.startsOn, day),
      });
    }),
  );
}

function limit({ scale }: Measure): number {
  return scale?.kind === 'yes-no' ? 2 : 6;
}

function judged(measure: Measure, readings: readonly Reading[]) {
  const data: TrialData = { ...bare, measures: [measure], readings };
  // Of kinds the one that is counted is chosen beforehand, not by what came most often.
  const spec = { ...plannedSpec(data, STARTING_GUESS_CV), countedClass: 1 };
  return judgeInputOf(data, spec).units;
}

const CASES = Object.entries(SCALES).flatMap(([name, scale]) =>
  RULES.map(summary => [name, summary, measureOf(scale, summary)] as const),
);

test.each(CASES)(
  'of %s by %s no unit’s value hangs on a look of another that is missing',
  (_, __, measure) => {
    fc.assert(
      fc.property(season, fc.nat(), (looks, which) => {
        const readings = readingsOf(measure, looks);
        const gone = readings[which % readings.length]!;
        const rest = readings.filter(reading => reading !== gone);
        // A day on which no other unit gave a value is a day that is not in the season at all. Of steps “nothing there” is none.
        fc.pre(
          rest.some(({ takenOn, outcome }) => takenOn === gone.takenOn && outcome === 'picked'),
        );
        const code = bare.units.find(unit => unit.id === gone.unitId)?.code;
        const others = (of: readonly Reading[]) =>
          judged(measure, of).filter(unit => unit.id !== code);
        expect(others(rest)).toEqual(others(readings));
      }),
      { numRuns: 25 },
    );
  },
);

test.each(CASES)(
  'of %s by %s the order in which it was put down says nothing',
  (_, __, measure) => {
    fc.assert(
      fc.property(season, fc.infiniteStream(fc.nat()), (looks, order) => {
        const readings = readingsOf(measure, looks);
        const keyed = readings.map(reading => ({ reading, key: order.next().value ?? 0 }));
        const mixed = keyed.sort((a, b) => a.key - b.key).map(each => each.reading);
        expect(judged(measure, mixed)).toEqual(judged(measure, readings));
      }),
      { numRuns: 15 },
    );
  },
);
