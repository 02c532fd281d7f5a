import { fairnessAudit } from '@/core/design/audit/fairness-audit';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputOf, plannedSpec } from '@/core/judge/units/trial-analysis';
import { daysBetween } from '@/core/time/garden-day';
import { TrialData } from '@/core/trial/model/trial-data';
import { demoSeason } from './demo-season';

const season = demoSeason('2026-11-25');
const [beans, strawberries] = season.trials;
if (!beans || !strawberries) throw new Error('the season must have two trials');

test('the same day makes the same season, ids and all; another day moves it', () => {
  expect(demoSeason('2026-11-25')).toEqual(season);
  const later = demoSeason('2026-12-05').trials[0];
  expect(daysBetween(beans.trial.startsOn, later?.trial.startsOn ?? '')).toBe(10);
  expect(later?.picks.map(pick => pick.netG)).toEqual(beans.picks.map(pick => pick.netG));
});

test.each(season.trials.map(data => [data.trial.crop, data] as const))(
  '%s: a whole trial by its own schema, no id twice',
  (_, data) => {
    expect(TrialData.safeParse(data).error).toBeUndefined();
    const ids = [...data.units, ...data.picks, ...data.places, ...data.treatments].map(
      each => each.id,
    );
    expect(new Set(ids).size).toBe(ids.length);
  },
);

test('every trial has the control that its question wants', () => {
  const lacking = season.trials.filter(data =>
    fairnessAudit(data, null).some(({ code }) => code === 'missing-control'),
  );
  expect(lacking.map(({ trial }) => trial.question)).toEqual([]);
});

// “No difference” is covered for all three comparisons together: eight pots each can't rule out 15% of two of them.
test('the beans have a clear winner, one that can’t be told, and one that harmed', () => {
  const judgement = judgeWithoutShuffle(judgeInputOf(beans, plannedSpec(beans, STARTING_GUESS_CV)));
  expect(judgement.verdict).toMatchObject({ call: 'clearly-better', best: 'Heronsgill feed' });
  expect(judgement.contrasts.map(contrast => contrast.call)).toEqual([
    'clearly-better',
    'cant-tell',
    'worse',
  ]);
  expect(judgement.design).toMatchObject({
    kind: 'complete-blocks',
    units: 31,
    blocks: 4,
    treatments: 4,
  });
});

test('the strawberries are running, blind, half picked today, and split into medium and feed', () => {
  expect(strawberries.trial).toMatchObject({ state: 'locked', isBlind: true, keyOpenedAt: null });
  expect(
    new Set(
      strawberries.picks.filter(pick => pick.pickedOn === '2026-11-25').map(pick => pick.unitId),
    ).size,
  ).toBe(15);
  const { anova } = judgeWithoutShuffle(
    judgeInputOf(strawberries, plannedSpec(strawberries, STARTING_GUESS_CV)),
  );
  expect(anova.map(row => row.term)).toEqual(['row', 'medium', 'feed', 'medium:feed', 'residual']);
});

describe('what the others come to', () => {
  const judged = (question: RegExp) => {
    const data = season.trials.find(({ trial }) => question.test(trial.question));
    if (!data) throw new Error(`the season must ask ${question}`);
    const spec = plannedSpec(data, STARTING_GUESS_CV);
    return { data, ...judgeWithoutShuffle(judgeInputOf(data, spec)) };
  };

  test('copper keeps slugs off for longest, judged by the days to the first bite', () => {
    const { data, verdict } = judged(/slugs/);
    expect(data.measures.find(({ isMain }) => isMain)?.name).toBe('Pest first seen');
    expect(verdict).toMatchObject({ best: 'copper band' });
  });

  test('sweet peas are counted in pairs of one variety, and run on', () => {
    const { data, design } = judged(/sweet peas/);
    expect(data.trial.state).toBe('locked');
    expect(data.blocks.map(({ name }) => name)).toContain('lavender');
    expect(data.picks.every(({ netG, pieces }) => netG === null && pieces !== null)).toBe(true);
    expect(design).toMatchObject({ blocks: 5, units: 10, treatments: 2 });
  });

  test('courgettes can’t be told apart, path weeds are read and run on, onions stood in three gardens', () => {
    expect(judged(/courgettes/).contrasts.map(({ call }) => call)).toEqual([
      'cant-tell',
      'cant-tell',
    ]);
    expect(judged(/weeds/).data.trial.state).toBe('locked');
    const { data, verdict } = judged(/onions/);
    expect(data.blocks.map(({ name }) => name)).toEqual(['Cinder Row', 'Quarry Lane', 'Mill Bank']);
    expect(verdict).toMatchObject({ best: 'straw' });
  });
});

test('strawberries are picked in strawberry time, and nothing of the demo lies behind its day', () => {
  const { garden, trials } = demoSeason();
  expect(garden.demoDay).toBe('2026-07-18');
  const [, berries] = trials;
  for (const { pickedOn } of berries?.picks ?? [])
    expect(pickedOn.slice(5) >= '06-20' && pickedOn.slice(5) <= '07-18').toBe(true);
  for (const { picks, readings, care } of trials)
    for (const day of [
      ...picks.map(({ pickedOn }) => pickedOn),
      ...readings.map(({ takenOn }) => takenOn),
      ...care.acts.map(({ doneOn }) => doneOn),
    ])
      expect(day <= garden.demoDay).toBe(true);
});
