import fc from 'fast-check';
import { judge } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputOf, plannedSpec } from '@/core/judge/units/trial-analysis';
import { checkFrozen } from '@/core/judge/verdict/frozen-file';
import { addDays } from '@/core/time/garden-day';
import { TrialData } from '@/core/trial/model/trial-data';
import { reportHtml } from '@/print/report/report-html';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { newId } from '@/service/garden/new-id';
import { openedPredictions } from '@/service/judge/opened-predictions';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { amendPlan } from '@/service/trial/amend';
import { askTrial } from '@/service/trial/ask';
import { earlierTrial } from '@/service/trial/earlier-trial';
import { predict } from '@/service/trial/predict';
import { recordRegret } from '@/service/trial/regret';
import { findTrial, findTrialFor } from '@/service/trial/trials';
import { takePick } from '@/service/weigh/picks';
import { closeTrial } from './close-trial';
import { rememberedJudge } from './remembered-judge';
import { reportFile } from './report';
import { analysisSpecOf, verdictPage, verdictUnder } from './verdict';
import { verdictDetails } from './verdict-details';

freshGardenForEachTest();

async function weighed(isBlind = false, isGuessed = false): Promise<TrialData> {
  const trial = await askTrial({
    question: 'Does “feed” help & <b>how</b>?',
    crop: 'beans',
    picked: 'beans',
    unitWord: 'pot',
    startsOn: addDays(today(), -30),
    endsOn: addDays(today(), 60),
    treatments: [{ name: 'plain water' }, { name: 'feed' }],
    control: 0,
    summary: 'sound-weight',
    better: 'higher',
    marginKind: 'percent',
    margin: '15',
  });
  if (!trial.ok) throw new Error(JSON.stringify(trial.trouble));
  const { id } = trial.value;
  await dealTrial(id, {
    kind: 'complete-randomisation',
    unitsEach: '4',
    blockCount: '2',
    blockWord: 'shelf',
    unitWidth: '25 cm',
    isBlind,
  });
  await lockPlan(id);
  if (isGuessed) await predict(id, { by: 'Ines', expects: 'feed', why: 'It always does.' });
  const data = await dataOf(id);
  for (const [i, unit] of data.units.entries()) {
    const isFed =
      data.treatments.find(treatment => treatment.id === unit.treatmentId)?.name === 'feed';
    const taken = await takePick(id, {
      id: newId(),
      unitId: unit.id,
      supersedes: null,
      pickedOn: today(),
      outcome: 'picked',
      pieces: '',
      gross: `${(isFed ? 400 : 250) + 7 * i} g`,
      tare: '',
      grade: 'sound',
      cullReason: null,
      note: i === 0 ? '=HYPERLINK("x")' : '',
      by: 'Jory',
    });
    if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  }
  return dataOf(id);
}

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

const bodyOf = async (
  id: string,
  form: Parameters<typeof reportFile>[1],
  hasNames = false,
): Promise<string> => {
  const made = await reportFile(id, form, hasNames);
  if (!made.ok) throw new Error(made.trouble.kind);
  return String(made.value.body);
};

test('the report is one file in which nothing runs and nothing is fetched, with the question in it as it was written', async () => {
  const { trial } = await weighed();
  const html = await bodyOf(trial.id, 'html');
  expect(html).toContain('Does “feed” help &#38; &#60;b&#62;how&#60;/b&#62;?');
  expect(html).not.toMatch(
    /<script|<b>how|src=|href="(?!data:application\/json)|url\((?!data:font)|@import/i,
  );
  expect(html).toContain('One garden, one season: what held here need not hold elsewhere.');
});

test('before the key is open there is no report, and entries go out by their codes alone', async () => {
  const { trial, treatments, units } = await weighed(true);
  const entries = await bodyOf(trial.id, 'entries');
  expect(entries.split('\n')[0]).not.toContain('treatment');
  expect(entries).toContain(units[0]?.code);
  for (const { name } of treatments) expect(entries).not.toContain(name);
  expect(await reportFile(trial.id, 'csv', false)).toMatchObject({
    ok: false,
    trouble: { kind: 'key-shut' },
  });
  expect(await earlierTrial(trial.id)).toBeUndefined();
});

