/** What a caliper sent when its key was pressed, in mm: `12.34 mm`, `+0.486 in`. Undefined for what is no value. */
export function readCaliperLine(line: string): number | undefined {
  const found = /^\s*\+?(\d{1,4}(?:[.,]\d{1,4})?)\s*(mm|in|")\s*$/i.exec(line);
  if (!found) return undefined;
  return Number((found[1] ?? '').replace(',', '.')) * (found[2]?.toLowerCase() === 'mm' ? 1 : 25.4);
}

/** What a four-step moisture probe sent, as it is typed: `1` to `4`, `<` below its scale, `+` beyond it. */
export function readProbeLine(line: string): string | undefined {
  const found = /^\s*(?:P\s*)?([1-4]|[<>])\s*$/i.exec(line);
  return found?.[1] === '>' ? '+' : found?.[1];
}
