import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { takeReadings } from '@/service/weigh/readings';

const Id = z.uuid();
const LARGEST = 1_000_000;

/** The door that an outbox sends to. JSON only, which no other site's form can send; each entry is answered by itself. */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string }> },
): Promise<Response> {
  const id = Id.safeParse((await params).trialId);
  if (!id.success || !request.headers.get('content-type')?.startsWith('application/json'))
    return new Response(null, { status: 400 });
  const body = await request.text();
  if (body.length > LARGEST) return new Response(null, { status: 413 });
  const taken = await takeReadings(id.data, jsonOf(body));
  if (!taken.ok)
    return Response.json(taken.trouble, {
      status: taken.trouble.kind === 'no-such-trial' ? 404 : 400,
    });
  revalidatePath('/', 'layout');
  return Response.json(taken.value);
}

function jsonOf(body: string): unknown {
  try {
    return JSON.parse(body);
  } catch {
    return undefined;
  }
}
