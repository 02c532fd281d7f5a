import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { dataFile } from '@/store/connection/database';

interface Authority {
  readonly key: string;
  readonly certificate: string;
}

/** Beside the data, not in it: a backup that is given away vouches for nothing. */
function folder(): string {
  return join(dirname(dataFile()), 'authority');
}

/** @returns undefined where none was made yet */
export function readAuthority(): Authority | undefined {
  const [key, certificate] = [join(folder(), 'garden.key'), join(folder(), 'garden.crt')];
  return existsSync(key) && existsSync(certificate)
    ? { key: readFileSync(key, 'utf8'), certificate: readFileSync(certificate, 'utf8') }
    : undefined;
}

/** The key for this machine's own user alone. */
export function writeAuthority({ key, certificate }: Authority): void {
  mkdirSync(folder(), { recursive: true, mode: 0o700 });
  writeFileSync(join(folder(), 'garden.key'), key, { mode: 0o600 });
  writeFileSync(join(folder(), 'garden.crt'), certificate);
}