test('the data come along: every unit, every entry, the whole trial; a formula stays a text', async () => {
  const data = await weighed();
  const units = (await bodyOf(data.trial.id, 'csv')).trim().split('\n');
  expect(units).toHaveLength(1 + data.units.length);
  expect(units[0]).toBe(
    'code,treatment,block,column,start_size,left_out,Sound harvest by weight (g),Number of sound pieces,Weight of one sound piece (g),Whole harvest by weight (g)',
  );
  const entries = await bodyOf(data.trial.id, 'entries');
  expect(entries).toContain(`"'=HYPERLINK(""x"")"`);
  expect(TrialData.parse(JSON.parse(await bodyOf(data.trial.id, 'json'))).picks).toHaveLength(
    data.picks.length,
  );
});

test('names are left out unless they are asked for', async () => {
  const { trial } = await weighed();
  await amendPlan(trial.id, {
    what: 'other',
    to: 'One more week.',
    why: 'Rain.',
    by: 'Ines Marrow',
  });
  expect(await bodyOf(trial.id, 'json')).not.toContain('Ines Marrow');
  expect(await bodyOf(trial.id, 'json', true)).toContain('Ines Marrow');
  for (const form of ['json', 'entries'] as const) {
    expect(await bodyOf(trial.id, form)).not.toContain('Jory');
    expect(await bodyOf(trial.id, form, true)).toContain('Jory');
    // Who read what is part of the trial: as a number it goes along.
    expect(await bodyOf(trial.id, form)).toContain('person 1');
  }
});

test('a frozen file whose input is another shape, or asks for shuffles without end, is not let near the judge', async () => {
  const { trial } = await weighed();
  await closeTrial(trial.id);
  const frozen = JSON.parse(await bodyOf(trial.id, 'frozen'));
  for (const harm of [
    { units: 'all of them' },
    { units: [] },
    { units: frozen.input.units.map(() => ({})) },
    { shuffles: 1e9 },
    { margin: 7 },
  ])
    expect(checkFrozen({ ...frozen, input: { ...frozen.input, ...harm } })).toMatchObject({
      ok: true,
      value: { isSameJudgement: false },
    });
});

test('a frozen verdict checks out; a correction afterwards stands first in the report and changes nothing else', async () => {
  const { trial } = await weighed();
  expect(await reportFile(trial.id, 'frozen', false)).toMatchObject({
    ok: false,
    trouble: { kind: 'not-closed' },
  });
  await closeTrial(trial.id);
  expect(checkFrozen(JSON.parse(await bodyOf(trial.id, 'frozen')))).toMatchObject({
    ok: true,
    value: { isSameInput: true, isSameJudgement: true },
  });
  expect(
    await amendPlan(trial.id, { what: 'margin', to: '30', why: 'It looks better.', by: '' }),
  ).toMatchObject({ ok: false, trouble: { kind: 'closed' } });
  expect(
    await amendPlan(trial.id, {
      what: 'other',
      to: 'The feed was at half strength.',
      why: 'The spoon was small.',
      by: '',
    }),
  ).toMatchObject({ ok: true });
  const html = await bodyOf(trial.id, 'html');
  expect(html.indexOf('The feed was at half strength.')).toBeLessThan(
    html.indexOf('class="verdict"'),
  );
  expect(checkFrozen(JSON.parse(await bodyOf(trial.id, 'frozen')))).toMatchObject({
    ok: true,
    value: { isSameInput: true, isSameJudgement: true },
  });
});

test('what stands beside a verdict is there, and the next trial learns from it', async () => {
  const data = await weighed();
  const input = judgeInputOf(data, plannedSpec(data, STARTING_GUESS_CV));
  const details = await verdictDetails(
    data,
    plannedSpec(data, STARTING_GUESS_CV),
    { input, judgement: judge(input) },
    [],
  );
  expect(details.card.rows[0]?.cells.map(cell => cell.call)).toEqual([null, 'clearly-better']);
  expect((await earlierTrial(data.trial.id))?.lessons).toEqual(details.lessons);
});

test('what stands under a verdict comes with the whole trial, guesses sealed until it is closed, and not before the key is open', async () => {
  const { trial, predictions } = await weighed(false, true);
  expect(predictions).toHaveLength(1);
  const open = await verdictPage(trial.id);
  if (!open.ok) throw new Error(open.trouble.kind);
  expect([open.value.data.predictions.length, open.value.data.picks.length]).toEqual([0, 8]);
  expect(open.value.log).toContainEqual({ at: expect.any(String), what: 'plan locked' });
  expect(await openedPredictions(await dataOf(trial.id))).toEqual({ guesses: [], records: [] });
  await closeTrial(trial.id);
  expect(await verdictPage(trial.id)).toMatchObject({
    ok: true,
    value: { data: { predictions: [{ by: 'Ines', expects: 'feed' }] } },
  });
  expect(await openedPredictions(await dataOf(trial.id))).toMatchObject({
    guesses: [{ prediction: { by: 'Ines' }, outcome: 'came' }],
    records: [{ by: 'Ines' }],
  });
  expect(await verdictPage(newId())).toMatchObject({
    ok: false,
    trouble: { kind: 'no-such-trial' },
  });
  expect(await verdictPage((await weighed(true)).trial.id)).toMatchObject({
    ok: false,
    trouble: { kind: 'key-shut' },
  });
});

