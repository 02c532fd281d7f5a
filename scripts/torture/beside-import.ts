// How long other pages are waited for while a large table is taken in, beside how long they take by themselves.
import { v7 } from 'uuid';
import { addDays } from '@/core/time/garden-day';
import { today } from '@/service/garden/clock';
import { type TortureGarden, tell, tortureGarden } from './garden';
import { served } from './server';

const IDLE_ROUNDS = 15;

export async function besideImport(rows: number): Promise<void> {
  const garden = await tortureGarden();
  const { url, end } = await served(garden.file, 4396);
  const pages = ['', 'trials', 'shelf', `trials/${garden.trialId}/weigh`].map(
    path => `${url}/${path}`,
  );
  // Made before: a long silence would cost the connection.
  const csv = tableOf(garden, rows);
  for (const page of pages) await timed(page);
  const idle: number[] = [];
  for (let round = 0; round < IDLE_ROUNDS; round++)
    for (const page of pages) idle.push(await timed(page));
  tell('pages alone: half within, 95% within, longest, ms', spread(idle));

  const sending = take(url, garden, csv);
  let isDone = false;
  void sending.finally(() => {
    isDone = true;
  });
  const beside: number[] = [];
  for (let nth = 0; !isDone; nth++) beside.push(await timed(pages[nth % pages.length] ?? url));
  tell(`pages beside ${rows} rows (${beside.length} asked)`, spread(beside));
  tell('the last line of the answer', await sending);
  await end();
}

/** One reading a row, each of a part and day of its own. */
function tableOf(garden: TortureGarden, rows: number): string {
  const units = garden.unitIds.length;
  const lines = Array.from({ length: rows }, (_, i) => {
    const day = addDays(today(), -(Math.floor(i / units) % 800));
    return `${garden.codes[i % units]},${day},p${Math.floor(i / units / 800)},${i % 90}`;
  });
  return ['unit,day,part,leaves', ...lines].join('\n');
}

async function take(url: string, garden: TortureGarden, csv: string): Promise<string> {
  const answer = await fetch(`${url}/api/import/${garden.trialId}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      id: v7(),
      csv,
      roles: [
        { kind: 'unit' },
        { kind: 'day' },
        { kind: 'part' },
        { kind: 'measure', measureId: garden.measureId, unit: '' },
      ],
      day: today(),
    }),
  });
  return (await answer.text()).trim().split('\n').at(-1) ?? '';
}

async function timed(page: string): Promise<number> {
  const began = performance.now();
  const answer = await fetch(page);
  await answer.arrayBuffer();
  return performance.now() - began;
}

function spread(times: readonly number[]): string {
  const sorted = [...times].sort((a, b) => a - b);
  return [0.5, 0.95, 1]
    .map(share => Math.round(sorted[Math.ceil(share * sorted.length) - 1] ?? 0))
    .join(' ');
}
