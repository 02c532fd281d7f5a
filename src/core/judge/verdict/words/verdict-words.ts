import type { Call, Contrast, EstimableContrast, Verdict } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { isBetter, isFound, isWorse, overallCall } from '@/core/judge/verdict/call';
import type { VerdictContext, Words } from '@/core/judge/verdict/verdict-context';
import { listed } from '@/core/words/listed';
import { plural, pluralOf } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import { differenceHeadline } from './difference-words';
import { doseWords } from './dose-words';
import { factorCall, factorWords } from './factor-words';
import { withGiven } from './given-words';
import { groupsWords } from './group-words';
import { harmfulOf, harmHeadline, withHarm } from './harm-words';
import { allJudgedByMargin, joined, judgedByMargin, lowerFirst, marginWords } from './margin-words';
import { noTestWords, untestedWords } from './no-test-words';
import { between, gaveWords, quotedIfNone, range, sizeThan, sizeWords } from './size-words';

/** The verdict of the whole trial in plain words. It names a best treatment only where the units carry it. */
export function wordVerdict(context: VerdictContext): Verdict {
  const best = bestOf(context);
  const needed = context.contrasts.flatMap(contrast =>
    contrast.estimable && contrast.unitsNeeded ? [contrast.unitsNeeded] : [],
  );
  const hasHopeless = context.contrasts.some(
    contrast =>
      contrast.estimable && contrast.call === 'cant-tell' && contrast.unitsNeeded === null,
  );
  const unitsNeeded = needed.length > 0 && !hasHopeless ? Math.max(...needed) : null;
  const { mayHoldTheBest } = context;
  const { call, headline, detail } = withGiven(answerOf(context, best, unitsNeeded), context.input);
  return { call, best, mayHoldTheBest, unitsNeeded, headline: sentenceCase(headline), detail };
}

/** What answers the question that was asked: the agreed comparison, the factors of a crossed trial, or all against the control. */
function answerOf(
  context: VerdictContext,
  best: string | null,
  unitsNeeded: number | null,
): Words & { readonly call: Call } {
  const { contrasts, effects, agreed } = context;
  if (agreed && agreed.call !== 'no-test')
    return { call: agreed.call, ...agreedWords(context, agreed) };
  if (effects.some(effect => effect.within === null))
    return { call: factorCall(effects), ...factorWords(context) };
  const call = overallCall(contrasts);
  const words = wordsFor(call, best, context, unitsNeeded);
  const ofDoses = doseWords(context, words);
  if (ofDoses) return ofDoses;
  return {
    call,
    headline:
      context.input.hasNoGoodDirection && call !== 'no-test'
        ? differenceHeadline(context.input, contrasts)
        : words.headline,
    detail: joined(groupsWords(context), words.detail),
  };
}

/** The answer to the agreed comparison; what the others did beside the control comes after it, and harm in the same sentence. */
function agreedWords(context: VerdictContext, agreed: Contrast): Words {
  const input = {
    ...context.input,
    treatments: [agreed.control, agreed.treatment],
    control: agreed.control,
  };
  const asked = { ...context, input, contrasts: [agreed] };
  const needed = agreed.estimable ? agreed.unitsNeeded : null;
  const answer = wordsFor(
    agreed.call,
    isBetter(agreed.call) ? agreed.treatment : null,
    asked,
    needed,
  );
  const others = context.contrasts.filter(
    ({ treatment, control }) => treatment !== agreed.treatment || control !== agreed.control,
  );
  const found = others.flatMap(contrast =>
    contrast.estimable && isFound(contrast) ? [range(contrast, context.input)] : [],
  );
  const harmful = harmfulOf(others).filter(name => !isToldOf(name, context, agreed));
  const harm =
    harmful.length === 0
      ? ''
      : sentenceCase(`${listed(harmful)} did worse than ${quotedIfNone(context.input.control)}.`);
  return { headline: joined(answer.headline, harm), detail: joined(answer.detail, ...found) };
}

