import { z } from 'zod';
import { calendarOf } from '@/service/tend/calendar';

export const dynamic = 'force-dynamic';

export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string }> },
): Promise<Response> {
  const { trialId } = await params;
  const calendar = z.uuid().safeParse(trialId).success
    ? await calendarOf(trialId, originOf(request))
    : undefined;
  if (calendar === undefined) return new Response('There is no such trial.', { status: 404 });
  return new Response(calendar.body, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `attachment; filename="${calendar.name}"`,
    },
  });
}

/** Where the reader reached this garden: behind a name of the house's network the address of the request is another. */
function originOf(request: Request): string {
  const host = request.headers.get('host');
  const { protocol, origin } = new URL(request.url);
  return host ? `${protocol}//${host}` : origin;
}
