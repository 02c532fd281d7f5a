import { PDFDocument } from 'pdf-lib';
import { box, PAPER_MM, text } from '@/core/print/page';
import { qrModules, writePdf } from './pdf';

test('a PDF opens, with its pages in their sizes and its fonts in it', async () => {
  const bytes = await writePdf('Which feed?', () => [
    { ...PAPER_MM.a4, marks: [text(20, 20, 5, 'KM7'), box(10, 10, 50, 20)] },
    {
      ...PAPER_MM.letter,
      marks: [text(20, 20, 5, 'Příliš žluťoučký kůň 🌱', { isBold: true, align: 'middle' })],
    },
  ]);
  const opened = await PDFDocument.load(bytes);
  expect(opened.getTitle()).toBe('Which feed?');
  expect(
    opened.getPages().map(page => [Math.round(page.getWidth()), Math.round(page.getHeight())]),
  ).toEqual([
    [595, 842],
    [612, 792],
  ]);
});

test('letters outside common Latin take the width of their own font', async () => {
  const widths: number[] = [];
  await writePdf('', widthOf => {
    widths.push(
      widthOf('ě', 10, false),
      widthOf('e', 10, false),
      widthOf('🌱', 10, false),
      widthOf('?', 10, false),
    );
    return [{ ...PAPER_MM.a4, marks: [] }];
  });
  expect(widths[0]).toBeCloseTo(widths[1] ?? 0, 1);
  expect(widths[2]).toBe(widths[3]);
});

test('a square code is square, with its three corners dark', () => {
  const modules = qrModules('http://127.0.0.1:4321/trials/x/weigh?pot=KM7');
  expect(modules.every(row => row.length === modules.length)).toBe(true);
  const last = modules.length - 1;
  for (const [row, column] of [
    [0, 0],
    [0, last],
    [last, 0],
  ] as const)
    expect(modules[row]?.[column]).toBe(true);
});
