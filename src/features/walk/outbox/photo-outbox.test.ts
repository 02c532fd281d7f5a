/** @jest-environment node */
import 'fake-indexeddb/auto';
import { addPhotoToOutbox, sendWaitingPhotos } from './photo-outbox';

const facts = (id: string) =>
  ({ id, unitId: 'u', takenOn: '2026-07-01', shows: 'plant', note: '' }) as const;
const bytes = new Uint8Array([1, 2, 3]).buffer;

beforeEach(async () => {
  for (const trial of ['a', 'b']) await sendWaitingPhotos(trial, async () => ({ kind: 'kept' }));
});

test('without a connection a picture stays; with one it is sent once, its bytes whole', async () => {
  for (const id of ['1', '2']) await addPhotoToOutbox('a', facts(id), bytes);
  await addPhotoToOutbox('b', facts('3'), bytes);
  expect(await sendWaitingPhotos('a', async () => ({ kind: 'no-connection' }))).toEqual({
    waiting: 2,
    refused: [],
  });
  const sent: string[] = [];
  expect(
    await sendWaitingPhotos('a', async (_, { id }, got) => {
      sent.push(`${id} ${new Uint8Array(got).join()}`);
      return { kind: 'kept' };
    }),
  ).toEqual({ waiting: 0, refused: [] });
  expect(sent.sort()).toEqual(['1 1,2,3', '2 1,2,3']);
  expect(
    await sendWaitingPhotos('a', async () => {
      throw new Error('there must be none left');
    }),
  ).toEqual({ waiting: 0, refused: [] });
});

test('one that is no picture is told, and keeps none of the others back', async () => {
  for (const id of ['1', '2']) await addPhotoToOutbox('a', facts(id), bytes);
  expect(
    await sendWaitingPhotos('a', async (_, { id }) =>
      id === '1' ? { kind: 'refused', says: 'No picture.' } : { kind: 'kept' },
    ),
  ).toEqual({ waiting: 0, refused: ['No picture.'] });
});
