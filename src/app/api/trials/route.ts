import { revalidatePath } from 'next/cache';
import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { takeInSentence, takeTrialIn } from '@/service/files/whole-trials';

const LARGEST = 45_000_000;

/** Takes a whole trial in from its file: `{"id"}`, or `{"trouble"}` as a sentence. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isKeeper())) return new Response(KEEPER_ONLY, { status: 403 });
  if (!request.headers.get('content-type')?.startsWith('application/json'))
    return new Response(null, { status: 400 });
  const body = await request.text();
  if (body.length > LARGEST)
    return Response.json({ trouble: 'That file is larger than any trial’s.' }, { status: 413 });
  const taken = await takeTrialIn(jsonOf(body));
  if (!taken.ok) return Response.json({ trouble: takeInSentence(taken.trouble) }, { status: 422 });
  revalidatePath('/', 'layout');
  return Response.json({ id: taken.value.id });
}

function jsonOf(body: string): unknown {
  try {
    return JSON.parse(body);
  } catch {
    return undefined;
  }
}
