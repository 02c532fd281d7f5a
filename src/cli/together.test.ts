import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import papaparse from 'papaparse';
import { z } from 'zod';
import '../../reference/significant-digits';
import { planFixture, runGarden } from '@/core/judge/together/ten-gardens-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { Protocol } from '@/core/trial/shared/protocol';
import { bundledCli } from './cli-fixture';

const CLI = bundledCli('turnspit-together');
const FOLDER = mkdtempSync(join(tmpdir(), 'turnspit-together-'));

afterAll(() => rmSync(FOLDER, { recursive: true, force: true }));

function turnspit(...args: readonly string[]) {
  return CLI.run(args);
}

function put(name: string, value: unknown): string {
  const file = join(FOLDER, name);
  writeFileSync(file, typeof value === 'string' ? value : JSON.stringify(value));
  return file;
}

const Pooled = z.object({
  treatment: z.string(),
  gardens: z.number(),
  estimate: z.number(),
  se: z.number(),
  low: z.number(),
  high: z.number(),
  p: z.number(),
  tau2: z.number(),
  i2: z.number(),
  q: z.number(),
  qP: z.number(),
});
const BySoil = z.object({
  treatment: z.string(),
  levels: z.array(z.string()),
  estimate: z.array(z.number()),
  se: z.array(z.number()),
  low: z.array(z.number()),
  high: z.array(z.number()),
  tau2: z.number(),
  f: z.number(),
  p: z.number(),
});
const Mixed = z.object({
  contrasts: z.array(
    z.object({ treatment: z.string(), difference: z.number(), se: z.number(), p: z.number() }),
  ),
  df: z.number(),
  unitSd: z.number(),
  gardenSd: z.number(),
});
const REFERENCE = z
  .object({
    shares: z.array(Pooled),
    differences: z.array(Pooled),
    soils: z.array(BySoil),
    mixed: Mixed,
  })
  .parse(JSON.parse(readFileSync('reference/results/gardens.json', 'utf8')));

const Pair = z.tuple([z.number(), z.number()]);
const Answer = z.object({
  gardens: z.array(z.object({ name: z.string(), units: z.number(), missing: z.number() })),
  comparisons: z.array(
    z.object({
      treatment: z.string(),
      scale: z.string(),
      estimate: z.number(),
      se: z.number(),
      ci: Pair,
      ciAdjusted: Pair,
      prediction: Pair,
      p: z.number(),
      tau2: z.number(),
      i2: z.number(),
      q: z.number(),
      qP: z.number(),
      better: z.number(),
      gardens: z.array(z.object({ gardenId: z.string(), estimate: z.number(), se: z.number() })),
      byTrait: z.array(
        z.object({
          trait: z.string(),
          levels: z.array(z.string()),
          found: z.object({
            levels: z.array(z.object({ estimate: z.number(), se: z.number(), ci: Pair })),
            tau2: z.number(),
            f: z.number(),
            p: z.number(),
          }),
        }),
      ),
    }),
  ),
  mixed: Mixed,
  headline: z.string(),
});

const Row = z.object({
  garden: z.string(),
  soil: z.string(),
  treatment: z.string(),
  pot: z.coerce.number(),
  g: z.string(),
});

/** Ten gardens by five treatments by four pots, three with losses: `reference/r/gardens.R`. */
function tenGardensRows(): readonly z.infer<typeof Row>[] {
  const text = readFileSync('reference/data/ten-gardens.csv', 'utf8');
  const read = papaparse.parse(text, { header: true, skipEmptyLines: true });
  return z.array(Row).parse(read.data);
}

