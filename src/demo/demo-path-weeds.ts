import { addDays } from '@/core/time/garden-day';
import type { GardenId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { judgedBy, type ReadScript, withReadings } from './demo-readings';
import { type DemoScript, demoTrial } from './demo-trial';
import type { SeasonDice } from './seeded-season';

const remedy = (name: string) => ({ name, levels: { remedy: name }, effect: 0 });

const PATH: Omit<DemoScript, 'startsOn'> = {
  question: 'What keeps weeds down on the gravel path?',
  act: 'weeds',
  crop: 'gravel path',
  picked: 'weeds',
  unitWord: 'stretch',
  factors: [
    {
      name: 'remedy',
      levels: ['left alone', 'boiling water', 'hoeing', 'flame'],
      dealtAt: 'stretch',
    },
  ],
  treatments: ['left alone', 'boiling water', 'hoeing', 'flame'].map(remedy),
  bench: { unitsEach: 5, blockCount: 5, blockWord: 'length', unitWidthMm: 1000, seed: 88 },
  lengthDays: 60,
  isBlind: false,
  marginPercent: 25,
  main: 'read',
  harvestG: 0,
  cv: 0,
  pieceG: 1,
  pickDays: [],
};

/** Cover gains on what is left alone; hoeing brings up new seed. */
function coverReads({ treatments }: TrialData): readonly ReadScript[] {
  const daily: Readonly<Record<string, number>> = {
    'left alone': 0.9,
    'boiling water': 0.25,
    hoeing: 0.55,
    flame: 0.3,
  };
  const nameOf = (unit: ExperimentalUnit): string =>
    treatments.find(({ id }) => id === unit.treatmentId)?.name ?? '';
  return [
    {
      key: 'weed-cover',
      days: [0, 7, 28, 42],
      onLastDay: 20,
      of: (day, unit) => 30 + day * (daily[nameOf(unit)] ?? 0) - (day > 0 ? 10 : 0),
      sd: 7,
      step: 5,
      least: 0,
      most: 100,
    },
  ];
}

/** Three remedies beside nothing, running: how much of the ground is hidden, from pictures. */
export function pathWeeds(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const data = demoTrial({ ...PATH, startsOn: addDays(today, -44) }, gardenId, dice);
  return judgedBy(withReadings(data, coverReads(data), dice), 'weed-cover', {
    margin: { kind: 'absolute', amount: 10 },
    better: 'lower',
  });
}
