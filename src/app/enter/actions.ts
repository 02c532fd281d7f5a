'use server';

import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { isKeeper } from '@/app/role';
import { signAllOut } from '@/service/sharing/passphrase';
import { SESSION_COOKIE } from '@/service/sharing/session';
import { letIn, ownPath } from './let-in';

/** A public door, one of the two that need no passphrase. @returns what stood in the way; goes on where one came in */
export async function enterAction(passphrase: unknown, to: unknown): Promise<string | undefined> {
  return (await letIn(passphrase)) ?? redirect(ownPath(to));
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
