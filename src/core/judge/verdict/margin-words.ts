import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { sentenceCase } from '@/core/words/sentence-case';

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

export function marginWords(input: JudgeInput): string {
  return input.margin ? `${marginText(input)} was worth having, and as much is ruled out.` : '';
}

function marginText(input: JudgeInput): string {
  if (!input.margin) return '';
  return input.margin.kind === 'percent'
    ? percent(input.margin.percent)
    : input.outcome === 'proportion'
      ? `${Number((100 * input.margin.amount).toPrecision(3))} points`
      : figure(input.margin.amount, input);
}

/** A percentage as one says it: whole above ten, one decimal below. */
export function percent(value: number): string {
  return `${Math.abs(value) >= 9.95 ? Math.round(value) : Number(value.toFixed(1))}%`;
}

export function figure(value: number, input: JudgeInput): string {
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
