import { readBody } from '@/app/api/read-body';
import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { readSquareCode } from '@/service/gardens/read-square-code';

const LARGEST = 25_000_000;

/** Reads the square code of a photo: `{"text"}`, or `{"trouble"}` as a sentence. Nothing of it is kept. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isKeeper())) return new Response(KEEPER_ONLY, { status: 403 });
  if (!request.headers.get('content-type')?.startsWith('image/'))
    return Response.json({ trouble: 'That is no picture.' }, { status: 400 });
  const body = await readBody(request, LARGEST);
  if (!body)
    return Response.json(
      { trouble: 'That picture is too large: at most 25 MB are taken.' },
      { status: 413 },
    );
  const text = await readSquareCode(body);
  return text === undefined
    ? Response.json(
        { trouble: 'No square code was found in it. Hold the phone straight and nearer.' },
        { status: 422 },
      )
    : Response.json({ text });
}
