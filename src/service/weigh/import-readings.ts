import { z } from 'zod';
import { mainMeasure } from '@/core/judge/units/trial-analysis';
import { type ColumnRole, PLAIN_ROLES, rolesTrouble } from '@/core/measure/reading/match-columns';
import {
  type ReadTable,
  type RowTrouble,
  readReadingTable,
} from '@/core/measure/reading/reading-table';
import { failure, type Result, success } from '@/core/result';
import { GardenDay } from '@/core/time/garden-day';
import { PickId, ReadingId } from '@/core/trial/model/ids';
import type { Pick as HarvestPick } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow, today } from '@/service/garden/clock';
import { derivedId } from '@/service/garden/derived-id';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { pausing } from '@/service/garden/pausing';
import { entryTrouble, orNoRoom, whileThereIsRoom } from '@/service/trial/change-trial';
import { logChange } from '@/store/changes';
import { type Database, database, inTransaction } from '@/store/connection/database';
import { addPick, currentPicks, findPick } from '@/store/entries';
import { addReadings, placesTaken, readingsOfDevice } from '@/store/readings';
import { findPlan, findTrial } from '@/store/trials';
import { isTwin } from './picks';
import { tableRows } from './table-rows';

const Role = z.union([
  z.object({ kind: z.enum(PLAIN_ROLES) }),
  z.object({ kind: z.literal('measure'), measureId: z.uuid(), unit: z.string().max(12) }),
  z.object({ kind: z.literal('weight'), unit: z.string().max(12) }),
]);
const MOST_CHARACTERS = 20_000_000;
const MOST_ROWS = 100_000;

const ImportForm = z.object({
  /** Of the press: the same file sent twice is taken once. */
  id: z.uuidv7(),
  csv: z.string().min(1, 'The file is empty.').max(MOST_CHARACTERS, 'At most 20 MB.'),
  roles: z.array(Role).min(1).max(200),
  day: GardenDay,
  by: z.string().trim().max(80).default(''),
});

/** Why a file was not taken: nothing of it is, then. */
export type ImportTrouble =
  | { readonly kind: 'rows'; readonly rows: readonly RowTrouble[] }
  | { readonly kind: 'roles'; readonly says: string }
  | { readonly kind: 'trial'; readonly trouble: TrialTrouble };

/** A file that was taken: how many readings, and by what name it can be undone. */
export interface Imported {
  readonly importId: string;
  readonly count: number;
}

/** What readings of one import call themselves. */
const deviceOf = (importId: string): string => `import ${importId}`;

/**
 * Takes a table of readings, all of it or nothing.
 *
 * @param onProgress rows in the file so far, of all
 */
export async function importReadings(
  trialId: string,
  input: unknown,
  onProgress: (done: number, of: number) => void = () => undefined,
): Promise<Result<Imported, ImportTrouble>> {
  const form = ImportForm.safeParse(input);
  if (!form.success)
    return failure({ kind: 'roles', says: form.error.issues[0]?.message ?? 'That can’t be read.' });
  const roles: readonly ColumnRole[] = form.data.roles;
  const misfit = rolesTrouble(roles);
  if (misfit !== undefined) return failure({ kind: 'roles', says: misfit });
  const [heads = [], ...rows] = await tableRows(form.data.csv, pausing(), MOST_ROWS + 1);
  if (rows.length > MOST_ROWS)
    return failure({
      kind: 'roles',
      says: `The table has more than ${MOST_ROWS} rows; no more are taken at once. Cut it up.`,
    });
  const { system } = await currentGarden();
  const importId = form.data.id;
  const known = await findPlan(database(), trialId);
  const trouble = known ? entryTrouble(known.trial) : ({ kind: 'no-such-trial' } as const);
  if (!known || trouble)
    return failure({ kind: 'trial', trouble: trouble ?? { kind: 'no-such-trial' } });
  // Read before anything is locked, and with pauses: other pages are answered meanwhile.
  const read = await readReadingTable(
    heads,
    rows,
    roles,
    {
      units: known.units,
      measures: known.measures,
      system,
      startsOn: known.trial.startsOn,
      today: today(),
      now: instantNow(),
      day: form.data.day,
      device: deviceOf(importId),
      by: form.data.by,
      newId,
      mainMeasure: mainMeasure(known),
      pickId: nth => derivedId(importId, nth),
    },
    pausing(),
  );
  if (!read.ok) return failure({ kind: 'rows', rows: read.trouble });
  return orNoRoom<Imported, ImportTrouble>({ kind: 'trial', trouble: { kind: 'disk-full' } }, () =>
    keepAll(trialId, importId, read.value, onProgress),
  );
}