/** Ten gardens run a plan, each in a whole trial of its own; what the command line makes of it. */
function tenGardens(margin: 'percent' | 'absolute') {
  const planned = trialFixture({ treatments: 5, unitsEach: 4 });
  const asked =
    margin === 'percent'
      ? planned
      : {
          ...planned,
          measures: planned.measures.map(measure =>
            measure.isMain ? { ...measure, margin: { kind: 'absolute', amount: 40 } } : measure,
          ),
        };
  const plan = join(FOLDER, `plan-${margin}.json`);
  const made = turnspit('protocol', put(`asked-${margin}.json`, asked), '--out', plan);
  expect(made.stderr).toBe('');
  const protocol = Protocol.parse(JSON.parse(readFileSync(plan, 'utf8')));
  const rows = tenGardensRows();
  const gardens = [...new Set(rows.map(row => row.garden))];
  const files = gardens.map((name, seed) => {
    const own = rows.filter(row => row.garden === name);
    const trial = put(`trial ${name}.json`, runGarden(protocol, own, seed));
    const out = join(FOLDER, `results ${name}.json`);
    const soil = own[0]?.soil ?? '';
    const sent = turnspit('results', trial, '--garden', name, '--soil', soil, '--out', out);
    expect(sent.stderr).toBe('');
    return out;
  });
  return { plan, files };
}

test('ten gardens, three with losses, through real files: as metafor and nlme have them', () => {
  const { plan, files } = tenGardens('percent');
  // In another order, and one of them twice.
  const ran = turnspit('together', plan, ...[...files].reverse(), files[3] ?? '', '--json');
  expect(ran.stderr).toBe('');
  const answer = Answer.parse(JSON.parse(ran.stdout));
  expect(answer.gardens).toHaveLength(10);
  expect(answer.gardens.find(({ name }) => name === 'Garden E')).toMatchObject({
    units: 20,
    missing: 4,
  });
  for (const expected of REFERENCE.shares) {
    const found = answer.comparisons.find(each => each.treatment === expected.treatment);
    expect(found?.scale).toBe('percent');
    expect(found?.gardens).toHaveLength(expected.gardens);
    expectPooled(found, expected);
  }
  for (const expected of REFERENCE.soils) {
    const found = answer.comparisons
      .find(each => each.treatment === expected.treatment)
      ?.byTrait.find(({ trait }) => trait === 'soil');
    expect(found?.levels).toEqual(expected.levels);
    found?.found.levels.forEach((level, i) => {
      expect(level.estimate).toAgree(expected.estimate[i] ?? 0, 6);
      expect(level.se).toAgree(expected.se[i] ?? 0, 6);
      expect(level.ci[0]).toAgree(expected.low[i] ?? 0, 6);
      expect(level.ci[1]).toAgree(expected.high[i] ?? 0, 6);
    });
    expect(found?.found.f).toAgree(expected.f, 5);
    expect(found?.found.p).toAgree(expected.p, 5);
  }
  const { mixed } = REFERENCE;
  expect(answer.mixed.df).toBe(mixed.df);
  expect(answer.mixed.unitSd).toAgree(mixed.unitSd, 5);
  expect(answer.mixed.gardenSd).toAgree(mixed.gardenSd, 5);
  for (const expected of mixed.contrasts) {
    const found = answer.mixed.contrasts.find(each => each.treatment === expected.treatment);
    expect(found?.difference).toAgree(expected.difference, 6);
    expect(found?.se).toAgree(expected.se, 6);
    expect(found?.p).toAgree(expected.p, 5);
  }
  expect(answer.headline).toBe('Feed 1 and feed 4 did better than plain water, over 10 gardens.');
});

test('with a smallest difference in grams gardens are taken together in grams', () => {
  const { plan, files } = tenGardens('absolute');
  const ran = turnspit('together', plan, ...files, '--json');
  expect(ran.stderr).toBe('');
  const answer = Answer.parse(JSON.parse(ran.stdout));
  for (const expected of REFERENCE.differences) {
    const found = answer.comparisons.find(each => each.treatment === expected.treatment);
    expect(found?.scale).toBe('difference');
    expectPooled(found, expected);
  }
});

