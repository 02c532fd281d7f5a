import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { UnitId } from '@/core/trial/model/ids';

/** What a picture shows. Only pictures of one thing are put beside each other. */
export const PhotoOf = z.enum(['plant', 'leaf', 'harvest', 'roots', 'soil', 'mishap']);
export type PhotoOf = z.infer<typeof PhotoOf>;

export const PHOTO_WORDS: Readonly<Record<PhotoOf, string>> = {
  plant: 'the whole plant',
  leaf: 'a leaf',
  harvest: 'the harvest',
  roots: 'the roots',
  soil: 'the soil',
  mishap: 'a mishap',
};

/** A picture that is kept: what it shows, and how large. Its file lies beside the database, under its id. */
export const Photo = z
  .object({
    id: z.uuidv7(),
    unitId: UnitId,
    takenOn: CalendarDay,
    keptAt: z.iso.datetime(),
    shows: PhotoOf,
    note: z.string().max(600),
    width: z.int().min(1),
    height: z.int().min(1),
    /** What the whole width of the picture measures where the plant stands, in mm: by a rule that lies in it. */
    widthMm: z.number().positive().max(100_000).nullable(),
  })
  .readonly();
export type Photo = z.infer<typeof Photo>;

/** Two pictures of one unit and one thing, the first and the last day. */
export interface BeforeAndAfter {
  readonly unitId: UnitId;
  readonly shows: PhotoOf;
  readonly before: Photo;
  readonly after: Photo;
}

/** Of each unit and thing the first and the last picture, where there are two days: no day is picked for its looks. */
export function beforeAndAfter(photos: readonly Photo[]): readonly BeforeAndAfter[] {
  const groups = new Map<string, Photo[]>();
  for (const photo of [...photos].sort(byDay)) {
    const key = `${photo.unitId} ${photo.shows}`;
    groups.set(key, [...(groups.get(key) ?? []), photo]);
  }
  return [...groups.values()].flatMap((own): BeforeAndAfter[] => {
    const [before, after] = [own[0], own.at(-1)];
    return before && after && before.takenOn < after.takenOn
      ? [{ unitId: before.unitId, shows: before.shows, before, after }]
      : [];
  });
}

/** The last picture of each unit that shows this, up to a day. */
export function sideBySide(
  photos: readonly Photo[],
  shows: PhotoOf,
  upTo: string,
): readonly Photo[] {
  const last = new Map<string, Photo>();
  for (const photo of [...photos].sort(byDay))
    if (photo.shows === shows && photo.takenOn <= upTo) last.set(photo.unitId, photo);
  return [...last.values()];
}

/**
 * How wide each picture is to be drawn so that a centimetre is as long in one as in the other: shares of the widest, in (0, 1].
 * Where one of them has no rule in it, all are drawn alike, since nothing can be said.
 */
export function drawnWidths(photos: readonly Pick<Photo, 'widthMm'>[]): readonly number[] {
  const widths = photos.map(photo => photo.widthMm);
  const known = widths.filter(width => width !== null);
  const most = Math.max(...known);
  return known.length < widths.length ? widths.map(() => 1) : known.map(width => width / most);
}

function byDay(a: Photo, b: Photo): number {
  return a.takenOn.localeCompare(b.takenOn) || a.keptAt.localeCompare(b.keptAt);
}
