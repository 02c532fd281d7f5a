import papaparse from 'papaparse';
import { z } from 'zod';
import {
  labReadings,
  type ReportTrouble,
  readLabReport,
} from '@/core/measure/laboratory/lab-report';
import { nextSampleNumbers, type SoilSample } from '@/core/measure/laboratory/soil-sample';
import type { RowTrouble } from '@/core/measure/reading/reading-table';
import { failure, type Result, success } from '@/core/result';
import { GardenDay } from '@/core/time/garden-day';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { standInLaboratory } from '@/devices/laboratory-stand-in';
import type { SoilLaboratory } from '@/devices/soil-laboratory';
import { instantNow, today } from '@/service/garden/clock';
import { derivedId } from '@/service/garden/derived-id';
import { newId } from '@/service/garden/new-id';
import { pressId } from '@/service/garden/press-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { database } from '@/store/connection/database';
import { addSamples, samplesOf } from '@/store/inspect';
import { addMeasure } from '@/store/measures';
import { addReadings, placesTaken } from '@/store/readings';

const BagsForm = z.object({
  codes: z.array(z.string().max(8)).min(1, 'Tick those that a bag is filled from.').max(500),
  takenOn: GardenDay.refine(day => day <= today(), 'That day is still to come.'),
  depthMm: z.coerce
    .number('How deep?')
    .positive('How deep?')
    .max(3000, 'Deeper than any garden is dug.'),
  cores: z.coerce
    .number('How many cores?')
    .int('A whole number.')
    .min(1, 'At least one core.')
    .max(100, 'At most 100.'),
  note: z.string().trim().max(600).default(''),
});

/** Gives out numbers for bags, one for each ticked unit. Before the lock, too: the start is worth knowing. */
export function fillBags(
  trialId: string,
  input: unknown,
): Promise<Result<readonly SoilSample[], TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'soil sampled';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const form = BagsForm.safeParse(input);
    if (!form.success) return invalid(what, fieldTroublesOf(form.error));
    const { codes, ...facts } = form.data;
    const press = pressId(input);
    const before = await samplesOf(db, trialId);
    const sent = before.filter(sample => sample.id === press);
    if (sent.length > 0) return { what: 'soil sampled again', result: success(sent) };
    const units = data.units.filter(unit => codes.includes(unit.code));
    if (units.length !== new Set(codes).size)
      return invalid(what, { codes: 'Choose among the codes of this trial.' });
    const numbers = nextSampleNumbers(
      before.map(sample => sample.number),
      units.length,
    );
    const samples = units.map(
      (unit, i): SoilSample => ({
        ...facts,
        id: i === 0 ? press : derivedId(press, i),
        unitId: unit.id,
        number: numbers[i] ?? '',
      }),
    );
    await addSamples(db, trialId, samples);
    return { what, subjectId: samples[0]?.id ?? '', detail: { numbers }, result: success(samples) };
  });
}

export function samplesOfTrial(trialId: string): Promise<readonly SoilSample[]> {
  return samplesOf(database(), trialId);
}

const LARGEST_REPORT = 2_000_000;

/** Takes a laboratory's report, all of it or nothing. @returns how many values */
export async function takeReport(
  trialId: string,
  csv: unknown,
  device = 'laboratory',
): Promise<Result<number, ReportTrouble>> {
  if (typeof csv !== 'string' || csv.length > LARGEST_REPORT)
    return failure({ kind: 'rows', rows: [{ row: 1, column: '', says: 'That is no report.' }] });
  const [heads = [], ...rows] = papaparse.parse<string[]>(csv.trim(), {
    skipEmptyLines: 'greedy',
  }).data;
  const values = readLabReport(heads, rows);
  if (!values.ok) return failure({ kind: 'rows', rows: values.trouble });
  let rowTroubles: readonly RowTrouble[] = [];
  const taken = await changeOneTrial<number>(trialId, async (db, data) => {
    const what = 'report taken in';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const read = labReadings(values.value, {
      samples: await samplesOf(db, trialId),
      measures: data.measures,
      device,
      now: instantNow(),
      newId,
    });
    const current = await placesTaken(db, trialId);
    const again = read.ok
      ? read.value.readings.find(reading =>
          current.has(
            `${reading.measureId} ${reading.unitId} ${reading.takenOn} ${reading.subsample}`,
          ),
        )
      : undefined;
    rowTroubles = read.ok
      ? again
        ? [{ row: 0, column: '', says: `The values of bag ${again.subsample} are here already.` }]
        : []
      : read.trouble;
    if (!read.ok || again) return refused(what, { kind: 'changed-meanwhile' });
    for (const measure of read.value.measures) await addMeasure(db, trialId, measure);
    await addReadings(db, trialId, read.value.readings);
    return {
      what,
      detail: { count: read.value.readings.length },
      result: success(read.value.readings.length),
    };
  });
  if (taken.ok) return taken;
  return failure(
    rowTroubles.length > 0
      ? { kind: 'rows', rows: rowTroubles }
      : { kind: 'trial', trouble: taken.trouble },
  );
}

const LABORATORY: SoilLaboratory = standInLaboratory(20_261_126);

/** What the laboratory calls itself, and whether it is one. */
export const LABORATORY_FACTS = {
  name: LABORATORY.name,
  isStandIn: LABORATORY.isStandIn,
  answersAfterDays: LABORATORY.answersAfterDays,
} as const;

/** Asks the laboratory for its report of the bags that it has not answered for, and takes it in. */
export async function askLaboratory(trialId: string): Promise<Result<number, ReportTrouble>> {
  const samples = await samplesOfTrial(trialId);
  const answered = new Set(
    [...(await placesTaken(database(), trialId))].map(place => place.split(' ').at(-1)),
  );
  const open = samples.filter(sample => !answered.has(sample.number));
  if (open.length === 0)
    return failure({ kind: 'waiting', says: 'There is no bag that it has not answered for.' });
  const csv = await LABORATORY.report(open, today());
  return csv === undefined
    ? failure({
        kind: 'waiting',
        says: `It takes ${LABORATORY.answersAfterDays} days from the last bag, and is not done yet.`,
      })
    : takeReport(trialId, csv, LABORATORY.name);
}
