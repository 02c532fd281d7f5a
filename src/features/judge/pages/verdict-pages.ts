/** The pages of a verdict, in the order in which one reads them. */
export const VERDICT_PAGES = [
  { key: 'answer', label: 'Answer' },
  { key: 'measures', label: 'All measures' },
  { key: 'firm', label: 'How firm' },
  { key: 'spoiled', label: 'What may have spoiled it' },
  { key: 'money', label: 'Money and time' },
  { key: 'next', label: 'What next' },
] as const;

export type VerdictPage = (typeof VERDICT_PAGES)[number]['key'];

/** The page that an address asks for; the answer where it asks for none there is. */
export function verdictPage(asked: string | null): VerdictPage {
  return VERDICT_PAGES.find(page => page.key === asked)?.key ?? 'answer';
}
