import type { GardenId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import { closed } from './closed-demo';
import { type DemoScript, demoTrial } from './demo-trial';
import type { SeasonDice } from './seeded-season';

const ONIONS: Omit<DemoScript, 'startsOn'> = {
  question: 'Do onions want a mulch of straw, in three gardens?',
  act: 'mulch',
  crop: 'onions',
  picked: 'onions',
  unitWord: 'bed',
  factors: [{ name: 'mulch', levels: ['bare soil', 'straw'], dealtAt: 'bed' }],
  treatments: [
    { name: 'bare soil', levels: { mulch: 'bare soil' }, effect: 0 },
    { name: 'straw', levels: { mulch: 'straw' }, effect: 0.42 },
  ],
  bench: {
    unitsEach: 9,
    blockCount: 3,
    blockWord: 'garden',
    unitWidthMm: 1000,
    unitShape: 'square',
    seed: 2951,
  },
  blockNames: ['Cinder Row', 'Quarry Lane', 'Mill Bank'],
  blocksAbout: [
    { place: 'behind the station', soil: 'loam over ash', person: 'Ottilie' },
    { place: 'top of the hill', soil: 'stony', person: 'Bram' },
    { place: 'by the brook', soil: 'clay', person: 'Senna' },
  ],
  lengthDays: 130,
  isBlind: false,
  marginPercent: 15,
  harvestG: 2600,
  cv: 0.12,
  pieceG: 130,
  pickDays: [{ day: 128, share: 1 }],
};

/** One trial in three gardens, three beds of each in every one: finished the summer before. */
export function onions(startsOn: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  return closed(demoTrial({ ...ONIONS, startsOn }, gardenId, dice));
}
