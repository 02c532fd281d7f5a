import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { readShareFile } from '@/store/share-file';
import type { Role } from './passphrase';

/** The cookie that says who one is. */
export const SESSION_COOKIE = 'turnspit_session';
export const SESSION_DAYS = 90;
const DAY_MS = 86_400_000;

/** A session of a role, signed: `role.until.salt.signature`. @param now milliseconds */
export function newSession(role: Role, now: number): string {
  const said = `${role}.${now + SESSION_DAYS * DAY_MS}.${randomBytes(8).toString('hex')}`;
  return `${said}.${signature(said)}`;
}

/** Whose session it is; undefined where it is none, was made up, is over, or everybody was signed out since. */
export function roleOfSession(session: string | undefined, now: number): Role | undefined {
  const parts = /^((keeper|helper)\.(\d{1,16})\.[0-9a-f]{16})\.([0-9a-f]{64})$/.exec(session ?? '');
  const [, said = '', role, until, signed = ''] = parts ?? [];
  if (!parts || !readShareFile()) return undefined;
  const isSigned = timingSafeEqual(Buffer.from(signed, 'hex'), Buffer.from(signature(said), 'hex'));
  return isSigned && Number(until) > now ? (role === 'keeper' ? 'keeper' : 'helper') : undefined;
}

function signature(said: string): string {
  return createHmac('sha256', Buffer.from(readShareFile()?.secret ?? '', 'hex'))
    .update(said)
    .digest('hex');
}
