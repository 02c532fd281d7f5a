import { closedTestPValues } from '@/core/judge/outcomes/methods/closed-test';
import { figureOf, type OutcomeTest } from '@/core/judge/outcomes/methods/outcome-test';
import { testOutcome } from '@/core/judge/outcomes/methods/outcome-tests';
import {
  type OutcomeInput,
  type ReadUnit,
  readUnits,
  stratumOf,
} from '@/core/judge/question/outcome-input';
import {
  type CallIntervals,
  callOf,
  isBetter,
  isWorse,
  marginAmount,
  overallCall,
} from '@/core/judge/verdict/call';
import { harmfulOf } from '@/core/judge/verdict/harm-words';
import { joined } from '@/core/judge/verdict/margin-words';
import { wordOutcome } from '@/core/judge/verdict/outcome-words';
import { quotedIfNone } from '@/core/judge/verdict/verdict-words';
import { wilsonInterval } from '@/core/stats/categorical/share-intervals';
import { median } from '@/core/stats/median';
import { medianWait } from '@/core/stats/survival/survival';
import { listed } from '@/core/words/listed';
import type { Call } from './judgement';
import type {
  OutcomeContrast,
  OutcomeGroup,
  OutcomeJudgement,
  TestedOutcomeContrast,
} from './outcome-judgement';
import { overallOf } from './outcome-overall';
import { warningsOf } from './outcome-warnings';

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
  return answering(input, { ...judged, ...wordOutcome(input, judged) });
}

/** What was agreed on before the lock has the headline: the two by themselves, with what did harm beside the control. */
function answering(input: OutcomeInput, judged: OutcomeJudgement): OutcomeJudgement {
  const { agreed, ...asked } = input;
  if (!agreed) return judged;
  const { one, other } = agreed;
  const { call, headline, detail } = judgeOutcome({
    ...asked,
    treatments: [other, one],
    control: other,
    units: input.units.filter(({ treatment }) => treatment === one || treatment === other),
  });
  if (call === 'no-test') return judged;
  const harmful = harmfulOf(judged.contrasts).filter(
    name => name !== one || input.control !== other,
  );
  const harm =
    harmful.length === 0 ? '' : `${listed(harmful)} did worse than ${quotedIfNone(input.control)}.`;
  return { ...judged, call, headline: joined(headline, harm), detail };
}

function groupOf(
  { kind, confidence }: OutcomeInput,
  treatment: string,
  units: readonly ReadUnit[],
): OutcomeGroup {
  const n = units.length;
  const values = units.map(figureOf);
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
    ciEquivalence: test.intervalAt(1 - (2 * alpha) / family),
    effect: test.effectAt(input.confidence),
  } as const;
  // One unit has no spread of its own, and in blocks no second block holds it again.
  const isAlone = (own?.n ?? 0) < 2 || (control?.n ?? 0) < 2;
  const { margin } = input;
  const intervals: CallIntervals | null =
    margin?.kind === 'percent' && test.percentAt
      ? {
          adjusted: test.percentAt(1 - alpha / family),
          equivalence: test.percentAt(1 - (2 * alpha) / family),
          margin: margin.percent,
        }
      : known.ciAdjusted &&
        known.ciEquivalence && {
          adjusted: known.ciAdjusted,
          equivalence: known.ciEquivalence,
          margin: marginAmount(margin, controlLevel(input, control)),
        };
  return { ...known, call: isAlone ? 'no-test' : kindCall(input, known, intervals) };
}

/** What a margin in percent is a percentage of. */
function controlLevel(input: OutcomeInput, control: OutcomeGroup | undefined): number {
  if (input.kind === 'proportion') return control?.share ? control.share.k / control.share.of : 0;
  return (input.kind === 'count' ? control?.mean : control?.median) ?? 0;
}

function kindCall(
  input: OutcomeInput,
  { pAdjusted, difference, effect }: Omit<TestedOutcomeContrast, 'call'>,
  intervals: CallIntervals | null,
): Call {
  const isSure = pAdjusted < 1 - input.confidence;
  if (!isSure) {
    if (!intervals || !(intervals.margin > 0)) return 'cant-tell';
    const [low, high] = intervals.equivalence;
    const isInside = low > -intervals.margin && high < intervals.margin;
    return isInside ? 'no-difference-that-matters' : 'cant-tell';
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
  const isBeyond = intervals !== null && callOf(intervals, input.better).startsWith('clearly');
  return isBeyond ? (isGood ? 'clearly-better' : 'clearly-worse') : isGood ? 'better' : 'worse';
}
