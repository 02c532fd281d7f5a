import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { v7 } from 'uuid';
import { DEMO_DAY } from '@/demo/demo-season';
import { expect, freePort, keepDemo, startServer, test } from './garden-server';

interface Row {
  readonly id: string;
}

test('a server killed in the middle of a thousand writes: every answered one is there, and the file is sound', async () => {
  test.slow();
  const file = join(mkdtempSync(join(tmpdir(), 'turnspit-')), 'garden.sqlite');
  keepDemo(file);
  const before = new Sqlite(file);
  const ask = (sql: string): Row => before.prepare<[], Row>(sql).get() ?? { id: '' };
  const trial = ask("select id from trials where state = 'locked'").id;
  const unit = ask(`select id from units where trial_id = '${trial}' order by position`).id;
  const measure = ask(
    `select id from measures where trial_id = '${trial}' and kind_key = 'leaves'`,
  ).id;
  before.close();
  const port = await freePort();
  const server = startServer(file, port);
  const url = `http://127.0.0.1:${port}/api/readings/${trial}`;
  await expect
    .poll(() =>
      fetch(`http://127.0.0.1:${port}/`).then(
        answer => answer.status,
        () => 0,
      ),
    )
    .toBe(200);
  const answered: string[] = [];
  for (let i = 0; i < 1000; i++) {
    const id = v7();
    const entry = {
      id,
      unitId: unit,
      measureId: measure,
      takenOn: DEMO_DAY,
      subsample: `write ${i}`,
      value: '3',
    };
    if (i === 500) setTimeout(() => server.kill('SIGKILL'), 5); // while this one is on its way
    const answer = await fetch(url, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify([entry]),
    }).then(
      response => response.json(),
      () => null,
    );
    if (answer === null) break;
    expect(answer).toMatchObject([{ id, result: { ok: true } }]);
    answered.push(id);
  }
  expect(answered.length).toBeGreaterThanOrEqual(500);
  expect(answered.length).toBeLessThan(1000);
  const after = new Sqlite(file);
  expect(after.pragma('integrity_check', { simple: true })).toBe('ok');
  expect(after.pragma('foreign_key_check')).toEqual([]);
  const stored = new Set(
    after
      .prepare<[], Row>('select id from readings')
      .all()
      .map(row => row.id),
  );
  expect(answered.filter(id => !stored.has(id))).toEqual([]);
  after.close();
});
