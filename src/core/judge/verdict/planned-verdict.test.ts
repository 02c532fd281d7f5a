import fc from 'fast-check';
import { nextSteps } from '@/core/judge/after/next-step';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { type AnalysisSpec, plannedSpec } from '@/core/judge/units/trial-analysis';
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
import { analyseOutcome, inShort, plannedVerdict } from './planned-verdict';

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
  expect(byMeans.by).toBe('means');
  expect(inShort(byMeans.judgement).headline).toBe(
    byMeans.by === 'means' ? byMeans.judgement.verdict.headline : '',
  );
  const { data, spec } = readTrial('slugs', (treatment, i) => (treatment === 1 ? 1 : 14) + (i % 3));
  const byKind = plannedVerdict(data, spec);
  expect(byKind).toMatchObject({
    by: 'kind',
    input: { kind: 'count', isDeclared: true, better: 'lower', margin: { percent: 15 } },
    judgement: { call: 'clearly-better', best: null },
  });
  expect(inShort(byKind.judgement)).toMatchObject({
    headline: 'Feed 1 beat plain water.',
    call: 'clearly-better',
  });
});

test.each([
  ['slugs', 'count'],
  ['holed-leaves', 'proportion'],
  ['vigour', 'ordinal'],
  ['first-flower', 'time'],
])('%s is judged as %s', (key, kind) => {
  const { data, spec } = readTrial(key, (treatment, i) => 1 + treatment + (i % 3));
  expect(plannedVerdict(data, spec)).toMatchObject({ by: 'kind', input: { kind } });
  expect(analyseOutcome(data, spec)?.input).toMatchObject({ kind });
});

test('what has a mean is not judged by a kind', () => {
  const { data, spec } = readTrial('height', (treatment, i) => 200 + 10 * treatment + i);
  expect(analyseOutcome(data, spec)).toBeUndefined();
  expect(plannedVerdict(data, spec, judgeWithoutShuffle).by).toBe('means');
});

test('without anything left out there is one way to count; with it, three', () => {
  const slugsOf = (treatment: number, i: number): number => (treatment === 1 ? 2 : 12) + (i % 4);
  const whole = readTrial('slugs', slugsOf);
  expect(analyseOutcome(whole.data, whole.spec)).toMatchObject({ allIn: null, sound: null });
  const [first, second] = bare.units;
  const { data, spec } = readTrial('slugs', slugsOf, {
    incidents: [
      leaveOutFixture(first!, { byTreatment: 'no' }),
      { ...leaveOutFixture(second!, { byTreatment: 'no' }), decision: 'keep' },
    ],
  });
  const found = analyseOutcome(data, spec);
  const unitsOf = (
    judgement: { readonly groups: readonly { readonly n: number }[] } | null | undefined,
  ): number => judgement?.groups.reduce((sum, group) => sum + group.n, 0) ?? 0;
  expect([unitsOf(found?.allIn), unitsOf(found?.judgement), unitsOf(found?.sound)]).toEqual([
    15, 14, 13,
  ]);
});

test('the next step follows the call, and promises no number where the method knows none', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 15 }), { minLength: 15, maxLength: 15 }),
      values => {
        const { data, spec } = readTrial('slugs', (_, i) => values[i] ?? 0);
        const verdict = plannedVerdict(data, spec);
        if (verdict.by !== 'kind') throw new Error('counts are judged by their kind');
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
            expect(step.says).toBe('Test it again with more pots of each: these could not tell.');
        }
      },
    ),
    { numRuns: 25 },
  );
});
