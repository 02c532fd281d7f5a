import sharp from 'sharp';
import { z } from 'zod';
import { type Photo, PhotoOf } from '@/core/image/photo';
import { pictureKind } from '@/core/image/picture-kind';
import { failure, type Result, success } from '@/core/result';
import { GardenDay } from '@/core/time/garden-day';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { UnitId } from '@/core/trial/model/ids';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow, today } from '@/service/garden/clock';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { database } from '@/store/connection/database';
import { addPhoto, deletePhoto, findPhoto, measurePhoto, photosOf } from '@/store/inspect';
import {
  keepPhotoFile,
  type PhotoSize,
  readPhotoFile,
  removePhotoFiles,
} from '@/store/photo-files';

export const LARGEST_PHOTO = 30_000_000;
const MOST_PIXELS = 60_000_000;
// A picture that is nothing but long costs memory by its rows.
const LONGEST_SIDE = 12_000;
const SIDES: Readonly<Record<PhotoSize, number>> = { large: 1600, small: 480 };

const PhotoForm = z.object({
  id: z.uuidv7(),
  unitId: UnitId,
  takenOn: GardenDay.refine(day => day <= today(), 'That day is still to come.'),
  shows: PhotoOf,
  note: z.string().trim().max(600, 'At most 600 characters.').default(''),
});

interface Jpegs {
  readonly large: Buffer;
  readonly small: Buffer;
  readonly width: number;
  readonly height: number;
}

/** Keeps a picture: made smaller, turned as it was taken, and with nothing in it of where, when or with what. */
export async function keepPhoto(
  trialId: string,
  input: unknown,
  bytes: Uint8Array,
): Promise<Result<Photo, TrialTrouble>> {
  const form = PhotoForm.safeParse(input);
  if (!form.success) return failure({ kind: 'invalid', fields: fieldTroublesOf(form.error) });
  const made = await smallerPictures(bytes);
  if (!made.ok) return failure({ kind: 'invalid', fields: { picture: made.trouble } });
  const photo: Photo = {
    ...form.data,
    keptAt: instantNow(),
    width: made.value.width,
    height: made.value.height,
    widthMm: null,
  };
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'picture kept';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    if (!data.units.some(unit => unit.id === photo.unitId))
      return refused(what, { kind: 'no-such-unit' });
    if ((await findPhoto(db, trialId, photo.id)) === undefined) {
      for (const size of ['large', 'small'] as const)
        await keepPhotoFile(trialId, photo.id, size, made.value[size]);
      await addPhoto(db, trialId, photo);
    }
    return { what, subjectId: photo.id, detail: { shows: photo.shows }, result: success(photo) };
  });
}

async function smallerPictures(bytes: Uint8Array): Promise<Result<Jpegs, string>> {
  if (bytes.length > LARGEST_PHOTO)
    return failure('That file is over 30 MB. Take the picture smaller.');
  // Looked at before the library sees it: that would open drawings in text, too.
  const kind = pictureKind(bytes);
  if (kind === null)
    return failure('That is no picture this can read: a JPEG, PNG or WebP from a camera.');
  const open = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
  try {
    const { width, height } = await open().metadata();
    if (Math.max(width, height) > LONGEST_SIDE)
      return failure(
        `That picture is ${width} × ${height} pixels. A side may have at most ${LONGEST_SIDE}.`,
      );
    if (width * height > MOST_PIXELS)
      return failure('That picture has more than 60 megapixels. Take it smaller.');
    const sized = async (size: PhotoSize) =>
      open()
        .autoOrient()
        .resize({
          width: SIDES[size],
          height: SIDES[size],
          fit: 'inside',
          withoutEnlargement: true,
        })
        .flatten({ background: '#fff' })
        .jpeg({ quality: 82 })
        .toBuffer({ resolveWithObject: true });
    const [large, small] = [await sized('large'), await sized('small')];
    return success({
      large: large.data,
      small: small.data,
      width: large.info.width,
      height: large.info.height,
    });
  } catch (error) {
    const isTooLarge = error instanceof Error && /pixel limit/i.test(error.message);
    return failure(
      isTooLarge
        ? 'That picture has more than 60 megapixels. Take it smaller.'
        : `That picture is damaged: it begins as a ${kind}, and can’t be read to its end.`,
    );
  }
}

export function photosOfTrial(trialId: string): Promise<readonly Photo[]> {
  return photosOf(database(), trialId);
}

/** A kept picture's bytes; undefined where there is none. */
export async function photoFile(
  trialId: string,
  photoId: string,
  size: PhotoSize,
): Promise<Uint8Array<ArrayBuffer> | undefined> {
  return (await findPhoto(database(), trialId, photoId)) && readPhotoFile(trialId, photoId, size);
}

/** Takes a picture away, its files too: a picture may show what nobody wants kept. */
export async function removePhoto(
  trialId: string,
  photoId: string,
): Promise<Result<true, TrialTrouble>> {
  const dropped = await changeOneTrial<true>(trialId, async db => {
    const was = await deletePhoto(db, trialId, photoId);
    return {
      what: 'picture taken away',
      subjectId: photoId,
      result: was ? success(true) : failure({ kind: 'changed-meanwhile' }),
    };
  });
  if (dropped.ok) await removePhotoFiles(trialId, photoId);
  return dropped;
}

const RuleForm = z.object({
  photoId: z.uuid(),
  /** How long the marked stretch is in the picture, as a share of its width, and in truth. */
  share: z.number().min(0.02, 'Mark a longer stretch.').max(2),
  mm: z.number('How long is it?').positive('How long is it?').max(20_000, 'Longer than any bed.'),
});

/** Says how large things are in a picture, by a length that lies in it. */
export function scalePhoto(trialId: string, input: unknown): Promise<Result<number, TrialTrouble>> {
  return changeOneTrial(trialId, async db => {
    const what = 'picture measured';
    const form = RuleForm.safeParse(input);
    if (!form.success) return invalid(what, fieldTroublesOf(form.error));
    const widthMm = form.data.mm / form.data.share;
    const was = await measurePhoto(db, trialId, form.data.photoId, widthMm);
    return {
      what,
      subjectId: form.data.photoId,
      detail: { widthMm },
      result: was ? success(widthMm) : failure({ kind: 'changed-meanwhile' }),
    };
  });
}
