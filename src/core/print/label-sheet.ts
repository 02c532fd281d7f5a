import {
  box,
  fitting,
  type Mark,
  PAPER_MM,
  type Paper,
  type PrintPage,
  text,
  type WidthOf,
} from './page';

/** What stands on one label. */
export interface LabelWords {
  readonly code: string;
  /** The treatment's letter and name, on an open label. */
  readonly treatment: { readonly letter: string; readonly name: string } | null;
  readonly crop: string;
  readonly trial: string;
  readonly place: string;
  /** What its square code leads to. */
  readonly link: string;
}

export type LabelFormat = '3x8' | '2x7' | 'strips';

/** The dark modules of a square code, row by row. */
export type QrOf = (link: string) => readonly (readonly boolean[])[];

interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly leftMm: number;
  readonly topMm: number;
  readonly gapMm: number;
}

/** Most printers leave so much of the edge white. */
export const PRINTER_EDGE_MM = 5;

/**
 * Where labels lie on a sheet. On A4 the common 24 of 70 × 36 mm and 14 of 99.1 × 38.1 mm; on Letter the same counts fill
 * the sheet. Strips are long stakes to be cut. Sheet sizes are common practice, no source.
 */
export function labelGrid(paper: Paper, format: LabelFormat): Grid {
  const { widthMm, heightMm } = PAPER_MM[paper];
  const centred = (
    columns: number,
    rows: number,
    width: number,
    height: number,
    gapMm: number,
  ): Grid => ({
    columns,
    rows,
    widthMm: width,
    heightMm: height,
    gapMm,
    leftMm: (widthMm - columns * width - (columns - 1) * gapMm) / 2,
    topMm: (heightMm - rows * height) / 2,
  });
  switch (format) {
    case '3x8':
      return paper === 'a4' ? centred(3, 8, 70, 36, 0) : centred(3, 8, 70, 34, 0);
    case '2x7':
      return centred(2, 7, 99.1, 38.1, 2.5);
    case 'strips':
      return centred(1, 10, Math.min(widthMm, 215.9) - 2 * PRINTER_EDGE_MM, 25, 0);
  }
}

const LINE_MM = 4.2;
const INNER_MM = 6; // keeps clear of the printer's edge on the outer labels, and of the cut on all

/** Labels for pots and stakes, as many pages as it takes. */
export function labelSheets(
  labels: readonly LabelWords[],
  paper: Paper,
  format: LabelFormat,
  qrOf: QrOf,
  widthOf: WidthOf,
): readonly PrintPage[] {
  const grid = labelGrid(paper, format);
  const perPage = grid.columns * grid.rows;
  return Array.from({ length: Math.ceil(labels.length / perPage) }, (_, page) => ({
    ...PAPER_MM[paper],
    marks: labels
      .slice(page * perPage, (page + 1) * perPage)
      .flatMap((label, i) => labelMarks(label, grid, format, i, qrOf, widthOf)),
  }));
}

function labelMarks(
  label: LabelWords,
  grid: Grid,
  format: LabelFormat,
  at: number,
  qrOf: QrOf,
  widthOf: WidthOf,
): readonly Mark[] {
  const left = grid.leftMm + (at % grid.columns) * (grid.widthMm + grid.gapMm);
  const top = grid.topMm + Math.floor(at / grid.columns) * grid.heightMm;
  const qrMm = Math.min(grid.heightMm - 10, 24);
  const qrLeft = left + grid.widthMm - INNER_MM - qrMm;
  const x = left + INNER_MM;
  // A stake is long and low: its words stand beside the code, not under it.
  const [wordsLeft, wordsTop] =
    format === 'strips' ? [x + 38, top + 6] : [x, top + grid.heightMm * 0.38 + 5];
  const line = (lineLeft: number, y: number, sizeMm: number, words: string, isBold = false): Mark =>
    text(lineLeft, y, sizeMm, fitting(words, sizeMm, qrLeft - lineLeft - 2, widthOf, isBold), {
      isBold,
    });
  const words = [
    ...(label.treatment
      ? [{ words: `${label.treatment.letter}  ${label.treatment.name}`, isBold: true }]
      : []),
    { words: label.crop, isBold: false },
    { words: label.place, isBold: false },
    { words: label.trial, isBold: false },
  ];
  return [
    ...(format === 'strips' ? [box(left, top, grid.widthMm, grid.heightMm)] : []),
    format === 'strips'
      ? line(x, top + grid.heightMm * 0.64, grid.heightMm * 0.42, label.code, true)
      : line(x, top + grid.heightMm * 0.38, grid.heightMm * 0.27, label.code, true),
    ...words.map(({ words: written, isBold }, i) =>
      line(wordsLeft, wordsTop + i * LINE_MM, 3.2, written, isBold),
    ),
    ...qrMarks(qrOf(label.link), qrLeft, top + (grid.heightMm - qrMm) / 2, qrMm),
  ];
}

/** A square code as boxes, runs of dark modules joined. */
function qrMarks(
  modules: readonly (readonly boolean[])[],
  leftMm: number,
  topMm: number,
  sizeMm: number,
): readonly Mark[] {
  const step = sizeMm / modules.length;
  return modules.flatMap((row, y) => {
    const marks: Mark[] = [];
    for (let x = 0; x < row.length; x++) {
      const from = x;
      while (row[x]) x++;
      if (x > from)
        marks.push(
          box(leftMm + from * step, topMm + y * step, (x - from) * step, step, 'black', 0),
        );
    }
    return marks;
  });
}
