import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { sentenceCase } from '@/core/words/sentence-case';
import { shownInterval } from './shown-interval';

/** A percentage only where its interval is known, too: a range in grams after a gap in percent says nothing. */
export function shownPercent(contrast: EstimableContrast): number | null {
  return contrast.percentCiAdjusted ? contrast.percent : null;
}

export function amount(percentValue: number | null, difference: number, input: JudgeInput): string {
  const way = difference >= 0 ? 'more' : 'less';
  return percentValue === null
    ? `${figure(Math.abs(difference), input)} ${way} ${input.response}`
    : `${percent(Math.abs(percentValue))} ${way} ${input.response}`;
}

export function judgedByMargin(contrast: EstimableContrast, input: JudgeInput): string {
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

/** What a treatment gave beside what it is held against, with its range, as a sentence. */
export function range(contrast: EstimableContrast, input: JudgeInput): string {
  const size = amount(shownPercent(contrast), contrast.difference, input);
  const sure = lowerFirst(between(contrast, input));
  return sentenceCase(`${contrast.treatment}: ${size} than ${contrast.control}, ${sure}.`);
}

export function between(contrast: EstimableContrast, input: JudgeInput): string {
  const { ci, percentCi } = shownInterval(contrast);
  const [low, high] = percentCi ?? ci ?? [0, 0];
  const say = (value: number): string =>
    percentCi ? percent(Math.abs(value)) : figure(Math.abs(value), input);
  if (low >= 0) return `Between ${say(low)} and ${say(high)} more`;
  if (high <= 0) return `Between ${say(high)} and ${say(low)} less`;
  return `Anything from ${say(low)} less to ${say(high)} more`;
}

export function marginWords(input: JudgeInput): string {
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

export function joined(...sentences: readonly string[]): string {
  return sentences
    .filter(sentence => sentence !== '')
    .map(sentenceCase)
    .join(' ');
}

export function lowerFirst(sentence: string): string {
  return sentence.charAt(0).toLowerCase() + sentence.slice(1);
}
