import { failure, type Result, success } from '@/core/result';
import { counted } from '@/core/words/plural';
import { type Role, roleOfPassphrase } from './passphrase';
import { newSession } from './session';
import { forgetWrongTries, noteWrongTry, waitBeforeTry } from './wrong-tries';

const LONGEST = 200;

/** Comes in by a passphrase. @returns the session, or what stood in the way */
export async function enter(
  passphrase: unknown,
): Promise<Result<{ readonly role: Role; readonly session: string }, string>> {
  const wait = waitBeforeTry(Date.now());
  if (wait > 0)
    return failure(
      `Too many wrong tries. Wait ${counted(Math.ceil(wait / 1000), 'second')}, then try again.`,
    );
  if (typeof passphrase !== 'string' || passphrase === '' || passphrase.length > LONGEST)
    return failure('Type the passphrase of this garden.');
  // Counted before it is looked at: many at once are many tries.
  noteWrongTry(Date.now());
  const role = await roleOfPassphrase(passphrase);
  if (!role) return failure('That is not the passphrase of this garden.');
  forgetWrongTries();
  return success({ role, session: newSession(role, Date.now()) });
}
