import type {
  OutcomeContrast,
  OutcomeGroup,
  OutcomeJudgement,
  OutcomeMethod,
  TestedOutcomeContrast,
} from '@/core/judge/outcomes/outcome-judgement';
import type { OutcomeInput } from '@/core/judge/question/outcome-input';
import { listed } from '@/core/words/listed';
import { plural } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import { isBetter, isWorse } from './call';
import { harmfulOf, harmHeadline, withHarm } from './harm-words';
import { percent } from './margin-words';
import { noTestHeadline } from './no-test-words';
import { quotedIfNone } from './verdict-words';

type Judged = Omit<OutcomeJudgement, 'headline' | 'detail'>;

/** The verdict on such a measure in plain words: what came, how sure, and what is not said by it. */
export function wordOutcome(
  input: OutcomeInput,
  judged: Judged,
): { readonly headline: string; readonly detail: string } {
  const { contrasts, groups, call } = judged;
  const found = contrasts.flatMap(contrast => (contrast.estimable ? [contrast] : []));
  if (groups.every(group => group.n === 0))
    return {
      headline: 'Nothing to judge yet.',
      detail: `No ${input.unitWord} has given a reading.`,
    };
  const others = groups
    .filter(group => group.n > 0)
    .map(group => `${group.treatment} ${groupWords(input, group)}`)
    .join('; ');
  const detail = [
    ...(groups.length > 2 ? [] : [`${capital(others)}.`]),
    ...found.map(contrast => sureWords(input, contrast)),
    methodWords(found),
  ]
    .filter(each => each !== '')
    .join(' ');
  if (call === 'no-test') {
    const alone = groups.filter(group => group.n === 1).map(group => group.treatment);
    const isSingle = groups.every(group => group.n <= 1);
    return { headline: noTestHeadline(input.unitWord, alone, isSingle), detail };
  }
  if (input.hasNoGoodDirection) return { headline: differenceHeadline(input, found), detail };
  return { headline: sentenceCase(headlineOf(input, found, contrasts)), detail };
}

function headlineOf(
  input: OutcomeInput,
  found: readonly TestedOutcomeContrast[],
  contrasts: readonly OutcomeContrast[],
): string {
  const control = quotedIfNone(input.control);
  const harmful = harmfulOf(found);
  const winners = found
    .filter(contrast => isBetter(contrast.call))
    .map(contrast => contrast.treatment);
  if (winners.length > 0) {
    const which = winners.length > 1 ? '; which is best can’t be told by this' : '';
    return withHarm(`${listed(winners)} beat ${control}${which}.`, harmful);
  }
  const [worst] = found.filter(contrast => isWorse(contrast.call));
  if (worst) {
    const size = effectWords(input, input.control, worst.effect, worst.difference);
    return harmHeadline(harmful, control, size);
  }
  const undecided = contrasts
    .filter(contrast => contrast.call !== 'no-difference-that-matters')
    .map(contrast => contrast.treatment);
  if (undecided.length === 0) return `No difference that matters from ${input.control}.`;
  const which = undecided.length === 1 ? undecided[0] : 'anything';
  return `Can’t tell yet whether ${which} beats ${control}.`;
}

/** Of what is no gain either way: who has more of it, and who less. */
function differenceHeadline(
  { response, countedClass, control }: OutcomeInput,
  contrasts: readonly TestedOutcomeContrast[],
): string {
  const more = contrasts
    .filter(
      contrast => contrast.difference > 0 && (isBetter(contrast.call) || isWorse(contrast.call)),
    )
    .map(contrast => contrast.treatment);
  const less = contrasts
    .filter(
      contrast => contrast.difference < 0 && (isBetter(contrast.call) || isWorse(contrast.call)),
    )
    .map(contrast => contrast.treatment);
  if (countedClass !== undefined && more.length + less.length > 0)
    return `“${capital(countedClass)}” came ${[[more, 'more'] as const, [less, 'less'] as const]
      .filter(([names]) => names.length > 0)
      .map(([names, way]) => `${way} often under ${listed(names)}`)
      .join(', ')} than under ${control}.`;
  if (more.length > 0)
    return `More ${response} under ${listed(more)} than under ${control}${less.length > 0 ? `, less under ${listed(less)}` : ''}.`;
  if (less.length > 0) return `Less ${response} under ${listed(less)} than under ${control}.`;
  if (contrasts.every(contrast => contrast.call === 'no-difference-that-matters'))
    return `No difference that matters from ${control}.`;
  return `Can’t tell yet whether anything differs from ${control}.`;
}

