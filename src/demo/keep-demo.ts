import { addDays } from '@/core/time/garden-day';
import { closeStore, dataFileName, dataFileSentence, startStore } from '@/service/garden/start';
import { fetchStandIn } from '@/service/garden/weather';
import { keepSeason } from '@/service/trial/keep-trial';
import { DEMO_DAY, demoSeason } from './demo-season';
import { keepCloseLooks } from './keep-inspections';

// Fills an empty data file with the demo season; what a gardener entered is never touched.
const started = await startStore();
if (!started.ok) {
  process.stderr.write(`${dataFileSentence(started.trouble)}\n`);
  process.exit(1);
}
const season = demoSeason();
const isKept = await keepSeason(season.garden, season.trials, season.shelf);
const strawberries = season.trials.find(data => data.trial.crop === 'strawberries');
if (isKept) await fetchStandIn(addDays(DEMO_DAY, -410), DEMO_DAY);
if (isKept && strawberries) await keepCloseLooks(strawberries);
process.stdout.write(
  isKept
    ? `The demo season is in ${dataFileName()}.\n`
    : `${dataFileName()} holds trials already: nothing was added.\n`,
);
await closeStore();
