import fc from 'fast-check';
import jsQR from 'jsqr';
import { create } from 'qrcode';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import {
  type LabelFormat,
  type LabelWords,
  labelGrid,
  labelSheets,
  PRINTER_EDGE_MM,
  type QrOf,
} from './label-sheet';
import { fitting, linesOf, type Mark, type Paper, type PrintPage, type WidthOf } from './page';
import { benchSheet, clipboardSheets, protocolSheets } from './plan-sheets';

const widthOf: WidthOf = (text, sizeMm) => text.length * sizeMm * 0.55;
const qrOf: QrOf = link => {
  const { modules } = create(link, { errorCorrectionLevel: 'M' });
  return Array.from({ length: modules.size }, (_, row) =>
    Array.from({ length: modules.size }, (_cell, column) => modules.get(row, column) === 1),
  );
};
const data = trialFixture({ treatments: 4, unitsEach: 6, blockCount: 6 });
const labels = data.units.map(
  (unit): LabelWords => ({
    code: unit.code,
    treatment: { letter: 'A', name: 'a feed with a name too long for any label that was ever cut' },
    crop: 'dwarf beans',
    trial: 'Do three feeds help dwarf beans?',
    place: 'shelf 1',
    link: `http://192.168.1.20:4321/trials/${data.trial.id}/weigh?pot=${unit.code}`,
  }),
);

function extent(mark: Mark): {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
} {
  switch (mark.kind) {
    case 'text': {
      const width = widthOf(mark.text, mark.sizeMm, mark.isBold);
      const left =
        mark.align === 'middle'
          ? mark.xMm - width / 2
          : mark.align === 'right'
            ? mark.xMm - width
            : mark.xMm;
      return {
        left,
        right: left + width,
        top: mark.yMm - mark.sizeMm,
        bottom: mark.yMm + 0.3 * mark.sizeMm,
      };
    }
    case 'box':
      return {
        left: mark.xMm,
        right: mark.xMm + mark.widthMm,
        top: mark.yMm,
        bottom: mark.yMm + mark.heightMm,
      };
    case 'ring':
      return {
        left: mark.xMm - mark.radiusMm,
        right: mark.xMm + mark.radiusMm,
        top: mark.yMm - mark.radiusMm,
        bottom: mark.yMm + mark.radiusMm,
      };
  }
}

function expectInside(page: PrintPage): void {
  const outside = page.marks.filter(mark => {
    const at = extent(mark);
    return (
      at.left < PRINTER_EDGE_MM - 1e-9 ||
      at.top < PRINTER_EDGE_MM - 1e-9 ||
      at.right > page.widthMm - PRINTER_EDGE_MM + 1e-9 ||
      at.bottom > page.heightMm - PRINTER_EDGE_MM + 1e-9
    );
  });
  expect(outside).toEqual([]);
}

const PIXELS_PER_MM = 6; // some 150 dots to the inch

/** What a camera would see of one part of a page. */
function picture(
  page: PrintPage,
  left: number,
  top: number,
  width: number,
  height: number,
): { readonly pixels: Uint8ClampedArray; readonly width: number; readonly height: number } {
  const [w, h] = [Math.round(width * PIXELS_PER_MM), Math.round(height * PIXELS_PER_MM)];
  const pixels = new Uint8ClampedArray(4 * w * h).fill(255);
  const from = (mm: number): number => Math.round(mm * PIXELS_PER_MM);
  for (const mark of page.marks) {
    if (
      mark.kind !== 'box' ||
      mark.fill !== 'black' ||
      mark.xMm > left + width ||
      mark.xMm < left ||
      mark.yMm > top + height ||
      mark.yMm < top
    )
      continue;
    for (
      let y = Math.max(0, from(mark.yMm - top));
      y < Math.min(h, from(mark.yMm + mark.heightMm - top));
      y++
    ) {
      const [start, end] = [
        Math.max(0, from(mark.xMm - left)),
        Math.min(w, from(mark.xMm + mark.widthMm - left)),
      ];
      for (let at = 4 * (y * w + start); at < 4 * (y * w + end); at += 4)
        pixels[at] = pixels[at + 1] = pixels[at + 2] = 0;
    }
  }
  return { pixels, width: w, height: h };
}

const SHEETS = (['a4', 'letter'] as const).flatMap(paper =>
  (['3x8', '2x7', 'strips'] as const).map((format): [Paper, LabelFormat] => [paper, format]),
);

