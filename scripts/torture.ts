// npm run torture: kills, locks, nonsense and full disks. Takes long, prints figures and asserts nothing; `npm run torture -- kills`
// runs one, `-- kills 100` so many. Needs a build.
import { besideImport } from './torture/beside-import';
import { disk } from './torture/disk';
import { fuzz } from './torture/fuzz';
import { kills, killsOnTheWay } from './torture/kills';
import { soak } from './torture/soak';
import { writers } from './torture/writers';

const TORTURES: Readonly<Record<string, (much: number | undefined) => Promise<void>>> = {
  kills: (times = 800) => kills(times),
  way: (times = 200) => killsOnTheWay(times),
  writers: (seconds = 60) => writers(seconds),
  fuzz: (times = 10_000) => fuzz(times),
  disk: () => disk(),
  import: (rows = 100_000) => besideImport(rows),
  soak: (minutes = 30) => soak(minutes),
};

const [name, much] = process.argv.slice(2);
for (const [each, run] of Object.entries(TORTURES))
  if (name === undefined || name === each) {
    console.log(`\n${each}`);
    await run(much === undefined ? undefined : Number(much));
  }
