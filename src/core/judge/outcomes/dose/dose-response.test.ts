import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { parseTable } from '@/cli/parse-table';
import { type DosedUnit, doseResponse, withoutBlocks } from './dose-response';

// Expected: R 4.2.2, reference/r/dose-trend.R: lm(Y ~ block + N) on MASS oats, whole and with plots lost.
const CASES = z
  .array(
    z.object({
      file: z.string(),
      slope: z.number(),
      se: z.number(),
      p: z.number(),
      blocks: z.array(z.number()),
      names: z.array(z.string()),
    }),
  )
  .parse(JSON.parse(readFileSync('reference/results/dose-trend.json', 'utf8')));

function unitsOf(file: string): readonly DosedUnit[] {
  const table = parseTable(readFileSync(`reference/data/${file}`, 'utf8'));
  if (!table.ok) throw new RangeError(JSON.stringify(table.trouble));
  return table.value.rows.map(row => ({
    dose: Number(row.N),
    value: Number(row.Y),
    block: row.B ?? '',
  }));
}

describe.each(CASES)('doses in blocks: $file', ({ file, slope, se, p, blocks, names }) => {
  const units = unitsOf(file);

  test('the trend’s error comes after the blocks', () => {
    const { trend } = doseResponse(units);
    expect(trend?.slope).toBeCloseTo(slope, 8);
    expect(trend?.se).toBeCloseTo(se, 8);
    expect(trend?.p).toBeCloseTo(p, 10);
  });

  test('a point is freed of its block as the model of blocks and doses has it', () => {
    const points = withoutBlocks(units);
    const shifts = names.map(name => {
      const at = units.findIndex(unit => unit.block === name);
      return (units[at]?.value ?? 0) - (points[at]?.y ?? 0);
    });
    for (const [i, shift] of shifts.entries()) expect(shift).toBeCloseTo(blocks[i] ?? 0, 8);
  });
});
