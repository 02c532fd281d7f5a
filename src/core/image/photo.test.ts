import fc from 'fast-check';
import { UnitId } from '@/core/trial/model/ids';
import { beforeAndAfter, drawnWidths, type Photo, sideBySide } from './photo';
import { pictureKind } from './picture-kind';

const UNITS = [1, 2, 3].map(n => UnitId.parse(`00000000-0000-7000-8000-00000000000${n}`));
const at = (i: number): Photo => ({
  id: `00000000-0000-7000-8000-0000000001${String(i).padStart(2, '0')}`,
  unitId: UNITS[i % 3]!,
  takenOn: `2026-07-${String(1 + (i % 28)).padStart(2, '0')}`,
  keptAt: `2026-07-28T10:00:${String(i % 60).padStart(2, '0')}.000Z`,
  shows: i % 2 ? 'plant' : 'roots',
  note: '',
  width: 1600,
  height: 1200,
  widthMm: null,
});
const anyPhotos = fc
  .array(fc.integer({ min: 0, max: 50 }), { maxLength: 30 })
  .map(list => list.map(at));

test('first and last day of one unit and one thing stand beside each other, never a day in between', () => {
  fc.assert(
    fc.property(anyPhotos, photos => {
      for (const { before, after, unitId, shows } of beforeAndAfter(photos)) {
        const days = photos
          .filter(photo => photo.unitId === unitId && photo.shows === shows)
          .map(photo => photo.takenOn)
          .sort();
        expect([before.takenOn, after.takenOn]).toEqual([days[0], days.at(-1)]);
        expect(before.takenOn < after.takenOn).toBe(true);
      }
    }),
  );
});

test('side by side stands one picture a unit, the last up to the day', () => {
  const photos = [
    at(1),
    { ...at(1), takenOn: '2026-07-09' },
    { ...at(1), takenOn: '2026-07-20' },
    at(3),
    at(4),
  ];
  expect(sideBySide(photos, 'plant', '2026-07-10').map(photo => photo.takenOn)).toEqual([
    '2026-07-09',
    '2026-07-04',
  ]);
});

test('a centimetre is as long in one picture as in the other, or all are drawn alike', () => {
  expect(drawnWidths([{ widthMm: 300 }, { widthMm: 600 }])).toEqual([0.5, 1]);
  expect(drawnWidths([{ widthMm: 300 }, { widthMm: null }])).toEqual([1, 1]);
});

test('a picture is known by its first bytes, not by its name', () => {
  const bytes = (text: string): Uint8Array => Uint8Array.from(text, letter => letter.charCodeAt(0));
  expect(pictureKind(bytes('\xff\xd8\xff\xe0....JFIF....'))).toBe('JPEG');
  expect(pictureKind(bytes('\x89PNG\r\n\x1a\n........'))).toBe('PNG');
  expect(pictureKind(bytes('RIFF....WEBPVP8 '))).toBe('WebP');
  expect([
    pictureKind(bytes('<svg xmlns="http')),
    pictureKind(bytes('just a text file')),
    pictureKind(bytes('GIF89a..........')),
    pictureKind(bytes('')),
  ]).toEqual([null, null, null, null]);
});
