import { addDays, daysBetween } from '@/core/time/garden-day';
import { dayIn } from '@/core/time/time-zone';

// One for the whole process: pages, route handlers and scripts are bundled apart.
const KEPT: unique symbol = Symbol.for('turnspit.clock');
const kept: typeof globalThis & { [KEPT]?: GardenClock } = globalThis;

/** By what a garden tells the time. */
export interface GardenClock {
  /** Of the IANA list; empty for the machine's own. */
  readonly timeZone: string;
  /** The day at which a demo garden stands; empty for the real one. */
  readonly demoDay: string;
}

/** Days and hours are those of this garden from now on. */
export function keepClock({ timeZone, demoDay }: GardenClock): void {
  kept[KEPT] = { timeZone, demoDay };
}

/** The time zone of the garden. */
export function gardenTimeZone(): string {
  return kept[KEPT]?.timeZone || new Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/** Now by the garden's clock, as an instant in UTC: in a demo garden at this hour of its own day. */
export function instantNow(): string {
  const demoDay = kept[KEPT]?.demoDay ?? '';
  return demoDay === '' ? realInstant() : sameHourOn(demoDay, realInstant(), gardenTimeZone());
}

/** Today in the garden. */
export function today(): string {
  return dayIn(instantNow(), gardenTimeZone());
}

/** Now by the machine's clock, a demo or not. */
export function realInstant(): string {
  return new Date().toISOString();
}

/** Today by the machine's clock, a demo or not. */
export function realToday(): string {
  return dayIn(realInstant(), gardenTimeZone());
}

const HOUR_MS = 3_600_000;

/** The same hour of another day. Where clocks change between the two, an hour more or less, so that the day is that one. */
export function sameHourOn(day: string, instant: string, zone: string): string {
  const here = dayIn(instant, zone);
  const days = daysBetween(here, day);
  const [date = '', time = ''] = instant.split('T');
  const moved = Date.parse(`${addDays(date, days)}T${time}`);
  const onDay = [0, -HOUR_MS, HOUR_MS, -2 * HOUR_MS, 2 * HOUR_MS].find(
    shift => dayIn(new Date(moved + shift).toISOString(), zone) === day,
  );
  return new Date(moved + (onDay ?? 0)).toISOString();
}
