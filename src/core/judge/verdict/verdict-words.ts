import type { Call, Contrast, EstimableContrast, Verdict } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { listed } from '@/core/words/listed';
import { plural, pluralOf } from '@/core/words/plural';
import { isBetter, isWorse, overallCall } from './call';
import {
  amount,
  between,
  joined,
  judgedByMargin,
  lowerFirst,
  marginWords,
  range,
  shownPercent,
} from './margin-words';
import { noTestWords } from './no-test-words';
import type { VerdictContext, Words } from './verdict-context';

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

function bestOf({ input, contrasts, mayHoldTheBest }: VerdictContext): string | null {
  const only = mayHoldTheBest.length === 1 ? mayHoldTheBest[0] : undefined;
  if (only === undefined) return null;
  const isSupported =
    only === input.control
      ? contrasts.every(contrast => isWorse(contrast.call))
      : contrasts.some(contrast => contrast.treatment === only && isBetter(contrast.call));
  return isSupported ? only : null;
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
  const still = stillOpen(open, unitsNeeded, input);
  if (call === 'no-test') return noTestWords(context);
  if (best !== null && best === input.control) return controlIsBest(context);
  const leader = winners.find(contrast => contrast.treatment === best) ?? winners[0];
  if (leader) return winnersWords(leader, winners, best, still, context);
  const ranges = context.contrasts.map(contrast =>
    contrast.estimable ? range(contrast, input) : '',
  );
  if (call === 'cant-tell') {
    const which = open.length === 1 ? open[0] : 'anything';
    return {
      headline: `Can’t tell yet whether ${which} beats ${quotedIfNone(input.control)}.`,
      detail: joined(...ranges, still),
    };
  }
  if (call === 'no-difference-that-matters')
    return {
      headline: `No difference that matters from ${input.control}.`,
      detail: joined(...ranges, marginWords(input)),
    };
  return controlIsBest(context);
}

/** @param still what is not settled yet, as a sentence */
function winnersWords(
  leader: EstimableContrast,
  winners: readonly EstimableContrast[],
  best: string | null,
  still: string,
  { input, contrasts }: VerdictContext,
): Words {
  const settled = noDifference(contrasts);
  if (winners.length === 1)
    return {
      headline: gave(leader, input),
      detail: joined(
        howSure(leader, input),
        best ? '' : 'Which treatment is best of all is not settled.',
        settled,
        still,
      ),
    };
  const names = listed(winners.map(contrast => contrast.treatment));
  const control = quotedIfNone(input.control);
  const sure = winners.map(each => `${each.treatment}: ${lowerFirst(howSure(each, input))}`);
  return {
    headline: best
      ? `${best} did best: ${amount(shownPercent(leader), leader.difference, input)} than ${control}.`
      : `${names} beat ${control}; which is best can’t be told yet.`,
    detail: joined(...sure, settled, still),
  };
}

function controlIsBest({ input, contrasts }: VerdictContext): Words {
  const ranges = contrasts.map(contrast => (contrast.estimable ? range(contrast, input) : ''));
  return { headline: `Nothing beat ${quotedIfNone(input.control)}.`, detail: joined(...ranges) };
}

function gave(contrast: EstimableContrast, input: JudgeInput): string {
  return `${contrast.treatment} gave ${amount(shownPercent(contrast), contrast.difference, input)} than ${input.control}.`;
}

function howSure(contrast: EstimableContrast, input: JudgeInput): string {
  const margin = input.margin ? ` ${judgedByMargin(contrast, input)}` : '';
  return `${between(contrast, input)}.${margin}`;
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

/** Where the control is to do nothing, “beat nothing” would say that it lost. */
export function quotedIfNone(control: string): string {
  return /^(nothing|none|no treatment)$/i.test(control) ? `“${control}”` : control;
}
