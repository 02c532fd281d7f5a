import type { Call } from '@/core/judge/outcomes/judgement';
import { isWorse } from '@/core/judge/verdict/call';
import { listed } from '@/core/words/listed';

/** Treatments that did worse than the control. */
export function harmfulOf(
  contrasts: readonly { readonly treatment: string; readonly call: Call }[],
): readonly string[] {
  return contrasts.filter(({ call }) => isWorse(call)).map(({ treatment }) => treatment);
}

/** A headline about a winner with the harm in the same sentence: nobody reads on to the table for bad news. */
export function withHarm(headline: string, harmful: readonly string[]): string {
  return harmful.length === 0
    ? headline
    : `${headline.replace(/\.$/, '')}, but ${listed(harmful)} did worse.`;
}

/** @param size of the harm, where it is but one */
export function harmHeadline(harmful: readonly string[], control: string, size: string): string {
  const found = `${listed(harmful)} did worse than ${control}`;
  return harmful.length === 1 && size !== '' ? `${found}: ${size}.` : `${found}.`;
}
