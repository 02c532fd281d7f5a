import { dayIn } from '@/core/time/time-zone';

/** Now, as an instant in UTC. */
export function instantNow(): string {
  return new Date().toISOString();
}

// One for the whole process: pages, route handlers and scripts are bundled apart.
const KEPT: unique symbol = Symbol.for('turnspit.time-zone');
const kept: typeof globalThis & { [KEPT]?: string } = globalThis;

/** Days and hours are those of this zone from now on; of the machine's own where it is empty. */
export function keepTimeZone(zone: string): void {
  kept[KEPT] = zone;
}

/** The time zone of the garden. */
export function gardenTimeZone(): string {
  return kept[KEPT] || new Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/** Today in the garden. */
export function today(): string {
  return dayIn(instantNow(), gardenTimeZone());
}
