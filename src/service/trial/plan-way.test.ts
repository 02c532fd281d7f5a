import { v7 } from 'uuid';
import { QUESTION_PATTERNS } from '@/core/design/question/question-patterns';
import type { TrialData } from '@/core/trial/model/trial-data';
import { printSheet } from '@/service/files/print';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { closeTrial, frozenVerdictOf, openKey } from '@/service/judge/close-trial';
import { arrangePlace, describeSite } from '@/service/layout/arrange';
import { describeTrait, removeTrait } from '@/service/layout/describe-traits';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { movePots } from '@/service/layout/move-pots';
import { takePick } from '@/service/weigh/picks';
import { amendPlan } from './amend';
import { askTrial } from './ask';
import { pooledCv } from './pooled-cv';
import { predict } from './predict';
import { findTrial, questionOfTrial, trialLog } from './trials';

freshGardenForEachTest();

const QUESTION = {
  question: 'Does a feed help?',
  crop: 'beans',
  picked: 'beans',
  unitWord: 'pot',
  startsOn: '2026-05-01',
  endsOn: '2026-08-01',
  treatments: [{ name: 'plain water' }, { name: 'feed' }, { name: 'tea' }],
  control: 0,
  summary: 'sound-weight',
  better: 'higher',
  marginKind: 'percent',
  margin: '15',
};
const BENCH = {
  kind: 'complete-blocks',
  unitsEach: '1',
  blockCount: '4',
  blockWord: 'shelf',
  unitWidth: '25 cm',
  isBlind: true,
};

async function dealt(
  question: Readonly<Record<string, unknown>> = {},
  bench: Readonly<Record<string, unknown>> = {},
): Promise<TrialData> {
  const trial = await askTrial({ ...QUESTION, ...question });
  if (!trial.ok) throw new Error(JSON.stringify(trial.trouble));
  const laid = await dealTrial(trial.value.id, { ...BENCH, ...bench });
  if (!laid.ok) throw new Error(JSON.stringify(laid.trouble));
  return dataOf(trial.value.id);
}

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

async function weighAll({ trial, units }: TrialData): Promise<void> {
  for (const [i, unit] of units.entries()) {
    const taken = await takePick(trial.id, {
      id: v7(),
      unitId: unit.id,
      supersedes: null,
      pickedOn: '2026-06-20',
      outcome: 'picked',
      pieces: String(8 + ((i * 3) % 7)),
      gross: String(200 + 7 * ((i * 5) % 11)),
      tare: '',
      grade: 'sound',
      cullReason: null,
      note: '',
    });
    if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  }
}

describe.each(QUESTION_PATTERNS.map(pattern => [pattern.asks, pattern] as const))(
  '%s',
  (_, pattern) => {
    test('goes from the question to a frozen verdict', async () => {
      const data = await dealt(pattern.form, pattern.bench);
      expect(data.trial.state).toBe('planned');
      expect(data.layout?.kind).toBe(pattern.bench.kind);
      expect(data.factors.map(factor => factor.dealtAt)).toEqual(
        data.factors.map(factor =>
          factor.name === data.layout?.wholeFactor ? data.layout.wholeWord : data.trial.unitWord,
        ),
      );
      expect(await lockPlan(data.trial.id)).toMatchObject({ ok: true });
      await weighAll(data);
      expect(await closeTrial(data.trial.id)).toMatchObject({ ok: true });
      expect((await frozenVerdictOf(data.trial.id))?.verdict.headline).not.toMatch(
        /can’t be judged|Nothing to judge/,
      );
    });
  },
);

