import {
  beforeAndAfter,
  drawnWidths,
  PHOTO_WORDS,
  type Photo,
  PhotoOf,
  sideBySide,
} from '@/core/image/photo';
import { inRandomOrder, seededRandom } from '@/core/stats/distributions/seeded-random';
import type { TagView } from '@/features/bench/bench-view';

/** A picture as it hangs on the page. */
export interface HungPhoto {
  readonly id: string;
  readonly code: string;
  readonly tag: TagView | null;
  readonly takenOn: string;
  readonly note: string;
  readonly ratio: number;
  readonly widthMm: number | null;
  /** Of the widest beside it: so drawn, a centimetre is as long in each. */
  readonly drawn: number;
}

/** All pictures of one thing: the last of each unit beside each other, and each unit's first beside its last. */
export interface PhotoWall {
  readonly shows: PhotoOf;
  readonly words: string;
  readonly hasScale: boolean;
  readonly side: readonly HungPhoto[];
  readonly pairs: readonly {
    readonly code: string;
    readonly before: HungPhoto;
    readonly after: HungPhoto;
  }[];
}

interface UnitFacts {
  readonly id: string;
  readonly code: string;
  readonly tag: TagView | null;
}

/**
 * The walls of a trial. With an open key pictures hang by treatment; otherwise in the order of a lot that is drawn anew each
 * day, so that a place on the page says nothing.
 */
export function photoWalls(
  photos: readonly Photo[],
  units: readonly UnitFacts[],
  today: string,
): readonly PhotoWall[] {
  const factsOf = new Map(units.map(unit => [unit.id, unit]));
  const order = inRandomOrder(units, seededRandom(Number(today.replaceAll('-', '')))).map(
    unit => unit.id,
  );
  const place = (photo: Photo): number => {
    const tag = factsOf.get(photo.unitId)?.tag;
    return (tag ? 1000 * (tag.index + 1) : 0) + order.indexOf(photo.unitId);
  };
  const hung = (group: readonly Photo[]): readonly HungPhoto[] => {
    const widths = drawnWidths(group);
    return group.map((photo, i) => {
      const unit = factsOf.get(photo.unitId);
      return {
        id: photo.id,
        code: unit?.code ?? '',
        tag: unit?.tag ?? null,
        takenOn: photo.takenOn,
        note: photo.note,
        ratio: photo.width / photo.height,
        widthMm: photo.widthMm,
        drawn: widths[i] ?? 1,
      };
    });
  };
  return PhotoOf.options.flatMap((shows): PhotoWall[] => {
    const own = photos.filter(photo => photo.shows === shows);
    if (own.length === 0) return [];
    const side = [...sideBySide(own, shows, today)].sort((a, b) => place(a) - place(b));
    const pairs = [...beforeAndAfter(own)]
      .sort((a, b) => place(a.before) - place(b.before))
      .flatMap(({ before, after }) => {
        const [first, last] = hung([before, after]);
        return first && last ? [{ code: first.code, before: first, after: last }] : [];
      });
    return [
      {
        shows,
        words: PHOTO_WORDS[shows],
        hasScale: side.length > 1 && side.every(photo => photo.widthMm !== null),
        side: hung(side),
        pairs,
      },
    ];
  });
}
