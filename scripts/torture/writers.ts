// Fifty writers at once, and another program that keeps the file to itself for ten seconds.
import Sqlite from 'better-sqlite3';
import { v7 } from 'uuid';
import { today } from '@/service/garden/clock';
import { type TortureGarden, tell, tortureGarden } from './garden';
import { pauseFor, served } from './server';

const WRITERS = 50;
const LOCK_MS = 10_000;

interface Sent {
  readonly answered: string[];
  readonly statuses: Map<number, number>;
  slowest: number;
  /** Connections that broke and were tried again. */
  broken: number;
}

async function writeUntil(
  url: string,
  garden: TortureGarden,
  until: number,
  sent: Sent,
): Promise<void> {
  for (let i = 0; Date.now() < until; i++) {
    const id = v7();
    const entry = {
      id,
      unitId: garden.unitIds[i % garden.unitIds.length],
      measureId: garden.measureId,
      takenOn: today(),
      subsample: id.slice(-12),
      value: '3',
      outcome: 'picked',
      note: '',
      isRepeat: false,
      supersedes: null,
    };
    const began = Date.now();
    const answer = await post(`${url}/api/readings/${garden.trialId}`, [entry], sent);
    sent.slowest = Math.max(sent.slowest, Date.now() - began);
    sent.statuses.set(answer.status, (sent.statuses.get(answer.status) ?? 0) + 1);
    const [said] = answer.ok ? await answer.json() : [undefined];
    if (said?.result.ok) sent.answered.push(id);
  }
}

/** Sends until there is an answer, as a walk does: a connection may break, and the same id sent twice is one entry. */
async function post(url: string, entries: readonly unknown[], sent: Sent): Promise<Response> {
  for (;;) {
    try {
      return await fetch(url, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(entries),
      });
    } catch {
      sent.broken += 1;
    }
  }
}

async function allWrite(url: string, garden: TortureGarden, forMs: number): Promise<Sent> {
  const sent: Sent = { answered: [], statuses: new Map(), slowest: 0, broken: 0 };
  const until = Date.now() + forMs;
  await Promise.all(Array.from({ length: WRITERS }, () => writeUntil(url, garden, until, sent)));
  return sent;
}

function lostOf({ answered }: Sent, { file }: TortureGarden): number {
  const db = new Sqlite(file, { readonly: true });
  const found = new Set(db.prepare('select id from readings').pluck().all());
  db.close();
  return answered.filter(id => !found.has(id)).length;
}

function tellOf(what: string, sent: Sent, garden: TortureGarden): void {
  tell(`${what}: answered`, sent.answered.length);
  tell('connections that broke, sent again', sent.broken);
  tell('by status', [...sent.statuses].map(([status, times]) => `${status}: ${times}`).join(', '));
  tell('lost; slowest answer', `${lostOf(sent, garden)}; ${(sent.slowest / 1000).toFixed(1)} s`);
}

export async function writers(seconds: number): Promise<void> {
  const garden = await tortureGarden();
  const { url, end } = await served(garden.file, 4391);
  tellOf(
    `${WRITERS} writers for ${seconds} s`,
    await allWrite(url, garden, seconds * 1000),
    garden,
  );
  const other = new Sqlite(garden.file);
  other.exec('BEGIN IMMEDIATE');
  setTimeout(() => other.exec('COMMIT'), LOCK_MS);
  const pages: number[] = [];
  const reading = (async () => {
    const until = Date.now() + LOCK_MS;
    while (Date.now() < until) {
      const began = Date.now();
      await (await fetch(`${url}/trials`)).text();
      pages.push(Date.now() - began);
      await pauseFor(100);
    }
  })();
  tellOf(
    `the same with the file locked for ${LOCK_MS / 1000} s`,
    await allWrite(url, garden, LOCK_MS + 2000),
    garden,
  );
  await reading;
  tell('a page meanwhile, median ms', pages.sort((a, b) => a - b)[pages.length >> 1]);
  other.close();
  await end();
}
