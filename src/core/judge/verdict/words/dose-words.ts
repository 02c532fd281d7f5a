import type { Call, DoseTrend, LevelsOff } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { isBetter, isFound, isWorse } from '@/core/judge/verdict/call';
import type { VerdictContext, Words } from '@/core/judge/verdict/verdict-context';
import { roundStep } from '@/core/quantity/axis-span';
import { listed } from '@/core/words/listed';
import { harmfulOf, withHarm } from './harm-words';
import { isInsideMargin, joined, marginWords } from './margin-words';
import { range } from './size-words';

/**
 * What a series of doses comes to: whether more of it brings more, and from where on it does not.
 *
 * @param plain what is said of each dose against the control
 * @returns null where the doses are better told one by one: no series, or a dose in the middle does something where the ends don't, or
 *   the other way
 */
export function doseWords(
  context: VerdictContext,
  plain: Words,
): (Words & { readonly call: Call }) | null {
  const { input, contrasts, trend } = context;
  if (!trend || trend.call === 'no-test' || input.hasNoGoodDirection) return null;
  const { call } = trend;
  const areFound = contrasts.some(isFound);
  // A line that falls past a hump would hide the doses that help.
  const hidesHelp = isWorse(call) && contrasts.some(contrast => isBetter(contrast.call));
  if (isFound(trend) && !hidesHelp) {
    const little = isInsideMargin(trend, input) ? ', though by less than was worth having' : '';
    const headline = `The more of it, ${moreWords(trend.difference > 0, input)}${little}${untilWords(context)}.`;
    return {
      call,
      headline: isBetter(call) ? withHarm(headline, harmfulOf(contrasts)) : headline,
      detail: joined(areFound ? plain.detail : alongWords(trend, input), alikeWords(context)),
    };
  }
  if (areFound) return null;
  if (call === 'no-difference-that-matters')
    return {
      call,
      headline: `No difference that matters, from ${trend.control} to ${trend.treatment}.`,
      detail: joined(alongWords(trend, input), marginWords(input)),
    };
  return {
    call,
    headline: `Can’t tell yet whether more of it brings ${wantedWords(input)}.`,
    detail: alongWords(trend, input),
  };
}

/** The gap between the ends of the line. */
function alongWords(trend: DoseTrend, input: JudgeInput): string {
  return `Along a straight line through all: ${range(trend, input)}`;
}

function moreWords(isUp: boolean, { outcome, response }: JudgeInput): string {
  switch (outcome) {
    case 'continuous':
      return `the ${isUp ? 'more' : 'less'} ${response}`;
    case 'count':
      return `the ${isUp ? 'more' : 'fewer'} ${response}`;
    case 'proportion':
    case 'ordinal':
      return `the ${isUp ? 'higher' : 'lower'} the share`;
    case 'time':
      return `the ${isUp ? 'later' : 'sooner'} it comes`;
  }
}

function wantedWords({ outcome, response, better }: JudgeInput): string {
  const isUp = better === 'higher';
  switch (outcome) {
    case 'continuous':
      return `${isUp ? 'more' : 'less'} ${response}`;
    case 'count':
      return `${isUp ? 'more' : 'fewer'} ${response}`;
    case 'proportion':
    case 'ordinal':
      return `a ${isUp ? 'higher' : 'lower'} share`;
    case 'time':
      return `it ${isUp ? 'later' : 'sooner'}`;
  }
}

function untilWords({ levelsOff, trend }: VerdictContext): string {
  return levelsOff && trend ? `; it levels off ${levelWords(levelsOff, trend)}` : '';
}

const ABOUT = 1.15;

/** “at about 4 cm leaf-mould”, “somewhere between 2 and 4 cm leaf-mould”. */
export function levelWords(levels: LevelsOff, { treatment, from, to }: DoseTrend): string {
  const rounded = (dose: number): string => roundedTo(dose, (to - from) / STEPS);
  return levels.to <= levels.from * ABOUT
    ? `at about ${doseName(rounded((levels.from + levels.to) / 2), treatment)}`
    : `somewhere between ${rounded(levels.from)} and ${doseName(rounded(levels.to), treatment)}`;
}

/** A dose as the treatments are called: “3.5 cm” beside “8 cm”; bare where their names don't begin with it. */
function doseName(dose: string, like: string): string {
  return /^\d/.test(like) ? like.replace(/^[\d.,]+/, dose) : dose;
}

/** Curves tell no dose closer than by so many steps from the smallest to the largest. */
const STEPS = 15;

/** To a round step that is not below this one. */
function roundedTo(dose: number, least: number): string {
  const step = roundStep(least);
  return String(Number((Math.round(dose / step) * step).toPrecision(6)));
}

/** Which doses may all be the best: the smallest of them is the cheapest. */
function alikeWords({ mayHoldTheBest }: VerdictContext): string {
  return mayHoldTheBest.length < 2
    ? ''
    : `Which of ${listed(mayHoldTheBest)} is best can’t be told yet.`;
}
