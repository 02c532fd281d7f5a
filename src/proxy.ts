import { type NextRequest, NextResponse } from 'next/server';
import { isOwnHost, isOwnOrigin } from '@/service/garden/doors';

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Stands before every page and handler: no name but the garden's own, and no change from a page of another site. */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get('host');
  if (!isOwnHost(host, process.env.TURNSPIT_ORIGIN))
    return refusal(`This garden does not answer to that name. Start it with TURNSPIT_ORIGIN.`);
  if (!READS.has(request.method) && !isOwnOrigin(request.headers.get('origin'), host))
    return refusal('Changes are taken from the garden’s own pages only.');
  return NextResponse.next();
}

function refusal(says: string): NextResponse {
  return new NextResponse(`${says}\n`, {
    status: 403,
    headers: { 'content-type': 'text/plain; charset=utf-8' },
  });
}
