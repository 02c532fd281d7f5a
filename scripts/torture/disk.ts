// A disk without room, one that can't be written, and files that are no garden: each refused by name, and nothing left half done.
import { spawnSync } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { tell, tortureGarden } from './garden';

function turnspit(file: string, ...args: readonly string[]): string {
  const ran = spawnSync(
    process.execPath,
    ['node_modules/tsx/dist/cli.mjs', 'src/cli/main.ts', ...args],
    {
      encoding: 'utf8',
      env: { ...process.env, TURNSPIT_DATA: file },
    },
  );
  return `exit ${ran.status}: ${(ran.stderr || ran.stdout).trim().split('\n')[0]}`;
}

function serve(file: string): string {
  const ran = spawnSync(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', '4393'],
    {
      encoding: 'utf8',
      timeout: 15_000,
      env: { ...process.env, NODE_ENV: 'production', TURNSPIT_DATA: file },
    },
  );
  return `exit ${ran.status}: ${ran.stderr.trim().split('\n').at(-1)}`;
}

/** A disk of a few MB; undefined where this machine lets nobody mount one. */
function smallDisk(megabytes: number, options = ''): string | undefined {
  const at = mkdtempSync(join(tmpdir(), 'turnspit-disk-'));
  const mounted = spawnSync('mount', [
    '-t',
    'tmpfs',
    '-o',
    `size=${megabytes}m${options}`,
    'tmpfs',
    at,
  ]);
  return mounted.status === 0 ? at : undefined;
}

export async function disk(): Promise<void> {
  const garden = await tortureGarden();
  const full = smallDisk(1);
  if (full === undefined) tell('a small disk', 'not tried: it can’t be mounted here');
  else {
    writeFileSync(join(full, 'filling'), new Uint8Array(900_000));
    tell('backup onto a full disk', turnspit(garden.file, 'backup', join(full, 'copy')));
    tell(
      'what is left of it',
      readdirSync(full)
        .filter(name => name !== 'filling')
        .join(' ') || 'nothing',
    );
    const copy = join(garden.folder, 'copy');
    turnspit(garden.file, 'backup', copy);
    tell('restore onto a full disk', turnspit(join(full, 'turnspit.sqlite'), 'restore', copy));
    tell(
      'what is left of it',
      readdirSync(full)
        .filter(name => name !== 'filling')
        .join(' ') || 'nothing',
    );
    tell('start on a full disk', serve(join(full, 'turnspit.sqlite')));
    spawnSync('umount', [full]);
  }
  const locked = smallDisk(8);
  if (locked !== undefined) {
    cpSync(garden.file, join(locked, 'turnspit.sqlite'));
    spawnSync('mount', ['-o', 'remount,ro', locked]);
    tell('start where nothing can be written', serve(join(locked, 'turnspit.sqlite')));
    spawnSync('umount', [locked]);
  }
  const odd = mkdtempSync(join(tmpdir(), 'turnspit-odd-'));
  writeFileSync(join(odd, 'empty.sqlite'), '');
  writeFileSync(join(odd, 'letter.sqlite'), 'Dear neighbour,\n'.repeat(400));
  mkdirSync(join(odd, 'folder.sqlite'));
  for (const name of [
    'empty.sqlite',
    'letter.sqlite',
    'folder.sqlite',
    'letter.sqlite/garden.sqlite',
  ]) {
    const before = existsSync(join(odd, name)) ? statSync(join(odd, name)).size : null;
    tell(`start on ${name}`, serve(join(odd, name)));
    const after = existsSync(join(odd, name)) ? statSync(join(odd, name)).size : null;
    if (before !== after) tell('CHANGED', `${before} to ${after} bytes`);
  }
}
