import { v7 } from 'uuid';
import { checkFrozen } from '@/core/judge/verdict/frozen-file';
import { addDays } from '@/core/time/garden-day';
import { TrialData } from '@/core/trial/model/trial-data';
import { takeTrialIn, wholeTrial } from '@/service/files/whole-trials';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { closeStore, startStore } from '@/service/garden/start';
import { closeTrial, frozenVerdictOf } from '@/service/judge/close-trial';
import { openedPredictions } from '@/service/judge/opened-predictions';
import { reportFile } from '@/service/judge/report';
import { verdictPage } from '@/service/judge/verdict';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { askTrial, changeQuestion } from '@/service/trial/ask';
import { earlierTrial } from '@/service/trial/earlier-trial';
import { addMeasureToTrial, removeMeasureFromTrial } from '@/service/trial/measures';
import { pooledCv } from '@/service/trial/pooled-cv';
import { predict } from '@/service/trial/predict';
import { findTrial, listTrials } from '@/service/trial/trials';
import { takePick } from './picks';
import { takeReadings } from './readings';

freshGardenForEachTest();

const question = {
  question: 'Does grit keep slugs off?',
  crop: 'lettuces',
  picked: 'heads',
  unitWord: 'patch',
  startsOn: addDays(today(), -14),
  endsOn: addDays(today(), 20),
  treatments: [{ name: 'nothing' }, { name: 'grit' }],
  control: 0,
  summary: 'read',
  mainKey: 'slugs',
  better: 'lower',
  marginKind: 'percent',
  margin: '30',
};

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

/** Of the comparison itself; and of another measure, which nobody then reads. */
async function guessOfTomas(id: string): Promise<void> {
  await addMeasureToTrial(id, { from: 'library', key: 'holed-leaves' });
  const holed = (await dataOf(id)).measures.find(measure => measure.kindKey === 'holed-leaves');
  const comparison = 'grit against nothing';
  const guess = { by: 'Tomas', comparison, expects: 'less', why: 'It dries them out.' };
  expect(await predict(id, guess)).toMatchObject({ ok: true });
  expect(await predict(id, { ...guess, measureId: holed?.id, expects: '' })).toMatchObject({
    ok: true,
  });
  for (const gone of [
    { comparison: 'ash against nothing' },
    { measureId: v7() },
    { expects: 'grit' },
  ])
    expect(await predict(id, { ...guess, ...gone })).toMatchObject({
      ok: false,
      trouble: { kind: 'changed-meanwhile' },
    });
}

/** Slugs found: many under nothing, few under grit. */
async function readThrough(): Promise<TrialData> {
  const trial = await askTrial(question);
  if (!trial.ok) throw new Error(JSON.stringify(trial.trouble));
  const { id } = trial.value;
  await dealTrial(id, {
    kind: 'complete-randomisation',
    unitsEach: '6',
    blockCount: '2',
    blockWord: 'strip',
    unitWidth: '60 cm',
    isBlind: false,
  });
  await predict(id, { by: 'Ines', expects: 'grit', why: 'They will not crawl over it.' });
  await guessOfTomas(id);
  await lockPlan(id);
  const data = await dataOf(id);
  const main = data.measures.find(measure => measure.isMain);
  const entries = data.units.map((unit, i) => ({
    id: v7(),
    unitId: unit.id,
    measureId: main?.id,
    takenOn: today(),
    value: String(
      (data.treatments.find(treatment => treatment.id === unit.treatmentId)?.name === 'grit'
        ? 1
        : 12) +
        (i % 4),
    ),
  }));
  const taken = await takeReadings(id, entries);
  if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  return dataOf(id);
}

test('the question may be about what is read; asked anew it changes with it, and can’t be taken out', async () => {
  const asked = await askTrial(question);
  if (!asked.ok) throw new Error(JSON.stringify(asked.trouble));
  const { id } = asked.value;
  await addMeasureToTrial(id, { from: 'library', key: 'holed-leaves' });
  const mainOf = async () =>
    (await dataOf(id)).measures.filter(measure => measure.isMain).map(measure => measure.name);
  expect(await mainOf()).toEqual(['Slugs found']);
  expect(
    await removeMeasureFromTrial(
      id,
      (await dataOf(id)).measures.find(measure => measure.isMain)?.id ?? '',
    ),
  ).toMatchObject({
    ok: false,
    trouble: { fields: { measure: expect.stringContaining('main measure') } },
  });
  await changeQuestion(id, { ...question, mainKey: 'holed-leaves' }); // what was read beside it is the main one now
  expect(await mainOf()).toEqual(['Leaves with holes']);
  expect((await dataOf(id)).measures.filter(measure => measure.scale !== null)).toHaveLength(1);
  await changeQuestion(id, { ...question, summary: 'sound-count', better: 'higher' });
  expect(await mainOf()).toEqual(['Number of sound pieces']);
  expect((await dataOf(id)).measures).toHaveLength(4);
});