/** Writes all of it in one change, or nothing where something of it stands already. */
function keepAll(
  trialId: string,
  importId: string,
  { readings: all, picks }: ReadTable,
  onProgress: (done: number, of: number) => void,
): Promise<Result<Imported, ImportTrouble>> {
  return inTransaction(async db => {
    const data = await findPlan(db, trialId);
    const late = data ? entryTrouble(data.trial) : ({ kind: 'no-such-trial' } as const);
    if (!data || late)
      return failure({ kind: 'trial', trouble: late ?? { kind: 'no-such-trial' } });
    const before = await readingsOfDevice(db, trialId, deviceOf(importId));
    const firstPick = picks[0] && (await findPick(db, trialId, picks[0].id));
    if (before.length > 0 || firstPick)
      return success({ importId, count: before.length + (firstPick ? picks.length : 0) });
    const standing = await currentPicks(db, trialId);
    const twin = picks.find(pick => isTwin(pick, standing));
    if (twin)
      return failure({ kind: 'rows', rows: [{ row: 0, column: '', says: twinWords(twin, data) }] });
    const pause = pausing();
    for (const [unitId, readings] of byUnit(all)) {
      const taken = await placesTaken(db, trialId, unitId);
      await pause();
      const clash = readings.find(reading => taken.has(placeOf(reading)));
      if (!clash) continue;
      const says = clashWords(clash, data);
      return failure({ kind: 'rows', rows: [{ row: 0, column: '', says }] });
    }
    for (let from = 0; from < all.length; from += CHUNK) {
      await addReadings(db, trialId, all.slice(from, from + CHUNK));
      await pause();
      onProgress(Math.min(all.length, from + CHUNK), all.length);
    }
    for (const pick of picks) {
      await addPick(db, trialId, pick);
      await pause();
    }
    await logChange(db, {
      at: instantNow(),
      trialId,
      what: 'readings imported',
      subjectId: importId,
      detail: JSON.stringify({ count: all.length, picks: picks.length }),
    });
    return success({ importId, count: all.length + picks.length });
  });
}

function twinWords({ unitId, pickedOn }: HarvestPick, { units }: Pick<TrialData, 'units'>): string {
  const code = units.find(unit => unit.id === unitId)?.code ?? '';
  return `${code} has the same pick of ${pickedOn} already. Take it out of the file, or weigh it in by hand if it was picked twice.`;
}

const CHUNK = 200;

function byUnit(readings: readonly Reading[]): ReadonlyMap<string, readonly Reading[]> {
  const units = new Map<string, Reading[]>();
  for (const reading of readings) {
    const own = units.get(reading.unitId);
    if (own) own.push(reading);
    else units.set(reading.unitId, [reading]);
  }
  return units;
}

function clashWords(
  clash: Reading,
  { units, measures }: Pick<TrialData, 'units' | 'measures'>,
): string {
  const code = units.find(unit => unit.id === clash.unitId)?.code ?? '';
  const measure = measures.find(each => each.id === clash.measureId)?.name ?? '';
  return `${code} has a value of ${clash.takenOn} already, for ${measure}. Take it out of the file, or change it in the grid.`;
}

function placeOf({
  measureId,
  unitId,
  takenOn,
  subsample,
}: Pick<Reading, 'measureId' | 'unitId' | 'takenOn' | 'subsample'>): string {
  return `${measureId} ${unitId} ${takenOn} ${subsample}`;
}

/** Takes a whole import back: what stands of it is taken out, the entries stay in the history. */
export function undoImport(
  trialId: string,
  importId: string,
): Promise<Result<number, TrialTrouble>> {
  return whileThereIsRoom(async db => {
    const trial = await findTrial(db, trialId);
    const trouble = trial ? entryTrouble(trial) : { kind: 'no-such-trial' as const };
    if (trouble) return failure(trouble);
    const current = await readingsOfDevice(db, trialId, deviceOf(importId));
    const picks = await picksOfImport(db, trialId, importId);
    if (current.length + picks.length === 0) return failure({ kind: 'changed-meanwhile' });
    const at = instantNow();
    for (const pick of picks)
      await addPick(db, trialId, {
        ...pick,
        id: PickId.parse(newId()),
        supersedes: pick.id,
        isRemoval: true,
        takenAt: at,
      });
    await addReadings(
      db,
      trialId,
      current.map(reading => ({
        ...reading,
        id: ReadingId.parse(newId()),
        supersedes: reading.id,
        isRemoval: true,
        takenAt: at,
      })),
    );
    await logChange(db, {
      at,
      trialId,
      what: 'import undone',
      subjectId: importId,
      detail: JSON.stringify({ count: current.length, picks: picks.length }),
    });
    return success(current.length + picks.length);
  });
}

/** What stands of the picks that a file brought: their ids follow from its own. */
async function picksOfImport(
  db: Database,
  trialId: string,
  importId: string,
): Promise<readonly HarvestPick[]> {
  const current = new Map((await currentPicks(db, trialId)).map(pick => [pick.id as string, pick]));
  const found: HarvestPick[] = [];
  for (let nth = 1; ; nth++) {
    const id = derivedId(importId, nth);
    if (!(await findPick(db, trialId, id))) return found;
    const pick = current.get(id);
    if (pick) found.push(pick);
  }
}
