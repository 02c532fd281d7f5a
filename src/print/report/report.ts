/** A table as the report prints it. */
export interface ReportTable {
  readonly title: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** Every unit that was read of one treatment, and where it lies against the control, in the measure's own unit. */
export interface ReportDots {
  readonly treatment: string;
  readonly values: readonly number[];
  /** null where the measure has no mean. */
  readonly mean: number | null;
  /** The ends of the interval that its call rests on; null of the control, and without a test. */
  readonly interval: readonly [number, number] | null;
}

/** Codes in their places, in mm from the far left corner. */
export interface ReportMap {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly units: readonly {
    readonly code: string;
    readonly letter: string;
    readonly x: number;
    readonly y: number;
    readonly w: number;
    readonly h: number;
  }[];
}

/** All that a report says, in words and figures that are printed already. */
export interface Report {
  readonly question: string;
  readonly stateWords: string;
  readonly headline: string;
  readonly detail: string;
  readonly unitWord: string;
  /** By treatment, the control first. */
  readonly dots: readonly ReportDots[];
  /** The control's mean and what lies too near to it to matter; null without a margin or a mean. */
  readonly band: { readonly control: number; readonly ends: readonly [number, number] } | null;
  readonly printValue: (value: number) => string;
  /** What the round figures of a picture up to `most` are multiples of. */
  readonly roundUnit: (most: number) => number;
  /** What was compared, how many, where: a term and what it is. */
  readonly facts: readonly (readonly [string, string])[];
  /** Every treatment against the control. */
  readonly calls: ReportTable;
  readonly measure: string;
  readonly letters: Readonly<Record<string, string>>;
  readonly control: string;
  readonly map: ReportMap;
  /** What a neighbour is to know before believing it. */
  readonly limits: readonly string[];
  readonly cautions: readonly string[];
  readonly corrections: readonly string[];
  readonly tables: readonly ReportTable[];
  readonly protocol: readonly { readonly title: string; readonly steps: readonly string[] }[];
  readonly made: string;
}

/** What the page needs that is no word of it. */
export interface ReportParts {
  /** Web fonts, base64: for text and for headings. */
  readonly fonts: { readonly text: string; readonly heading: string };
  /** The data it rests on, saved from the page itself. */
  readonly data: { readonly name: string; readonly json: string };
}

/** The letter of a treatment, whatever it is called: a name may be one that every object has. */
export function letterOf(letters: Report['letters'], treatment: string): string {
  return Object.hasOwn(letters, treatment) ? (letters[treatment] ?? '') : '';
}
