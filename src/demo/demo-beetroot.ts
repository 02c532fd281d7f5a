import { addDays } from '@/core/time/garden-day';
import type { GardenId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { closed } from './closed-demo';
import { type ReadScript, withReadings } from './demo-readings';
import { demoTrial } from './demo-trial';
import type { SeasonDice } from './seeded-season';

/** What a handful smells of at the end: a class, and nothing to take a mean of. */
function smells({ treatments }: TrialData): readonly ReadScript[] {
  const doseOf = (unit: ExperimentalUnit): number =>
    treatments.find(treatment => treatment.id === unit.treatmentId)?.dose ?? 0;
  return [
    {
      key: 'smell',
      days: [104],
      onLastDay: 24,
      of: (_, unit) => (doseOf(unit) === 0 ? 0.1 : doseOf(unit) > 6 ? 1.3 : 0.9),
      sd: 0.45,
      least: 0,
      most: 3,
    },
  ];
}

export function beetroot(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const depth = (cm: number, effect: number) => ({
    name: `${cm} cm`,
    levels: { 'leaf-mould': `${cm} cm` },
    effect,
    dose: cm,
  });
  const data = demoTrial(
    {
      question: 'How deep must leaf-mould lie under beetroot?',
      act: 'amendment',
      crop: 'beetroot',
      picked: 'beetroot',
      unitWord: 'box',
      factors: [{ name: 'leaf-mould', levels: ['0 cm', '2 cm', '4 cm', '8 cm'], dealtAt: 'box' }],
      treatments: [depth(0, 0), depth(2, 0.5), depth(4, 0.68), depth(8, 0.66)],
      bench: { unitsEach: 6, blockCount: 6, blockWord: 'row', unitWidthMm: 400, seed: 771 },
      startsOn: addDays(today, -140),
      lengthDays: 105,
      isBlind: false,
      marginPercent: 15,
      harvestG: 1400,
      cv: 0.08,
      pieceG: 120,
      pickDays: [{ day: 104, share: 1 }],
    },
    gardenId,
    dice,
  );
  return closed(withReadings(data, smells(data), dice));
}
