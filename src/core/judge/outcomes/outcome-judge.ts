import {
  type OutcomeInput,
  type ReadUnit,
  readUnits,
  stratumOf,
} from '@/core/judge/question/outcome-input';
import { callOf, isBetter, isWorse, marginAmount } from '@/core/judge/verdict/call';
import { wordOutcome } from '@/core/judge/verdict/outcome-words';
import { friedman, kruskalWallis } from '@/core/stats/categorical/rank-tests';
import { wilsonInterval } from '@/core/stats/categorical/share-intervals';
import { heterogeneity } from '@/core/stats/categorical/two-by-two';
import { median } from '@/core/stats/median';
import { classTest } from '@/core/stats/permutation/class-test';
import { medianWait } from '@/core/stats/survival/survival';
import { counted, pluralOf } from '@/core/words/plural';
import type { Call } from './judgement';
import type {
  OutcomeContrast,
  OutcomeGroup,
  OutcomeJudgement,
  OutcomeWarning,
  Overall,
  TestedOutcomeContrast,
} from './outcome-judgement';
import { closedTestPValues, type OutcomeTest, testOutcome } from './outcome-tests';

/**
 * Judges counts, shares, steps and days by the method of their kind. A call wants two things: the method's own p, and one that
 * all deals of the units, since items and plants of one unit are no units.
 *
 * @throws {RangeError} fewer than two treatments, or a control that is none of them
 */
export function judgeOutcome(input: OutcomeInput): OutcomeJudgement {
  if (input.treatments.length < 2)
    throw new RangeError(`there must be at least two treatments, got ${input.treatments.length}`);
  if (!input.treatments.includes(input.control))
    throw new RangeError(`control must be one of the treatments, got ${input.control}`);
  const units = readUnits(input);
  const groups = input.treatments.map(name =>
    groupOf(
      input,
      name,
      units.filter(unit => unit.treatment === name),
    ),
  );
  const contrasts = contrastsOf(input, groups);
  const call = overallCall(contrasts);
  const winners = contrasts
    .filter(contrast => isBetter(contrast.call))
    .map(contrast => contrast.treatment);
  const isOneTest = input.treatments.length === 2;
  const best =
    isOneTest && winners.length === 1
      ? (winners[0] ?? null)
      : contrasts.length > 0 && contrasts.every(contrast => isWorse(contrast.call))
        ? input.control
        : null;
  const judged = {
    groups,
    overall: overallOf(input),
    contrasts,
    blocks: input.blockNames.length === 0 ? 0 : new Set(units.map(stratumOf(input))).size,
    call,
    best,
    mayHoldTheBest:
      best === null
        ? input.treatments.filter(
            name =>
              !contrasts.some(contrast => contrast.treatment === name && isWorse(contrast.call)) &&
              !(name === input.control && winners.length > 0),
          )
        : [best],
    warnings: warningsOf(input, groups),
  };
  return { ...judged, ...wordOutcome(input, judged) };
}

function groupOf(
  { kind, confidence }: OutcomeInput,
  treatment: string,
  units: readonly ReadUnit[],
): OutcomeGroup {
  const n = units.length;
  const values = units.map(unit => (unit.outOf === null ? unit.value : unit.value / unit.outOf));
  const mean = n === 0 ? null : values.reduce((sum, value) => sum + value, 0) / n;
  const [k, of] = [
    units.reduce((sum, unit) => sum + unit.value, 0),
    units.reduce((sum, unit) => sum + (unit.outOf ?? 1), 0),
  ];
  return {
    treatment,
    n,
    mean: kind === 'time' || kind === 'ordinal' ? null : mean,
    sd:
      n > 1 && mean !== null && kind !== 'time' && kind !== 'ordinal'
        ? Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1))
        : null,
    median:
      n === 0
        ? null
        : kind === 'time'
          ? medianWait(units.map(unit => ({ days: unit.value, hasCome: unit.hasCome })))
          : median(values),
    share:
      kind === 'proportion' && of > 0 ? { k, of, ci: wilsonInterval(k, of, confidence) } : null,
    came: kind === 'time' ? units.filter(unit => unit.hasCome).length : null,
  };
}

