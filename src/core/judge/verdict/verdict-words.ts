import type {
  Call,
  Contrast,
  EstimableContrast,
  TreatmentGroup,
  Verdict,
} from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { normalCdf } from '@/core/stats/distributions/distributions';
import { plural, pluralOf } from '@/core/words/plural';
import { isBetter, isWorse } from './call';

interface VerdictContext {
  readonly input: JudgeInput;
  readonly contrasts: readonly Contrast[];
  readonly groups: readonly TreatmentGroup[];
  readonly mayHoldTheBest: readonly string[];
}

/** The verdict of the whole trial in plain words. It names a best treatment only where the units carry it. */
export function wordVerdict(context: VerdictContext): Verdict {
  const call = overallCall(context.contrasts);
  const best = bestOf(context);
  const needed = context.contrasts.flatMap(contrast =>
    contrast.estimable && contrast.unitsNeeded ? [contrast.unitsNeeded] : [],
  );
  const hasHopeless = context.contrasts.some(
    contrast =>
      contrast.estimable && contrast.call === 'cant-tell' && contrast.unitsNeeded === null,
  );
  const unitsNeeded = needed.length > 0 && !hasHopeless ? Math.max(...needed) : null;
  const words = wordsFor(call, best, context, unitsNeeded);
  return { call, best, mayHoldTheBest: context.mayHoldTheBest, unitsNeeded, ...words };
}

const FROM_GOOD_TO_BAD: readonly Call[] = [
  'clearly-better',
  'better',
  'cant-tell',
  'no-difference-that-matters',
  'worse',
  'clearly-worse',
];

/** Did anything beat the control? The best call decides; one that is still open keeps the question open. */
function overallCall(contrasts: readonly Contrast[]): Call {
  const calls = contrasts.map(contrast => contrast.call);
  return FROM_GOOD_TO_BAD.find(call => calls.includes(call)) ?? 'no-test';
}

function bestOf({ input, contrasts, mayHoldTheBest }: VerdictContext): string | null {
  const only = mayHoldTheBest.length === 1 ? mayHoldTheBest[0] : undefined;
  if (only === undefined) return null;
  const isSupported =
    only === input.control
      ? contrasts.every(contrast => isWorse(contrast.call))
      : contrasts.some(contrast => contrast.treatment === only && isBetter(contrast.call));
  return isSupported ? only : null;
}

interface Words {
  readonly headline: string;
  readonly detail: string;
}

function wordsFor(
  call: Call,
  best: string | null,
  context: VerdictContext,
  unitsNeeded: number | null,
): Words {
  const { input } = context;
  const winners = context.contrasts.flatMap(contrast =>
    contrast.estimable && isBetter(contrast.call) ? [contrast] : [],
  );
  const open = context.contrasts
    .filter(contrast => contrast.call === 'cant-tell')
    .map(contrast => contrast.treatment);
  if (call === 'no-test') return noTestWords(context);
  if (best !== null && best === input.control) return controlIsBest(context);
  const settled = noDifference(context.contrasts);
  const leader = winners.find(contrast => contrast.treatment === best) ?? winners[0];
  if (leader && winners.length === 1) {
    return {
      headline: gave(leader, input),
      detail: joined(
        howSure(leader, input),
        best ? '' : 'Which treatment is best of all is not settled.',
        settled,
        stillOpen(open, unitsNeeded, input),
      ),
    };
  }
  if (leader) {
    const names = listed(winners.map(contrast => contrast.treatment));
    const headline = best
      ? `${best} did best: ${amount(shownPercent(leader), leader.difference, input)} than ${quotedIfNone(input.control)}.`
      : `${names} beat ${quotedIfNone(input.control)}; which is best can’t be told yet.`;
    return {
      headline,
      detail: joined(
        ...winners.map(winner => `${winner.treatment}: ${lowerFirst(howSure(winner, input))}`),
        settled,
        stillOpen(open, unitsNeeded, input),
      ),
    };
  }
  if (call === 'cant-tell') {
    const headline =
      open.length === 1
        ? `Can’t tell yet whether ${open[0]} beats ${quotedIfNone(input.control)}.`
        : `Can’t tell yet whether anything beats ${quotedIfNone(input.control)}.`;
    return {
      headline,
      detail: joined(
        ...context.contrasts.map(contrast => (contrast.estimable ? range(contrast, input) : '')),
        stillOpen(open, unitsNeeded, input),
      ),
    };
  }
  if (call === 'no-difference-that-matters') {
    return {
      headline: `No difference that matters from ${input.control}.`,
      detail: joined(
        ...context.contrasts.map(contrast => (contrast.estimable ? range(contrast, input) : '')),
        marginWords(input),
      ),
    };
  }
  return controlIsBest(context);
}

