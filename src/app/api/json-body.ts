import { z } from 'zod';
import { readJson } from './read-body';

interface Asked {
  readonly id: string;
  readonly body: unknown;
  readonly refusal?: undefined;
}

/**
 * What was sent to a door of a trial. JSON only, which no other site's form can send.
 *
 * @param largest bytes that are read at most
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
  const body = await readJson(request, largest);
  if (!body) return { refusal: new Response(null, { status: 413 }) };
  return { id: id.data, body: body.value };
}
