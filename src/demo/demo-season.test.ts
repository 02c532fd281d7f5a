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

// “No difference” is covered for all three comparisons together: eight pots each can't rule out 15% of two of them.
test('the beans have a clear winner, and two that can’t be told', () => {
  const judgement = judgeWithoutShuffle(judgeInputOf(beans, plannedSpec(beans, STARTING_GUESS_CV)));
  expect(judgement.verdict).toMatchObject({ call: 'clearly-better', best: 'Heronsgill feed' });
  expect(judgement.contrasts.map(contrast => contrast.call)).toEqual([
    'clearly-better',
    'cant-tell',
    'cant-tell',
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