function expectPooled(
  found: z.infer<typeof Answer>['comparisons'][number] | undefined,
  expected: z.infer<typeof Pooled>,
): void {
  expect(found?.estimate).toAgree(expected.estimate, 6);
  expect(found?.se).toAgree(expected.se, 6);
  expect(found?.ci[0]).toAgree(expected.low, 6);
  expect(found?.ci[1]).toAgree(expected.high, 6);
  expect(found?.prediction[0]).toBeLessThan(expected.low);
  expect(found?.prediction[1]).toBeGreaterThan(expected.high);
  expect(found?.p).toAgree(expected.p, 5);
  expect(found?.tau2).toAgree(expected.tau2, 6);
  expect(found?.i2).toAgree(expected.i2, 6);
  expect(found?.q).toAgree(expected.q, 6);
  expect(found?.qP).toAgree(expected.qP, 6);
}

test('what does not fit is refused whole, each with its sentence', () => {
  const protocol = planFixture(2, 3);
  const plan = put('plan.json', protocol);
  const trial = runGarden(protocol, [], 1);
  const whole = { ...trial, picks: [] };
  const results = join(FOLDER, 'one.json');
  turnspit('results', put('one-trial.json', whole), '--garden', 'Elm End', '--out', results);
  const text = readFileSync(results, 'utf8');
  const sent: z.infer<typeof Sent> = Sent.parse(JSON.parse(text));
  const refusal = (name: string, value: unknown): string => {
    const ran = turnspit('together', plan, put(name, value));
    expect(ran.status).toBe(2);
    expect(ran.stdout).toBe('');
    expect(ran.stderr.trim().split('\n')).toHaveLength(1);
    return ran.stderr.trim().slice(join(FOLDER, name).length + 2);
  };
  expect(refusal('half.json', text.slice(0, text.length / 2))).toBe(
    'The file is cut short or is no file of Turnspit’s: it can’t be read to its end. Ask for it again.',
  );
  expect(refusal('plan-again.json', protocol)).toBe(
    'That is not a garden’s results but a plan for other gardens.',
  );
  expect(refusal('newer.json', { ...sent, version: 2 })).toMatch(
    /^The file was written by a newer/,
  );
  expect(refusal('other.json', { ...sent, protocolId: sent.gardenId })).toBe(
    'These results answer another plan: “Does a feed help?”.',
  );
  expect(refusal('running.json', { ...sent, trial: running(sent.trial) })).toBe(
    'That trial is not closed yet. Ask for its results when it is.',
  );
  expect(refusal('edited.json', { ...sent, trial: renamed(sent.trial) })).toBe(
    'That garden changed the plan, so its answer is to another question. It has no “feed 1”. It has “nettles”, which the plan has not.',
  );
  const other = put('other-trial.json', {
    ...sent,
    trial: { ...sent.trial, trial: { ...sent.trial.trial, id: sent.gardenId } },
  });
  const twice = turnspit('together', plan, results, other);
  expect(twice.status).toBe(2);
  expect(twice.stderr).toContain(
    'Elm End has sent results of another trial by this plan already. A garden counts once.',
  );
});

const Sent = z.looseObject({
  gardenId: z.string(),
  trial: z.looseObject({
    trial: z.looseObject({}),
    treatments: z.array(z.looseObject({ name: z.string() })),
  }),
});
type SentTrial = z.infer<typeof Sent>['trial'];

function running(trial: SentTrial): SentTrial {
  return { ...trial, trial: { ...trial.trial, state: 'locked', closedAt: null } };
}

function renamed(trial: SentTrial): SentTrial {
  return {
    ...trial,
    treatments: trial.treatments.map(each =>
      each.name === 'feed 1' ? { ...each, name: 'nettles' } : each,
    ),
  };
}

test('before the lock there is no plan to hand out, before the close nothing to send back', () => {
  const asked = trialFixture();
  const open = put('open.json', { ...asked, trial: { ...asked.trial, state: 'planned' } });
  expect(turnspit('protocol', open).stderr).toContain('its plan is not locked yet');
  expect(turnspit('results', put('own.json', asked), '--garden', 'Elm End').stderr).toContain(
    'was not begun from another garden’s plan',
  );
});
