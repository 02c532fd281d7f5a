import { seededRandom } from '@/core/stats/distributions/seeded-random';

// Letters and digits that wet eyes don't mix up: no I, O, Q, S, Z, no 0, 1, 5.
const CODE_LETTERS = 'ABCDEFGHJKLMNPRTUVWXY';
const CODE_DIGITS = '2346789';
// Above so many units there are not enough codes that differ in two places; then they only differ.
const MOST_APART = 120;

/**
 * Blind codes from the same seed: two letters and a digit, saying nothing of the treatment. No valid code is one slip, a
 * wrong sign or two swapped ones, from another.
 */
export function blindCodes(count: number, seed: number): readonly string[] {
  const random = seededRandom((seed ^ 0x5f3759df) >>> 0);
  const pick = (from: string): string => from.charAt(random.below(from.length));
  const codes: string[] = [];
  for (let tries = 0; codes.length < count; tries++) {
    const code = pick(CODE_LETTERS) + pick(CODE_LETTERS) + pick(CODE_DIGITS);
    const isApart =
      count > MOST_APART || tries > 100_000
        ? !codes.includes(code)
        : codes.every(other => !isOneSlip(code, other));
    if (isApart) codes.push(code);
  }
  return codes;
}

/** Whether one wrong sign, or two signs that changed places, turns one code into the other. */
export function isOneSlip(a: string, b: string): boolean {
  const wrong = [...a].filter((sign, i) => sign !== b[i]).length;
  return wrong < 2 || (wrong === 2 && a[0] === b[1] && a[1] === b[0]);
}
