import fc from 'fast-check';
import papaparse from 'papaparse';
import { tableRows } from './table-rows';

const nothing = () => Promise.resolve();

test('piece by piece it is the same table as at once, quoted line ends and empty lines with it', async () => {
  const line = fc.array(fc.constantFrom('a', '12.5', 'said, "so"', 'two\nlines', ''), {
    minLength: 2,
    maxLength: 5,
  });
  await fc.assert(
    fc.asyncProperty(fc.array(line, { minLength: 1, maxLength: 60 }), async lines => {
      const csv = papaparse.unparse(lines.flatMap(each => [each, ['', '']]));
      const atOnce = papaparse.parse<string[]>(csv, { skipEmptyLines: 'greedy' }).data;
      expect(await tableRows(csv, nothing)).toEqual(atOnce);
    }),
  );
});

test('a long table is read with pauses, each row once, whole where a piece ends in it', async () => {
  const lines = Array.from({ length: 20_000 }, (_, i) => `AB${i},"first\nsecond",${i % 90}`);
  let pauses = 0;
  const rows = await tableRows(lines.join('\n'), () => {
    pauses += 1;
    return new Promise(resolve => setImmediate(resolve));
  });
  expect(rows).toEqual(lines.map((_, i) => [`AB${i}`, 'first\nsecond', String(i % 90)]));
  expect(pauses).toBeGreaterThan(3);
});

test('past the most that is taken nothing more is read', async () => {
  const csv = Array.from({ length: 100_000 }, (_, i) => `AB${i},${i}`).join('\n');
  const rows = await tableRows(csv, nothing, 500);
  expect(rows.length).toBeGreaterThan(500);
  expect(rows.length).toBeLessThan(50_000);
});
