import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import type { JudgeInput, Outcome } from '@/core/judge/question/judge-input';
import { isFound } from '@/core/judge/verdict/call';
import { isToldInPercent, shownInterval } from '@/core/judge/verdict/shown-interval';
import { plural } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import { figure, lowerFirst, percent } from './margin-words';

/** What is said of a gap upwards, and of one downwards. */
export const GAP_WAYS: Readonly<Record<Outcome, readonly [up: string, down: string]>> = {
  continuous: ['more', 'less'],
  count: ['more', 'fewer'],
  proportion: ['more', 'fewer'],
  ordinal: ['higher', 'lower'],
  time: ['later', 'sooner'],
};

/** Above three times as much a percentage is no help any more: “8900% more”. */
const MANY_TIMES = 200;

/** A percentage only where its interval is known, too: a range in grams after a gap in percent says nothing. */
function shownPercent(contrast: EstimableContrast, input: JudgeInput): number | null {
  if (!isToldInPercent(input)) return null;
  return contrast.percentCiAdjusted || contrast.ciAdjusted === null ? contrast.percent : null;
}

function wayOf(value: number, { outcome }: JudgeInput): string {
  return GAP_WAYS[outcome][value >= 0 ? 0 : 1];
}

/** How large a gap is: `34% more beans`, `25 points more`, `3 days sooner`, `higher in 80 of 100 pairs`. */
export function sizeWords(contrast: EstimableContrast, input: JudgeInput): string {
  const { before, after } = sizeParts(contrast, input);
  return after === '' ? before : `${before} ${after}`;
}

/** The same with what it is held against: `34% more beans than plain`, `higher than plain in 80 of 100 pairs`. */
export function sizeThan(contrast: EstimableContrast, input: JudgeInput, control: string): string {
  const { before, link, after } = sizeParts(contrast, input);
  return [before, link, control, after].filter(part => part !== '').join(' ');
}

interface SizeParts {
  readonly before: string;
  readonly link: 'than' | 'than with' | 'as';
  readonly after: string;
}

function sizeParts(contrast: EstimableContrast, input: JudgeInput): SizeParts {
  const { difference, effect } = contrast;
  const plain = (before: string): SizeParts => ({ before, link: 'than', after: '' });
  switch (input.outcome) {
    case 'ordinal': {
      const chance = effect?.what === 'chance-of-larger' ? effect.value : null;
      const up = chance === null ? difference >= 0 : chance >= 0.5;
      const way = GAP_WAYS.ordinal[up ? 0 : 1];
      if (chance === null) return plain(`${step(difference)} ${way}`);
      const pairs = Math.round(100 * (up ? chance : 1 - chance));
      return { before: way, link: 'than', after: `in ${pairs} of 100 pairs` };
    }
    case 'proportion':
      return plain(`${points(difference)} ${wayOf(difference, input)}`);
    case 'time':
      return {
        before: `${whatCame(input)}${days(difference)} ${wayOf(difference, input)}`,
        link: 'than with',
        after: '',
      };
    case 'count':
    case 'continuous':
      return ofMeans(contrast, input);
  }
}

/** What came sooner or later: `first flower `. Of days that are counted the word stands there anyway. */
function whatCame({ response }: JudgeInput): string {
  return response === '' || /^days?\b/i.test(response) ? '' : `${response} `;
}

function ofMeans(contrast: EstimableContrast, input: JudgeInput): SizeParts {
  const share = shownPercent(contrast, input);
  const { difference } = contrast;
  const way = wayOf(difference, input);
  if (share === null)
    return {
      before: `${figure(Math.abs(difference), input)} ${way} ${input.response}`,
      link: 'than',
      after: '',
    };
  return share >= MANY_TIMES || isInTimes(contrast, input)
    ? { before: `${times(share)} times ${asMuch(input)} ${input.response}`, link: 'as', after: '' }
    : { before: `${percent(Math.abs(share))} ${way} ${input.response}`, link: 'than', after: '' };
}

/** Whether its interval reaches so far up that it is told in times as much: then the gap is, too. */
function isInTimes(contrast: EstimableContrast, input: JudgeInput): boolean {
  const { percentCi } = shownInterval(contrast, input);
  return percentCi !== null && percentCi[1] >= MANY_TIMES;
}

