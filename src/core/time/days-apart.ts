const DAY_MS = 86_400_000;

/** Days from one ISO day to another that somebody typed; undefined where that is no day of the calendar. */
export function daysApart(from: string, written: string): number | undefined {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(written)) return undefined;
  const at = new Date(`${written}T00:00:00Z`);
  if (Number.isNaN(at.getTime()) || at.toISOString().slice(0, 10) !== written) return undefined;
  return Math.round((at.getTime() - new Date(`${from}T00:00:00Z`).getTime()) / DAY_MS);
}
