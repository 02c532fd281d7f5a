import { addDays } from '@/core/trial/calendar-day';
import { today } from '@/service/clock';
import { keepSeason } from '@/service/keep-trial';
import { closeStore, dataFileName, dataFileSentence, startStore } from '@/service/start';
import { fetchStandIn } from '@/service/weather';
import { demoSeason } from './demo-season';
import { keepCloseLooks } from './keep-close-looks';

// Fills an empty data file with the demo season; what a gardener entered is never touched.
const started = await startStore();
if (!started.ok) {
  process.stderr.write(`${dataFileSentence(started.trouble)}\n`);
  process.exit(1);
}
const season = demoSeason(today());
const isKept = await keepSeason(season.garden, season.trials, season.shelf);
const strawberries = season.trials.find(data => data.trial.crop === 'strawberries');
if (isKept) await fetchStandIn(addDays(today(), -160), today());
if (isKept && strawberries) await keepCloseLooks(strawberries);
process.stdout.write(
  isKept
    ? `The demo season is in ${dataFileName()}.\n`
    : `${dataFileName()} holds trials already: nothing was added.\n`,
);
await closeStore();