/** One treatment's figures as one says them. */
export function groupWords(
  input: Pick<OutcomeInput, 'kind' | 'unitWord'>,
  group: OutcomeGroup,
): string {
  if (group.n === 0) return 'no reading';
  switch (input.kind) {
    case 'proportion':
      return group.share
        ? `${group.share.k} of ${group.share.of} (${percent((100 * group.share.k) / group.share.of)})`
        : '';
    case 'count':
      return `${figure(group.mean ?? 0)} a ${input.unitWord}`;
    case 'ordinal':
      return `middle ${figure(group.median ?? 0)}`;
    case 'time':
      return group.median === null
        ? `${group.came} of ${group.n} came, fewer than half`
        : `half by day ${figure(group.median)}, ${group.came} of ${group.n} came`;
  }
}

function sureWords(
  input: OutcomeInput,
  { treatment, control, call, effect, pAdjusted, difference }: TestedOutcomeContrast,
): string {
  const size = effectWords(input, control, effect, difference);
  // The p of the call is the larger of a model's and of the deals': no count of deals.
  const luck =
    pAdjusted < 0.001
      ? 'chance alone does this well in fewer than one of 1000 such trials'
      : `chance alone does this well in ${pAdjusted < 0.1 ? Number((100 * pAdjusted).toFixed(1)) : Math.round(100 * pAdjusted)} of 100 such trials`;
  return call === 'no-test'
    ? ''
    : `${capital(treatment)}: ${size}${size === '' ? '' : '; '}${luck}.`;
}

/** How large a difference is, as one says it. */
export function effectWords(
  { kind, better, hasNoGoodDirection }: OutcomeInput,
  control: string,
  effect: TestedOutcomeContrast['effect'],
  difference: number,
): string {
  if (effect?.what === 'rate-ratio')
    return `${figure(effect.value)} times as many${effect.ci ? ` (${figure(effect.ci[0])} to ${figure(effect.ci[1])})` : ''}`;
  if (effect?.what === 'chance-of-larger') {
    if (hasNoGoodDirection)
      return `a random one of it has more than a random one of ${control} in ${Math.round(100 * effect.value)} of 100 tries`;
    const good = better === 'higher' ? effect.value : 1 - effect.value;
    return `a random one of it is better than a random one of ${control} in ${Math.round(100 * good)} of 100 tries`;
  }
  if (kind === 'proportion')
    return `${percent(100 * Math.abs(difference)).replace('%', ' points')} ${difference >= 0 ? 'more' : 'fewer'}`;
  if (kind === 'time') {
    const days = Number(Math.abs(difference).toPrecision(2));
    return `${days} ${plural('day', days)} ${difference >= 0 ? 'later' : 'sooner'} on average`;
  }
  return `${figure(Math.abs(difference))} ${difference >= 0 ? 'more' : 'less'} than ${control}, pair by pair`;
}

/** What each method is, for whoever asks. */
export const METHOD_WORDS: Readonly<Record<OutcomeMethod, string>> = {
  'quasi-poisson': 'a model of counts that lets units differ more than chance',
  'fisher-exact': 'Fisher’s exact test',
  'cochran-mantel-haenszel': 'Cochran-Mantel-Haenszel over the blocks',
  'wilcoxon-exact': 'Wilcoxon’s rank sum, exact',
  'wilcoxon-shuffled': 'Wilcoxon’s rank sum by random deals',
  'van-elteren-exact': 'ranks within blocks (van Elteren), exact',
  'van-elteren-shuffled': 'ranks within blocks (van Elteren) by random deals',
  'log-rank': 'the log-rank test',
  'stratified-log-rank': 'the log-rank test within blocks',
  'sign-flip': 'the pairs’ differences, their signs tossed again',
  'shuffle-exact': 'all deals of the units',
  'shuffle-random': 'random deals of the units',
};

function methodWords(contrasts: readonly TestedOutcomeContrast[]): string {
  const methods = [...new Set(contrasts.map(contrast => METHOD_WORDS[contrast.method]))];
  return methods.length === 0 ? '' : `By ${listed(methods)}, and by dealing the units again.`;
}

/** Which contrasts there are to speak of. */
export function testedContrasts(
  contrasts: readonly OutcomeContrast[],
): readonly TestedOutcomeContrast[] {
  return contrasts.flatMap(contrast => (contrast.estimable ? [contrast] : []));
}

function figure(value: number): string {
  return String(Number(value.toPrecision(3)));
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