test('what is sealed comes back whole, and nothing is a guess any more once something was weighed', async () => {
  const data = await dealt();
  const guess = { by: 'Ines', expects: 'feed', why: 'It helped last year.' };
  expect(await predict(data.trial.id, guess)).toMatchObject({ ok: true, value: { by: 'Ines' } });
  expect(await predict(data.trial.id, { ...guess, expects: '', why: '' })).toMatchObject({
    ok: false,
    trouble: { kind: 'invalid', fields: { why: expect.any(String) } },
  });
  expect(await predict(data.trial.id, { ...guess, expects: 'magic' })).toMatchObject({
    ok: false,
    trouble: { kind: 'changed-meanwhile' },
  });
  await lockPlan(data.trial.id);
  expect(await predict(data.trial.id, { ...guess, expects: '' })).toMatchObject({ ok: true });
  await weighAll(data);
  expect(await predict(data.trial.id, guess)).toMatchObject({
    ok: false,
    trouble: { kind: 'too-late-to-guess' },
  });
  expect((await dataOf(data.trial.id)).predictions).toMatchObject([guess, { expects: null }]);
});

test('after the lock the plan changes only on record', async () => {
  const data = await dealt();
  const change = { what: 'margin', to: '20%', why: 'The feed got dearer.', by: 'Ines' };
  expect(await amendPlan(data.trial.id, change)).toMatchObject({
    ok: false,
    trouble: { kind: 'not-locked' },
  });
  await lockPlan(data.trial.id);
  expect(await amendPlan(data.trial.id, change)).toMatchObject({
    ok: true,
    value: { from: '15%', to: '20%', afterKeyOpened: false },
  });
  await openKey(data.trial.id);
  expect(
    await amendPlan(data.trial.id, { ...change, what: 'end', to: '2026-09-01' }),
  ).toMatchObject({ ok: true, value: { from: '2026-08-01', afterKeyOpened: true } });
  for (const [field, wrong] of [
    ['to', { to: 'lots' }],
    ['to', { what: 'end', to: '2026-04-01' }],
    ['to', { what: 'end', to: '9999-12-31' }],
    ['to', { what: 'end', to: '2099-12-31' }],
    ['why', { why: '' }],
  ] as const) {
    expect(await amendPlan(data.trial.id, { ...change, ...wrong })).toMatchObject({
      ok: false,
      trouble: { kind: 'invalid', fields: { [field]: expect.any(String) } },
    });
  }
  const amended = await dataOf(data.trial.id);
  expect(amended.trial.endsOn).toBe('2026-09-01');
  expect(amended.measures.find(measure => measure.isMain)?.margin).toEqual({
    kind: 'percent',
    percent: 20,
  });
  expect(amended.amendments).toHaveLength(2);
});

test('a place is moved before the lock only, is noted where treatments are in sight, and stays for the next deal', async () => {
  const data = await dealt({}, { isBlind: false });
  const shelf = data.places.find(place => place.kind === 'shelf' && place.name === 'shelf 2');
  if (!shelf) throw new Error('there must be a second shelf');
  const xMm = Math.round(shelf.xMm + 500);
  const move = { placeId: shelf.id, xMm, yMm: shelf.yMm };
  expect(await arrangePlace(data.trial.id, move)).toMatchObject({ ok: true });
  const moved = await dataOf(data.trial.id);
  expect(moved.layout?.isArrangedInSight).toBe(true);
  expect(moved.places.find(place => place.kind === 'bench')?.widthMm).toBeGreaterThan(
    data.places.find(place => place.kind === 'bench')?.widthMm ?? 0,
  );
  expect(await arrangePlace(data.trial.id, { ...move, xMm: 0 })).toMatchObject({
    ok: false,
    trouble: { kind: 'place-taken', by: 'shelf 1' },
  });
  await dealTrial(data.trial.id, { ...BENCH, isBlind: false });
  const again = await dataOf(data.trial.id);
  expect(again.places.find(place => place.name === 'shelf 2')?.xMm).toBe(xMm);
  expect(again.layout?.isArrangedInSight).toBe(false);
  await lockPlan(data.trial.id);
  expect(await arrangePlace(data.trial.id, move)).toMatchObject({
    ok: false,
    trouble: { kind: 'already-locked' },
  });
});

