import { addDays } from '@/core/time/garden-day';
import type { GardenId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { closed } from './closed-demo';
import { judgedBy, type ReadScript, withReadings } from './demo-readings';
import { type DemoScript, demoTrial } from './demo-trial';
import type { SeasonDice } from './seeded-season';

const SLUG_TRIAL_DAYS = 45;

const remedy = (name: string, effect: number) => ({ name, levels: { remedy: name }, effect });
const LETTUCES: Omit<DemoScript, 'startsOn'> = {
  question: 'What keeps slugs off lettuce?',
  act: 'remedy',
  crop: 'lettuce',
  picked: 'lettuce',
  unitWord: 'pot',
  factors: [
    {
      name: 'remedy',
      levels: ['plain pots', 'copper band', 'crushed shells', 'beer trap'],
      dealtAt: 'pot',
    },
  ],
  treatments: [
    remedy('plain pots', 0),
    remedy('copper band', 0.35),
    remedy('crushed shells', 0.02),
    remedy('beer trap', 0.1),
  ],
  bench: { unitsEach: 6, blockCount: 6, blockWord: 'row', unitWidthMm: 220, seed: 312 },
  lengthDays: SLUG_TRIAL_DAYS,
  isBlind: false,
  marginPercent: 20,
  main: 'read',
  harvestG: 260,
  cv: 0.22,
  pieceG: 260,
  pickDays: [{ day: 44, share: 1 }],
};

/** Days to the first bite, holed leaves, slugs found and vigour: none of them a mean. */
export function lettuces(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const script = { ...LETTUCES, startsOn: addDays(today, -110) };
  const data = demoTrial(script, gardenId, dice);
  return closed(
    judgedBy(withReadings(data, slugReads(data), dice), 'first-pest', {
      margin: { kind: 'absolute', amount: 7 },
      better: 'higher',
    }),
  );
}

function slugReads({ treatments }: TrialData): readonly ReadScript[] {
  const remedyOf = (unit: ExperimentalUnit): string =>
    treatments.find(treatment => treatment.id === unit.treatmentId)?.name ?? '';
  const among =
    (copper: number, shells: number, beer: number, none: number) =>
    (_: number, unit: ExperimentalUnit): number =>
      ({ 'copper band': copper, 'crushed shells': shells, 'beer trap': beer })[remedyOf(unit)] ??
      none;
  return [
    {
      key: 'first-pest',
      days: [SLUG_TRIAL_DAYS - 1],
      onLastDay: 24,
      of: among(44, 14, 21, 12),
      sd: 5,
      least: 3,
      most: 90,
      lastLook: SLUG_TRIAL_DAYS - 2,
    },
    {
      key: 'holed-leaves',
      days: [30, 43],
      onLastDay: 24,
      of: among(2, 9, 6, 10),
      sd: 1.6,
      least: 0,
      most: 16,
      outOf: 16,
    },
    {
      key: 'slugs',
      days: [12, 20, 28, 36],
      onLastDay: 24,
      of: among(0.6, 2.4, 1.8, 2.6),
      sd: 1.2,
      least: 0,
      most: 12,
    },
    {
      key: 'vigour',
      days: [43],
      onLastDay: 24,
      of: among(7.4, 5.2, 5.8, 5),
      sd: 1,
      least: 1,
      most: 9,
    },
  ];
}
