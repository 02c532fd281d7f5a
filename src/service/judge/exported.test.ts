import { readFileSync } from 'node:fs';
import { z } from 'zod';
import '../../../reference/significant-digits';
import { demoSeason } from '@/demo/demo-season';
import { csvTable, entryRows } from './report-rows';

const R = z
  .object({
    rows: z.number(),
    columns: z.array(z.string()),
    first: z.string(),
    last: z.string(),
    byTreatment: z.array(z.object({ treatment: z.string(), value: z.number() })),
    potSd: z.number(),
    pots: z.number(),
    notes: z.number(),
  })
  .parse(JSON.parse(readFileSync('reference/results/exported.json', 'utf8')));

const found = demoSeason().trials.find(
  each => each.trial.question === 'Do three feeds help dwarf beans?',
);
if (!found) throw new Error('the demo has its beans');
const beans = found;

test('what goes out as CSV is what R read of it: rows, days, sums by treatment and the spread of pots', () => {
  // R read this very file.
  const csv = csvTable(entryRows(beans));
  expect(csv).toBe(readFileSync('reference/data/demo-beans-entries.csv', 'utf8'));
  expect(csv.split('\n')[0]?.split(',')).toEqual(R.columns);
  expect(beans.picks.length + beans.readings.length).toBe(R.rows);
  const days = [
    ...beans.picks.map(({ pickedOn }) => pickedOn),
    ...beans.readings.map(({ takenOn }) => takenOn),
  ].sort();
  expect([days[0], days.at(-1)]).toEqual([R.first, R.last]);
  const totals = new Map<string, number>();
  for (const { unitId, netG } of beans.picks)
    if (netG !== null) totals.set(unitId, (totals.get(unitId) ?? 0) + netG);
  for (const { treatment, value } of R.byTreatment) {
    const id = beans.treatments.find(({ name }) => name === treatment)?.id;
    const own = beans.units.filter(unit => unit.treatmentId === id);
    expect(own.reduce((sum, unit) => sum + (totals.get(unit.id) ?? 0), 0)).toAgree(value, 12);
  }
  const pots = [...totals.values()];
  const mean = pots.reduce((sum, value) => sum + value, 0) / pots.length;
  const sd = Math.sqrt(
    pots.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (pots.length - 1),
  );
  expect(pots).toHaveLength(R.pots);
  expect(sd).toAgree(R.potSd, 10);
  const noted = [...beans.picks, ...beans.readings].filter(({ note }) => note !== '');
  expect(noted).toHaveLength(R.notes);
});