test('it is judged by its kind, frozen, told in the list and the report, and still says the same', async () => {
  const { trial, units } = await readThrough();
  expect(await verdictPage(trial.id)).toMatchObject({
    ok: true,
    value: {
      details: {
        position: null,
        seasons: [],
        bases: [],
        card: { rows: [{ name: 'Slugs found', isMain: true, isByMean: false }] },
      },
    },
  });
  const picked = {
    id: v7(),
    unitId: units[0]?.id,
    supersedes: null,
    pickedOn: today(),
    outcome: 'picked',
    gross: '',
    tare: '',
    grade: 'sound',
    cullReason: null,
    note: '',
  };
  expect(await takePick(trial.id, { ...picked, pieces: '' })).toMatchObject({ ok: false });
  expect(await takePick(trial.id, { ...picked, pieces: '2' })).toMatchObject({ ok: true }); // a harvest beside the question needs no weight
  await closeTrial(trial.id);
  const frozen = await frozenVerdictOf(trial.id);
  expect(frozen).toMatchObject({
    verdict: {
      headline: expect.stringMatching(/^Grit gave \d+% fewer slugs found than “nothing”\.$/),
    },
    contrasts: [{ treatment: 'grit', call: 'clearly-better' }],
  });
  expect((await listTrials())[0]?.headline).toBe(frozen?.verdict.headline);
  const file = await reportFile(trial.id, 'frozen', false);
  if (!file.ok) throw new Error(file.trouble.kind);
  expect(checkFrozen(JSON.parse(String(file.value.body)))).toMatchObject({
    ok: true,
    value: { isSameInput: true, isSameJudgement: true },
  });
  const changed = JSON.parse(String(file.value.body));
  changed.judgement.contrasts[0].call = 'worse';
  expect(checkFrozen(changed)).toMatchObject({
    ok: true,
    value: { isSameInput: true, isSameJudgement: false },
  });
  const html = await reportFile(trial.id, 'html', false);
  expect(html.ok && html.value.body).toContain('judged by ratios, quasi-Poisson');
  expect(html.ok && html.value.body).toContain(
    'Slugs found: each dot is one patch, 12 patches in all; the thick bar is the mean of its treatment',
  );
});

test('as a file it comes in again in another garden, and says the same there', async () => {
  const { trial } = await readThrough();
  await closeTrial(trial.id);
  const [whole, said] = [
    await wholeTrial(trial.id),
    (await frozenVerdictOf(trial.id))?.verdict.headline,
  ];
  await closeStore();
  process.env.TURNSPIT_DATA = `${process.env.TURNSPIT_DATA}-other`; // in the same folder, which goes with the test
  await startStore();
  expect(await takeTrialIn(JSON.parse(JSON.stringify(whole)))).toMatchObject({ ok: true });
  expect(await wholeTrial(trial.id)).toEqual({
    ...whole,
    trial: { ...whole?.trial, gardenId: expect.any(String) },
  });
  expect((await frozenVerdictOf(trial.id))?.verdict.headline).toBe(said);
});

test('the guesses are scored, the next trial learns from it, and it lends no spread to trials of another kind', async () => {
  const { trial } = await readThrough();
  await closeTrial(trial.id);
  expect(await openedPredictions(await dataOf(trial.id))).toMatchObject({
    guesses: [
      { prediction: { by: 'Ines' }, outcome: 'came' },
      { prediction: { by: 'Tomas' }, outcome: 'came' },
      { prediction: { by: 'Tomas' }, outcome: 'open' },
    ],
    records: [
      { by: 'Ines', settled: 1, came: 1, open: 0 },
      { by: 'Tomas', settled: 1, came: 1, open: 1 },
    ],
  });
  const earlier = await earlierTrial(trial.id);
  expect(earlier?.lessons.some(lesson => lesson.includes('treated alike differed'))).toBe(false);
  expect(await pooledCv({ summary: 'sound-weight', kindKey: null })).toBeNull();
  const json = await reportFile(trial.id, 'json', true);
  expect(
    json.ok &&
      TrialData.parse(JSON.parse(String(json.value.body))).measures.filter(
        measure => measure.isMain,
      ),
  ).toHaveLength(1);
});
