// Mixed use for a while: does memory stay level? The garden grows to a season's entries first and stays so: the same entries are
// sent again after that, so that what grows is the server and not the garden.
import { v7 } from 'uuid';
import { today } from '@/service/garden/clock';
import { tell, tortureGarden } from './garden';
import { pauseFor, served } from './server';

const PAGES = ['', 'trials', 'shelf', 'garden', 'weather'];
const STEPS = [
  'ask',
  'lay-out',
  'tend',
  'weigh',
  'readings',
  'walk',
  'inspect',
  'judge',
  'report',
  'print',
  'calendar',
  'print/labels',
];

const SEASON_OF_ENTRIES = 600;

export async function soak(minutes: number): Promise<void> {
  const garden = await tortureGarden();
  const { url, memory, end } = await served(garden.file, 4394);
  const until = Date.now() + minutes * 60_000;
  const marks: number[] = [];
  const ids: string[] = [];
  let [asked, failed, next] = [0, 0, Date.now() + 60_000];
  while (Date.now() < until) {
    const path =
      asked % 3 === 0
        ? PAGES[asked % PAGES.length]
        : `trials/${garden.trialId}/${STEPS[asked % STEPS.length]}`;
    const page = await fetch(`${url}/${path}`);
    await page.arrayBuffer();
    const nth = asked % SEASON_OF_ENTRIES;
    const id = ids[nth] ?? v7();
    ids[nth] = id;
    const entry = {
      id,
      unitId: garden.unitIds[nth % garden.unitIds.length],
      measureId: garden.measureId,
      takenOn: today(),
      subsample: `s${nth % 50}`,
      value: String(nth % 90),
      outcome: 'picked',
      note: '',
      isRepeat: true,
      supersedes: null,
    };
    const put = await fetch(`${url}/api/readings/${garden.trialId}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify([entry]),
    });
    await put.arrayBuffer();
    if (page.status >= 500 || put.status >= 500) failed += 1;
    asked += 1;
    if (Date.now() > next) {
      marks.push(Math.round(memory()));
      next += 60_000;
    }
    await pauseFor(250);
  }
  tell(`${minutes} minutes: pages and entries; 5xx`, `${asked}; ${failed}`);
  tell('memory by the minute, MB', marks.join(' '));
  await end();
}
