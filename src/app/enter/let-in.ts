import { cookies, headers } from 'next/headers';
import { enter } from '@/service/sharing/enter';
import { SESSION_COOKIE, SESSION_DAYS } from '@/service/sharing/session';

/** Lets this browser in by a passphrase, and remembers it. @returns what stood in the way */
export async function letIn(passphrase: unknown): Promise<string | undefined> {
  const entered = await enter(passphrase);
  if (!entered.ok) return entered.trouble;
  (await cookies()).set(SESSION_COOKIE, entered.value.session, {
    httpOnly: true,
    sameSite: 'strict',
    secure: (await headers()).get('x-forwarded-proto') === 'https',
    path: '/',
    maxAge: SESSION_DAYS * 86_400,
  });
  return undefined;
}

/** A way within this garden, or its first page: never another site. */
export function ownPath(to: unknown): string {
  return typeof to === 'string' && /^\/(?![/\\])[^\\\s]*$/.test(to) ? to : '/';
}