function controlIsBest({ input, contrasts }: VerdictContext): Words {
  const ranges = contrasts.map(contrast => (contrast.estimable ? range(contrast, input) : ''));
  return { headline: `Nothing beat ${quotedIfNone(input.control)}.`, detail: joined(...ranges) };
}

function noTestWords({ input, contrasts, groups }: VerdictContext): Words {
  const isSingle = groups.every(group => group.n === 1);
  const headline = isSingle
    ? `One ${input.unitWord} each: a story, not a result.`
    : 'These readings can’t be judged.';
  const gaps = contrasts.flatMap(contrast =>
    contrast.estimable && contrast.percent !== null
      ? [
          `${contrast.treatment} ${contrast.percent >= 0 ? '+' : '−'}${percent(Math.abs(contrast.percent))}`,
        ]
      : [],
  );
  const luck = percent(100 * chanceGap(input.priorCv.cv));
  const source =
    input.priorCv.source === 'own-trials'
      ? 'as your own trials spread'
      : 'a starting guess, not your own figure';
  return {
    headline,
    detail: joined(
      gaps.length > 0 ? `Against ${input.control}: ${gaps.join(', ')}.` : '',
      isSingle
        ? `Two ${pluralOf(input.unitWord)} treated alike differ by ${luck} or more every second time (${source}).${turnWords(contrasts, input)} However large the gap, every deal of one each could have made it: no p below 1 can come of it.`
        : '',
    ),
  };
}

/** How likely a second run would turn the order, by the spread from elsewhere. */
function turnWords(contrasts: readonly Contrast[], { control, priorCv }: JudgeInput): string {
  const chances = contrasts.flatMap(contrast =>
    contrast.estimable && contrast.percent !== null
      ? [
          `${contrast.treatment} ${Math.round(100 * chanceOfTurn(contrast.percent / 100, priorCv.cv))}`,
        ]
      : [],
  );
  return chances.length === 0
    ? ''
    : ` A second run would put it the other way round against ${control} in so many of 100: ${chances.join(', ')}.`;
}

/**
 * Chance that a second pair of units shows the opposite order: the first gap knows the true one only to within its own luck,
 * and the second has as much again. Φ(−|gap| / (2 CV)), both gaps normal with SD √2 CV.
 *
 * @param gap as a share of the mean
 */
export function chanceOfTurn(gap: number, cv: number): number {
  return cv > 0 ? normalCdf(-Math.abs(gap) / (2 * cv)) : 0;
}

/**
 * The gap between two units treated alike that is exceeded half the time, as a share of their mean:
 * 0.6745 √2 CV, the median of |difference of two normals|.
 */
export function chanceGap(cv: number): number {
  return 0.674489750196082 * Math.SQRT2 * cv;
}

function gave(contrast: EstimableContrast, input: JudgeInput): string {
  return `${contrast.treatment} gave ${amount(shownPercent(contrast), contrast.difference, input)} than ${input.control}.`;
}

/** A percentage only where its interval is known, too: a range in grams after a gap in percent says nothing. */
function shownPercent(contrast: EstimableContrast): number | null {
  return contrast.percentCiAdjusted ? contrast.percent : null;
}

