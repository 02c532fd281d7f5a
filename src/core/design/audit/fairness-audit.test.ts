import fc from 'fast-check';
import { draftDeal, undealtTrial } from '@/core/design/layouts/draft-trial';
import { careActFixture, caredFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { predictionFixture } from '@/core/trial/fixtures/prediction-fixture';
import { analysisFixture, productFixture } from '@/core/trial/fixtures/product-fixture';
import { leaveOutFixture, pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_FEATURE, BLANK_LAYOUT } from '@/core/trial/model/blank-facts';
import type { TrialData } from '@/core/trial/model/trial-data';
import { confoundScan } from './confound-scan';
import { AUDIT_CHECKS, fairnessAudit } from './fairness-audit';
import { planFindings } from './plan-findings';

/** Nine times in ten what is worth having would be seen. */
const SEEN = 0.9;

const fair = trialFixture({ treatments: 3, unitsEach: 6, blockCount: 6 });
const codes = (data: TrialData): readonly string[] =>
  fairnessAudit(data, SEEN).map(finding => finding.code);
const withTrial = (changes: Partial<TrialData['trial']>, data = fair): TrialData => ({
  ...data,
  trial: { ...data.trial, ...changes },
});
const rules = fair.trial.rules;
const margin = (change: TrialData['measures'][number]['margin']): TrialData => ({
  ...fair,
  measures: fair.measures.map(measure => ({ ...measure, margin: change })),
});
const layout = (changes: Partial<NonNullable<TrialData['layout']>>, data = fair): TrialData => ({
  ...data,
  layout: data.layout && { ...data.layout, ...changes },
});
const main = (summary: TrialData['measures'][number]['summary']): TrialData => ({
  ...fair,
  measures: fair.measures.map(measure => ({ ...measure, isMain: measure.summary === summary })),
});
const doses = (...amounts: readonly number[]): TrialData => ({
  ...fair,
  treatments: fair.treatments.map((treatment, i) => ({ ...treatment, dose: amounts[i] ?? null })),
});
const levels = (...cells: readonly (readonly [string, string])[]): TrialData => ({
  ...fair,
  factors: [
    { name: 'soil', levels: ['loam', 'bark'], dealtAt: 'pot' },
    { name: 'feed', levels: ['none', 'fed'], dealtAt: 'pot' },
  ],
  treatments: fair.treatments.map((treatment, i) => ({
    ...treatment,
    levels: { soil: cells[i]?.[0] ?? '', feed: cells[i]?.[1] ?? '' },
  })),
});
const [first, second] = fair.units;
if (!first || !second) throw new Error('the fixture must have units');
const ofTreatment = (at: number) =>
  fair.units.filter(unit => unit.treatmentId === fair.treatments[at]?.id);

const fed = caredFixture(fair);

/** A fleece for all, put on and taken off. */
const covered = (
  steps: readonly (readonly [
    'cover' | 'uncover',
    string,
    readonly TrialData['units'][number]['id'][] | null,
  ])[],
): TrialData => {
  const kinds = (['cover', 'uncover'] as const).map(kind =>
    careRuleFixture({ name: 'fleece', kind, isUnplanned: true }),
  );
  return {
    ...fair,
    trial: { ...fair.trial, state: 'locked', isBlind: false },
    picks: [pickFixture(first, { pickedOn: '2026-06-01' })],
    care: {
      ...fair.care,
      rules: kinds,
      acts: steps.flatMap(([kind, on, unitIds], nth) => {
        const rule = kinds.find(each => each.kind === kind);
        return rule ? [careActFixture(rule, nth, on, { unitIds })] : [];
      }),
    },
  };
};

/** For each check a trial that it must find something in. */
const BROKEN: Readonly<Record<string, TrialData>> = {
  'two-questions': withTrial({ question: 'Does feed help, and which feed is best?' }),
  'no-margin': margin(null),
  'margin-out-of-reach': margin({ kind: 'percent', percent: 5 }),
  'missing-control': withTrial(
    { pattern: 'which-remedy' },
    {
      ...fair,
      treatments: fair.treatments.map(treatment =>
        treatment.role === 'control'
          ? { ...treatment, controlKind: 'nothing' as const }
          : treatment,
      ),
    },
  ),
  'piece-weight': main('mean-piece-weight'),
  'culls-count': main('total-weight'),
  'no-leave-out-rule': withTrial({ rules: { ...rules, leaveOut: '' } }),
  'no-replace-rule': withTrial({ rules: { ...rules, replace: '' } }),
  'no-cull-rule': withTrial({ rules: { ...rules, cull: '' } }),
  'ends-by-stage': withTrial({ rules: { ...rules, end: 'stage', endStage: 'half yellow' } }),
  'too-short': withTrial({ endsOn: '2026-05-10' }),
  'fed-mix': withTrial({ endsOn: '2026-06-20' }),
  programme: {
    ...fair,
    treatments: fair.treatments.map(treatment => ({
      ...treatment,
      detail: 'Half strength, then full.',
    })),
  },
  'interest-unblinded': withTrial({ interest: 'The feed was a gift.' }),
  interest: withTrial({ interest: 'The feed was a gift.' }),
  'no-predictions': fair,
  'one-each': trialFixture({ treatments: 2, unitsEach: 1 }),
  'few-each': trialFixture({ treatments: 2, unitsEach: 2 }),
  'many-treatments': trialFixture({ treatments: 7, unitsEach: 4 }),
  'control-too-thin': trialFixture({ treatments: 5, unitsEach: 4 }),
  'no-zero-dose': doses(5, 10, 20),
  'few-doses': doses(0, 10, 20),
  'crossed-gaps': levels(['loam', 'none'], ['bark', 'fed'], ['bark', 'fed']),
  'crossed-unseen': levels(['loam', 'none'], ['bark', 'none'], ['loam', 'fed']),
  'containers-differ': withTrial({ pattern: 'which-container' }),
  'not-dealt': { ...fair, layout: null, units: [], places: [], blocks: [] },
  'dealt-again': layout({ deals: 9 }),
  'few-blocks': layout(
    { kind: 'pairs' },
    trialFixture({ treatments: 2, unitsEach: 4, blockCount: 4 }),
  ),
  'no-blocks': trialFixture({ treatments: 2, unitsEach: 8 }),
  'incomplete-blocks': layout({ kind: 'incomplete-blocks', perBlock: 2 }),
  'few-whole-plots': layout(
    { kind: 'split-plot', wholeFactor: 'soil', wholeWord: 'bed', blockCount: 2 },
    levels(['loam', 'none'], ['bark', 'none'], ['loam', 'fed']),
  ),
  'not-blind': fair,
  'no-start-sizes': fair,
  'shared-roots': withTrial({ unitWord: 'half' }),
  'part-of-plant': withTrial({ unitWord: 'branch' }),
  'no-guards': {
    ...fair,
    places: fair.places.map(place => (place.kind === 'pot' ? { ...place, kind: 'plot' } : place)),
  },
  scope: fair,
  'site-unknown': fair,
  'layout-given': layout({ isGiven: true }),
  'arranged-in-sight': layout({ isArrangedInSight: true }),
  'site-leans': layout({ site: [{ kind: 'slope', side: 'left', percent: 90, ...BLANK_FEATURE }] }),
  'key-early': {
    ...withTrial({ isBlind: true, keyOpenedAt: '2026-06-01T08:00:00.000Z' }),
    picks: [pickFixture(first)],
  },
  'left-out-late': { ...fair, incidents: [leaveOutFixture(first, { afterKeyOpened: true })] },
  'left-out-one-sided': {
    ...fair,
    incidents: ofTreatment(1)
      .slice(0, 2)
      .map(unit => leaveOutFixture(unit)),
  },
  'unread-unevenly': { ...fair, picks: ofTreatment(0).map(unit => pickFixture(unit)) },
  amended: {
    ...fair,
    amendments: [
      {
        id: '01890a5d-ac96-774b-bcce-b302099a8057',
        at: '2026-06-01T08:00:00.000Z',
        what: 'margin',
        from: '15%',
        to: '20%',
        why: 'The feed got dearer.',
        by: 'Ines',
        afterKeyOpened: false,
      },
    ],
  },
  'bottles-differ': { ...fed, trial: { ...fed.trial, isBlind: true, keyOpenedAt: null } },
  'kept-unevenly': {
    ...fed,
    care: {
      ...fed.care,
      acts: fed.care.rules
        .slice(0, 1)
        .flatMap(rule =>
          [0, 1, 2].map(nth =>
            careActFixture(rule, nth, `2026-05-${String(1 + 7 * nth).padStart(2, '0')}`),
          ),
        ),
    },
    trial: { ...fair.trial, endsOn: '2026-05-20', state: 'closed' },
  },
  'unequal-amounts': caredFixture(fair, [
    productFixture(),
    productFixture({ analysis: analysisFixture(12, 4, 8) }),
  ]),
  // Doses of 1 and 4, and both get the same.
  'dose-off-level': { ...fed, treatments: doses(0, 1, 4).treatments },
  'base-hides': {
    ...fed,
    care: { ...fed.care, settings: { ...fed.care.settings, mixMl: 20_000, mixNMgPerL: 900 } },
  },
  'acts-on-some': {
    ...fed,
    care: {
      ...fed.care,
      acts: [
        careActFixture(fed.care.rules[0]!, 0, '2026-05-01', {
          unitIds: [first.id],
          note: 'The can ran dry.',
        }),
      ],
    },
  },
  'barriers-bridged': {
    ...fed,
    care: {
      ...fed.care,
      rules: fed.care.rules.map(rule => ({ ...rule, kind: 'barrier' as const })),
      acts: [
        careActFixture(fed.care.rules[0]!, 0, '2026-05-01', { outcome: 'not-as-it-should-be' }),
      ],
    },
  },
  'days-differ': {
    ...withTrial({ question: 'Does topping help?', rules: { ...rules, act: 'pruning' } }),
    care: {
      ...fair.care,
      rules: fair.treatments.map(({ id }, i) =>
        careRuleFixture({
          name: `topping ${i}`,
          kind: 'prune',
          treatmentIds: [id],
          from: { kind: 'start', days: 7 * i },
          repeat: { kind: 'once' },
        }),
      ),
    },
  },
  'covers-uneven': covered([
    ['cover', '2026-05-02', null],
    ['uncover', '2026-05-12', ofTreatment(0).map(unit => unit.id)],
  ]),
  'cover-was-off': covered([
    ['cover', '2026-05-02', null],
    ['uncover', '2026-05-12', [first.id]],
    ['cover', '2026-05-19', [first.id]],
  ]),
  'window-too-short': withTrial(
    { endsOn: '2026-06-01' },
    caredFixture(fair, [productFixture({ acts: 'compost' })]),
  ),
  'several-seasons': withTrial({ rules: { ...rules, seasons: 3 } }),
  'no-rescue-rule': {
    ...fair,
    treatments: fair.treatments.map(treatment => ({
      ...treatment,
      controlKind: 'nothing' as const,
    })),
  },
  'units-changed': layout({ kind: 'latin-square' }, trialFixture({ treatments: 3, unitsEach: 2 })),
};

test('there are at least 25 checks, and a trial that breaks each', () => {
  expect(Object.keys(AUDIT_CHECKS).length).toBeGreaterThanOrEqual(25);
  expect(Object.keys(BROKEN).sort()).toEqual(Object.keys(AUDIT_CHECKS).sort());
});

test.each(Object.entries(BROKEN))('%s is found, with a reason', (code, data) => {
  const finding = fairnessAudit(data, code === 'margin-out-of-reach' ? 0.2 : SEEN).find(
    each => each.code === code,
  );
  expect(finding?.says).toMatch(/[.)]$/);
  expect(finding?.why).not.toBe('');
});

