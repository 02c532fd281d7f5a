import { readBody } from '@/app/api/read-body';
import { letIn, ownPath } from '../let-in';

const LARGEST = 4_000;

/** Takes the form of where one comes in when it is sent before the page's scripts are there. */
export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request, LARGEST);
  if (!body) return new Response(null, { status: 413 });
  const form = new URLSearchParams(new TextDecoder().decode(body));
  const to = ownPath(form.get('to'));
  const trouble = await letIn(form.get('passphrase'));
  const location = trouble === undefined ? to : `/enter?${new URLSearchParams({ to, not: '1' })}`;
  return new Response(null, { status: 303, headers: { location, 'cache-control': 'no-store' } });
}