function contrastsOf(
  input: OutcomeInput,
  groups: readonly OutcomeGroup[],
): readonly OutcomeContrast[] {
  const tests = input.treatments
    .filter(name => name !== input.control)
    .map(treatment => ({ treatment, test: testOutcome(input, treatment) }));
  const adjusted = closedTestPValues(
    input,
    new Map(
      tests.flatMap(({ treatment, test }) =>
        test ? [[treatment, Math.max(test.p, test.unitP)] as const] : [],
      ),
    ),
  );
  return tests.map(
    ({ treatment, test }): OutcomeContrast =>
      test
        ? contrastOf(input, groups, {
            treatment,
            test,
            pAdjusted: adjusted.get(treatment) ?? 1,
            family: adjusted.size,
          })
        : { estimable: false, treatment, control: input.control, call: 'no-test' },
  );
}

interface Tested {
  readonly treatment: string;
  readonly test: OutcomeTest;
  readonly pAdjusted: number;
  readonly family: number;
}

function contrastOf(
  input: OutcomeInput,
  groups: readonly OutcomeGroup[],
  { treatment, test, pAdjusted, family }: Tested,
): TestedOutcomeContrast {
  const alpha = 1 - input.confidence;
  const [own, control] = [treatment, input.control].map(name =>
    groups.find(group => group.treatment === name),
  );
  const known = {
    estimable: true,
    treatment,
    control: input.control,
    method: test.method,
    difference: test.difference,
    p: test.p,
    shuffleP: test.shuffleP,
    pAdjusted,
    ci: test.intervalAt(input.confidence),
    ciAdjusted: test.intervalAt(1 - alpha / family),
    ciEquivalence: test.intervalAt(1 - 2 * alpha),
    effect: test.effectAt(input.confidence),
  } as const;
  const isAlone = (own?.n ?? 0) < 2 && (control?.n ?? 0) < 2 && input.blockNames.length === 0;
  return {
    ...known,
    call: isAlone ? 'no-test' : kindCall(input, known, controlLevel(input, control)),
  };
}

/** What a margin in percent is a percentage of. */
function controlLevel(input: OutcomeInput, control: OutcomeGroup | undefined): number {
  if (input.kind === 'proportion') return control?.share ? control.share.k / control.share.of : 0;
  return (input.kind === 'count' ? control?.mean : control?.median) ?? 0;
}

function kindCall(
  input: OutcomeInput,
  { pAdjusted, ciAdjusted, ciEquivalence, difference, effect }: Omit<TestedOutcomeContrast, 'call'>,
  level: number,
): Call {
  const margin = marginAmount(input.margin, level);
  const isSure = pAdjusted < 1 - input.confidence;
  if (!isSure) {
    if (margin > 0 && ciEquivalence && ciEquivalence[0] > -margin && ciEquivalence[1] < margin)
      return 'no-difference-that-matters';
    return 'cant-tell';
  }
  // Ranks can be sure of a side where the middle step is the same.
  const way =
    difference !== 0
      ? Math.sign(difference)
      : effect?.what === 'chance-of-larger'
        ? Math.sign(effect.value - 0.5)
        : 0;
  if (way === 0) return 'cant-tell';
  const isGood = way > 0 === (input.better === 'higher');
  const isBeyond =
    margin > 0 &&
    ciAdjusted !== null &&
    callOf({ adjusted: ciAdjusted, equivalence: ciAdjusted, margin }, input.better).startsWith(
      'clearly',
    );
  return isBeyond ? (isGood ? 'clearly-better' : 'clearly-worse') : isGood ? 'better' : 'worse';
}

const FROM_GOOD_TO_BAD: readonly Call[] = [
  'clearly-better',
  'better',
  'cant-tell',
  'no-difference-that-matters',
  'worse',
  'clearly-worse',
];

function overallCall(contrasts: readonly OutcomeContrast[]): Call {
  return (
    FROM_GOOD_TO_BAD.find(call => contrasts.some(contrast => contrast.call === call)) ?? 'no-test'
  );
}