test('a fair trial has none of the bad findings', () => {
  const start = {
    ...fair,
    trial: { ...fair.trial, isBlind: true, rules: { ...rules, leaveOut: 'Only for mishaps.' } },
    treatments: fair.treatments.map(treatment =>
      treatment.role === 'control' ? { ...treatment, controlKind: 'carrier' as const } : treatment,
    ),
    measures: fair.measures.map(measure => ({
      ...measure,
      margin: { kind: 'percent' as const, percent: 60 },
    })),
  };
  expect(fairnessAudit(start, SEEN).filter(finding => finding.grade !== 'note')).toEqual([]);
});

test('what spoils comes first', () => {
  const grades = fairnessAudit(BROKEN['one-each'] ?? fair, SEEN).map(finding => finding.grade);
  expect(grades[0]).toBe('spoils');
  expect(
    [...grades].sort(
      (a, b) => ['spoils', 'weakens', 'note'].indexOf(a) - ['spoils', 'weakens', 'note'].indexOf(b),
    ),
  ).toEqual(grades);
});

test('treated always left is a confound, whoever dealt it', () => {
  const sorted = [...fair.units].sort((a, b) => (a.treatmentId < b.treatmentId ? -1 : 1));
  const placed = {
    ...fair,
    layout: fair.layout && { ...fair.layout, kind: 'complete-randomisation' as const },
    units: sorted.map((unit, position) => ({ ...unit, position, blockId: null })),
  };
  expect(
    confoundScan(placed).some(
      found => found.with === 'the order of the round' && found.p !== null && found.p < 1e-6,
    ),
  ).toBe(true);
  const byBlock = {
    ...fair,
    units: fair.units.map(unit => ({
      ...unit,
      blockId:
        fair.blocks[fair.treatments.findIndex(treatment => treatment.id === unit.treatmentId)]
          ?.id ?? null,
    })),
  };
  expect(codes(byBlock)).toContain('confounded');
});

