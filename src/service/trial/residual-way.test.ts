// From a closed trial to the verdict on what it left in the ground: through the services, on a data file.

import { judge } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { analyse, plannedSpec } from '@/core/judge/units/trial-analysis';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { questionFormOf } from '@/features/ask/question-draft';
import { takeTrialIn } from '@/service/files/whole-trials';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { changeQuestion } from './ask';
import { askWhatIsLeft } from './residual';
import { findTrial } from './trials';

freshGardenForEachTest();

async function closedTrial(): Promise<TrialData> {
  const made = trialFixture({ treatments: 3, unitsEach: 4 });
  const data: TrialData = {
    ...made,
    picks: made.units.map((unit, i) => pickFixture(unit, { netG: 100 + i })),
    trial: { ...made.trial, state: 'closed', closedAt: '2026-08-02T08:00:00.000Z' },
  };
  expect(await takeTrialIn(data)).toMatchObject({ ok: true });
  return data;
}

async function begun(): Promise<TrialData> {
  const asked = await askWhatIsLeft((await closedTrial()).trial.id);
  if (!asked.ok) throw new Error(asked.trouble.kind);
  const data = await findTrial(asked.value);
  if (!data) throw new Error('it was begun');
  return data;
}

const gotOf = ({ units, treatments }: TrialData) =>
  units.map(({ code, treatmentId }) => [
    code,
    treatments.find(({ id }) => id === treatmentId)?.name,
  ]);

test('the question can be changed and the deal stays; other treatments, or another deal, are refused', async () => {
  const data = await begun();
  const { id } = data.trial;
  const form = questionFormOf(data);
  expect(await changeQuestion(id, { ...form, crop: 'kale' })).toMatchObject({ ok: true });
  const after = await findTrial(id);
  expect(after?.trial.crop).toBe('kale');
  expect(after && gotOf(after)).toEqual(gotOf(data));
  const fewer = { ...form, treatments: form.treatments.slice(0, 2) };
  expect(await changeQuestion(id, fewer)).toEqual({ ok: false, trouble: { kind: 'kept-deal' } });
  expect(await dealTrial(id, {})).toEqual({ ok: false, trouble: { kind: 'kept-deal' } });
  expect(gotOf((await findTrial(id)) ?? data)).toEqual(gotOf(data));
  expect(await lockPlan(id)).toMatchObject({ ok: true });
});

test('its verdict says whose it is: last season’s', async () => {
  const data = await begun();
  const fed = data.treatments[1]?.id;
  const read: TrialData = {
    ...data,
    picks: data.units.map((unit, i) =>
      pickFixture(unit, { netG: (unit.treatmentId === fed ? 150 : 100) + (i % 4) }),
    ),
  };
  const { verdict } = analyse(read, plannedSpec(read, STARTING_GUESS_CV), judge).judgement;
  expect(verdict.headline).toMatch(
    /^Last season’s feed 1 gave \d+% more beans than last season’s plain water\.$/,
  );
});

test('a trial that still runs has left nothing yet', async () => {
  const made = trialFixture();
  expect(await takeTrialIn(made)).toMatchObject({ ok: true });
  expect(await askWhatIsLeft(made.trial.id)).toEqual({
    ok: false,
    trouble: { kind: 'not-closed' },
  });
});