/** Of steps and classes: whether the treatments differ at all. */
function overallOf(input: OutcomeInput): Overall | null {
  if (input.units.some(unit => unit.className != null)) return classesOverall(input);
  if (input.kind !== 'ordinal' || input.treatments.length < 3) return null;
  const units = readUnits(input);
  if (input.blockNames.length === 0) {
    const found = kruskalWallis(
      input.treatments.map(name =>
        units.filter(unit => unit.treatment === name).map(unit => unit.value),
      ),
    );
    return found ? { method: 'kruskal-wallis', ...found } : null;
  }
  const nameOf = stratumOf(input);
  const blocks = [...new Set(units.map(nameOf))];
  const table = blocks.map(block =>
    input.treatments.map(name =>
      units.filter(unit => unit.treatment === name && nameOf(unit) === block),
    ),
  );
  const isComplete = table.every(row => row.every(cell => cell.length === 1));
  const found = isComplete
    ? friedman(table.map(row => row.map(cell => cell[0]?.value ?? 0)))
    : undefined;
  return found ? { method: 'friedman', ...found } : null;
}

function classesOverall(input: OutcomeInput): Overall | null {
  const units = readUnits(input).flatMap(unit =>
    unit.className == null ? [] : [{ ...unit, className: unit.className }],
  );
  const names = [...new Set(units.map(unit => unit.className))];
  const nameOf = stratumOf(input);
  const strata = [...new Set(units.map(nameOf))].map(block =>
    units.filter(unit => nameOf(unit) === block),
  );
  const found = classTest(
    strata.map(own => ({
      classes: own.map(unit => names.indexOf(unit.className)),
      groups: own.map(unit => input.treatments.indexOf(unit.treatment)),
    })),
    input.seed,
  );
  return found ? { method: 'chi-square-shuffled', ...found } : null;
}

function warningsOf(
  input: OutcomeInput,
  groups: readonly OutcomeGroup[],
): readonly OutcomeWarning[] {
  const units = readUnits(input);
  const missing = input.units.length - units.length;
  const crowding =
    input.kind === 'proportion'
      ? heterogeneity(
          input.treatments.map(name =>
            units
              .filter(unit => unit.treatment === name)
              .map(unit => ({ k: unit.value, n: unit.outOf ?? 1 })),
          ),
        )
      : undefined;
  const isItems = input.kind === 'proportion' && units.some(unit => (unit.outOf ?? 1) > 1);
  return [
    ...(groups.every(group => group.n <= 1) && input.blockNames.length === 0
      ? [
          {
            code: 'no-replication' as const,
            message: `One ${input.unitWord} each: a story, not a result.${isItems ? ` The p takes every item for itself; items of one ${input.unitWord} share its luck.` : ''}`,
          },
        ]
      : []),
    ...(missing > 0
      ? [
          {
            code: 'missing-units' as const,
            message: `${counted(missing, input.unitWord)} gave no reading.`,
          },
        ]
      : []),
    ...(new Set(groups.map(group => group.n)).size > 1
      ? [
          {
            code: 'unbalanced' as const,
            message: `Not the same number of ${pluralOf(input.unitWord)} each: ${groups.map(group => `${group.treatment} ${group.n}`).join(', ')}.`,
          },
        ]
      : []),
    ...(crowding && crowding.p < 0.05
      ? [
          {
            code: 'overdispersed' as const,
            message: `${pluralOf(input.unitWord)} of one treatment differ more than chance lets items differ: what counts is the ${input.unitWord}, not the item, and the call rests on the ${pluralOf(input.unitWord)}.`,
          },
        ]
      : []),
    ...(new Set(units.map(unit => `${unit.value}/${unit.outOf}/${unit.hasCome}`)).size === 1 &&
    units.length > 1
      ? [{ code: 'all-alike' as const, message: 'All gave the same: nothing is there to compare.' }]
      : []),
    ...(input.isDeclared
      ? []
      : [
          {
            code: 'not-declared' as const,
            message:
              'This was not the main measure before the plan was locked: found along the way.',
          },
        ]),
  ];
}
