/** What the log calls a look at the verdict while the trial still ran. */
export const INTERIM_LOOK = 'verdict looked at before the end';

/** The days before the end on which somebody looked: at the end it is looked at as planned. */
export function interimLookDays(
  log: readonly { readonly what: string; readonly at: string }[],
  endsOn: string,
): readonly string[] {
  const days = log.filter(({ what }) => what === INTERIM_LOOK).map(({ at }) => at.slice(0, 10));
  return [...new Set(days)].filter(day => day < endsOn);
}
