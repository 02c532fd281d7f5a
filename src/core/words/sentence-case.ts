/** A sentence begins with a capital, also where a treatment's name comes first; names like “pH 6” keep theirs. */
export function sentenceCase(sentence: string): string {
  return /^.[A-Z]/.test(sentence) ? sentence : sentence.charAt(0).toUpperCase() + sentence.slice(1);
}
