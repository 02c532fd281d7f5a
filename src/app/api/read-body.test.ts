import { readBody, readJson } from './read-body';

const LARGEST = 1000;

/** A sender that says no length and would never end. */
function endless(): { readonly request: Request; readonly sent: () => number } {
  let sent = 0;
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      sent += 100;
      controller.enqueue(new Uint8Array(100).fill(32));
    },
  });
  return {
    request: new Request('http://garden/api', {
      method: 'POST',
      body,
      duplex: 'half',
    } as RequestInit),
    sent: () => sent,
  };
}

const of = (body: string) => new Request('http://garden/api', { method: 'POST', body });

test('a body is read to its end, or not at all where it is too long', async () => {
  expect(await readJson(of('{"a":[1,2]}'), LARGEST)).toEqual({ value: { a: [1, 2] } });
  expect(await readBody(of('x'.repeat(LARGEST)), LARGEST)).toHaveLength(LARGEST);
  expect(await readBody(of('x'.repeat(LARGEST + 1)), LARGEST)).toBeUndefined();
  expect(await readJson(of('no json'), LARGEST)).toEqual({ value: undefined });
});

test('of a body without end no more is taken than the limit and what is on its way', async () => {
  const { request, sent } = endless();
  expect(await readBody(request, LARGEST)).toBeUndefined();
  expect(sent()).toBeLessThan(3 * LARGEST);
});