// Each column leans in one fair deal of ten; a place in blocks of three is coarse, so the share is only near that.
test('a fair deal is seldom told to lean', () => {
  const leaning = Array.from(
    { length: 300 },
    (_, seed) =>
      confoundScan(trialFixture({ treatments: 3, unitsEach: 6, blockCount: 6, seed })).filter(
        found => found.with === 'the order of the round',
      ).length,
  );
  const share = leaning.reduce((sum, count) => sum + count, 0) / 300;
  expect(share).toBeLessThan(0.17);
  expect(share).toBeGreaterThan(0.03);
});

test('no plan makes it stumble', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 8 }),
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 0, max: 3 }),
      (treatments, each, blocks) => {
        const data = trialFixture({
          treatments,
          unitsEach: each * Math.max(1, blocks),
          blockCount: blocks,
        });
        for (const finding of fairnessAudit(data, SEEN))
          expect(finding.says.length).toBeGreaterThan(10);
      },
    ),
    { numRuns: 20 },
  );
});

// In a square of four whose rows 1 and 4 mirror 2 and 3, who stands at the edge is told by two pairs of treatments, not by each.
test('in a square, treatments that share the edge unevenly lean on it, but do not go together with it', () => {
  const square = trialFixture({ treatments: 4, unitsEach: 4, blockCount: 4 });
  const grid = [
    [0, 1, 2, 3],
    [1, 0, 3, 2],
    [2, 3, 0, 1],
    [3, 2, 1, 0],
  ];
  const bench = square.places.find(place => place.parentId === null);
  const standing = square.units.map((unit, i) => ({
    ...unit,
    blockId: square.blocks[Math.floor(i / 4)]?.id ?? null,
    column: i % 4,
    treatmentId: square.treatments[grid[Math.floor(i / 4)]?.[i % 4] ?? 0]?.id ?? unit.treatmentId,
  }));
  const places = square.places.map(place => {
    const at = square.units.findIndex(unit => unit.placeId === place.id);
    return at < 0
      ? place
      : {
          ...place,
          parentId: bench?.id ?? null,
          xMm: (at % 4) * 250,
          yMm: Math.floor(at / 4) * 250,
        };
  });
  const found = confoundScan({ ...square, places, units: standing }).find(
    each => each.with === 'nearness to the edge',
  );
  expect(found).toEqual({
    what: 'treatment',
    with: 'nearness to the edge',
    kind: 'number',
    how: 'partly',
    p: null,
    arms: [],
    reference: square.treatments[0]?.name,
  });
});

