import 'fake-indexeddb/auto';
import { oneTabAtATime } from './one-tab';
import { giveBackLease, takeLease } from './outbox';

/** A page that came over plain http has no locks. */
beforeEach(() => {
  Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true });
});

test('without the browser’s locks what waits is sent all the same, by one tab at a time', async () => {
  let finish: (said: string) => void = () => undefined;
  const first = oneTabAtATime('send', () => new Promise<string>(resolve => (finish = resolve)));
  await new Promise(resolve => setTimeout(resolve, 20));
  expect(await oneTabAtATime('send', async () => 'second')).toBeUndefined();
  expect(await oneTabAtATime('another trial', async () => 'beside it')).toBe('beside it');
  finish('first');
  expect(await first).toBe('first');
  expect(await oneTabAtATime('send', async () => 'third')).toBe('third');
});

test('what fails gives its turn back', async () => {
  await expect(
    oneTabAtATime('failing', () => Promise.reject(new Error('no connection'))),
  ).rejects.toThrow('no connection');
  expect(await oneTabAtATime('failing', async () => 'again')).toBe('again');
});

test('the lease of a tab that was killed runs out, and it can’t give back another’s', async () => {
  expect(await takeLease('killed', 'a', 1000, 500)).toBe(true);
  expect(await takeLease('killed', 'b', 1400, 500)).toBe(false);
  expect(await takeLease('killed', 'b', 1500, 500)).toBe(true);
  await giveBackLease('killed', 'a');
  expect(await takeLease('killed', 'c', 1600, 500)).toBe(false);
});

test('where the browser has locks they are used', async () => {
  const request = jest.fn((_: string, work: () => unknown) => work());
  Object.defineProperty(globalThis, 'navigator', {
    value: { locks: { request } },
    configurable: true,
  });
  expect(await oneTabAtATime('send', async () => 'sent')).toBe('sent');
  expect(request).toHaveBeenCalledWith('send', expect.any(Function));
});
