import { openTrial, seenTrial } from '@/core/blinding/seen-trial';
import { leaveOutFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { benchViewOf, tagsOf } from './bench-view';

const trial = trialFixture({ treatments: 4, unitsEach: 4, blockCount: 4, isBlind: true });

test('while treatments are hidden, nothing that leaves the server tells them', () => {
  const text = JSON.stringify(benchViewOf(seenTrial(trial), false));
  for (const treatment of trial.treatments) {
    expect(text).not.toContain(treatment.name);
    expect(text).not.toContain(treatment.id);
  }
  expect(benchViewOf(seenTrial(trial), false)?.units.every(unit => unit.tag === null)).toBe(true);
});

test('shown, every unit wears the label of what it got', () => {
  const view = benchViewOf(openTrial(trial), true);
  for (const unit of trial.units) {
    const name = trial.treatments.find(treatment => treatment.id === unit.treatmentId)?.name;
    expect(view?.units.find(shown => shown.id === unit.id)?.tag?.name).toBe(name);
  }
});

test('the control’s label is empty, the others count up from solid', () => {
  expect(tagsOf(trial).map(tag => [tag.letter, tag.index])).toEqual([
    ['A', -1],
    ['B', 0],
    ['C', 1],
    ['D', 2],
  ]);
});

test('a place is told in words, and what was left out is marked', () => {
  const unit = trial.units[1];
  if (!unit) throw new Error('the fixture must have two units');
  const shown = benchViewOf(
    seenTrial({ ...trial, incidents: [leaveOutFixture(unit)] }),
    false,
  )?.units.find(each => each.id === unit.id);
  expect(shown).toMatchObject({ where: 'shelf 1, second of 4', isLeftOut: true });
});

test('before the deal there is no bench', () => {
  expect(
    benchViewOf(seenTrial({ ...trial, places: [], units: [], layout: null }), true),
  ).toBeNull();
});
