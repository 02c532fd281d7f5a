import { KEPT_BACK, seenTrial } from '@/core/blinding/seen-trial';
import { careActFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';

const base = trialFixture({ treatments: 3, unitsEach: 4, isBlind: true });
const [first] = base.treatments;
const bottle = careRuleFixture({ name: 'seaweed', treatmentIds: first ? [first.id] : [] });
const weeding = careRuleFixture({ name: 'weeding', treatmentIds: [] });
const trial: TrialData = {
  ...base,
  care: {
    ...base.care,
    rules: [bottle, weeding],
    acts: [bottle, weeding].map(rule => careActFixture(rule, 0, base.trial.startsOn)),
    bottles: { [first?.id ?? '']: 'R' },
  },
};

test('a blind trial has no unit under a treatment of its own, no seed, no bottle and no rule or act that only some get', () => {
  const { units, treatments, layout, care } = seenTrial(trial);
  expect(new Set(units.map(unit => unit.treatmentId))).toEqual(new Set([KEPT_BACK]));
  expect(treatments.map(treatment => treatment.id)).not.toContain(KEPT_BACK);
  expect(layout?.seed).not.toBe(trial.layout?.seed);
  expect(care.bottles).toEqual({});
  expect(care.rules).toEqual([weeding]);
  expect(care.acts.map(act => act.ruleId)).toEqual([weeding.id]);
});

test('what is no secret stays: codes, places, picks and readings', () => {
  const seen = seenTrial(trial);
  expect(seen.units.map(unit => unit.code)).toEqual(trial.units.map(unit => unit.code));
  expect([seen.places, seen.picks, seen.readings]).toEqual([
    trial.places,
    trial.picks,
    trial.readings,
  ]);
});

test('with the key open it is the trial itself', () => {
  const opened = { ...trial, trial: { ...trial.trial, keyOpenedAt: '2026-08-01T08:00:00.000Z' } };
  expect(seenTrial(opened)).toBe(opened);
});
