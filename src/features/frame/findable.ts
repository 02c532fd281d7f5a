import { z } from 'zod';

/** Something that can be gone to by its words. */
export const Findable = z.object({
  label: z.string(),
  /** What kind of thing it is, and what else is known of it. */
  what: z.string(),
  href: z.string().startsWith('/'),
});
export type Findable = z.infer<typeof Findable>;

/** Where one can always go. */
export const PLACES_TO_FIND: readonly Findable[] = [
  { label: 'Today', what: 'what is due', href: '/' },
  { label: 'Trials', what: 'all of them', href: '/trials' },
  { label: 'Ask a new question', what: 'a new trial', href: '/trials/new' },
  { label: 'Shelf', what: 'products, packs, rates', href: '/shelf' },
  { label: 'The shed’s sums', what: 'mixes, doses, layers, pots, seed', href: '/shelf/sums' },
  { label: 'Weather', what: 'rain, frost, warmth', href: '/weather' },
  { label: 'Garden', what: 'units, place, frosts, backups, sharing', href: '/garden' },
];

/** Those in which every word that was typed begins a word, those whose name has them all first. */
export function found(all: readonly Findable[], typed: string): readonly Findable[] {
  const words = wordsOf(typed);
  const has = (text: string) => {
    const own = wordsOf(text);
    return words.every(word => own.some(each => each.startsWith(word)));
  };
  const fitting = all.filter(({ label, what }) => has(`${label} ${what}`));
  return [
    ...fitting.filter(({ label }) => has(label)),
    ...fitting.filter(({ label }) => !has(label)),
  ];
}

function wordsOf(text: string): readonly string[] {
  return text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
}