test('the site is kept with the layout, through the next deal, and takes no nonsense', async () => {
  const data = await dealt();
  const site = [
    { kind: 'slope', side: 'left', percent: 20 },
    {
      kind: 'tap',
      side: 'near',
      percent: 10,
      line: { x1Mm: 100, y1Mm: 900, x2Mm: 100, y2Mm: 900 },
      reachMm: 400,
    },
  ];
  expect(await describeSite(data.trial.id, { site, hasGuards: true })).toMatchObject({ ok: true });
  expect(
    await describeSite(data.trial.id, {
      site: [{ kind: 'slope', side: 'up', percent: 900 }],
      hasGuards: true,
    }),
  ).toMatchObject({ ok: false, trouble: { kind: 'invalid' } });
  await dealTrial(data.trial.id, BENCH);
  const again = await dataOf(data.trial.id);
  const byMm = 313; // a pot of 25 cm and the gap behind it
  expect(again.layout).toMatchObject({
    hasGuards: true,
    site: [
      site[0],
      {
        ...site[1],
        line: { x1Mm: 100 + byMm, y1Mm: 900 + byMm, x2Mm: 100 + byMm, y2Mm: 900 + byMm },
      },
    ],
  });
  expect(again.places.some(place => place.kind === 'guard')).toBe(true);
  await describeSite(data.trial.id, { site: again.layout?.site, hasGuards: false });
  expect((await dataOf(data.trial.id)).layout?.site).toMatchObject(site);
  expect((await dataOf(data.trial.id)).places.filter(place => place.kind === 'guard')).toEqual([]);
  await lockPlan(data.trial.id);
  expect(await describeSite(data.trial.id, { site, hasGuards: true })).toMatchObject({
    ok: false,
    trouble: { kind: 'already-locked' },
  });
  expect(await describeSite(data.trial.id, { site: [], hasGuards: false })).toMatchObject({
    ok: true,
  });
});

test('what else differs is kept with each unit, through the next deal, and taken away again', async () => {
  const data = await dealt();
  const [first] = data.units;
  expect(
    await describeTrait(data.trial.id, {
      name: 'variety',
      lines: `Ruby: ${first?.code}\nGhost: the rest`,
    }),
  ).toMatchObject({ ok: true });
  expect(
    await describeTrait(data.trial.id, { name: 'variety', lines: 'Ruby: nowhere' }),
  ).toMatchObject({
    ok: false,
    trouble: { kind: 'invalid', fields: { lines: expect.stringContaining('nowhere') } },
  });
  await dealTrial(data.trial.id, BENCH);
  const again = await dataOf(data.trial.id);
  expect(again.units.map(unit => unit.traits.variety)).toEqual(
    again.units.map((_, i) => (i === 0 ? 'Ruby' : 'Ghost')),
  );
  expect(await removeTrait(data.trial.id, 'variety')).toMatchObject({ ok: true });
  expect(
    (await dataOf(data.trial.id)).units.every(unit => Object.keys(unit.traits).length === 0),
  ).toBe(true);
});

test('pots change places within their shelf after the lock, and the log holds the round', async () => {
  const data = await dealt({}, { unitsEach: '2' });
  expect(await movePots(data.trial.id)).toMatchObject({
    ok: false,
    trouble: { kind: 'not-locked' },
  });
  await lockPlan(data.trial.id);
  for (let round = 0; round < 3; round++)
    expect(await movePots(data.trial.id)).toMatchObject({ ok: true });
  const moved = await dataOf(data.trial.id);
  const key = (each: TrialData): readonly string[] =>
    each.units.map(unit => `${unit.code} ${unit.treatmentId} ${unit.blockId}`).sort();
  expect(key(moved)).toEqual(key(data));
  const stood = (each: TrialData): readonly string[] =>
    each.units.map(unit => `${unit.code} ${unit.placeId}`).sort();
  expect(stood(moved)).not.toEqual(stood(data));
  expect(moved.units.map(unit => unit.placeId)).toEqual(data.units.map(unit => unit.placeId));
  expect((await trialLog(data.trial.id)).filter(({ what }) => what === 'pots moved')).toHaveLength(
    3,
  );
  const square = await dealt(
    { treatments: [{ name: 'a' }, { name: 'b' }, { name: 'c' }] },
    { kind: 'latin-square', columnWord: 'column' },
  );
  await lockPlan(square.trial.id);
  expect(await movePots(square.trial.id)).toMatchObject({
    ok: false,
    trouble: { kind: 'cant-move' },
  });
});

