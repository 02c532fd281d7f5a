import { cookies } from 'next/headers';
import type { Role } from '@/service/sharing/passphrase';
import { roleOfSession, SESSION_COOKIE } from '@/service/sharing/session';
import { isShared } from '@/service/sharing/shared';

/** Who asks: whoever sits at this computer, where nobody else can reach it, is its keeper. */
export async function currentRole(): Promise<Role | undefined> {
  if (!isShared()) return 'keeper';
  return roleOfSession((await cookies()).get(SESSION_COOKIE)?.value, Date.now());
}

export async function isKeeper(): Promise<boolean> {
  return (await currentRole()) === 'keeper';
}

/** What a helper is told where only keepers may. */
export const KEEPER_ONLY = 'Only a keeper of this garden can do that.';
