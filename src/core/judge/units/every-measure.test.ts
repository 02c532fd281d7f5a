// Every measure of the library, typed pot by pot and taken from a file, summarised, and judged as the main one.
import { v7 } from 'uuid';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { HARVEST_MEASURES } from '@/core/measure/library/harvest-measures';
import { componentsOf, measureFromLibrary } from '@/core/measure/library/own-measure';
import type { ReadingKind } from '@/core/measure/library/reading-kind';
import { READING_KINDS } from '@/core/measure/library/reading-library';
import { readReading } from '@/core/measure/reading/reading-form';
import { readReadingTable } from '@/core/measure/reading/reading-table';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { writtenFor } from '@/core/trial/fixtures/written-fixture';
import { PickId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { Pick } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import { isTaken } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import { analyse, plannedSpec } from './trial-analysis';

const plain = trialFixture({ treatments: 2, unitsEach: 5 });
const TODAY = plain.trial.endsOn;

const TYPED = {
  system: 'uk',
  today: TODAY,
  startsOn: plain.trial.startsOn,
  now: `${TODAY}T10:00:00.000Z`,
} as const;
const isSecond = (at: number): boolean => plain.units[at]?.treatmentId !== plain.treatments[0]?.id;

function typed(measure: Measure): readonly Reading[] {
  return plain.units.map((unit, at) => {
    const read = readReading(
      {
        id: v7(),
        unitId: unit.id,
        measureId: measure.id,
        takenOn: TODAY,
        value: writtenFor(measure, at, isSecond(at)),
      },
      { ...TYPED, measure },
    );
    if (!read.ok) throw new Error(`${measure.name}: ${JSON.stringify(read.trouble)}`);
    return read.value;
  });
}

async function fromFile(measure: Measure): Promise<readonly Reading[]> {
  const rows = plain.units.map((unit, at) => [unit.code, writtenFor(measure, at, isSecond(at))]);
  const read = await readReadingTable(
    ['code', measure.name],
    rows,
    [{ kind: 'unit' }, { kind: 'measure', measureId: measure.id, unit: '' }],
    {
      ...TYPED,
      units: plain.units,
      measures: [measure],
      mainMeasure: measure,
      day: TODAY,
      device: '',
      by: '',
      newId: () => v7(),
      pickId: () => v7(),
    },
  );
  if (!read.ok) throw new Error(`${measure.name}: ${JSON.stringify(read.trouble)}`);
  return read.value.readings;
}

const PICKS: readonly Pick[] = plain.units.map(
  (unit, at): Pick => ({
    id: PickId.parse(v7()),
    unitId: unit.id,
    pickedOn: TODAY,
    takenAt: TYPED.now,
    outcome: 'picked',
    pieces: 5 + (at % 3) + (isSecond(at) ? 4 : 0),
    grossG: 500 + 30 * (at % 3) + (isSecond(at) ? 300 : 0),
    tareG: 0,
    netG: 500 + 30 * (at % 3) + (isSecond(at) ? 300 : 0),
    grade: 'sound',
    cullReason: null,
    note: 'last strip',
    asWritten: '',
    by: '',
    supersedes: null,
    isRemoval: false,
  }),
);

function judged(main: Measure, readings: readonly Reading[], others: readonly Measure[] = []) {
  const data: TrialData = {
    ...plain,
    units: plain.units.map(unit => ({
      ...unit,
      built: {
        areaM2: 0.5,
        mixMl: 20_000,
        plants: 4,
        seedG: 200,
        plantedMm: null,
        plantedOn: null,
        lot: '',
        container: '',
        medium: '',
      },
    })),
    measures: [{ ...main, isMain: true, margin: null }, ...others],
    readings,
    picks: PICKS,
  };
  return analyse(
    data,
    { ...plannedSpec(data, STARTING_GUESS_CV), shuffles: 0 },
    judgeWithoutShuffle,
  );
}

const kinds = READING_KINDS.map((kind): readonly [string, ReadingKind] => [kind.key, kind]);

test.each(kinds)(
  '%s is taken alike by hand and from a file, and judged as the main one',
  async (_, kind) => {
    const main = measureFromLibrary(kind, v7());
    const others = componentsOf(main.scale, [], () => v7());
    const taken = [main, ...others].filter(measure => isTaken(measure.scale));
    const readings = taken.flatMap(typed);
    const filed = (await Promise.all(taken.map(fromFile))).flat();
    const said = ({ unitId, measureId, value, outOf, outcome }: Reading) =>
      [unitId, measureId, value, outOf, outcome].join(' ');
    expect(filed.map(said)).toEqual(readings.map(said));
    const { input, judgement } = judged(main, readings, others);
    expect(input.units.map(unit => unit.value === null)).toEqual(plain.units.map(() => false));
    expect(judgement.groups).toHaveLength(2);
    expect(judgement.verdict.headline.length).toBeGreaterThan(20);
    expect(JSON.stringify(judgement)).not.toMatch(/NaN|undefined|Infinity/);
    const [contrast] = judgement.contrasts;
    if (contrast?.estimable) expect(Number.isFinite(contrast.difference)).toBe(true);
  },
);

test.each(HARVEST_MEASURES.map(kind => kind.summary))('%s is judged as the main one', summary => {
  const main = plain.measures.find(measure => measure.summary === summary) ?? {
    ...plain.measures[0]!,
    summary,
  };
  const { judgement } = judged(main, []);
  expect(judgement.groups.map(group => group.n)).toEqual([5, 5]);
  expect(judgement.verdict.headline.length).toBeGreaterThan(20);
});
