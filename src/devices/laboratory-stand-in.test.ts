import { readLabReport } from '@/core/measure/laboratory/lab-report';
import { standInLaboratory } from './laboratory-stand-in';

const SAMPLES = ['S001', 'S002', 'S010'].map(number => ({ number, takenOn: '2026-04-01' }));
const rowsOf = (csv: string | undefined): readonly (readonly string[])[] =>
  (csv ?? '').split('\n').map(line => line.split(','));

test('it takes its time, then answers for every bag in a report that can be read', async () => {
  const laboratory = standInLaboratory(7);
  expect(laboratory.isStandIn).toBe(true);
  expect(await laboratory.report(SAMPLES, '2026-04-10')).toBeUndefined();
  const [heads = [], ...rows] = rowsOf(await laboratory.report(SAMPLES, '2026-04-11'));
  const read = readLabReport(heads, rows);
  expect(read.ok && new Set(read.value.map(value => value.number))).toEqual(
    new Set(['S001', 'S002', 'S010']),
  );
  expect(read.ok && read.value.length).toBe(18);
});

test('the same bag gives the same values, whoever else sends some', async () => {
  const laboratory = standInLaboratory(7);
  const [alone, among] = [
    await laboratory.report(SAMPLES.slice(1, 2), '2026-05-01'),
    await laboratory.report(SAMPLES, '2026-05-01'),
  ];
  expect(rowsOf(among).filter(row => row[0] === 'S002')).toEqual(rowsOf(alone).slice(1));
  expect(await standInLaboratory(8).report(SAMPLES.slice(1, 2), '2026-05-01')).not.toEqual(alone);
});
