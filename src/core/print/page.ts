/** Something printed on a page. All lengths in mm from the page's upper left corner; a text stands on its baseline. */
export type Mark =
  | {
      readonly kind: 'text';
      readonly xMm: number;
      readonly yMm: number;
      readonly sizeMm: number;
      readonly text: string;
      readonly isBold: boolean;
      readonly align: 'left' | 'middle' | 'right';
    }
  | {
      readonly kind: 'box';
      readonly xMm: number;
      readonly yMm: number;
      readonly widthMm: number;
      readonly heightMm: number;
      readonly fill: 'black' | 'grey' | 'none';
      readonly lineMm: number;
    }
  | {
      readonly kind: 'ring';
      readonly xMm: number;
      readonly yMm: number;
      readonly radiusMm: number;
      readonly lineMm: number;
    };

/** One sheet of paper. */
export interface PrintPage {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly marks: readonly Mark[];
}

export type Paper = 'a4' | 'letter';

/** ISO 216 and ANSI/ASME Y14.1, upright. */
export const PAPER_MM: Readonly<
  Record<Paper, { readonly widthMm: number; readonly heightMm: number }>
> = { a4: { widthMm: 210, heightMm: 297 }, letter: { widthMm: 215.9, heightMm: 279.4 } };

/** What a text of this size takes across. */
export type WidthOf = (text: string, sizeMm: number, isBold: boolean) => number;

/** A text mark at the left of its place, plain unless said otherwise. */
export function text(
  xMm: number,
  yMm: number,
  sizeMm: number,
  written: string,
  more: Partial<Pick<Extract<Mark, { kind: 'text' }>, 'isBold' | 'align'>> = {},
): Mark {
  return { kind: 'text', xMm, yMm, sizeMm, text: written, isBold: false, align: 'left', ...more };
}

export function box(
  xMm: number,
  yMm: number,
  widthMm: number,
  heightMm: number,
  fill: 'black' | 'grey' | 'none' = 'none',
  lineMm = 0.2,
): Mark {
  return { kind: 'box', xMm, yMm, widthMm, heightMm, fill, lineMm };
}

/** Breaks a text into lines that fit; a word that is too long alone is cut with an ellipsis. */
export function linesOf(
  written: string,
  sizeMm: number,
  mostMm: number,
  widthOf: WidthOf,
  isBold = false,
): readonly string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of written.split(/\s+/).filter(each => each !== '')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (widthOf(longer, sizeMm, isBold) <= mostMm) {
      line = longer;
      continue;
    }
    if (line !== '') lines.push(line);
    line = fitting(word, sizeMm, mostMm, widthOf, isBold);
  }
  return line === '' ? lines : [...lines, line];
}

/** A text cut to its place, with an ellipsis where something was lost. */
export function fitting(
  written: string,
  sizeMm: number,
  mostMm: number,
  widthOf: WidthOf,
  isBold = false,
): string {
  if (widthOf(written, sizeMm, isBold) <= mostMm) return written;
  let cut = written;
  while (cut !== '' && widthOf(`${cut}…`, sizeMm, isBold) > mostMm) cut = cut.slice(0, -1);
  return `${cut.trimEnd()}…`;
}
