import { z } from 'zod';
import { calendarOf } from '@/service/tend/calendar';

export const dynamic = 'force-dynamic';

export async function GET(
  _: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string }> },
): Promise<Response> {
  const { trialId } = await params;
  const calendar = z.uuid().safeParse(trialId).success ? await calendarOf(trialId) : undefined;
  if (calendar === undefined) return new Response('There is no such trial.', { status: 404 });
  return new Response(calendar, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="turnspit.ics"',
    },
  });
}