function amount(percentValue: number | null, difference: number, input: JudgeInput): string {
  const way = difference >= 0 ? 'more' : 'less';
  return percentValue === null
    ? `${figure(Math.abs(difference), input)} ${way} ${input.response}`
    : `${percent(Math.abs(percentValue))} ${way} ${input.response}`;
}

function howSure(contrast: EstimableContrast, input: JudgeInput): string {
  const margin = input.margin ? ` ${judgedByMargin(contrast, input)}` : '';
  return `${between(contrast, input)}.${margin}`;
}

function judgedByMargin(contrast: EstimableContrast, input: JudgeInput): string {
  const worth = marginText(input);
  if (contrast.call === 'clearly-better') return `${worth} was worth having: clearly better.`;
  return isInsideMargin(contrast, input)
    ? `Better, but by less than the ${worth} worth having.`
    : `${worth} was worth having: better, though perhaps not by enough.`;
}

function isInsideMargin(contrast: EstimableContrast, input: JudgeInput): boolean {
  const margin = input.margin;
  const interval =
    margin?.kind === 'percent' ? contrast.percentCiEquivalence : contrast.ciEquivalence;
  if (!margin || !interval) return false;
  const size = margin.kind === 'percent' ? margin.percent : margin.amount;
  return interval[0] > -size && interval[1] < size;
}

function range(contrast: EstimableContrast, input: JudgeInput): string {
  return `${contrast.treatment}: ${amount(shownPercent(contrast), contrast.difference, input)} than ${input.control}, ${lowerFirst(between(contrast, input))}.`;
}

function between(contrast: EstimableContrast, input: JudgeInput): string {
  const interval = contrast.percentCiAdjusted;
  const [low, high] = interval ?? contrast.ciAdjusted ?? [0, 0];
  const say = (value: number): string =>
    interval ? percent(Math.abs(value)) : figure(Math.abs(value), input);
  if (low >= 0) return `Between ${say(low)} and ${say(high)} more`;
  if (high <= 0) return `Between ${say(high)} and ${say(low)} less`;
  return `Anything from ${say(low)} less to ${say(high)} more`;
}

function noDifference(contrasts: readonly Contrast[]): string {
  const same = contrasts
    .filter(contrast => contrast.call === 'no-difference-that-matters')
    .map(contrast => contrast.treatment);
  return same.length === 0 ? '' : `${listed(same)}: no difference that matters.`;
}

function stillOpen(open: readonly string[], unitsNeeded: number | null, input: JudgeInput): string {
  if (open.length === 0) return '';
  const what = `${listed(open)}: can’t tell yet.`;
  return unitsNeeded === null
    ? `${what} More than 200 ${pluralOf(input.unitWord)} each would be needed to settle it.`
    : `${what} About ${unitsNeeded} ${plural(input.unitWord, unitsNeeded)} of each would settle it.`;
}

function marginWords(input: JudgeInput): string {
  return input.margin ? `${marginText(input)} was worth having, and as much is ruled out.` : '';
}

function marginText(input: JudgeInput): string {
  if (!input.margin) return '';
  return input.margin.kind === 'percent'
    ? percent(input.margin.percent)
    : figure(input.margin.amount, input);
}

/** A percentage as one says it: whole above ten, one decimal below. */
export function percent(value: number): string {
  return `${Math.abs(value) >= 9.95 ? Math.round(value) : Number(value.toFixed(1))}%`;
}

function figure(value: number, input: JudgeInput): string {
  const shown = String(Number(value.toPrecision(3)));
  return input.responseUnit ? `${shown} ${input.responseUnit}` : shown;
}

function listed(names: readonly string[]): string {
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

function joined(...sentences: readonly string[]): string {
  return sentences.filter(sentence => sentence !== '').join(' ');
}

function lowerFirst(sentence: string): string {
  return sentence.charAt(0).toLowerCase() + sentence.slice(1);
}

/** Where the control is to do nothing, “beat nothing” would say that it lost. */
export function quotedIfNone(control: string): string {
  return /^(nothing|none|no treatment)$/i.test(control) ? `“${control}”` : control;
}
