// Mixed use for a while: does memory stay level?
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

export async function soak(minutes: number): Promise<void> {
  const garden = await tortureGarden();
  const { url, memory, end } = await served(garden.file, 4394);
  const until = Date.now() + minutes * 60_000;
  const marks: number[] = [];
  let [asked, failed, next] = [0, 0, Date.now() + 60_000];
  while (Date.now() < until) {
    const path =
      asked % 3 === 0
        ? PAGES[asked % PAGES.length]
        : `trials/${garden.trialId}/${STEPS[asked % STEPS.length]}`;
    const page = await fetch(`${url}/${path}`);
    await page.arrayBuffer();
    const id = v7();
    const entry = {
      id,
      unitId: garden.unitIds[asked % garden.unitIds.length],
      measureId: garden.measureId,
      takenOn: today(),
      subsample: `s${asked % 50}`,
      value: String(asked % 90),
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
