import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import fc from 'fast-check';
import { planFixture, resultsFixture, runPlan } from '@/core/judge/together/ten-gardens-fixture';
import { fileName } from '@/core/trial/file-name';
import { careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { NO_CARE } from '@/core/trial/model/care-plan';
import type { TrialData } from '@/core/trial/model/trial-data';
import { fileSchemas } from './file-schemas';
import { planDifferences } from './plan-differences';
import { partsSentence, planParts, readPlanParts } from './plan-parts';
import { protocolOf, readProtocol } from './protocol';
import { readResults } from './results-file';
import { trialFromProtocol } from './trial-from-protocol';

const FROM = { garden: '', person: '', madeAt: '2026-03-01T08:00:00.000Z' };

test('a plan holds nothing that was dealt, found, spent or said by a person', () => {
  const data = trialFixture({ treatments: 3, unitsEach: 4 });
  const [unit] = data.units;
  const lived: TrialData = {
    ...data,
    trial: { ...data.trial, interest: 'A gift of Ottilie Brandt’s' },
    picks: unit ? [pickFixture(unit, { by: 'Ottilie Brandt' })] : [],
    care: {
      ...NO_CARE,
      rules: [careRuleFixture({ name: 'feed', treatmentIds: [data.treatments[1]!.id] })],
    },
  };
  const text = JSON.stringify(protocolOf(lived, FROM));
  for (const { code, id } of data.units) {
    expect(text).not.toContain(code);
    expect(text).not.toContain(id);
  }
  expect(text).not.toContain('Ottilie');
  expect(text).not.toContain('"seed"');
  expect(protocolOf({ ...data, layout: null }, FROM)).toBeUndefined();
});

test('the trial it begins is another’s own: new ids, nothing dealt, tasks for the same treatments', () => {
  const data = trialFixture({ treatments: 3, unitsEach: 4 });
  const after = careRuleFixture({ name: 'water it in' });
  const rules = [
    careRuleFixture({ name: 'feed', treatmentIds: [data.treatments[1]!.id] }),
    { ...after, from: { kind: 'after' as const, ruleId: after.id, days: 1 } },
  ];
  const plan = protocolOf({ ...data, care: { ...NO_CARE, rules } }, FROM);
  const read = readProtocol(JSON.parse(JSON.stringify(plan)));
  if (!read.ok) throw new Error(JSON.stringify(read.trouble));
  let made = 0;
  const begun = trialFromProtocol(
    read.value,
    data.trial.gardenId,
    () => `00000000-0000-7000-8000-${String(++made).padStart(12, '0')}`,
  );
  expect(begun.trial).toMatchObject({ state: 'planned', protocolId: data.trial.id });
  expect(begun.units).toEqual([]);
  expect(begun.treatments.map(({ name }) => name)).toEqual(data.treatments.map(({ name }) => name));
  const [feed, water] = begun.care.rules;
  expect(feed?.treatmentIds).toEqual([begun.treatments[1]?.id]);
  expect(water?.from).toEqual({ kind: 'after', ruleId: water?.id, days: 1 });
  expect(planDifferences(read.value, begun)).toEqual({ grave: [], told: [] });
});

test('a plan of a season that has gone by begins in the next, on the same weekdays; one that can still be begun keeps its days', () => {
  const data = trialFixture();
  const rules = [
    careRuleFixture({
      from: { kind: 'day', day: '2026-05-11' },
      until: { kind: 'start', days: 30 },
    }),
  ];
  const plan = protocolOf({ ...data, care: { ...NO_CARE, rules } }, FROM);
  if (!plan) throw new Error('it is dealt');
  const begun = (today?: string) =>
    trialFromProtocol(plan, data.trial.gardenId, () => data.trial.id, today);
  // The fixture runs from 2026-05-01 to 2026-08-01.
  expect(begun('2026-06-30').trial).toMatchObject({ startsOn: '2026-05-01', endsOn: '2026-08-01' });
  expect(begun('2026-07-01').trial).toMatchObject({ startsOn: '2027-04-30', endsOn: '2027-07-31' });
  expect(begun('2028-11-30').trial.startsOn).toBe('2029-04-27');
  expect(begun('2026-07-01').care.rules[0]).toMatchObject({
    from: { kind: 'day', day: '2027-05-10' },
    until: { kind: 'start', days: 30 },
  });
  expect(begun().trial.startsOn).toBe('2026-05-01');
});

test('what a garden changed is told; another treatment or measure makes it another question', () => {
  const plan = planFixture(3, 2);
  const run = runPlan(plan, 1, () => 100);
  const dosed: TrialData = {
    ...run,
    treatments: run.treatments.map(each => ({ ...each, dose: each.position })),
  };
  expect(planDifferences(plan, dosed).grave).toHaveLength(3);
  const counted: TrialData = {
    ...run,
    measures: run.measures.map((each, i) => ({ ...each, isMain: i === 1 })),
  };
  expect(planDifferences(plan, counted).grave).toEqual([
    `Its main measure is “${run.measures[1]?.name}”, that of the plan is “${plan.measures.find(each => each.isMain)?.name}”.`,
  ]);
  const told: TrialData = {
    ...run,
    trial: { ...run.trial, crop: 'peas', question: 'Do feeds help peas?' },
    care: { ...run.care, rules: [careRuleFixture({ name: 'a pinch of salt' })] },
  };
  expect(planDifferences(plan, told)).toEqual({
    grave: [],
    told: [
      'It asks “Do feeds help peas?”.',
      'It grew peas, not beans.',
      'Its own care has “a pinch of salt”.',
    ],
  });
});

test('names of people stay behind unless they are wanted, and a person is the same everywhere', () => {
  const plan = planFixture(2, 2);
  const results = resultsFixture(
    runPlan(plan, 1, () => 100),
    'Elm End',
    { person: 'Ida' },
  );
  expect(JSON.stringify(results)).not.toContain('Ida');
  expect(results.trial.picks.every(({ by }) => by === 'person 1')).toBe(true);
  expect(readResults(JSON.parse(JSON.stringify(results))).ok).toBe(true);
});

test('square codes give the plan back in any order, with others’ words between them, some twice', () => {
  fc.assert(
    fc.property(
      fc.json({ maxDepth: 3 }),
      fc.array(fc.integer({ min: 0, max: 9 }), { maxLength: 6 }),
      (text, twice) => {
        const plan = { text, long: Array.from({ length: 90 }, (_, i) => `${i} ${text}`) };
        const parts = planParts(plan);
        const again = twice.map(i => parts[i % parts.length]);
        const read = readPlanParts(
          [...parts]
            .reverse()
            .concat(again as string[])
            .join(' scanned: '),
        );
        expect(read).toEqual({ ok: true, value: plan });
      },
    ),
    { numRuns: 40 },
  );
});

test('codes that are missing, mixed, cut or none at all are said to be so', () => {
  const [plan, other] = [planFixture(3, 2), planFixture(2, 3)].map(planParts) as [
    string[],
    string[],
  ];
  const said = (text: string): string => {
    const read = readPlanParts(text);
    return read.ok ? 'read' : partsSentence(read.trouble);
  };
  expect(said('a shopping list')).toBe('That is no square code of a plan.');
  expect(said(plan.slice(1).join('\n'))).toBe(`Still to be read: code 1 of ${plan.length}.`);
  expect(said([plan[0], other[0]].join('\n'))).toMatch(/^These codes are of two different plans/);
  const cut = plan.map((part, i) => (i === 0 ? part.slice(0, -20) : part)).join('\n');
  expect(said(cut)).toBe('One of the codes was not read whole. Read them again.');
});

const ajv = new Ajv({ strict: false, allErrors: true });
addFormats(ajv);

test.each(Object.entries(fileSchemas()))(
  'the published shape of %s is the one in use',
  (name, schema) => {
    // After a change of the model: npm run schemas.
    expect(JSON.parse(readFileSync(`public/schema/${name}.schema.json`, 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(schema)),
    );
  },
);

test('another reader of JSON Schema takes the files that go out, and refuses what we refuse', () => {
  const plan = planFixture(3, 2);
  const results = resultsFixture(
    runPlan(plan, 1, () => 100),
    'Elm End',
  );
  const files = {
    'turnspit-protocol': plan,
    'turnspit-results': results,
    'turnspit-trial': results.trial,
  };
  for (const [name, file] of Object.entries(files)) {
    const isFit = ajv.compile(fileSchemas()[name] as object);
    const sent = JSON.parse(JSON.stringify(file));
    expect([name, isFit(sent), isFit.errors]).toEqual([name, true, null]);
    expect(isFit({ ...sent, version: 2 })).toBe(false);
    expect(isFit({ ...sent, format: 'another' })).toBe(false);
  }
});

test('a file’s name says what it is, in letters that every system takes', () => {
  expect(fileName(['Cinder Row', 'Fördert Brühe die Möhren?', 'plan'], 'json')).toBe(
    'cinder-row-fordert-bruhe-die-mohren-plan.json',
  );
  expect(fileName(['', '???'], 'csv')).toBe('turnspit.csv');
  fc.assert(
    fc.property(fc.array(fc.string({ unit: 'binary' }), { maxLength: 4 }), parts => {
      expect(fileName(parts, 'zip')).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*\.zip$/);
    }),
  );
});
