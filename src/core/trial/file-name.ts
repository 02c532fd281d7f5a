const LONGEST_PART = 48;

/** A file’s name out of what it is: `does-a-feed-help-plan.json`. Letters and figures only, so that every system takes it. */
export function fileName(parts: readonly string[], ending: string): string {
  const words = parts.map(plain).filter(part => part !== '');
  return `${words.join('-') || 'turnspit'}.${ending}`;
}

function plain(part: string): string {
  return part
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, LONGEST_PART)
    .replace(/^-+|-+$/g, '');
}
