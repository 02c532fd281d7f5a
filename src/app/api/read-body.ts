/**
 * What was sent to a door, no more of it than the door takes: a sender can say any length, or none.
 *
 * @param largest bytes
 * @returns undefined where it is longer; the rest is not waited for
 */
export async function readBody(
  request: Request,
  largest: number,
): Promise<Uint8Array<ArrayBuffer> | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > largest) return undefined;
  const reader = request.body?.getReader();
  const pieces: Uint8Array[] = [];
  let length = 0;
  for (;;) {
    const piece = await reader?.read();
    if (!piece || piece.done) break;
    length += piece.value.length;
    if (length > largest) {
      await reader?.cancel();
      return undefined;
    }
    pieces.push(piece.value);
  }
  const whole = new Uint8Array(length);
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return whole;
}

/** The same as JSON. `value` is undefined where it is none. */
export async function readJson(
  request: Request,
  largest: number,
): Promise<{ readonly value: unknown } | undefined> {
  const body = await readBody(request, largest);
  return body && { value: parsed(new TextDecoder().decode(body)) };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
