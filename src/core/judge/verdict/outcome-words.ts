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
import { isBetter, isWorse } from './call';
import { percent } from './margin-words';
import { quotedIfNone } from './verdict-words';

type Judged = Omit<OutcomeJudgement, 'headline' | 'detail'>;

/** The verdict on such a measure in plain words: what came, how sure, and what is not said by it. */
export function wordOutcome(
  input: OutcomeInput,
  judged: Judged,
): { readonly headline: string; readonly detail: string } {
  const { contrasts, groups, call, best } = judged;
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
  if (call === 'no-test')
    return {
      headline: groups.every(group => group.n <= 1)
        ? `One ${input.unitWord} each: a story, not a result.`
        : 'These readings can’t be judged.',
      detail,
    };
  if (input.hasNoGoodDirection) return { headline: differenceHeadline(input, found), detail };
  const winners = found
    .filter(contrast => isBetter(contrast.call))
    .map(contrast => contrast.treatment);
  if (best === input.control)
    return { headline: `Nothing beat ${quotedIfNone(input.control)}.`, detail };
  if (winners.length > 0)
    return {
      headline: `${capital(listed(winners))} beat ${quotedIfNone(input.control)}${winners.length > 1 ? '; which is best can’t be told by this' : ''}.`,
      detail,
    };
  if (call === 'no-difference-that-matters')
    return { headline: `No difference that matters from ${input.control}.`, detail };
  if (found.every(contrast => isWorse(contrast.call)))
    return { headline: `Nothing beat ${quotedIfNone(input.control)}.`, detail };
  const open = found
    .filter(contrast => contrast.call === 'cant-tell')
    .map(contrast => contrast.treatment);
  return {
    headline:
      open.length === 1
        ? `Can’t tell yet whether ${open[0]} beats ${quotedIfNone(input.control)}.`
        : `Can’t tell yet whether anything beats ${quotedIfNone(input.control)}.`,
    detail,
  };
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
  const luck =
    pAdjusted < 0.001
      ? 'so large a gap turns up in less than one of 1000 deals'
      : `so large a gap turns up in ${pAdjusted < 0.1 ? Number((100 * pAdjusted).toFixed(1)) : Math.round(100 * pAdjusted)} of 100 deals`;
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
