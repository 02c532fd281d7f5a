// A thousand kills in mid-write, in mid-migration and in mid-restore: what was answered is there, once, and every copy is whole.
import { spawn } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import Sqlite from 'better-sqlite3';
import { buildSync } from 'esbuild';
import { closeStore, startStore } from '@/service/garden/start';
import { checkDataFile } from '@/store/connection/check-data-file';
import { database } from '@/store/connection/database';
import { type TortureGarden, tell, tortureGarden } from './garden';

/** The victim as one file of JavaScript, so that a start takes a blink. Beside the packages that it needs. */
function builtVictim(): string {
  const outfile = resolve('node_modules/.cache/turnspit/kill-victim.mjs');
  buildSync({
    entryPoints: ['scripts/torture/kill-victim.ts'],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    alias: { '@': resolve('src') },
  });
  return outfile;
}

/** Runs the victim and kills it after a while. @returns what it said was answered */
function killed(
  victim: string,
  args: readonly string[],
  file: string,
  afterMs: number,
): Promise<readonly string[]> {
  return new Promise(done => {
    const child = spawn(process.execPath, [victim, ...args], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, TURNSPIT_DATA: file },
    });
    let said = '';
    child.stdout.on('data', piece => {
      const isBefore = lines(said).length < 2;
      said += String(piece);
      // Counted from the first answer, so that a slow start is no kill before the first write.
      if (isBefore && lines(said).length >= 2) setTimeout(() => child.kill('SIGKILL'), afterMs);
    });
    const timer =
      args[0] === 'write' ? undefined : setTimeout(() => child.kill('SIGKILL'), afterMs);
    child.on('exit', () => {
      clearTimeout(timer);
      done(lines(said));
    });
  });
}

function lines(said: string): readonly string[] {
  return said.split('\n').slice(0, -1);
}

interface Count {
  answered: number;
  lost: number;
  doubled: number;
  unsound: number;
  readonly kinds: Map<string, number>;
}

const TABLES: Readonly<Record<string, string>> = {
  reading: 'readings',
  pick: 'picks',
  act: 'care_acts',
  photo: 'photos',
};

function look(garden: TortureGarden, said: readonly string[], count: Count): void {
  if (!checkDataFile(garden.file).ok) count.unsound += 1;
  const db = new Sqlite(garden.file, { readonly: true });
  for (const line of said) {
    const [kind = '', id = ''] = line.split(' ');
    if (kind === 'started') continue;
    count.answered += 1;
    count.kinds.set(kind, (count.kinds.get(kind) ?? 0) + 1);
    const found = foundIn(db, garden, kind, id);
    const expected = kind === 'import' ? 20 : 1;
    if (found < expected) count.lost += 1;
    if (found > expected) count.doubled += 1;
  }
  db.close();
}

function foundIn(db: Sqlite.Database, garden: TortureGarden, kind: string, id: string): number {
  if (kind === 'backup')
    return checkDataFile(join(garden.folder, 'backups', id, 'turnspit.sqlite')).ok ? 1 : 0;
  if (kind === 'import')
    return Number(
      db.prepare('select count(*) from readings where device = ?').pluck().get(`import ${id}`),
    );
  const rows = Number(
    db.prepare(`select count(*) from ${TABLES[kind]} where id = ?`).pluck().get(id),
  );
  if (kind !== 'photo') return rows;
  const picture = join(garden.folder, 'photos', garden.trialId, `${id}.large.jpg`);
  return existsSync(picture) ? rows : 0;
}

/** Everything under `backups` that looks like a backup, answered or not. */
function unsoundBackups(garden: TortureGarden): number {
  const home = join(garden.folder, 'backups');
  if (!existsSync(home)) return 0;
  return readdirSync(home)
    .filter(name => !name.endsWith('.coming'))
    .filter(name => !checkDataFile(join(home, name, 'turnspit.sqlite')).ok).length;
}

const TOLD_EVERY = 50;

function tellCount(times: number, count: Count): void {
  tell(`kills in mid-write: ${times}, answered`, count.answered);
  tell('of each kind', [...count.kinds].map(([kind, n]) => `${kind} ${n}`).join(', '));
  tell('of these lost / doubled', `${count.lost} / ${count.doubled}`);
  tell('unsound files or backups', count.unsound);
}

export async function kills(times: number): Promise<void> {
  const victim = builtVictim();
  const garden = await tortureGarden();
  const count: Count = { answered: 0, lost: 0, doubled: 0, unsound: 0, kinds: new Map() };
  const args = ['write', garden.trialId, garden.measureId, garden.ruleId];
  for (let i = 0; i < times; i++) {
    const said = await killed(victim, args, garden.file, 5 + Math.random() * 300);
    look(garden, said, count);
    if ((i + 1) % TOLD_EVERY === 0 && i + 1 < times) tellCount(i + 1, count);
    // Old backups are let go, so that the disk holds them.
    const home = join(garden.folder, 'backups');
    if (existsSync(home)) {
      count.unsound += unsoundBackups(garden);
      rmSync(home, { recursive: true });
    }
  }
  tellCount(times, count);
  rmSync(garden.folder, { recursive: true, force: true });
}

/** Kills while a file of before the last step is brought forward, and while a backup is put in its place. */
export async function killsOnTheWay(times: number): Promise<void> {
  const victim = builtVictim();
  const garden = await tortureGarden();
  await startStore();
  for (let step = 0; step < 3; step++) await database().migrate.down();
  await closeStore();
  const [old, copy] = [
    mkdtempSync(join(tmpdir(), 'turnspit-old-')),
    mkdtempSync(join(tmpdir(), 'turnspit-copy-')),
  ];
  cpSync(garden.folder, old, { recursive: true });
  cpSync(garden.file, join(copy, 'turnspit.sqlite'));
  const before = rowsOf(garden.file);
  let [broken, lost, unsoundCopies] = [0, 0, 0];
  for (let i = 0; i < times; i++) {
    const isMigration = i % 2 === 0;
    rmSync(garden.folder, { recursive: true, force: true });
    cpSync(old, garden.folder, { recursive: true });
    const args = isMigration ? ['migrate'] : ['restore', '', '', '', copy];
    await killed(victim, args, garden.file, 120 + Math.random() * 400);
    unsoundCopies += copiesIn(garden.folder).filter(file => !checkDataFile(file).ok).length;
    // Begun again, as whoever starts it next would.
    await killed(victim, args, garden.file, 60_000);
    if (!checkDataFile(garden.file).ok) broken += 1;
    else if (rowsOf(garden.file) !== before) lost += 1;
  }
  tell(`kills in mid-migration and mid-restore: ${times}, broken`, broken);
  tell('with other rows than before', lost);
  tell('unsound safety copies', unsoundCopies);
}

function copiesIn(folder: string): readonly string[] {
  return readdirSync(folder)
    .filter(name => name.includes('.before-') && !name.endsWith('.coming'))
    .map(name => join(folder, name));
}

/** Of trials, units and measures, as one string. */
function rowsOf(file: string): string {
  const db = new Sqlite(file, { readonly: true });
  const rows = ['trials', 'units', 'measures'].map(table =>
    db.prepare(`select count(*) from ${table}`).pluck().get(),
  );
  db.close();
  return rows.join(' ');
}
