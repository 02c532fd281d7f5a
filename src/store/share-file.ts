import { existsSync, mkdirSync, readFileSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { z } from 'zod';
import { dataFile } from '@/store/connection/database';

const Hash = z.object({ salt: z.string(), hash: z.string() }).readonly();

/** Who may come in, kept beside the data and not in it: a backup that is given away lets nobody in. */
export const ShareFile = z
  .object({
    keeper: Hash,
    /** null: there are no helpers. */
    helper: Hash.nullable(),
    /** What sessions are signed with; a new one signs everybody out. */
    secret: z.string(),
  })
  .readonly();
export type ShareFile = z.infer<typeof ShareFile>;

function path(): string {
  return join(dirname(dataFile()), 'share.json');
}

let kept: { readonly at: number; readonly file: ShareFile } | undefined;

/** @returns undefined where no passphrase was ever set */
export function readShareFile(): ShareFile | undefined {
  if (!existsSync(path())) return undefined;
  const at = statSync(path()).mtimeMs;
  if (kept?.at !== at)
    kept = { at, file: ShareFile.parse(JSON.parse(readFileSync(path(), 'utf8'))) };
  return kept.file;
}

/** For this machine's own user alone. */
export function writeShareFile(file: ShareFile): void {
  mkdirSync(dirname(path()), { recursive: true });
  writeFileSync(`${path()}.coming`, JSON.stringify(file), { mode: 0o600 });
  renameSync(`${path()}.coming`, path());
  kept = undefined;
}
