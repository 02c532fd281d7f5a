import type { Call, Interval } from '@/core/judge/outcomes/judgement';
import { isBetter, isWorse } from '@/core/judge/verdict/call';
import { figure, percent } from '@/core/judge/verdict/words/margin-words';
import { GAP_WAYS } from '@/core/judge/verdict/words/size-words';
import { listed } from '@/core/words/listed';
import { counted } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import type { ComparisonTogether } from './gardens-together';
import type { PoolScale, Together } from './pooled-gardens';
import type { TogetherMeasure } from './together-measure';

/** How large a gap is, without its way: `18%`, `3 days`, `250 g`. */
export function gapSize(value: number, scale: PoolScale, measure: TogetherMeasure): string {
  const size = Math.abs(value);
  if (scale === 'percent') return percent(size);
  switch (measure.outcome) {
    case 'proportion':
      return counted(shortly(100 * size), 'point');
    case 'time':
      return counted(shortly(size), 'day');
    case 'ordinal':
      return counted(shortly(size), 'step');
    default:
      return figure(size, measure);
  }
}

function shortly(size: number): number {
  return size >= 9.95 ? Math.round(size) : Number(size.toFixed(1));
}

/** `18% more`, `3 days sooner`. */
export function gapWords(value: number, scale: PoolScale, measure: TogetherMeasure): string {
  return `${gapSize(value, scale, measure)} ${GAP_WAYS[measure.outcome][value >= 0 ? 0 : 1]}`;
}

/** `10% to 27% more`, `3% less to 40% more`. */
export function rangeWords(
  [low, high]: Interval,
  scale: PoolScale,
  measure: TogetherMeasure,
): string {
  const isOneWay = low >= 0 === high >= 0;
  if (!isOneWay) return `${gapWords(low, scale, measure)} to ${gapWords(high, scale, measure)}`;
  const [near, far] = low >= 0 ? [low, high] : [high, low];
  return `${gapSize(near, scale, measure)} to ${gapWords(far, scale, measure)}`;
}

/** What all gardens say of one comparison, for whoever asked. @param nameOf a garden by its id */
export function comparisonSentences(
  comparison: ComparisonTogether,
  measure: TogetherMeasure,
  nameOf: (gardenId: string) => string,
): readonly string[] {
  const { treatment, control, gardens, together, scale, by } = comparison;
  if (!together)
    return [
      gardens.length === 0
        ? `No garden can hold ${treatment} against ${control} yet.`
        : `${sentenceCase(treatment)} stands beside ${control} in one garden and season so far; two at least are needed.`,
    ];
  const count = counted(gardens.length, by);
  const told = `${gapWords(together.gap, scale, measure)} ${measure.response}`;
  const isNone = together.call === 'no-difference-that-matters';
  const range = rangeWords(isNone ? together.ciEquivalence : together.ciAdjusted, scale, measure);
  const over = comparison.isLine
    ? `Along a straight line through all, over ${count}: ${told} at ${treatment} than at ${control} (${range}).`
    : `Over ${count}: ${told} than ${control} on the whole (${range}).`;
  return [
    `${(comparison.isLine ? lineWords : callWords)(comparison, together, measure)} ${over}`,
    whereWords(comparison, measure, nameOf),
    ...predictionWords(together, comparison, measure),
  ];
}

function callWords(
  { treatment, control }: ComparisonTogether,
  { call, ciAdjusted }: Together,
  { margin }: TogetherMeasure,
): string {
  const name = sentenceCase(treatment);
  if (call === 'clearly-better') return `${name} is clearly better than ${control}.`;
  if (isBetter(call))
    return `${name} is better than ${control}${margin ? `, though ${isSmall(ciAdjusted, margin) ? 'by less than was worth having' : 'perhaps not by enough'}` : ''}.`;
  if (call === 'clearly-worse') return `${name} is clearly worse than ${control}.`;
  if (isWorse(call)) return `${name} is worse than ${control}.`;
  return call === 'no-difference-that-matters'
    ? `No difference that matters between ${treatment} and ${control}.`
    : `Can’t tell yet whether ${treatment} is any better than ${control}.`;
}

