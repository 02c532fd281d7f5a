import { randomBytes } from 'node:crypto';
import { type NextRequest, NextResponse } from 'next/server';
import { isOwnHost, isOwnOrigin } from '@/service/garden/doors';
import { roleOfSession, SESSION_COOKIE } from '@/service/sharing/session';
import { isShared } from '@/service/sharing/shared';

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/** What a visitor without the passphrase may fetch: the page that asks for it, what pages are made of, and how to trust them. */
const OPEN_TO_ALL =
  /^\/(?:enter|enter\/door|authority|sw\.js|icon\.svg|manifest\.webmanifest|_next\/static\/.*)$/;

/** What pages are made of, and no pages. */
const PARTS = /^\/(?:sw\.js|icon\.svg|_next\/.*)$/;

/**
 * Stands before every page and handler: no name but the garden's own, no change from a page of another site, nobody without the
 * passphrase where the garden is shared, and on every page only scripts of this very answer.
 */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get('host');
  if (!isOwnHost(host, process.env.TURNSPIT_ORIGIN))
    return refusal(`This garden does not answer to that name. Start it with TURNSPIT_ORIGIN.`);
  if (!READS.has(request.method) && !isOwnOrigin(request.headers.get('origin'), host))
    return refusal('Changes are taken from the garden’s own pages only.');
  // A page of another site may lead here, but not fetch from here in secret: some pages note that they were looked at.
  if (
    request.headers.get('sec-fetch-site') === 'cross-site' &&
    request.headers.get('sec-fetch-mode') !== 'navigate'
  )
    return refusal('Other sites may lead here, and fetch nothing from here.');
  // A form that was sent without a script: no page here sends one, and a broken one is an error of the framework's.
  if (
    request.headers.get('content-type')?.startsWith('multipart/') &&
    !request.headers.has('next-action')
  )
    return refusal('No form of this garden is sent so.', 415);
  if (isShared() && !OPEN_TO_ALL.test(request.nextUrl.pathname) && !isIn(request))
    return toTheDoor(request);
  return page(request);
}

function isIn(request: NextRequest): boolean {
  return roleOfSession(request.cookies.get(SESSION_COOKIE)?.value, Date.now()) !== undefined;
}

/** A page is led to where one comes in; anything else is told so. */
function toTheDoor(request: NextRequest): NextResponse {
  const { pathname, search, protocol } = request.nextUrl;
  const wantsPage =
    request.method === 'GET' &&
    !pathname.startsWith('/api/') &&
    request.headers.get('accept')?.includes('text/html');
  if (!wantsPage) return refusal('Come in first: this garden asks for its passphrase.', 401);
  // By the name that the visitor used, which was looked at before; the server itself may not know it.
  const scheme = request.headers.get('x-forwarded-proto') ?? protocol.replace(':', '');
  const door = new URL('/enter', `${scheme}://${request.headers.get('host')}`);
  door.searchParams.set('to', `${pathname}${search}`);
  return NextResponse.redirect(door, { headers: { 'cache-control': 'no-store' } });
}

function page(request: NextRequest): NextResponse {
  // A worker takes its policy from its own file, and needs no other.
  if (PARTS.test(request.nextUrl.pathname)) return NextResponse.next();
  const nonce = randomBytes(16).toString('base64');
  const policy = pagePolicy(nonce, process.env.NODE_ENV === 'development');
  const headers = new Headers(request.headers);
  // Next writes the nonce into its own scripts when it finds it here.
  headers.set('content-security-policy', policy);
  const answer = NextResponse.next({ request: { headers } });
  // Reports and pictures bring a stricter one of their own.
  if (!request.nextUrl.pathname.startsWith('/api/'))
    answer.headers.set('content-security-policy', policy);
  return answer;
}

/** Only scripts that this answer names, and nothing from elsewhere. Styles are written into pages by styled-components. */
function pagePolicy(nonce: string, isDevelopment: boolean): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${isDevelopment ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "worker-src 'self' blob:",
    "frame-ancestors 'self'",
    "base-uri 'self'",
    "form-action 'self'",
    "object-src 'none'",
  ].join('; ');
}

function refusal(says: string, status = 403): NextResponse {
  return new NextResponse(`${says}\n`, {
    status,
    headers: { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' },
  });
}
