import fc from 'fast-check';
import { nextSteps } from '@/core/judge/after/next-step';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { type AnalysisSpec, analyse, plannedSpec } from '@/core/judge/units/trial-analysis';
import { measureFromLibrary } from '@/core/measure/library/own-measure';
import { readingKind } from '@/core/measure/library/reading-library';
import {
  leaveOutFixture,
  pickFixture,
  readingFixture,
  trialFixture,
} from '@/core/trial/fixtures/trial-fixture';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { inShort } from './in-short';
import { plannedVerdict } from './planned-verdict';

const bare = trialFixture({ treatments: 3, unitsEach: 5 });

/** A trial whose main measure is one of the library's, each unit with its reading. */
function readTrial(
  key: string,
  countsOf: (treatment: number, i: number) => number,
  changes: Partial<TrialData> = {},
): { readonly data: TrialData; readonly measure: Measure; readonly spec: AnalysisSpec } {
  const kind = readingKind(key);
  if (!kind) throw new Error(`${key} must be in the library`);
  const measure: Measure = {
    ...measureFromLibrary(kind, '00000000-0000-7000-8000-0000000000e1'),
    isMain: true,
    margin: { kind: 'percent', percent: 15 },
  };
  const at = (unit: TrialData['units'][number]): number =>
    bare.treatments.findIndex(treatment => treatment.id === unit.treatmentId);
  const data: TrialData = {
    ...bare,
    measures: [measure, ...bare.measures.map(each => ({ ...each, isMain: false }))],
    readings: bare.units.map((unit, i) =>
      readingFixture(unit, measure, countsOf(at(unit), i), {
        outOf: measure.scale?.kind === 'proportion' ? 20 : null,
      }),
    ),
    ...changes,
  };
  return { data, measure, spec: plannedSpec(data, STARTING_GUESS_CV) };
}

test('a trial speaks by the mean of its main measure or by the method of its kind, and either way in one sentence', () => {
  const weighed: TrialData = {
    ...bare,
    picks: bare.units.map((unit, i) => pickFixture(unit, { netG: 200 + 3 * i })),
  };
  const byMeans = plannedVerdict(
    weighed,
    plannedSpec(weighed, STARTING_GUESS_CV),
    judgeWithoutShuffle,
  );
  expect(byMeans.input.outcome).toBe('continuous');
  expect(inShort(byMeans.judgement).headline).toBe(byMeans.judgement.verdict.headline);
  const { data, spec } = readTrial('slugs', (treatment, i) => (treatment === 1 ? 1 : 14) + (i % 3));
  const byRatio = plannedVerdict(data, spec);
  expect(byRatio).toMatchObject({
    input: { outcome: 'count', isDeclared: true, better: 'lower', margin: { percent: 15 } },
    judgement: { verdict: { call: 'clearly-better', best: 'feed 1' } },
  });
  expect(inShort(byRatio.judgement)).toMatchObject({
    headline: 'Feed 1 gave 88% fewer slugs found than plain water.',
    call: 'clearly-better',
  });
});

test('what earlier versions froze of counts is read as well', () => {
  const [headline, detail, call] = ['Feed 1 beat plain water.', 'So it was.', 'better'] as const;
  expect(inShort({ headline, detail, call, best: null, groups: [] })).toEqual({
    headline,
    detail,
    call,
    best: null,
  });
});

test.each([
  ['slugs', 'count'],
  ['holed-leaves', 'proportion'],
  ['vigour', 'ordinal'],
  ['first-flower', 'time'],
  ['height', 'continuous'],
])('%s is judged as %s', (key, outcome) => {
  const { data, spec } = readTrial(key, (treatment, i) => 1 + treatment + (i % 3));
  expect(plannedVerdict(data, spec).input.outcome).toBe(outcome);
});

test('without anything left out there is one way to count; with it, three', () => {
  const slugsOf = (treatment: number, i: number): number => (treatment === 1 ? 2 : 12) + (i % 4);
  const whole = readTrial('slugs', slugsOf);
  expect(analyse(whole.data, whole.spec, judgeWithoutShuffle)).toMatchObject({
    allIn: null,
    sound: null,
  });
  const [first, second] = bare.units;
  const { data, spec } = readTrial('slugs', slugsOf, {
    incidents: [
      leaveOutFixture(first!, { byTreatment: 'no' }),
      { ...leaveOutFixture(second!, { byTreatment: 'no' }), decision: 'keep' },
    ],
  });
  const found = analyse(data, spec, judgeWithoutShuffle);
  const unitsOf = (
    judgement: { readonly groups: readonly { readonly n: number }[] } | null | undefined,
  ): number => judgement?.groups.reduce((sum, group) => sum + group.n, 0) ?? 0;
  expect([unitsOf(found.allIn), unitsOf(found.judgement), unitsOf(found.sound)]).toEqual([
    15, 14, 13,
  ]);
});

test('the next step follows the call', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 15 }), { minLength: 15, maxLength: 15 }),
      values => {
        const { data, spec } = readTrial('slugs', (_, i) => values[i] ?? 0);
        const verdict = plannedVerdict(data, spec);
        const steps = nextSteps(verdict.judgement, verdict.input);
        expect(steps.map(step => step.treatment)).toEqual(
          verdict.judgement.contrasts.map(contrast => contrast.treatment),
        );
        for (const [i, step] of steps.entries()) {
          const call = verdict.judgement.contrasts[i]?.call;
          expect(step.step).toBe(
            call === 'cant-tell' || call === 'no-test'
              ? 'again'
              : call === 'no-difference-that-matters'
                ? 'cheapest'
                : call?.endsWith('worse')
                  ? 'drop'
                  : 'keep',
          );
          expect(step.says).not.toMatch(/NaN|undefined|null/);
          if (call === 'cant-tell')
            expect(step.says).toMatch(/^(Test it again|More than 200 of each)/);
        }
      },
    ),
    { numRuns: 25 },
  );
});
