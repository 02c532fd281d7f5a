import { z } from 'zod';

interface Asked {
  readonly id: string;
  readonly body: unknown;
  readonly refusal?: undefined;
}

/**
 * What was sent to a door of a trial. JSON only, which no other site's form can send.
 *
 * @param largest characters that are read at most
 * @returns the trial's id and what was sent, undefined where it is no JSON; or what to answer instead
 */
export async function readJsonBody(
  request: Request,
  params: Promise<{ readonly trialId: string }>,
  largest: number,
): Promise<Asked | { readonly refusal: Response }> {
  const id = z.uuid().safeParse((await params).trialId);
  if (!id.success || !request.headers.get('content-type')?.startsWith('application/json'))
    return { refusal: new Response(null, { status: 400 }) };
  const text = await request.text();
  if (text.length > largest) return { refusal: new Response(null, { status: 413 }) };
  return { id: id.data, body: parsed(text) };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
