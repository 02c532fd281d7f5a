/** One line that a scale sent. */
export interface ScaleSample {
  readonly massG: number;
  /** As the scale says so itself; null where it says nothing. */
  readonly isStable: boolean | null;
  /** Milliseconds of whoever listens, rising. */
  readonly atMs: number;
}

const UNIT_G: Readonly<Record<string, number>> = {
  g: 1,
  kg: 1000,
  lb: 453.59237,
  oz: 28.349523125,
};

/**
 * Reads a plain line as scales print them: `213.4 g`, `+ 0.2134 kg`, `ST 213.4 g` and `S 213.4 g` (settled), `US 213 g` and
 * `? 213 g` (moving). Undefined for what is none: a head, half a line, another language.
 */
export function readScaleLine(line: string, atMs: number): ScaleSample | undefined {
  const found =
    /^\s*(ST|S|US|U|\?)?[\s,:]*([+-]?)\s*(\d{1,7}(?:[.,]\d{1,4})?)\s*(g|kg|lb|oz)\s*$/i.exec(line);
  if (!found) return undefined;
  const value =
    Number((found[3] ?? '').replace(',', '.')) *
    (UNIT_G[(found[4] ?? '').toLowerCase()] ?? Number.NaN);
  const said = found[1]?.toUpperCase();
  return {
    massG: found[2] === '-' ? -value : value,
    isStable: said === undefined ? null : said === 'ST' || said === 'S',
    atMs,
  };
}

/** When a value counts as settled. */
export interface Settling {
  readonly withinG: number;
  readonly forMs: number;
}

export const SETTLING: Settling = { withinG: 1, forMs: 800 };

/** The settled value at the end of some samples: the mean of those within reach for long enough; undefined while it moves. */
export function settledG(
  samples: readonly ScaleSample[],
  { withinG, forMs }: Settling = SETTLING,
): number | undefined {
  const last = samples.at(-1);
  if (!last || last.isStable === false) return undefined;
  const held = [last];
  for (let i = samples.length - 2; i >= 0; i--) {
    const sample = samples[i];
    if (!sample || sample.isStable === false || Math.abs(sample.massG - last.massG) > withinG)
      break;
    held.push(sample);
  }
  const since = held.at(-1);
  if (!since || last.atMs - since.atMs < forMs) return undefined;
  return held.reduce((sum, each) => sum + each.massG, 0) / held.length;
}

const LIFTED_SHARE = 0.1;

/** Whether the pan was emptied since a value was taken: only then may the next one be taken by itself. */
export function isLifted(samples: readonly ScaleSample[], takenG: number): boolean {
  return samples.some(sample => sample.massG < Math.max(2, takenG * LIFTED_SHARE));
}

/** A check with a known mass: passed within half a percent or a gram, whichever is more. Common practice, no source. */
export function massCheck(
  shownG: number,
  knownG: number,
): { readonly offG: number; readonly isPassed: boolean } {
  const offG = shownG - knownG;
  return { offG, isPassed: Math.abs(offG) <= Math.max(1, knownG * 0.005) };
}
