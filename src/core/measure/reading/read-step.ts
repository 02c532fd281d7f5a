import type { Scale } from '@/core/trial/model/scale';
import { spokenNumber } from './spoken-number';

type Steps = Extract<Scale, { kind: 'ordinal' }>;

const BEYOND =
  /^(?:\+|>|beyond|over|above|past|off)(?:\s*(?:the\s+)?(?:scale|end|last|top|\d+|[a-z]))?$/i;
const BELOW = /^(?:<|below|under)(?:\s*(?:the\s+)?(?:scale|end|first|bottom|\d+|[a-z]))?$|^[-−]$/i;
const SIGNED = /^(.+?)\s*(\+|[-−]|½|1\/2|and a half)$/;

/**
 * A step of a scale as people say it: its number, its word, its letter (`C`), with a half (`2½`, `2.5`), a plus or minus (`B+`: half a
 * step further), between two that touch (`B/C`), or beyond either end where the instrument has one (`+`, `4+`, `beyond`).
 *
 * @returns one step above the last for beyond it, one below the first for below it; undefined where it is no step
 */
export function readStep(written: string, scale: Steps): number | undefined {
  const said = written.trim();
  const last = scale.from + scale.steps.length - 1;
  const plain = plainStep(said, scale);
  if (plain !== undefined) return plain;
  if (scale.hasBeyond && BEYOND.test(said)) return last + 1;
  if (scale.hasBeyond && BELOW.test(said)) return scale.from - 1;
  return signedStep(said, scale, last) ?? betweenSteps(said, scale);
}

/** `B+`, `4-`, `2 and a half`. A plus at the last step is beyond it, or nothing. */
function signedStep(said: string, scale: Steps, last: number): number | undefined {
  const signed = SIGNED.exec(said);
  const step = signed?.[1] === undefined ? undefined : plainStep(signed[1], scale);
  if (step === undefined || !Number.isInteger(step)) return undefined;
  const isDown = signed?.[2] === '-' || signed?.[2] === '−';
  const isAtEnd = step === (isDown ? scale.from : last);
  if (!isAtEnd) return step + (isDown ? -0.5 : 0.5);
  return scale.hasBeyond ? step + (isDown ? -1 : 1) : undefined;
}

/** `B/C`, `between moist and wet`, `2 to 3`: two steps that touch. */
function betweenSteps(said: string, scale: Steps): number | undefined {
  const ends = /^(?:between\s+)?(.+?)\s*(?:\/|-|–|to|and|or)\s*(.+)$/i.exec(said);
  const [a, b] = [ends?.[1], ends?.[2]].map(end =>
    end === undefined ? undefined : plainStep(end, scale),
  );
  return a !== undefined && b !== undefined && Math.abs(a - b) === 1 ? (a + b) / 2 : undefined;
}

/** A number with halves, a step by its whole name or one of its words, or a letter counted from A. */
function plainStep(said: string, { from, steps }: Steps): number | undefined {
  const wanted = said.trim().toLowerCase();
  const whole = steps.findIndex(step => step.toLowerCase() === wanted);
  if (whole >= 0) return from + whole;
  const worded = steps.flatMap((step, i) =>
    step
      .toLowerCase()
      .split(/[\s,]+/)
      .includes(wanted) && Number.isNaN(Number(wanted))
      ? [i]
      : [],
  );
  if (worded.length === 1) return from + (worded[0] ?? 0);
  const letter = /^[a-z]$/.test(wanted) ? wanted.charCodeAt(0) - 'a'.charCodeAt(0) : undefined;
  if (letter !== undefined)
    return isLettered(steps, wanted) && letter < steps.length ? from + letter : undefined;
  const read = spokenNumber(wanted);
  const value = read.ok && /\d|½/.test(wanted) ? read.value : undefined;
  return value !== undefined &&
    value >= from &&
    value <= from + steps.length - 1 &&
    Number.isInteger(2 * value)
    ? value
    : undefined;
}

/** A letter counts only where no step begins with it: `d` on a scale from dust to damp is no fourth step. */
function isLettered(steps: readonly string[], letter: string): boolean {
  return steps.every(step => !step.toLowerCase().startsWith(letter));
}
