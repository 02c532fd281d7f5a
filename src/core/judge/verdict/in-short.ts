import type { Judgement, Verdict } from '@/core/judge/outcomes/judgement';

/** The verdict in short, whatever it was judged by. */
export type VerdictInShort = Pick<Verdict, 'headline' | 'detail' | 'call' | 'best'>;

/** A judgement as it was frozen: of counts, shares, steps and days earlier versions had the verdict's words beside the rest. */
export type FrozenJudgement =
  | Pick<Judgement, 'verdict' | 'groups'>
  | (VerdictInShort & { readonly groups: readonly { readonly treatment: string }[] });

export function inShort(judgement: FrozenJudgement): VerdictInShort {
  const { headline, detail, call, best } = 'verdict' in judgement ? judgement.verdict : judgement;
  return { headline, detail, call, best };
}