test('the verdict rests on the trial as far as it is loaded, and is the one of the whole trial', async () => {
  const whole = await weighed();
  const part = (await findTrialFor(whole.trial.id, undefined))!;
  expect(verdictUnder(part, await analysisSpecOf(part))).toEqual(
    verdictUnder(whole, await analysisSpecOf(whole)),
  );
  expect(
    (await analysisSpecOf(whole, whole.measures.find(measure => !measure.isMain)?.id)).measureId,
  ).not.toBe((await analysisSpecOf(whole, newId())).measureId);
});

test('a verdict is remembered for the very same input only, and the oldest is forgotten', async () => {
  const data = await weighed();
  const input = { ...judgeInputOf(data, plannedSpec(data, STARTING_GUESS_CV)), shuffles: 50 };
  const first = rememberedJudge(input);
  expect(first).toEqual(judge(input));
  expect(rememberedJudge(structuredClone(input))).toBe(first);
  expect(rememberedJudge({ ...input, margin: { kind: 'percent', percent: 90 } })).not.toEqual(
    first,
  );
  for (let seed = 1000; seed < 1030; seed++) rememberedJudge({ ...input, seed });
  expect(rememberedJudge(input)).not.toBe(first);
});

test('a regret goes with the next trial, and without a name into what is shared', async () => {
  const { trial } = await weighed();
  expect(await recordRegret(trial.id, { text: 'ab' })).toMatchObject({
    ok: false,
    trouble: { kind: 'invalid', fields: { text: 'Write what you would do otherwise.' } },
  });
  await closeTrial(trial.id);
  expect(
    await recordRegret(trial.id, { text: 'Start two weeks earlier.', by: 'Ines' }),
  ).toMatchObject({
    ok: true,
  });
  expect((await earlierTrial(trial.id))?.lessons).toContain('“Start two weeks earlier.” (Ines)');
  expect(TrialData.parse(JSON.parse(await bodyOf(trial.id, 'json'))).regrets).toMatchObject([
    { text: 'Start two weeks earlier.', by: 'person 2' },
  ]);
});

test('whatever somebody wrote, the report holds no tag of theirs', () => {
  fc.assert(
    fc.property(fc.string(), written => {
      const html = reportHtml(
        {
          question: written,
          stateWords: written,
          headline: written,
          detail: written,
          unitWord: 'pot',
          dots: [{ treatment: written, values: [1, 2], mean: 1.5, interval: [1, 3] }],
          band: { control: 1, ends: [0.9, 1.1] },
          facts: [[written, written]],
          control: written,
          calls: { title: written, heads: [written], rows: [[written, written]] },
          printValue: String,
          roundUnit: () => 1,
          measure: written,
          letters: {},
          map: {
            widthMm: 1,
            depthMm: 1,
            units: [{ code: written, letter: written, x: 0, y: 0, w: 1, h: 1 }],
          },
          limits: [written],
          cautions: [written],
          corrections: [written],
          tables: [{ title: written, heads: [written], rows: [[written, written]] }],
          protocol: [{ title: written, steps: [written] }],
          made: written,
        },
        { fonts: { text: '', heading: '' }, data: { name: written, json: written } },
      );
      const tags = new Set(
        [...html.matchAll(/<\/?([a-z0-9]+)/gi)].map(match => match[1]?.toLowerCase()),
      );
      expect(
        [...tags].filter(
          tag =>
            ![
              'html',
              'head',
              'meta',
              'title',
              'style',
              'body',
              'main',
              'header',
              'p',
              'h1',
              'h2',
              'h3',
              'section',
              'ul',
              'li',
              'figure',
              'figcaption',
              'svg',
              'text',
              'line',
              'circle',
              'rect',
              'table',
              'caption',
              'thead',
              'tbody',
              'tr',
              'th',
              'td',
              'article',
              'footer',
              'div',
              'dl',
              'dt',
              'dd',
              'g',
              'path',
              'a',
            ].includes(tag ?? ''),
        ),
      ).toEqual([]);
    }),
    // A name that every object has is among them.
    { numRuns: 60, examples: [['__proto__']] },
  );
});