describe('what else was said to differ', () => {
  const withTrait = (named: (unit: TrialData['units'][number], i: number) => string) => ({
    ...fair,
    units: fair.units.map((unit, i) => ({ ...unit, traits: { container: named(unit, i) } })),
  });
  const found = (data: TrialData) =>
    confoundScan(data).find(each => each.with === 'container')?.how;
  test('one container for each treatment spoils the test', () => {
    const each = withTrait(unit => unit.treatmentId);
    expect(found(each)).toBe('wholly');
    expect(
      fairnessAudit(each, SEEN).find(finding => finding.code === 'confounded')?.says,
    ).toContain('Treatment can’t be told apart from container.');
  });
  test('most of one treatment in the old tubs leans; one to each block, or a name of its own, does not', () => {
    const [first] = fair.treatments;
    const own = fair.units.filter(unit => unit.treatmentId === first?.id);
    expect(found(withTrait(unit => (own.slice(1).includes(unit) ? 'old' : 'new')))).toBe('partly');
    expect(found(withTrait(unit => unit.blockId ?? ''))).toBeUndefined();
    expect(found(withTrait((_, i) => `tub ${i}`))).toBeUndefined();
  });
});

describe('a plan that is still being typed', () => {
  const request = {
    ...BLANK_LAYOUT,
    kind: 'complete-blocks' as const,
    each: 1,
    blockCount: 2,
    blockWord: 'shelf',
    unitShape: 'round' as const,
    unitWidthMm: 200,
    unitDepthMm: 200,
    isBlind: true,
    plants: undefined,
    raisedSizes: [],
  };
  const found = (changes: Partial<typeof request>) =>
    planFindings(draftDeal(undealtTrial(fair), { ...request, ...changes }), SEEN).map(
      finding => finding.code,
    );
  test('is judged by its numbers, and not by a deal that nobody made', () => {
    expect(found({})).toContain('few-each');
    expect(found({ blockCount: 8 })).not.toContain('few-each');
    expect(
      found({ blockCount: 8 }).filter(code => ['not-dealt', 'leans', 'site-leans'].includes(code)),
    ).toEqual([]);
  });
  test('gives away neither the deal nor what was sealed', () => {
    const sealed = {
      ...fair,
      predictions: [predictionFixture({ why: 'a hunch' })],
    };
    const shown = JSON.stringify(undealtTrial(sealed));
    expect(
      [fair.units[0]?.code ?? '?', String(fair.layout?.seed), 'Ines', 'a hunch'].filter(
        secret => shown.includes(`"${secret}"`) || shown.includes(`:${secret},`),
      ),
    ).toEqual([]);
  });
});
