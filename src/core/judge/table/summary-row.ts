/** Words that stand before a sum or mean of the rows above it, and name no treatment, block or unit. */
const SUMMARY = /^(grand |sub-?|overall )?(totals?|sum|means?|averages?|avg\.?)$/i;

export function isSummaryName(name: string): boolean {
  return SUMMARY.test(name.trim());
}
