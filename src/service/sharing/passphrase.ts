import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { failure, type Result, success } from '@/core/result';
import { readShareFile, type ShareFile, writeShareFile } from '@/store/share-file';

/** Who one is: a keeper may do all; a helper walks, weighs and ticks. */
export type Role = 'keeper' | 'helper';

export const SHORTEST = 10;
const BYTES = 32;
// 32 MB and some 0.1 s a guess (RFC 7914).
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };

/** Whether anybody has been given a passphrase. */
export function isPassphraseSet(): boolean {
  return readShareFile() !== undefined;
}

/** Sets the passphrases. Whoever was in has to come in anew. @param helper empty: there are no helpers */
export async function setPassphrases(
  keeper: string,
  helper: string,
): Promise<Result<true, string>> {
  if (keeper.length < SHORTEST) return failure(`At least ${SHORTEST} characters.`);
  if (helper !== '' && helper.length < SHORTEST)
    return failure(`The helpers’, too: at least ${SHORTEST} characters.`);
  if (helper === keeper) return failure('The helpers’ must be another than the keepers’.');
  writeShareFile({
    keeper: await hashed(keeper),
    helper: helper === '' ? null : await hashed(helper),
    secret: randomBytes(BYTES).toString('hex'),
  });
  return success(true);
}

/** Signs everybody out, everywhere. */
export function signAllOut(): void {
  const file = readShareFile();
  if (file) writeShareFile({ ...file, secret: randomBytes(BYTES).toString('hex') });
}

/** Whose passphrase it is. Takes as long whether it is one or not. */
export async function roleOfPassphrase(said: string): Promise<Role | undefined> {
  const file = readShareFile();
  if (!file) return undefined;
  const isKeeper = await matches(said, file.keeper);
  const isHelper = await matches(said, file.helper ?? NOBODY);
  return isKeeper ? 'keeper' : isHelper && file.helper !== null ? 'helper' : undefined;
}

type Hash = ShareFile['keeper'];
const NOBODY: Hash = { salt: '00', hash: '00'.repeat(BYTES) };

async function hashed(passphrase: string): Promise<Hash> {
  const salt = randomBytes(16).toString('hex');
  return { salt, hash: (await derived(passphrase, salt)).toString('hex') };
}

async function matches(said: string, { salt, hash }: Hash): Promise<boolean> {
  return timingSafeEqual(await derived(said, salt), Buffer.from(hash, 'hex'));
}

function derived(passphrase: string, salt: string): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    scrypt(passphrase.normalize('NFC'), Buffer.from(salt, 'hex'), BYTES, COST, (error, key) =>
      error ? reject(error) : resolve(key),
    );
  });
}
