import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import { type JudgeInput, POINTS } from '@/core/judge/question/judge-input';
import { listed } from '@/core/words/listed';
import { counted } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';

export function judgedByMargin(contrast: EstimableContrast, input: JudgeInput): string {
  const worth = wasWorth(input);
  if (contrast.call === 'clearly-better') return `${worth}: clearly better.`;
  return isInsideMargin(contrast, input)
    ? `Better, but by less than the ${marginText(input)} worth having.`
    : `${worth}: better, though perhaps not by enough.`;
}

/** Several that are better, by what the margin says of them, in one sentence. */
export function allJudgedByMargin(
  winners: readonly EstimableContrast[],
  input: JudgeInput,
): string {
  if (!input.margin) return '';
  const namesOf = (are: (contrast: EstimableContrast) => boolean): readonly string[] =>
    winners.filter(are).map(({ treatment }) => treatment);
  const isSmall = (contrast: EstimableContrast): boolean => isInsideMargin(contrast, input);
  const isClear = ({ call }: EstimableContrast): boolean => call === 'clearly-better';
  const said = (names: readonly string[], words: string): readonly string[] =>
    names.length === 0 ? [] : [`${listed(names)} ${names.length === 1 ? 'is' : 'are'} ${words}`];
  const parts = [
    ...said(namesOf(isClear), 'clearly better'),
    ...said(
      namesOf(each => !isClear(each) && !isSmall(each)),
      'better, though perhaps not by enough',
    ),
    ...said(
      namesOf(each => !isClear(each) && isSmall(each)),
      'better, but by less than that',
    ),
  ];
  return `${wasWorth(input)}: ${parts.join('; ')}.`;
}

/** Whether what was found is smaller than what was worth having. */
export function isInsideMargin(contrast: EstimableContrast, input: JudgeInput): boolean {
  const margin = input.margin;
  const interval =
    margin?.kind === 'percent' ? contrast.percentCiEquivalence : contrast.ciEquivalence;
  if (!margin || !interval) return false;
  const size = margin.kind === 'percent' ? margin.percent : margin.amount;
  return interval[0] > -size && interval[1] < size;
}

export function marginWords(input: JudgeInput): string {
  return input.margin ? `${wasWorth(input)}, and as much is ruled out.` : '';
}

function marginText({ margin, ...input }: JudgeInput): string {
  if (!margin) return '';
  if (margin.kind === 'percent') return percent(margin.percent);
  const size = Number(
    (input.outcome === 'proportion' ? 100 * margin.amount : margin.amount).toPrecision(3),
  );
  switch (input.outcome) {
    case 'proportion':
      return counted(size, 'point');
    case 'time':
      return counted(size, 'day');
    case 'ordinal':
      return counted(size, 'step');
    case 'count':
    case 'continuous':
      return figure(margin.amount, input);
  }
}

/** “15% was worth having”, “10 points were”. */
function wasWorth(input: JudgeInput): string {
  const text = marginText(input);
  return `${text} ${/(points|days|steps)$/.test(text) ? 'were' : 'was'} worth having`;
}

/** A percentage as one says it: whole above ten, one decimal below. */
export function percent(value: number): string {
  return `${Math.abs(value) >= 9.95 ? Math.round(value) : Number(value.toFixed(1))}%`;
}

export function figure(
  value: number,
  input: Pick<JudgeInput, 'responseUnit' | 'responseBase'>,
): string {
  const shown = String(Number((value / (input.responseBase ?? 1)).toPrecision(3)));
  if (input.responseUnit === POINTS) return counted(Number(shown), 'point');
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
