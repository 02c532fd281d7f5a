// Two gardens and more, with nothing between them but files: through the services, on a data file.

import type { Margin } from '@/core/judge/question/judge-input';
import { planFixture, resultsFixture, runPlan } from '@/core/judge/together/ten-gardens-fixture';
import { addDays } from '@/core/time/garden-day';
import { careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { NO_CARE } from '@/core/trial/model/care-plan';
import { GardenId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import { planDifferences } from '@/core/trial/shared/plan-differences';
import { type Protocol, protocolOf } from '@/core/trial/shared/protocol';
import { questionFormOf } from '@/features/ask/question-draft';
import { toldByOthers } from '@/features/gardens/told-view';
import { takeAnyIn } from '@/service/files/take-any-in';
import { takeTrialIn } from '@/service/files/whole-trials';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { newId } from '@/service/garden/new-id';
import { changeQuestion } from '@/service/trial/ask';
import { findTrial } from '@/service/trial/trials';
import { database } from '@/store/connection/database';
import { heldResultsOf, heldSourcesOf, keepSources } from '@/store/other-gardens';
import { receivedPlan, takePlanIn } from './plan-files';
import { takeInResultsSentence, takenInWords, takeResultsIn } from './results-files';
import { askGarden, dropResults, keepHeard, rosterOf, toldOf, typeFinding } from './roster';
import { asKept, sentSources } from './sent-sources';
import { takenTogether } from './together';

freshGardenForEachTest();

/** A closed trial of this garden, and its plan. */
async function ownTrial(
  margin?: Margin,
): Promise<{ readonly data: TrialData; readonly plan: Protocol }> {
  const made = trialFixture({ treatments: 2, unitsEach: 4 });
  const water = made.treatments[0]?.id;
  const data: TrialData = {
    ...made,
    measures: made.measures.map(each => (margin && each.isMain ? { ...each, margin } : each)),
    picks: made.units.map((unit, i) =>
      pickFixture(unit, { netG: (unit.treatmentId === water ? 100 : 125) + i }),
    ),
    trial: { ...made.trial, state: 'closed', closedAt: '2026-08-02T08:00:00.000Z' },
  };
  const taken = await takeTrialIn(data);
  if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  const plan = protocolOf(data, { garden: '', person: '', madeAt: '2026-03-01T08:00:00.000Z' });
  if (!plan) throw new Error('it is dealt');
  return { data, plan };
}

const grams = (level: number) => (treatment: string, nth: number) =>
  (treatment === 'plain water' ? level : 1.2 * level) + nth;

const said = async (trialId: string, file: unknown): Promise<string> => {
  const taken = await takeResultsIn(trialId, JSON.parse(JSON.stringify(file)));
  return taken.ok ? takenInWords(taken.value) : takeInResultsSentence(taken.trouble);
};

test('a plan begins a trial here once; its own garden and a second try are told so', async () => {
  const plan = planFixture(3, 4);
  const begun = await takeAnyIn(JSON.parse(JSON.stringify(plan)));
  if (!begun.ok) throw new Error(begun.trouble);
  const data = await findTrial(begun.value.id);
  expect(data?.trial).toMatchObject({ state: 'planned', protocolId: plan.id });
  expect(data?.treatments).toHaveLength(3);
  expect(await receivedPlan(begun.value.id)).toMatchObject({ id: plan.id });
  expect(await takeAnyIn(plan)).toEqual({
    ok: false,
    trouble: '“Does a feed help?” runs here by that plan already. A garden counts once.',
  });
  const own = await ownTrial();
  expect(await takePlanIn(own.plan)).toMatchObject({ ok: false, trouble: { kind: 'made-here' } });
  expect(await takeAnyIn(resultsFixture(runPlan(plan, 1, grams(100)), 'Elm End'))).toMatchObject({
    ok: false,
    trouble: expect.stringContaining('Those are a garden’s results.'),
  });
});

test('saving the question anew changes nothing that makes it the plan’s, and its tasks stay for the same treatments', async () => {
  const made = trialFixture({ treatments: 3, unitsEach: 4 });
  const rules = [
    careRuleFixture({ name: 'feed', treatmentIds: [made.treatments[1]!.id] }),
    careRuleFixture({ name: 'both', treatmentIds: made.treatments.slice(1).map(({ id }) => id) }),
  ];
  const plan = protocolOf(
    { ...made, care: { ...NO_CARE, rules } },
    { garden: '', person: '', madeAt: '2026-03-01T08:00:00.000Z' },
  );
  const begun = await takePlanIn(plan);
  if (!begun.ok || !plan) throw new Error('it is a plan');
  const { id } = begun.value;
  const form = questionFormOf((await findTrial(id))!);
  expect(await changeQuestion(id, form)).toMatchObject({ ok: true });
  const after = (await findTrial(id))!;
  expect(planDifferences(plan, after)).toEqual({ grave: [], told: [] });
  expect(after.care.rules[0]?.treatmentIds).toEqual([after.treatments[1]?.id]);
  // One treatment fewer: its task goes, the one for both is left with the other.
  const fewer = { ...form, treatments: form.treatments.filter(({ name }) => name !== 'feed 1') };
  expect(await changeQuestion(id, fewer)).toMatchObject({ ok: true });
  const left = (await findTrial(id))!;
  expect(left.care.rules.map(({ name, treatmentIds }) => [name, treatmentIds])).toEqual([
    ['both', [left.treatments.find(({ name }) => name === 'feed 2')?.id]],
  ]);
  expect(planDifferences(plan, left).grave).toEqual(['It has no “feed 1”.']);
});

test('results come in any order, twice without harm, later ones in place of earlier, and nothing else', async () => {
  const { data, plan } = await ownTrial();
  const { id } = data.trial;
  const elm = runPlan(plan, 1, grams(200));
  const first = resultsFixture(elm, 'Elm End');
  const later = resultsFixture(elm, 'Elm End', { writtenAt: '2026-09-01T08:00:00.000Z' });
  expect(await said(id, later)).toBe('Taken in: Elm End.');
  expect(await said(id, later)).toBe('Elm End was in already; nothing changed.');
  expect(await said(id, first)).toBe(
    'What Elm End sent on 2026-09-01 is held already and is newer than this file.',
  );
  const latest = resultsFixture(elm, 'Elm End', { writtenAt: '2026-09-02T08:00:00.000Z' });
  expect(await said(id, latest)).toBe('Taken in: Elm End, in place of what it sent before.');
  const twin = runPlan(plan, 2, grams(200));
  expect(await said(id, { ...resultsFixture(twin, 'Elm End'), gardenId: latest.gardenId })).toBe(
    'Elm End has sent results of another trial by this plan already. A garden counts once.',
  );
  const own = { ...first, gardenId: (await currentGarden()).id };
  expect(await said(id, own)).toBe(
    'These are this garden’s own results: its trial counts already.',
  );
  expect(await said(id, { ...first, version: 3 })).toMatch(
    /^The file was written by a newer Turnspit/,
  );
  expect(await said(id, { ...first, protocolId: newId() })).toMatch(
    /^These results answer another plan/,
  );
  expect(await said(id, plan)).toBe('That is not a garden’s results but a plan for other gardens.');
  expect(await said(id, { ...first, trial: { ...first.trial, units: 'all' } })).toMatch(
    /^The file is damaged or was changed by hand: at trial\.units/,
  );
  expect(await rosterOf(id)).toHaveLength(1);
});

test('the list says who is in, who is late, whose results are not whole, and who sent unasked', async () => {
  const { data, plan } = await ownTrial();
  const { id } = data.trial;
  const yesterday = addDays(today(), -1);
  for (const [name, dueOn] of [
    ['Elm End', yesterday],
    ['Mill Bank', yesterday],
    ['Low Field', addDays(today(), 5)],
    ['Nine Acres', ''],
  ])
    expect(await askGarden(id, { name, dueOn })).toMatchObject({ ok: true });
  expect(await askGarden(id, { name: ' elm end ', dueOn: '' })).toMatchObject({
    ok: false,
    trouble: { kind: 'invalid', fields: { name: 'That garden is on the list already.' } },
  });
  expect(await askGarden(id, { name: '', dueOn: 'soon' })).toMatchObject({ ok: false });
  const lost = (treatment: string, nth: number) => (nth === 4 ? null : grams(100)(treatment, nth));
  await said(id, resultsFixture(runPlan(plan, 1, lost), 'Elm End'));
  await said(id, resultsFixture(runPlan(plan, 2, grams(90)), 'Quarry Lane'));
  const rows = await rosterOf(id);
  expect(
    rows.map(({ name, isLate, came }) => [
      name,
      isLate,
      came?.units ?? null,
      came?.missing ?? null,
    ]),
  ).toEqual([
    ['Elm End', false, 8, 2],
    ['Mill Bank', true, null, null],
    ['Low Field', false, null, null],
    ['Nine Acres', false, null, null],
    ['Quarry Lane', false, 8, 0],
  ]);
  // Another garden of the same name stands by itself.
  await said(id, resultsFixture(runPlan(plan, 4, grams(80)), 'Elm End'));
  expect((await rosterOf(id)).filter(({ name }) => name === 'Elm End')).toHaveLength(2);
  const gardenId = rows[0]?.came?.gardenId ?? '';
  await dropResults(id, gardenId);
  expect((await rosterOf(id))[0]?.came?.gardenId).not.toBe(gardenId);
});

test('all that came is judged together; figures that were typed in count, what was only said does not', async () => {
  const { data, plan } = await ownTrial();
  const { id } = data.trial;
  await said(id, resultsFixture(runPlan(plan, 1, grams(200)), 'Elm End', { soil: 'clay' }));
  await said(id, resultsFixture(runPlan(plan, 2, grams(90)), 'Quarry Lane', { soil: 'sand' }));
  const none = { out: new Set<string>(), in: new Set<string>() };
  const look = async (asked = none) => takenTogether((await findTrial(id)) ?? data, asked);
  expect((await look()).comparisons[0]?.gardens).toHaveLength(3);
  const typed = {
    from: 'A trial report',
    treatment: 'feed 1',
    control: 'plain water',
    season: '2019',
  };
  expect(await typeFinding(id, { ...typed, size: '−12,5 %', se: '5' })).toMatchObject({
    ok: true,
  });
  expect(await typeFinding(id, { ...typed, size: 'much', se: '0' })).toMatchObject({
    ok: false,
    trouble: { fields: { size: 'A number, such as 12 or −5.', se: 'Above 0.' } },
  });
  await keepHeard(id, { by: 'Next door', text: 'Mine did twice as well.' });
  const all = await look();
  expect(all.comparisons[0]?.gardens).toHaveLength(4);
  expect(all.comparisons[0]?.gardens.at(-1)?.gap).toBeCloseTo(-12.5, 9);
  expect((await toldOf(id)).heard).toMatchObject([
    { by: 'Next door', text: 'Mine did twice as well.' },
  ]);
  const elm = all.sources.find(({ name }) => name === 'Elm End')?.id ?? '';
  const without = await look({ out: new Set([elm]), in: new Set() });
  expect(without.comparisons[0]?.gardens).toHaveLength(3);
});

test('figures of others are typed in what this question tells its gaps in', async () => {
  // Worth having in grams: gaps are told in grams, and typed in them.
  const { data } = await ownTrial({ kind: 'absolute', amount: 20 });
  const { id } = data.trial;
  const typed = { from: 'A trial report', treatment: 'feed 1', control: 'plain water' };
  expect(await typeFinding(id, { ...typed, size: '30 g', se: '8' })).toMatchObject({
    ok: true,
  });
  const none = { out: new Set<string>(), in: new Set<string>() };
  const { comparisons } = await takenTogether((await findTrial(id)) ?? data, none);
  expect(comparisons[0]).toMatchObject({ scale: 'difference', without: [] });
  expect(comparisons[0]?.gardens.map(({ gap }) => Math.round(gap))).toEqual([25, 30]);
  const { typed: kept } = await toldOf(id);
  expect(toldByOthers(data, 'uk', { typed: kept, heard: [] })).toMatchObject({
    toldIn: 'g',
    typed: [{ says: 'feed 1, 30 g more than plain water (standard error 8 g)' }],
  });
});

test('what an earlier version worked out of a garden’s file is worked out anew, not read as it stands', async () => {
  const { data, plan } = await ownTrial();
  const { id } = data.trial;
  const sent = runPlan(plan, 1, grams(200));
  await said(id, resultsFixture(sent, 'Elm End'));
  const now = await sentSources(id);
  // As it was kept before it had a version: a bare list, without what later sums ask for.
  const [{ gardenId = '' } = {}] = await heldResultsOf(database(), id);
  const old = now.map(each => ({ ...each, answer: { ...each.answer, gaps: [] } }));
  await keepSources(database(), id, gardenId, old);
  expect(await sentSources(id)).toEqual(now);
  const [{ kept } = { kept: undefined }] = await heldSourcesOf(database(), id);
  expect(kept).toEqual(JSON.parse(JSON.stringify(asKept(now))));
});

test('another season of this garden comes in by a tick, and the garden stays one', async () => {
  const { data, plan } = await ownTrial();
  const garden = await currentGarden();
  const before = runPlan(plan, 3, grams(120));
  const other: TrialData = {
    ...before,
    trial: {
      ...before.trial,
      protocolId: null,
      gardenId: GardenId.parse(garden.id),
      endsOn: '2026-09-01',
    },
  };
  expect(await takeTrialIn(other)).toMatchObject({ ok: true });
  await said(data.trial.id, resultsFixture(runPlan(plan, 1, grams(200)), 'Elm End'));
  const none = { out: new Set<string>(), in: new Set<string>() };
  const off = await takenTogether(data, none);
  expect(off.sources.map(({ id }) => off.out.has(id))).toEqual([false, false, true]);
  const on = await takenTogether(data, { ...none, in: new Set([other.trial.id]) });
  expect(on.comparisons[0]?.gardens.map(({ ids }) => ids.length)).toEqual([2, 1]);
});

test('of one garden alone its seasons are taken together', async () => {
  const { data, plan } = await ownTrial();
  const garden = await currentGarden();
  const before = runPlan(plan, 3, grams(120));
  const other: TrialData = {
    ...before,
    trial: {
      ...before.trial,
      protocolId: null,
      gardenId: GardenId.parse(garden.id),
      endsOn: '2026-09-01',
    },
  };
  await takeTrialIn(other);
  const { comparisons } = await takenTogether(data, {
    out: new Set(),
    in: new Set([other.trial.id]),
  });
  expect(comparisons[0]).toMatchObject({ by: 'season', together: { df: 1 } });
});