test('a deal by start sizes is balanced, its rule stored, and the size allowed for in the sums', async () => {
  const sizes = Array.from({ length: 12 }, (_, i) => 10 + ((i * 7) % 13));
  const data = await dealt(
    {},
    { kind: 'complete-randomisation', unitsEach: '4', startSizes: sizes.join(' ') },
  );
  expect(data.layout?.mostImbalance).toBeGreaterThan(0);
  expect(data.units.map(unit => unit.startSize)).toEqual(sizes);
  expect(data.units.map(unit => unit.plant)).toEqual(sizes.map((_, i) => i + 1));
  await lockPlan(data.trial.id);
  await weighAll(data);
  await closeTrial(data.trial.id);
  expect((await frozenVerdictOf(data.trial.id))?.verdict.headline).not.toBe('');
});

test('a trial of which nothing was read can’t be closed: it stays open, with its key shut', async () => {
  const data = await dealt();
  await lockPlan(data.trial.id);
  expect(await closeTrial(data.trial.id)).toEqual({ ok: false, trouble: { kind: 'nothing-read' } });
  const stands = await findTrial(data.trial.id);
  expect([stands?.trial.state, stands?.trial.keyOpenedAt]).toEqual(['locked', null]);
  expect(await frozenVerdictOf(data.trial.id)).toBeUndefined();
});

test('what a trial asks is known without reading the rest of it', async () => {
  const data = await dealt();
  expect(await questionOfTrial(data.trial.id)).toBe(data.trial.question);
  expect(await questionOfTrial('01890a5d-ac96-774b-bcce-b302099a8057')).toBeUndefined();
});

test('own spread comes from closed trials of the same kind of measure', async () => {
  expect(await pooledCv({ summary: 'sound-weight', kindKey: null })).toBeNull();
  const data = await dealt();
  await lockPlan(data.trial.id);
  await weighAll(data);
  await closeTrial(data.trial.id);
  expect(await pooledCv({ summary: 'sound-weight', kindKey: null })).toMatchObject({
    trials: 1,
    cv: expect.any(Number),
  });
  expect(await pooledCv({ summary: 'sound-count', kindKey: null })).toBeNull();
});

test('a blind trial prints open only with a line in the log', async () => {
  const data = await dealt();
  await lockPlan(data.trial.id);
  const request = {
    sheet: 'labels',
    paper: 'a4',
    format: '3x8',
    isOpen: false,
    mayLook: false,
    origin: 'http://127.0.0.1:4321',
  } as const;
  const printed = await printSheet(data.trial.id, request);
  expect(printed.ok && new TextDecoder().decode(printed.value.slice(0, 5))).toBe('%PDF-');
  expect((await trialLog(data.trial.id)).some(({ what }) => what === 'key printed')).toBe(false);
  // By an address alone, which any page could point to, nobody looks at the key.
  expect(await printSheet(data.trial.id, { ...request, isOpen: true })).toMatchObject({
    ok: false,
    trouble: { kind: 'key-shut' },
  });
  expect((await trialLog(data.trial.id)).some(({ what }) => what === 'key printed')).toBe(false);
  await printSheet(data.trial.id, { ...request, isOpen: true, mayLook: true });
  expect((await trialLog(data.trial.id)).some(({ what }) => what === 'key printed')).toBe(true);
  for (const sheet of ['plan', 'clipboard', 'protocol'] as const)
    expect((await printSheet(data.trial.id, { ...request, sheet })).ok).toBe(true);
  expect(await printSheet(v7(), request)).toMatchObject({
    ok: false,
    trouble: { kind: 'no-such-trial' },
  });
});
