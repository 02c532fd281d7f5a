const FREE_TRIES = 3;
const FIRST_WAIT_MS = 1000;
const LONGEST_WAIT_MS = 60_000;
const FORGOTTEN_AFTER_MS = 15 * 60_000;

declare global {
  var turnspitTries: { count: number; last: number } | undefined;
}

/**
 * How long whoever guesses has to wait, after some wrong tries longer each time. For all visitors together: a guesser can change
 * where it comes from. Who is in stays in.
 *
 * @param now milliseconds
 * @returns milliseconds; 0 where one may try
 */
export function waitBeforeTry(now: number): number {
  const { count, last } = globalThis.turnspitTries ?? { count: 0, last: 0 };
  if (count <= FREE_TRIES || now - last > FORGOTTEN_AFTER_MS) return 0;
  const wait = Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (count - FREE_TRIES - 1));
  return Math.max(0, last + wait - now);
}

export function noteWrongTry(now: number): void {
  const { count, last } = globalThis.turnspitTries ?? { count: 0, last: 0 };
  globalThis.turnspitTries = { count: now - last > FORGOTTEN_AFTER_MS ? 1 : count + 1, last: now };
}

export function forgetWrongTries(): void {
  globalThis.turnspitTries = undefined;
}
