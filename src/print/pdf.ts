import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, type PDFFont, type PDFPage, rgb } from 'pdf-lib';
import { create } from 'qrcode';
import type { QrOf } from '@/core/print/label-sheet';
import type { Mark, PrintPage, WidthOf } from '@/core/print/page';

const POINTS_PER_MM = 72 / 25.4;
const FONT_FOLDER = 'node_modules/@fontsource/atkinson-hyperlegible-next/files';
// A web font's own wrapping is no PDF font; cut down to the signs in use it is written out as a plain one.
const SUBSET = { subset: true };
const BLACK = rgb(0, 0, 0);
const GREY = rgb(0.85, 0.87, 0.86);

/** Each weight in two files: the common letters, and the rest of Latin. */
interface Fonts {
  readonly plain: readonly PDFFont[];
  readonly bold: readonly PDFFont[];
}

/**
 * Writes pages as a PDF, with its own fonts in it.
 *
 * @param layOut makes the pages, given how wide a text comes out in those fonts
 */
export async function writePdf(
  title: string,
  layOut: (widthOf: WidthOf) => readonly PrintPage[],
): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(title);
  const fontsOf = (weight: '400' | '700'): Promise<readonly PDFFont[]> =>
    Promise.all(
      ['latin', 'latin-ext'].map(async letters =>
        document.embedFont(await fontFile(letters, weight), SUBSET),
      ),
    );
  const fonts = { plain: await fontsOf('400'), bold: await fontsOf('700') };
  const widthOf: WidthOf = (text, sizeMm, isBold) =>
    runsOf(text, isBold ? fonts.bold : fonts.plain).reduce(
      (sum, run) => sum + run.font.widthOfTextAtSize(run.text, sizeMm),
      0,
    );
  for (const page of layOut(widthOf)) {
    const sheet = document.addPage([page.widthMm * POINTS_PER_MM, page.heightMm * POINTS_PER_MM]);
    for (const mark of page.marks) drawMark(sheet, page, mark, fonts, widthOf);
  }
  return document.save();
}

function fontFile(letters: string, weight: '400' | '700'): Promise<Uint8Array> {
  return readFile(
    join(process.cwd(), FONT_FOLDER, `atkinson-hyperlegible-next-${letters}-${weight}-normal.woff`),
  );
}

/** A text in runs, each in the first font that has its letters; what none has is a question mark. */
function runsOf(
  text: string,
  fonts: readonly PDFFont[],
): readonly { readonly text: string; readonly font: PDFFont }[] {
  const [first] = fonts;
  if (!first) return [];
  const runs: { text: string; font: PDFFont }[] = [];
  for (const letter of text) {
    const font = fonts.find(each => lettersOf(each).has(letter.codePointAt(0) ?? 0));
    const last = runs.at(-1);
    if (last && last.font === (font ?? first)) last.text += font ? letter : '?';
    else runs.push({ text: font ? letter : '?', font: font ?? first });
  }
  return runs;
}

const known = new WeakMap<PDFFont, ReadonlySet<number>>();

function lettersOf(font: PDFFont): ReadonlySet<number> {
  const found = known.get(font) ?? new Set(font.getCharacterSet());
  known.set(font, found);
  return found;
}

function drawMark(
  sheet: PDFPage,
  page: PrintPage,
  mark: Mark,
  fonts: Fonts,
  widthOf: WidthOf,
): void {
  const x = (mm: number): number => mm * POINTS_PER_MM;
  const y = (mm: number): number => (page.heightMm - mm) * POINTS_PER_MM; // a PDF counts from the lower edge
  switch (mark.kind) {
    case 'text': {
      const width = widthOf(mark.text, mark.sizeMm, mark.isBold);
      const left =
        mark.align === 'middle'
          ? mark.xMm - width / 2
          : mark.align === 'right'
            ? mark.xMm - width
            : mark.xMm;
      let at = left;
      for (const run of runsOf(mark.text, mark.isBold ? fonts.bold : fonts.plain)) {
        sheet.drawText(run.text, {
          x: x(at),
          y: y(mark.yMm),
          size: x(mark.sizeMm),
          font: run.font,
          color: BLACK,
        });
        at += run.font.widthOfTextAtSize(run.text, mark.sizeMm);
      }
      return;
    }
    case 'box': {
      sheet.drawRectangle({
        x: x(mark.xMm),
        y: y(mark.yMm + mark.heightMm),
        width: x(mark.widthMm),
        height: x(mark.heightMm),
        ...(mark.fill === 'none' ? {} : { color: mark.fill === 'black' ? BLACK : GREY }),
        ...(mark.lineMm > 0 ? { borderColor: BLACK, borderWidth: x(mark.lineMm) } : {}),
      });
      return;
    }
    case 'ring':
      sheet.drawCircle({
        x: x(mark.xMm),
        y: y(mark.yMm),
        size: x(mark.radiusMm),
        borderColor: BLACK,
        borderWidth: x(mark.lineMm),
      });
  }
}

/** The dark modules of a link's square code, at the level of correction that a muddy label wants. */
export const qrModules: QrOf = link => {
  const { modules } = create(link, { errorCorrectionLevel: 'M' });
  return Array.from({ length: modules.size }, (_, row) =>
    Array.from({ length: modules.size }, (_cell, column) => modules.get(row, column) === 1),
  );
};
