import type { GardenId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import { closed } from './closed-demo';
import { type DemoScript, demoTrial } from './demo-trial';
import type { SeasonDice } from './seeded-season';

const grownIn = (name: string, effect: number) => ({ name, levels: { 'grown in': name }, effect });

const COURGETTES: Omit<DemoScript, 'startsOn'> = {
  question: 'Do courgettes crop as well in sacks or tubs as in the ground?',
  act: 'container',
  crop: 'courgettes',
  picked: 'courgettes',
  unitWord: 'plant',
  factors: [{ name: 'grown in', levels: ['open ground', 'sack', 'tub'], dealtAt: 'plant' }],
  treatments: [grownIn('open ground', 0), grownIn('sack', -0.1), grownIn('tub', 0.06)],
  bench: { unitsEach: 4, blockCount: 4, blockWord: 'bed', unitWidthMm: 800, seed: 1570 },
  lengthDays: 112,
  isBlind: false,
  marginPercent: 20,
  harvestG: 3600,
  cv: 0.28,
  pieceG: 240,
  pickDays: [
    { day: 58, share: 0.1 },
    { day: 66, share: 0.15 },
    { day: 74, share: 0.2 },
    { day: 82, share: 0.2 },
    { day: 90, share: 0.15 },
    { day: 98, share: 0.12 },
    { day: 106, share: 0.08 },
  ],
};

/** Four plants of each, which differ as courgettes do: finished, and it can’t be told. */
export function courgettes(startsOn: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  return closed(demoTrial({ ...COURGETTES, startsOn }, gardenId, dice));
}
