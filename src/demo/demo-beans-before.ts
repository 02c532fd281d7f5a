import { addDays } from '@/core/time/garden-day';
import type { GardenId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import { closed } from './closed-demo';
import { demoTrial } from './demo-trial';
import type { SeasonDice } from './seeded-season';

/** The bean trial of the year before, smaller, one feed fewer: for taking seasons together. */
export function beansBefore(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const level = (feed: string, effect: number) => ({ name: feed, levels: { feed }, effect });
  return closed(
    demoTrial(
      {
        question: 'Does Heronsgill feed help dwarf beans?',
        act: 'feed',
        crop: 'dwarf beans',
        picked: 'beans',
        unitWord: 'pot',
        factors: [
          {
            name: 'feed',
            levels: ['plain water', 'Heronsgill feed', 'comfrey tea'],
            dealtAt: 'pot',
          },
        ],
        treatments: [
          level('plain water', 0),
          level('Heronsgill feed', 0.3),
          level('comfrey tea', 0.04),
        ],
        bench: { unitsEach: 5, blockCount: 5, blockWord: 'shelf', unitWidthMm: 240, seed: 2217 },
        startsOn: addDays(today, -470),
        lengthDays: 88,
        isBlind: true,
        marginPercent: 15,
        harvestG: 410,
        cv: 0.15,
        pieceG: 6,
        pickDays: [
          { day: 64, share: 0.5 },
          { day: 78, share: 0.5 },
        ],
      },
      gardenId,
      dice,
    ),
  );
}
