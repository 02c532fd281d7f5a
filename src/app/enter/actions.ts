'use server';

import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { isKeeper } from '@/app/role';
import { enter } from '@/service/sharing/enter';
import { signAllOut } from '@/service/sharing/passphrase';
import { SESSION_COOKIE, SESSION_DAYS } from '@/service/sharing/session';

/** A public door, the one that needs no passphrase. @returns what stood in the way; goes on where one came in */
export async function enterAction(passphrase: unknown, to: unknown): Promise<string | undefined> {
  const entered = await enter(passphrase);
  if (!entered.ok) return entered.trouble;
  (await cookies()).set(SESSION_COOKIE, entered.value.session, {
    httpOnly: true,
    sameSite: 'strict',
    secure: (await headers()).get('x-forwarded-proto') === 'https',
    path: '/',
    maxAge: SESSION_DAYS * 86_400,
  });
  redirect(ownPath(to));
}

/** Signs this browser out. */
export async function leaveAction(): Promise<void> {
  (await cookies()).delete(SESSION_COOKIE);
  redirect('/enter');
}

/** Signs every browser out, this one too. */
export async function leaveEverywhereAction(): Promise<void> {
  if (await isKeeper()) signAllOut();
  redirect('/enter');
}

/** A way within this garden, or its first page: never another site. */
function ownPath(to: unknown): string {
  return typeof to === 'string' && /^\/(?![/\\])[^\\\s]*$/.test(to) ? to : '/';
}
