import { addDays } from '@/core/time/garden-day';
import type { GardenId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import { type DemoScript, demoTrial } from './demo-trial';
import type { SeasonDice } from './seeded-season';

const SWEET_PEAS: Omit<DemoScript, 'startsOn'> = {
  question: 'Do sweet peas flower more when they are pinched?',
  act: 'pruning',
  crop: 'sweet peas',
  picked: 'stems',
  unitWord: 'cane',
  factors: [{ name: 'pinching', levels: ['left alone', 'pinched'], dealtAt: 'cane' }],
  treatments: [
    { name: 'left alone', levels: { pinching: 'left alone' }, effect: 0 },
    { name: 'pinched', levels: { pinching: 'pinched' }, effect: 0.3 },
  ],
  bench: { unitsEach: 5, blockCount: 5, blockWord: 'variety', unitWidthMm: 300, seed: 640 },
  blockNames: ['white', 'cream', 'lavender', 'striped', 'dark red'],
  lengthDays: 120,
  isBlind: false,
  marginPercent: 20,
  main: 'sound-count',
  isOnlyCounted: true,
  harvestG: 900,
  cv: 0.09,
  pieceG: 9,
  pickDays: [
    { day: 72, share: 0.06 },
    { day: 76, share: 0.08 },
    { day: 80, share: 0.1 },
    { day: 84, share: 0.1 },
    { day: 88, share: 0.11 },
  ],
};

/** Pairs within five varieties, running: stems are counted, and the last picking is two days ago. */
export function sweetPeas(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  return demoTrial({ ...SWEET_PEAS, startsOn: addDays(today, -90) }, gardenId, dice);
}
