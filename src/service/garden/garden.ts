import { z } from 'zod';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { CalendarDay } from '@/core/time/garden-day';
import { isTimeZone } from '@/core/time/time-zone';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { database, inTransaction } from '@/store/connection/database';
import { changeGarden, firstGarden, type Garden } from '@/store/gardens';
import { keepClock } from './clock';

/** The garden that trials stand in. There is always one after the start. */
export async function currentGarden(): Promise<Garden> {
  const garden = await firstGarden(database());
  if (!garden) throw new RangeError('there must be a garden: the start makes one');
  return garden;
}

const LATITUDE = 'Degrees from −90 (south) to 90: 51.2.';
const ALTITUDE = {
  uk: 'From −500 to 9000 m above the sea: 80 m.',
  us: 'From −1,600 to 29,500 ft above the sea: 260 ft.',
} as const;
const degrees = z
  .string()
  .trim()
  .transform(written =>
    /^[-−]?\d+([.,]\d+)?$/.test(written)
      ? Number(written.replace('−', '-').replace(',', '.'))
      : Number.NaN,
  );
const frost = z
  .string()
  .trim()
  .regex(/^$|^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'Month and day, as 05-14.')
  // 2024 had a 29 February.
  .refine(
    written => written === '' || CalendarDay.safeParse(`2024-${written}`).success,
    'No month has that day. Month and day, as 05-14.',
  )
  .transform(written => (written === '' ? null : written));
const GardenForm = z.object({
  name: z.string().trim().min(1, 'Give the garden a name.').max(80, 'At most 80 characters.'),
  system: z.enum(['uk', 'us'], 'Choose British or American measures.'),
  latitude: degrees.pipe(z.number().min(-90, LATITUDE).max(90, LATITUDE)).optional(),
  lastFrost: frost.optional(),
  firstFrost: frost.optional(),
  altitude: z.string().max(40, 'At most 40 characters.').optional(),
  timeZone: z
    .string()
    .max(60)
    .refine(zone => zone === '' || isTimeZone(zone), 'Choose one of the list.')
    .optional(),
});

/** @returns metres above the sea; undefined where it is no height on earth */
function readAltitude(written: string, system: MeasureSystem): number | undefined {
  const said = written.trim();
  const isBelow = /^[-−]/.test(said);
  const read = parseQuantity(said.replace(/^[-−]/, ''), {
    system,
    dimension: 'length',
    bareUnit: system === 'us' ? 'ft' : 'm',
  });
  if (!read.ok) return undefined;
  const metres = Math.round((isBelow ? -1 : 1) * read.value.base) / 1000;
  return metres >= -500 && metres <= 9000 ? metres : undefined;
}

/** Changes the garden's name and whose measures it uses. */
export async function saveGarden(input: unknown): Promise<Result<Garden, FieldTroubles>> {
  const parsed = GardenForm.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const { altitude, ...said } = parsed.data;
  const read = altitude === undefined ? undefined : readAltitude(altitude, said.system);
  if (altitude !== undefined && read === undefined)
    return failure({ altitude: ALTITUDE[said.system] });
  return inTransaction(async db => {
    const garden = await firstGarden(db);
    if (!garden) throw new RangeError('there must be a garden: the start makes one');
    const {
      latitude = garden.latitude,
      lastFrost = garden.lastFrost,
      firstFrost = garden.firstFrost,
      timeZone = garden.timeZone,
      ...facts
    } = said;
    const altitudeM = read ?? garden.altitudeM;
    const changed = { ...garden, ...facts, latitude, altitudeM, lastFrost, firstFrost, timeZone };
    await changeGarden(db, changed);
    keepClock(changed);
    return success(changed);
  });
}

/** A demo garden goes by the real date from now on: what stands in it keeps its days. */
export async function leaveDemoDay(): Promise<void> {
  await inTransaction(async db => {
    const garden = await firstGarden(db);
    if (!garden) throw new RangeError('there must be a garden: the start makes one');
    const changed = { ...garden, demoDay: '' } as const;
    await changeGarden(db, changed);
    keepClock(changed);
  });
}
