import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite from 'better-sqlite3';
import { GardenId } from '@/core/trial/model/ids';
import { addGarden } from '@/store/gardens';
import { backUpInto, restoreFrom } from './backup';
import { APPLICATION_ID, checkDataFile, checkWritable } from './check-data-file';
import { holdDataFile, releaseDataFile } from './data-lock';
import { closeDatabase, database } from './database';
import { migrate } from './open-safely';

let folder = '';
let file = '';

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'turnspit-'));
  file = join(folder, 'garden.sqlite');
  process.env.TURNSPIT_DATA = file;
});

afterEach(async () => {
  releaseDataFile();
  await closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

async function madeGarden(): Promise<void> {
  await migrate(database(), file);
  await addGarden(database(), {
    id: GardenId.parse('00000000-0000-7000-8000-000000000001'),
    name: 'Cinder Row',
    system: 'uk',
    latitude: 51,
    altitudeM: 50,
    lastFrost: null,
    firstFrost: null,
    timeZone: '',
  });
}

/** One line of the log, as long as is asked for. */
const changeOf = (detail: string) => ({ at: '2026-06-01T08:00:00.000Z', what: 'a test', detail });

const troubleOf = (checked: ReturnType<typeof checkDataFile>) =>
  checked.ok ? checked.value : checked.trouble.kind;
const bytes = () => readFileSync(file);

describe('before a data file is opened', () => {
  test('a garden’s own is sound, and marked as one', async () => {
    await madeGarden();
    await closeDatabase();
    expect(troubleOf(checkDataFile(file))).toBe('sound');
    const connection = new BetterSqlite(file, { readonly: true });
    expect(connection.pragma('application_id', { simple: true })).toBe(APPLICATION_ID);
    connection.close();
  });

  test('one of no bytes is not taken for a new garden', () => {
    writeFileSync(file, '');
    expect(troubleOf(checkDataFile(file))).toBe('empty');
  });

  test('another program’s is left as it is', () => {
    const other = new BetterSqlite(file);
    other.exec('CREATE TABLE recipes (id INTEGER PRIMARY KEY, name TEXT)');
    other.close();
    const before = bytes();
    expect(troubleOf(checkDataFile(file))).toBe('foreign');
    expect(bytes().equals(before)).toBe(true);
  });

  test('rows that belong to something that is gone are found', async () => {
    await madeGarden();
    await closeDatabase();
    const broken = new BetterSqlite(file);
    broken.pragma('foreign_keys = OFF');
    broken.exec('DELETE FROM gardens; INSERT INTO products SELECT * FROM products');
    broken
      .prepare("INSERT INTO blocks (id, trial_id, name, position) VALUES ('b', 'gone', 'shelf', 0)")
      .run();
    broken.close();
    expect(checkDataFile(file)).toMatchObject({
      trouble: { kind: 'damaged', finding: expect.stringContaining('blocks') },
    });
  });

  test('a file where the folder should be is told by name', () => {
    writeFileSync(join(folder, 'data'), 'a letter');
    expect(checkWritable(join(folder, 'data', 'garden.sqlite'))).toMatchObject({
      trouble: { kind: 'unwritable' },
    });
  });

  test('a second server, or a restore, is kept off while one has it', async () => {
    await madeGarden();
    await backUpInto(join(folder, 'copy'));
    await closeDatabase();
    const other = new BetterSqlite(`${file}.in-use`);
    other.exec('BEGIN EXCLUSIVE');
    const before = bytes();
    expect(holdDataFile(file)).toBe(false);
    expect(await restoreFrom(join(folder, 'copy'), true, 'then')).toMatchObject({
      trouble: { kind: 'in-use' },
    });
    expect(bytes().equals(before)).toBe(true);
    other.close();
    expect(holdDataFile(file)).toBe(true);
  });
});

describe('copies', () => {
  test('one that a kill broke before a step forward is made again', async () => {
    await madeGarden();
    await database().migrate.down();
    const [, waiting]: readonly [unknown, readonly (string | { file: string })[]] =
      await database().migrate.list();
    const next = waiting[0];
    const copy = `${file}.before-${typeof next === 'string' ? next : next?.file}`;
    writeFileSync(copy, '');
    await migrate(database(), file);
    expect(troubleOf(checkDataFile(copy))).toBe('sound');
  });

  test('a backup that can’t be written leaves nothing that looks like one', async () => {
    await madeGarden();
    writeFileSync(join(folder, 'letter'), 'no folder');
    const target = join(folder, 'letter', 'backup');
    expect(await backUpInto(target)).toMatchObject({
      trouble: { kind: 'not-written' },
    });
    expect(readdirSync(folder).filter(name => name.includes('coming'))).toEqual([]);
  });

  test('of no bytes, or of no garden, a backup is refused, and what stands stays', async () => {
    await madeGarden();
    await closeDatabase();
    const before = bytes();
    mkdirSync(join(folder, 'copy'));
    writeFileSync(join(folder, 'copy', 'turnspit.sqlite'), '');
    expect(await restoreFrom(join(folder, 'copy'), true, 'then')).toMatchObject({
      trouble: { kind: 'empty' },
    });
    rmSync(join(folder, 'copy', 'turnspit.sqlite'));
    new BetterSqlite(join(folder, 'copy', 'turnspit.sqlite')).exec('VACUUM').close();
    expect((await restoreFrom(join(folder, 'copy'), true, 'then')).ok).toBe(false);
    expect(bytes().equals(before)).toBe(true);
  });

  test('pictures that stand there without a data file are moved aside, not deleted', async () => {
    await madeGarden();
    await backUpInto(join(folder, 'copy'));
    await closeDatabase();
    for (const name of readdirSync(folder).filter(each => each.startsWith('garden')))
      rmSync(join(folder, name));
    mkdirSync(join(folder, 'photos'));
    writeFileSync(join(folder, 'photos', 'one.jpg'), 'a picture');
    const restored = await restoreFrom(join(folder, 'copy'), false, 'then');
    expect(restored).toMatchObject({ ok: true, value: join(folder, 'before-restore-then') });
    expect(readFileSync(join(folder, 'before-restore-then', 'photos', 'one.jpg'), 'utf8')).toBe(
      'a picture',
    );
    expect(existsSync(join(folder, 'photos'))).toBe(false);
  });

  test('pictures are in a backup, and one that is added later is not', async () => {
    await madeGarden();
    mkdirSync(join(folder, 'photos', 'trial'), { recursive: true });
    writeFileSync(join(folder, 'photos', 'trial', 'one.large.jpg'), 'one');
    writeFileSync(join(folder, 'photos', 'trial', 'two.large.jpg.part'), 'half');
    expect((await backUpInto(join(folder, 'copy'))).ok).toBe(true);
    writeFileSync(join(folder, 'photos', 'trial', 'three.large.jpg'), 'three');
    expect(readdirSync(join(folder, 'copy', 'photos', 'trial'))).toEqual(['one.large.jpg']);
  });

  test('what is written while a backup is made is kept, and the backup is one sound file of before', async () => {
    await madeGarden();
    for (let nth = 0; nth < 40; nth++)
      await database()('changes').insert(changeOf('x'.repeat(20_000)));
    const made = backUpInto(join(folder, 'copy'));
    await new Promise(resolve => setImmediate(resolve));
    await database()('changes').insert(changeOf('late'));
    expect((await made).ok).toBe(true);
    expect(readdirSync(join(folder, 'copy'))).toEqual(['turnspit.sqlite']);
    expect(troubleOf(checkDataFile(join(folder, 'copy', 'turnspit.sqlite')))).toBe('sound');
    expect(await database()('changes').count({ n: '*' }).first()).toEqual({ n: 41 });
  });

  test('a restore that was cut off is not taken for a new garden', () => {
    writeFileSync(`${file}.coming`, 'half');
    expect(troubleOf(checkDataFile(file))).toBe('half-restored');
  });
});
