import { revalidatePath } from 'next/cache';
import { readJson } from '@/app/api/read-body';
import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { takeAnyIn } from '@/service/files/take-any-in';

const LARGEST = 40_000_000;

/** Takes a whole trial, or another garden’s plan, in from its file: `{"id"}`, or `{"trouble"}` as a sentence. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isKeeper())) return new Response(KEEPER_ONLY, { status: 403 });
  if (!request.headers.get('content-type')?.startsWith('application/json'))
    return new Response(null, { status: 400 });
  const body = await readJson(request, LARGEST);
  if (!body)
    return Response.json(
      { trouble: 'That file is larger than any trial’s: at most 40 MB are taken.' },
      { status: 413 },
    );
  const taken = await takeAnyIn(body.value);
  if (!taken.ok) return Response.json({ trouble: taken.trouble }, { status: 422 });
  revalidatePath('/', 'layout');
  return Response.json({ id: taken.value.id });
}
