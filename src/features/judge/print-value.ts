/** A p-value as one reads it. */
export function printP(p: number | null): string {
  if (p === null) return '—';
  return p < 0.001 ? 'below 0.001' : p.toFixed(3);
}

/** A figure to four significant digits, with a true minus. */
export function printFigure(value: number): string {
  return String(Number(Math.abs(value).toPrecision(4))).replace(/^/, value < 0 ? '−' : '');
}