describe.each(SHEETS)('labels on %s, %s', (paper, format) => {
  const pages = labelSheets(labels, paper, format, qrOf, widthOf);
  const grid = labelGrid(paper, format);

  test('nothing is cut off, and every pot has one', () => {
    for (const page of pages) expectInside(page);
    const codes = pages
      .flatMap(page => page.marks)
      .flatMap(mark =>
        mark.kind === 'text' && labels.some(label => label.code === mark.text) ? [mark.text] : [],
      );
    expect([...codes].sort()).toEqual(labels.map(label => label.code).sort());
  });

  test('every square code leads to the pot beside it', () => {
    labels.forEach((label, i) => {
      if (format !== '3x8' && i % 5 !== 0) return; // all of the common sheet, every fifth of the others: looking takes time
      const at = i % (grid.columns * grid.rows);
      const page = pages[Math.floor(i / (grid.columns * grid.rows))];
      if (!page) throw new Error('there must be a page for each label');
      const seen = picture(
        page,
        grid.leftMm + (at % grid.columns) * (grid.widthMm + grid.gapMm),
        grid.topMm + Math.floor(at / grid.columns) * grid.heightMm,
        grid.widthMm,
        grid.heightMm,
      );
      expect(jsQR(seen.pixels, seen.width, seen.height)?.data).toBe(label.link);
    });
  });

  test('labels do not lie on each other, and no word leaves its own', () => {
    const cells = Array.from({ length: grid.columns * grid.rows }, (_, at) => ({
      left: grid.leftMm + (at % grid.columns) * (grid.widthMm + grid.gapMm),
      top: grid.topMm + Math.floor(at / grid.columns) * grid.heightMm,
    }));
    const astray = (pages[0]?.marks ?? []).filter(mark => {
      const { left, right, top, bottom } = extent(mark);
      return !cells.some(
        cell =>
          left >= cell.left - 1e-9 &&
          right <= cell.left + grid.widthMm + 1e-9 &&
          top >= cell.top - 1e-9 &&
          bottom <= cell.top + grid.heightMm + 1e-9,
      );
    });
    expect(astray).toEqual([]);
    expect(
      grid.leftMm + grid.columns * grid.widthMm + (grid.columns - 1) * grid.gapMm,
    ).toBeLessThanOrEqual((pages[0]?.widthMm ?? 0) + 1e-9);
    expect(grid.topMm + grid.rows * grid.heightMm).toBeLessThanOrEqual(
      (pages[0]?.heightMm ?? 0) + 1e-9,
    );
  });
});

test.each(['a4', 'letter'] as const)(
  'plan, clipboard sheets and protocol stay on the paper, %s',
  paper => {
    for (const page of [
      benchSheet(data, true, paper, widthOf),
      ...clipboardSheets(data, paper, widthOf),
      ...protocolSheets(data, paper, widthOf),
    ])
      expectInside(page);
  },
);

test('a blind plan says nothing of treatments, and no sheet but the labels and the plan can', () => {
  const texts = (pages: readonly PrintPage[]): string =>
    pages
      .flatMap(page => page.marks)
      .flatMap(mark => (mark.kind === 'text' ? [mark.text] : []))
      .join('\n');
  expect(texts([benchSheet(data, true, 'a4', widthOf)])).toMatch(/^A$/m);
  expect(texts([benchSheet(data, false, 'a4', widthOf)])).not.toMatch(/^[A-D]$/m);
  expect(texts(clipboardSheets(data, 'a4', widthOf))).not.toContain('feed 1');
});

test('the clipboard goes in walking order', () => {
  const codes = clipboardSheets(data, 'a4', widthOf)
    .flatMap(page => page.marks)
    .flatMap(mark => (mark.kind === 'text' && /^[A-Z]{2}\d$/.test(mark.text) ? [mark.text] : []));
  expect(codes).toEqual(data.units.map(unit => unit.code));
});

test('lines fit their place, whatever is written, and lose no word that fits', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc
          .string({ minLength: 1, maxLength: 14, unit: 'grapheme-ascii' })
          .filter(word => !/\s/.test(word)),
        { maxLength: 12 },
      ),
      fc.integer({ min: 30, max: 120 }),
      (words, room) => {
        const lines = linesOf(words.join(' '), 4, room, widthOf);
        for (const line of lines) expect(widthOf(line, 4, false)).toBeLessThanOrEqual(room);
        if (words.every(word => widthOf(word, 4, false) <= room))
          expect(lines.join(' ')).toBe(words.join(' '));
      },
    ),
  );
  expect(fitting('Heronsgill', 4, 12, widthOf)).toBe('Hero…');
});
