const HOUR_MS = 3_600_000;

/**
 * Now by this device's clock. In a demo garden, which the page says of itself, at this hour of the demo's own day: what a gardener
 * does there happens on it.
 */
export function nowHere(): Date {
  const { demoDay } = document.documentElement.dataset;
  return demoDay ? sameHourOf(demoDay, new Date()) : new Date();
}

/**
 * The same hour of another day, moved by whole days as the server moves its own: by the calendar, half past midnight of a winter's
 * day would be the evening before of a summer's, where the garden counts in another zone.
 *
 * @param zone of the IANA list; the device's own where none is named
 */
export function sameHourOf(day: string, now: Date, zone?: string): Date {
  const moved = now.getTime() + Date.parse(day) - Date.parse(dayIn(zone, now));
  // Where clocks change between the two, an hour more or less, so that the day is that one.
  const near = [0, -HOUR_MS, HOUR_MS].map(shift => new Date(moved + shift));
  return near.find(each => dayIn(zone, each) === day) ?? new Date(moved);
}

/** Sweden writes its days as ISO 8601 does. */
function dayIn(timeZone: string | undefined, at: Date): string {
  return at.toLocaleDateString('sv', { timeZone });
}
