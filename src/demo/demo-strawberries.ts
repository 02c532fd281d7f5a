import { addDays } from '@/core/time/garden-day';
import type { GardenId } from '@/core/trial/model/ids';
import type { Pick } from '@/core/trial/model/pick';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import type { CareScript } from './demo-care';
import type { ReadScript } from './demo-readings';
import type { DemoShelf } from './demo-shelf';
import { type DemoScript, demoTrial } from './demo-trial';
import type { SeasonDice } from './seeded-season';

export function strawberryCare({ heronsgill }: DemoShelf): CareScript {
  return {
    products: [heronsgill],
    stages: { 'first flower': 22 },
    mixMl: 14_000,
    mixNMgPerL: 180,
    late: [{ rule: 1, nth: 3, days: 1 }],
    leftOut: [],
    rules: strawberryRules(heronsgill.id),
  };
}

const isFed = (name: string): boolean => name.endsWith('Heronsgill feed');

function strawberryRules(productId: string): CareScript['rules'] {
  const feed = {
    kind: 'feed',
    repeat: 'every',
    everyDays: '7',
    productId,
    water: '1.5 l',
    minutesEach: '1',
  } as const;
  return [
    {
      ...feed,
      name: 'feed at half strength',
      to: isFed,
      from: 'start',
      fromDays: '8',
      strength: '1/2',
      until: 'stage',
      untilStage: 'first flower',
    },
    {
      ...feed,
      name: 'feed at full strength',
      to: isFed,
      from: 'stage',
      fromStage: 'first flower',
      fromDays: '0',
    },
    {
      name: 'plain water on feeding days',
      kind: 'water',
      to: name => !isFed(name),
      repeat: 'every',
      everyDays: '7',
      from: 'stage',
      fromStage: 'first flower',
      fromDays: '0',
    },
    {
      name: 'count runners, cut none',
      kind: 'look',
      to: () => true,
      repeat: 'weekdays',
      weekdays: [3],
      from: 'start',
      fromDays: '20',
    },
    {
      name: 'photo from the gate',
      kind: 'photo',
      to: () => true,
      repeat: 'every',
      everyDays: '14',
      from: 'start',
      fromDays: '4',
    },
  ];
}

/** Fed troughs make more and darker leaves; today's walk is half done. */
export function strawberryReads({ treatments }: TrialData): readonly ReadScript[] {
  const fed = (unit: ExperimentalUnit): number =>
    treatments.find(treatment => treatment.id === unit.treatmentId)?.levels.feed ===
    'Heronsgill feed'
      ? 1
      : 0;
  return [
    {
      key: 'leaves',
      days: [20, 41, 57, 64],
      onLastDay: 7,
      of: (day, unit) => 6 + day * (0.28 + 0.07 * fed(unit)),
      sd: 2,
      least: 0,
      most: 90,
    },
    {
      key: 'leaf-colour',
      days: [41, 57],
      onLastDay: 24,
      of: (_, unit) => 3 + 0.7 * fed(unit),
      sd: 0.6,
      least: 1,
      most: 5,
    },
  ];
}

const PICKED_TODAY = 15;

export function strawberries(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const cell = (medium: string, feed: string, effect: number) => ({
    name: `${medium}, ${feed}`,
    levels: { medium, feed },
    effect,
  });
  const script: DemoScript = {
    question: 'Bark or loam in the troughs, and does either want feeding?',
    act: 'mix',
    crop: 'strawberries',
    picked: 'strawberries',
    unitWord: 'trough',
    factors: [
      { name: 'medium', levels: ['loam', 'bark mix'], dealtAt: 'trough' },
      { name: 'feed', levels: ['plain water', 'Heronsgill feed'], dealtAt: 'trough' },
    ],
    treatments: [
      cell('loam', 'plain water', 0),
      cell('loam', 'Heronsgill feed', 0.1),
      cell('bark mix', 'plain water', -0.12),
      cell('bark mix', 'Heronsgill feed', 0.2),
    ],
    bench: { unitsEach: 6, blockCount: 6, blockWord: 'row', unitWidthMm: 300, seed: 905 },
    startsOn: addDays(today, -64),
    lengthDays: 110,
    isBlind: true,
    marginPercent: 20,
    harvestG: 900,
    cv: 0.2,
    pieceG: 14,
    pickDays: [
      { day: 43, share: 0.12 },
      { day: 50, share: 0.18 },
      { day: 57, share: 0.2 },
      { day: 64, share: 0.16 },
    ],
  };
  const data = demoTrial(script, gardenId, dice);
  const walked = (unit: ExperimentalUnit): boolean => unit.position < PICKED_TODAY;
  const unitOf = new Map(data.units.map(unit => [unit.id, unit]));
  const picks = data.picks.filter(
    pick => pick.pickedOn !== today || walked(unitOf.get(pick.unitId) ?? data.units[0]!),
  );
  return { ...data, picks: picks.map((pick, i) => (i === 17 ? nothingThere(pick) : pick)) };
}

function nothingThere(pick: Pick): Pick {
  return {
    ...pick,
    outcome: 'nothing-there',
    pieces: null,
    grossG: null,
    netG: null,
    tareG: 0,
    asWritten: '',
    note: 'All still green.',
  };
}