/** Of a series of doses what its line says, in the words of one trial’s verdict. */
function lineWords(
  { treatment, control }: ComparisonTogether,
  { call, ciAdjusted }: Together,
  { margin }: TogetherMeasure,
): string {
  const way = `from ${control} to ${treatment}`;
  const little =
    margin && isSmall(ciAdjusted, margin) ? ', though by less than was worth having' : '';
  if (isBetter(call)) return `The more of it, the better, ${way}${little}.`;
  if (isWorse(call)) return `The more of it, the worse, ${way}${little}.`;
  return call === 'no-difference-that-matters'
    ? `No difference that matters, ${way}.`
    : `Can’t tell yet whether more of it is any better, ${way}.`;
}

function isSmall(ci: Interval, margin: NonNullable<TogetherMeasure['margin']>): boolean {
  const size = margin.kind === 'percent' ? margin.percent : margin.amount;
  return Math.max(Math.abs(ci[0]), Math.abs(ci[1])) < size;
}

const MOST_NAMED = 3;

/** In how many it did better, and where not. */
function whereWords(
  { gardens, better }: ComparisonTogether,
  { better: way }: TogetherMeasure,
  nameOf: (gardenId: string) => string,
): string {
  const sign = way === 'higher' ? 1 : -1;
  const rest = gardens.filter(({ site }) => sign * site.estimate <= 0);
  if (rest.length === 0)
    return `It did better in ${gardens.length === 2 ? 'both' : `all ${gardens.length}`}.`;
  if (rest.length === gardens.length) return 'It did better in none of them.';
  const named = rest.slice(0, MOST_NAMED).map(({ gardenId }) => nameOf(gardenId));
  const more = rest.length - named.length;
  const where = more > 0 ? `${named.join(', ')} and ${more} more` : listed(named);
  return `It did better in ${better} of ${gardens.length}; not in ${where}.`;
}

function predictionWords(
  { prediction }: Together,
  { scale, by }: Pick<ComparisonTogether, 'scale' | 'by'>,
  measure: TogetherMeasure,
): readonly string[] {
  return prediction === null
    ? []
    : [
        `That is the mean of these ${by}s. One more ${by} like them may see anything from ${rangeWords(prediction, scale, measure)}.`,
      ];
}

/** The answer of all gardens in one line: what is better first, harm in the same breath. */
export function togetherHeadline(comparisons: readonly ComparisonTogether[]): string {
  const namesOf = (is: (call: Together['call']) => boolean): readonly string[] =>
    comparisons.flatMap(({ treatment, together, isLine }) =>
      !isLine && together && is(together.call) ? [treatment] : [],
    );
  const [better, worse] = [namesOf(isBetter), namesOf(isWorse)];
  const control = comparisons[0]?.control ?? '';
  const [most] = [...comparisons].sort((a, b) => b.gardens.length - a.gardens.length);
  const over = `over ${counted(most?.gardens.length ?? 0, most?.by ?? 'garden')}`;
  if (comparisons.every(({ together }) => together === null))
    return 'Nothing to judge together yet: results of two gardens or two seasons at least are needed.';
  // A line that falls past a hump would hide the doses that help.
  const line =
    better.length > 0 && isWorse(lineCall(comparisons)) ? null : lineHeadline(comparisons, over);
  if (line !== null && better.length + worse.length === 0) return line;
  const told = [line, ...foundWords(better, worse, control, over)];
  if (better.length + worse.length > 0) return told.filter(part => part !== null).join(' ');
  const isNone = comparisons.every(
    ({ together }) => together?.call === 'no-difference-that-matters',
  );
  return isNone
    ? `No difference that matters from ${control}, ${over}.`
    : `Can’t tell yet ${over}.`;
}

/** What is better or worse than the control by itself; harm in the same breath. */
function foundWords(
  better: readonly string[],
  worse: readonly string[],
  control: string,
  over: string,
): readonly string[] {
  const harm =
    worse.length === 0
      ? ''
      : `${listed(worse)} did worse than ${control}${better.length > 0 ? '' : `, ${over}`}.`;
  const help = better.length === 0 ? '' : `${listed(better)} did better than ${control}, ${over}.`;
  return [help, harm].filter(part => part !== '').map(sentenceCase);
}

/** Of a series of doses that its line tells apart: what more of it does. */
function lineHeadline(comparisons: readonly ComparisonTogether[], over: string): string | null {
  const call = lineCall(comparisons);
  if (isBetter(call)) return `The more of it, the better, ${over}.`;
  return isWorse(call) ? `The more of it, the worse, ${over}.` : null;
}

function lineCall(comparisons: readonly ComparisonTogether[]): Call {
  return comparisons.find(each => each.isLine)?.together?.call ?? 'no-test';
}
