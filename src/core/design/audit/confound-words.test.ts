import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputOf, plannedSpec } from '@/core/judge/units/trial-analysis';
import { measureFromLibrary } from '@/core/measure/library/own-measure';
import { readingKind } from '@/core/measure/library/reading-library';
import { careActFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { productFixture, rateFixture } from '@/core/trial/fixtures/product-fixture';
import { pickFixture, readingFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { inseparable } from './confound-words';
import { fairnessAudit } from './fairness-audit';

const tubs = trialFixture({ treatments: 3, unitsEach: 4, blockCount: 4 });
const [plain, tea, fed] = tubs.treatments;
if (!plain || !tea || !fed) throw new Error('the fixture must have three treatments');
const open = { ...tubs, trial: { ...tubs.trial, isBlind: false } };
const isFed = ({ treatmentId }: ExperimentalUnit): boolean => treatmentId === fed.id;

const withTrait = (
  named: (unit: ExperimentalUnit, i: number) => string,
  data = open,
): TrialData => ({
  ...data,
  units: data.units.map((unit, i) => ({ ...unit, traits: { batch: named(unit, i) } })),
});
const sayings = (data: TrialData): string =>
  fairnessAudit(data, null)
    .filter(finding => finding.grade === 'spoils')
    .map(finding => finding.says)
    .join(' ');

describe('what can’t be told from a treatment spoils the test, and says of which one', () => {
  const lost = `What ${fed.name} does beside ${plain.name} can’t be told from`;

  test('all fed tubs from one bad batch, the others from two good ones', () => {
    const data = withTrait((unit, i) => (isFed(unit) ? 'bad' : `good ${i % 2}`));
    expect(sayings(data)).toContain(`${lost} batch.`);
    expect(sayings(data)).not.toContain(tea.name);
  });

  test('each treatment with one water only is lost wholly', () => {
    expect(sayings(withTrait(unit => unit.treatmentId))).toContain(
      'can’t be told apart from batch.',
    );
  });

  test('one tub of the fed from another batch is enough to tell them apart', () => {
    const own = open.units.filter(isFed);
    expect(
      inseparable(withTrait(unit => (isFed(unit) && unit !== own[0] ? 'bad' : 'good'))),
    ).toBeUndefined();
  });

  test('in a blind trial it is not said which', () => {
    const blind = { ...tubs, trial: { ...tubs.trial, isBlind: true, keyOpenedAt: null } };
    const says = sayings(withTrait(unit => (isFed(unit) ? 'bad' : 'good'), blind));
    expect(says).toContain('What 1 treatment does can’t be told from batch.');
    expect(says).not.toContain(fed.name);
  });

  test('who weighed the fed ones weighed no others', () => {
    const picks = open.units.map(unit => pickFixture(unit, { by: isFed(unit) ? 'Jory' : 'Ida' }));
    expect(sayings({ ...open, picks })).toContain(`${lost} who read it.`);
    const helped = picks.map((pick, i) => ({ ...pick, by: i % 2 === 0 ? 'Jory' : 'Ida' }));
    expect(inseparable({ ...open, picks: helped })).toBeUndefined();
  });

  test('the fed ones were measured on another day; what died is not looked at again, and that is no other day', () => {
    const kind = readingKind('height');
    if (!kind) throw new Error('the library must know heights');
    const height = {
      ...measureFromLibrary(kind, '00000000-0000-7000-8000-0000000000e1'),
      isMain: true,
    };
    const read = (day: (unit: ExperimentalUnit) => string): TrialData => ({
      ...open,
      measures: [height],
      readings: open.units.map(unit => readingFixture(unit, height, 200, { takenOn: day(unit) })),
    });
    const data = read(unit => (isFed(unit) ? '2026-07-09' : '2026-07-02'));
    expect(sayings(data)).toContain(`${lost} the day it was read.`);
    const [dead] = open.units.filter(isFed);
    const died = data.readings.map(reading =>
      reading.unitId === dead?.id ? { ...reading, outcome: 'dead' as const, value: null } : reading,
    );
    expect(inseparable({ ...data, readings: died })).toBeUndefined();
  });

  test('one helper watered the fed ones, another the rest; and these came from another bottle', () => {
    const product = productFixture({ name: 'Brookweed' });
    const rule = careRuleFixture({
      treatmentIds: [],
      material: {
        productId: product.id,
        rate: rateFixture(20, 20),
        choice: 'high',
        strength: 1,
        waterMl: 1000,
        batchId: null,
      },
    });
    const unitIds = (wanted: boolean) =>
      open.units.filter(unit => isFed(unit) === wanted).map(unit => unit.id);
    const act = (wanted: boolean) =>
      careActFixture(rule, 0, '2026-06-10', {
        unitIds: unitIds(wanted),
        by: wanted ? 'Jory' : 'Ida',
        batchId: `01a22711-40ee-7639-a9b3-d3496100218${wanted ? 'a' : 'b'}`,
      });
    const says = sayings({
      ...open,
      products: [product],
      care: { ...open.care, rules: [rule], acts: [act(true), act(false)] },
    });
    expect(says).toContain(`${lost} who tended it.`);
    expect(says).toContain(`${lost} the batch of Brookweed.`);
  });
});

test('the verdict’s headline says what it can’t tell apart', () => {
  const data = withTrait(unit => (isFed(unit) ? 'bad' : 'good'));
  const picks = data.units.map((unit, i) =>
    pickFixture(unit, { netG: (isFed(unit) ? 400 : 200) + 7 * (i % 5) }),
  );
  const weighed = { ...data, picks };
  const { verdict } = judgeWithoutShuffle(
    judgeInputOf(weighed, plannedSpec(weighed, STARTING_GUESS_CV)),
  );
  expect(verdict.headline).toMatch(
    new RegExp(`, though what ${fed.name} does beside ${plain.name} can’t be told from batch\\.$`),
  );
});

test('that the lot let the places of four pots fall alike stands in the audit, not in the headline', () => {
  const four = trialFixture({ treatments: 2, unitsEach: 2 });
  const byPlace = [...four.units].sort((a, b) => a.position - b.position);
  const data: TrialData = {
    ...four,
    units: byPlace.map((unit, i) => ({
      ...unit,
      treatmentId: four.treatments[i === 1 || i === 2 ? 1 : 0]?.id ?? unit.treatmentId,
    })),
  };
  expect(sayings(data)).toContain('can’t be told apart from');
  expect(inseparable(data)).toBeUndefined();
});