function asMuch({ outcome }: JudgeInput): string {
  return outcome === 'count' ? 'as many' : 'as much';
}

function times(share: number): string {
  return String(Number((1 + share / 100).toPrecision(2)));
}

function points(share: number): string {
  const value = shortly(100 * Math.abs(share));
  return `${value} ${plural('point', value)}`;
}

function days(value: number): string {
  const shown = shortly(Math.abs(value));
  return `${shown} ${plural('day', shown)}`;
}

function step(value: number): string {
  const shown = shortly(Math.abs(value));
  return `${shown} ${plural('step', shown)}`;
}

/** Whole above ten, one decimal below. */
function shortly(value: number): number {
  const size = value + HAIR;
  return size >= 9.95 ? Math.round(size) : Number(size.toFixed(1));
}

/** Sums taken in another order end a hair below the half or above it. */
const HAIR = 1e-9;

/** What a winner did beside what it beat: given is what is weighed or counted. */
export function gaveWords(contrast: EstimableContrast, input: JudgeInput): string {
  const { treatment } = contrast;
  const control = quotedIfNone(contrast.control);
  return input.outcome === 'continuous' || input.outcome === 'count'
    ? `${treatment} gave ${sizeThan(contrast, input, control)}`
    : `${treatment} beat ${control}: ${sizeWords(contrast, input)}`;
}

/** Where the control is to do nothing, “beat nothing” would say that it lost. */
export function quotedIfNone(control: string): string {
  return /^(nothing|none|no treatment)$/i.test(control) ? `“${control}”` : control;
}

/** What a treatment gave beside what it is held against, with its range, as a sentence. */
export function range(contrast: EstimableContrast, input: JudgeInput): string {
  const size = sizeThan(contrast, input, contrast.control);
  return sentenceCase(`${contrast.treatment}: ${size}, ${lowerFirst(between(contrast, input))}.`);
}

/** The interval that the call rests on, as half a sentence. */
export function between(contrast: EstimableContrast, input: JudgeInput): string {
  const { ci, percentCi } = shownInterval(contrast, input);
  const ends = percentCi ?? ci;
  if (!ends) return dealsWords(contrast);
  const [low, high] = ends;
  if (percentCi && high >= MANY_TIMES) {
    const [from, to] = [low, high].map(times);
    const open = low <= 0 ? 'Anything from' : 'Between';
    return `${open} ${from} ${low <= 0 ? 'to' : 'and'} ${to} times ${asMuch(input)}`;
  }
  const say = (value: number): string => sayEnd(Math.abs(value), percentCi !== null, input);
  const [up, down] = GAP_WAYS[input.outcome];
  const isCalled = isFound(contrast);
  const isNothing = (value: number): boolean => Number.parseFloat(say(value)) === 0;
  const [least, most, way] = low >= 0 ? [low, high, up] : [high, low, down];
  // An end at nothing is one that the call stops just short of, or one that nothing decides.
  if ((low >= 0 || high <= 0) && isNothing(least))
    return isCalled
      ? `Up to ${say(most)} ${way}`
      : `Anything from no difference to ${say(most)} ${way}`;
  // “Between 5 and 40 points”: the word once is enough.
  const bare = (value: number): string => say(value).replace(/ (points?|days?|steps?)$/, '');
  if (low >= 0) return `Between ${bare(low)} and ${say(high)} ${up}`;
  if (high <= 0) return `Between ${bare(high)} and ${say(low)} ${down}`;
  return `Anything from ${say(low)} ${down} to ${say(high)} ${up}`;
}

function sayEnd(value: number, isPercent: boolean, input: JudgeInput): string {
  if (isPercent) return percent(value);
  switch (input.outcome) {
    case 'proportion':
      return points(value);
    case 'time':
      return days(value);
    case 'ordinal':
      return step(value);
    case 'count':
    case 'continuous':
      return figure(value, input);
  }
}

/** Units treated alike gave all the same: there is no range, but the deals tell how rare that is. */
function dealsWords({ pAdjusted }: EstimableContrast): string {
  if (pAdjusted === null) return 'With nothing to judge it by';
  const of100 = 100 * pAdjusted;
  const shown = of100 < 1 ? 'fewer than one' : String(Number(of100.toFixed(of100 < 10 ? 1 : 0)));
  return `A parting as clean as this turns up in ${shown} of 100 deals`;
}
