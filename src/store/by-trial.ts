/** Rows of several trials, each trial's by themselves, in their order. */
export function byTrial<Row extends Readonly<Record<string, unknown>>>(
  rows: readonly Row[],
): ReadonlyMap<string, readonly Row[]> {
  const groups = new Map<string, Row[]>();
  for (const row of rows) {
    const trialId = String(row.trialId);
    const group = groups.get(trialId);
    if (group) group.push(row);
    else groups.set(trialId, [row]);
  }
  return groups;
}
