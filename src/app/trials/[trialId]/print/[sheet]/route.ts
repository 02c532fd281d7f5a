import { z } from 'zod';
import { askedOf } from '@/app/api/asked-of';
import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { trialSentence } from '@/core/trial/trial-trouble';
import { printSheet } from '@/service/files/print';

export const dynamic = 'force-dynamic';

const Params = z.object({
  trialId: z.uuid(),
  sheet: z.enum(['labels', 'plan', 'clipboard', 'protocol']),
  paper: z.enum(['a4', 'letter']).default('a4'),
  format: z.enum(['3x8', '2x7', 'strips']).default('3x8'),
  key: z.enum(['blind', 'open']).default('blind'),
});

interface SheetDoor {
  readonly params: Promise<{ readonly trialId: string; readonly sheet: string }>;
}

/** A public door: a trial's sheet as a PDF. Never with a shut key: what is only asked for changes nothing, and a look is logged. */
export function GET(request: Request, door: SheetDoor): Promise<Response> {
  return sheetResponse(request, door, false);
}

/** The same, for which the key may be looked at. */
export async function POST(request: Request, door: SheetDoor): Promise<Response> {
  return (await isKeeper())
    ? sheetResponse(request, door, true)
    : new Response(KEEPER_ONLY, { status: 403 });
}

async function sheetResponse(
  request: Request,
  { params }: SheetDoor,
  mayLook: boolean,
): Promise<Response> {
  const url = new URL(request.url);
  const asked = await askedOf(Params, request, params);
  if (!asked) return new Response('There is no such sheet.', { status: 404 });
  const { trialId, sheet, paper, format, key } = asked;
  // Where phones reach the garden; otherwise the host as the browser wrote it: behind a name of the house, the server itself does not know it.
  const origin =
    process.env.TURNSPIT_ADDRESS ?? `${url.protocol}//${request.headers.get('host') ?? url.host}`;
  const printed = await printSheet(trialId, {
    sheet,
    paper,
    format,
    isOpen: key === 'open',
    mayLook,
    origin,
  });
  if (!printed.ok)
    return new Response(trialSentence(printed.trouble), {
      status: printed.trouble.kind === 'no-such-trial' ? 404 : 409,
    });
  return new Response(Buffer.from(printed.value), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${sheet}.pdf"`,
      'cache-control': 'no-store',
    },
  });
}
