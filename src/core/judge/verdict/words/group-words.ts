import type { TreatmentGroup } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { VerdictContext } from '@/core/judge/verdict/verdict-context';
import { upperBoundOfNone } from '@/core/stats/categorical/upper-bound-of-none';
import { sentenceCase } from '@/core/words/sentence-case';
import { percent } from './margin-words';

// More than two of them are a table.
const FEW = 2;

/** What each of two treatments came to, where a mean alone doesn't say it. */
export function groupsWords({ input, groups }: VerdictContext): string {
  if (input.outcome === 'continuous' || groups.length > FEW) return '';
  const found = groups.map(group => `${group.treatment} ${groupWords(input, group)}`);
  return sentenceCase(`${found.join('; ')}.`);
}

/** One treatment's figures as one says them; of means the caller prints them in the measure's own unit. */
export function groupWords(
  { outcome, unitWord }: Pick<JudgeInput, 'outcome' | 'unitWord'>,
  group: TreatmentGroup | undefined,
): string {
  if (!group) return 'no reading';
  switch (outcome) {
    case 'proportion':
      return group.share
        ? `${group.share.k} of ${group.share.of} (${shareWords(group.share)})`
        : '';
    case 'count':
      return `${short(group.mean)} a ${unitWord}`;
    case 'ordinal':
      return `middle ${short(group.median ?? 0)}`;
    case 'time':
      return group.median === null
        ? `${group.came} of ${group.n} came, fewer than half`
        : `half by day ${short(group.median)}, ${group.came} of ${group.n} came`;
    case 'continuous':
      return short(group.mean);
  }
}

/** None of n, or all of them, is no proof of never or always: the exact one-sided 95% bound is said with it. */
function shareWords({ k, of }: { readonly k: number; readonly of: number }): string {
  const bound = 100 * upperBoundOfNone(of);
  if (k === 0) return `none found; up to ${percent(bound)} is still possible`;
  return k === of
    ? `all; as little as ${percent(100 - bound)} is still possible`
    : percent((100 * k) / of);
}

function short(value: number): string {
  return String(Number(value.toPrecision(3)));
}