/** Whether the answer itself has said that a treatment did worse than the control. */
function isToldOf(name: string, { input }: VerdictContext, agreed: Contrast): boolean {
  return (
    isWorse(agreed.call) &&
    agreed.control === input.control &&
    input.agreed?.one.includes(name) === true
  );
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
  const { input, contrasts } = context;
  const found = contrasts.flatMap(contrast => (contrast.estimable ? [contrast] : []));
  const winners = found.filter(contrast => isBetter(contrast.call));
  const losers = found.filter(contrast => isWorse(contrast.call));
  const open = found
    .filter(contrast => contrast.call === 'cant-tell')
    .map(contrast => contrast.treatment);
  const rest = joined(stillOpen(open, unitsNeeded, input), untestedWords(context));
  if (call === 'no-test') return noTestWords(context);
  const leader = winners.find(contrast => contrast.treatment === best) ?? winners[0];
  if (leader) return winnersWords(leader, winners, best, rest, context);
  const tested = found.filter(contrast => contrast.call !== 'no-test');
  const ranges = inOneBreath(tested, input);
  const [worst] = losers;
  if (worst) {
    return {
      headline: harmHeadline(
        harmfulOf(losers),
        quotedIfNone(input.control),
        sizeWords(worst, input),
      ),
      detail: joined(ranges, rest),
    };
  }
  if (call === 'no-difference-that-matters')
    return {
      headline: `No difference that matters from ${input.control}.`,
      detail: joined(ranges, marginWords(input)),
    };
  const undecided = contrasts
    .filter(contrast => contrast.call !== 'no-difference-that-matters')
    .map(contrast => contrast.treatment);
  const which = undecided.length === 1 ? undecided[0] : 'anything';
  // That they can't be told stands in the headline already.
  const isAllOpen = open.length === contrasts.length;
  return {
    headline: `Can’t tell yet whether ${which} beats ${quotedIfNone(input.control)}.`,
    detail: joined(ranges, isAllOpen ? neededWords(unitsNeeded, input) : rest),
  };
}

const FEW = 2;

/** The ranges of a few as sentences; of more as one: nobody reads seven before the picture, and the table has them all. */
function inOneBreath(contrasts: readonly EstimableContrast[], input: JudgeInput): string {
  const ranges = contrasts.map(contrast => range(contrast, input));
  if (ranges.length <= FEW) return joined(...ranges);
  // Within the sentence a name is written as it is.
  const clauses = contrasts.map(
    ({ treatment }, i) => `${treatment}${ranges[i]?.slice(treatment.length).replace(/\.$/, '')}`,
  );
  return `${clauses.join('; ')}.`;
}

/** @param rest what is not settled yet, in sentences */
function winnersWords(
  leader: EstimableContrast,
  winners: readonly EstimableContrast[],
  best: string | null,
  rest: string,
  { input, contrasts }: VerdictContext,
): Words {
  const settled = noDifference(contrasts);
  const harmful = harmfulOf(contrasts);
  const harmed = contrasts.flatMap(each => (each.estimable && isWorse(each.call) ? [each] : []));
  if (winners.length === 1)
    return {
      headline: withHarm(`${gaveWords(leader, input)}.`, harmful),
      detail: joined(
        howSure(leader, input),
        best ? '' : 'Which treatment is best of all is not settled.',
        inOneBreath(harmed, input),
        settled,
        rest,
      ),
    };
  const names = listed(winners.map(contrast => contrast.treatment));
  const control = quotedIfNone(input.control);
  const ranges = winners.map(each => `${each.treatment}: ${lowerFirst(between(each, input))}`);
  const headline = best
    ? `${best} did best: ${sizeThan(leader, input, control)}.`
    : `${names} beat ${control}; which is best can’t be told yet.`;
  return {
    headline: withHarm(headline, harmful),
    detail: joined(
      `${ranges.join('; ')}.`,
      allJudgedByMargin(winners, input),
      inOneBreath(harmed, input),
      settled,
      rest,
    ),
  };
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
  return joined(what, neededWords(unitsNeeded, input));
}

/** How many would do; without a margin nothing can be ruled out, and of ranks it is not known. */
function neededWords(unitsNeeded: number | null, input: JudgeInput): string {
  if (!input.margin || input.outcome === 'ordinal') return '';
  return unitsNeeded === null
    ? `More than 200 ${pluralOf(input.unitWord)} each would be needed to settle it.`
    : `About ${unitsNeeded} ${plural(input.unitWord, unitsNeeded)} of each would settle it.`;
}
