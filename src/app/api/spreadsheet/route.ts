import { readBody } from '@/app/api/read-body';
import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { spreadsheetToCsv } from '@/service/files/spreadsheet';

const LARGEST = 25_000_000;

/** The first sheet of a spreadsheet as CSV: `{"csv"}`, or `{"trouble"}` as a sentence. Nothing of it is kept. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isKeeper())) return new Response(KEEPER_ONLY, { status: 403 });
  const body = await readBody(request, LARGEST);
  if (!body)
    return Response.json(
      { trouble: 'That spreadsheet is too large: at most 25 MB are taken.' },
      { status: 413 },
    );
  const read = await spreadsheetToCsv(body);
  return read.ok
    ? Response.json({ csv: read.value })
    : Response.json({ trouble: read.trouble }, { status: 422 });
}
