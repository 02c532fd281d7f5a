import { z } from 'zod';
import { GardenId } from '@/core/trial/model/ids';
import type { Database } from '@/store/connection/database';

/** `05-14`: the fourteenth of May, of any year. */
export const MonthDay = z.string().regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/);

/** Where trials stand, and whose pints and spelling are meant. */
export const Garden = z
  .object({
    id: GardenId,
    name: z.string(),
    system: z.enum(['uk', 'us']),
    /** Degrees, north above zero; metres. */ latitude: z.number().min(-90).max(90).default(51),
    altitudeM: z.number().min(-500).max(9000).default(50),
    /** Usual frosts, month and day. */ lastFrost: MonthDay.nullable().default(null),
    firstFrost: MonthDay.nullable().default(null),
    /** Of the IANA list; empty for the machine's own. */
    timeZone: z.string().max(60).default(''),
    /** The day at which the clock of a demo garden stands; empty where it goes by the real one. */
    demoDay: z.union([z.literal(''), z.iso.date()]).default(''),
  })
  .readonly();
export type Garden = z.infer<typeof Garden>;

export async function firstGarden(db: Database): Promise<Garden | undefined> {
  const row: unknown = await db('gardens').orderBy('id').first();
  return row === undefined ? undefined : Garden.parse(row);
}

/** A garden as it begins: its days are the machine's until it says otherwise. */
export type NewGarden = Omit<Garden, 'timeZone' | 'demoDay'> &
  Partial<Pick<Garden, 'timeZone' | 'demoDay'>>;

export async function addGarden(db: Database, garden: NewGarden): Promise<void> {
  await db('gardens').insert({ ...garden });
}

export async function changeGarden(db: Database, garden: Garden): Promise<void> {
  await db('gardens').where({ id: garden.id }).update({
    name: garden.name,
    system: garden.system,
    latitude: garden.latitude,
    altitudeM: garden.altitudeM,
    lastFrost: garden.lastFrost,
    firstFrost: garden.firstFrost,
    timeZone: garden.timeZone,
    demoDay: garden.demoDay,
  });
}
