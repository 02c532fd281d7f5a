import { addDays } from '@/core/time/garden-day';
import { BLANK_FEATURE } from '@/core/trial/model/blank-facts';
import { type GardenId, IncidentId, PickId } from '@/core/trial/model/ids';
import type { Incident } from '@/core/trial/model/incident';
import type { Pick } from '@/core/trial/model/pick';
import type { Prediction } from '@/core/trial/model/plan-record';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import type { CareScript } from './demo-care';
import type { ReadScript } from './demo-readings';
import type { DemoShelf } from './demo-shelf';
import { type DemoScript, demoTrial } from './demo-trial';
import type { SeasonDice } from './seeded-season';

/** Three feeds a week apart by their labels: equal care, unequal nitrogen. */
export function beanCare({ heronsgill, wrackline, comfrey }: DemoShelf): CareScript {
  const weekly = {
    kind: 'feed',
    repeat: 'every',
    everyDays: '7',
    from: 'start',
    fromDays: '14',
    water: '1 l',
    minutesEach: '1',
  } as const;
  return {
    products: [heronsgill, wrackline, comfrey],
    stages: {},
    mixMl: 9000,
    mixNMgPerL: 210,
    late: [{ rule: 1, nth: 4, days: 2 }],
    leftOut: [{ rule: 2, nth: 6, why: 'The bucket was empty.' }],
    rules: [
      {
        ...weekly,
        name: 'Heronsgill weekly',
        to: name => name === 'Heronsgill feed',
        productId: heronsgill.id,
      },
      {
        ...weekly,
        name: 'Wrackline weekly',
        to: name => name === 'Wrackline feed',
        productId: wrackline.id,
        choice: 'middle',
      },
      {
        ...weekly,
        name: 'comfrey weekly',
        to: name => name === 'comfrey tea',
        productId: comfrey.id,
      },
      {
        ...weekly,
        name: 'plain water weekly',
        kind: 'water',
        to: name => name === 'plain water',
        minutesEach: '0.5',
      },
    ],
  };
}

const ALL_POTS = 32;

/** Twelve measures in all: a feed that helps shows in what grows, and in little else. */
export function beanReads({ treatments }: TrialData): readonly ReadScript[] {
  const among =
    (none: number, heronsgill: number, wrackline: number, comfrey: number): OfUnit =>
    unit =>
      [none, heronsgill, wrackline, comfrey][
        treatments.findIndex(treatment => treatment.id === unit.treatmentId)
      ] ?? none;
  return [
    ...growthReads(among(4.1, 4.9, 4.4, 4.2)),
    {
      key: 'days-dry',
      days: [55],
      onLastDay: ALL_POTS,
      of: (_, unit) => among(5, 4, 5, 5)(unit),
      sd: 0.9,
      least: 1,
      most: 12,
    },
    ...endReads(among(4.1, 4.9, 4.4, 4.2), among(21, 24, 22, 21)),
  ];
}

type OfUnit = (unit: ExperimentalUnit) => number;

/** @param height of a unit, in mm a day */
function growthReads(height: OfUnit): readonly ReadScript[] {
  return [
    {
      key: 'height',
      days: [20, 34, 48, 60],
      onLastDay: ALL_POTS,
      of: (day, unit) => 60 + day * height(unit),
      sd: 16,
      step: 5,
      least: 20,
      most: 600,
    },
    {
      key: 'stem',
      days: [34, 60],
      onLastDay: ALL_POTS,
      of: (day, unit) => 2 + day * 0.012 * height(unit),
      sd: 0.35,
      step: 0.1,
      least: 1,
      most: 12,
    },
    {
      key: 'leaf-length',
      days: [48],
      onLastDay: ALL_POTS,
      of: (_, unit) => 17 * height(unit),
      sd: 6,
      least: 20,
      most: 160,
    },
    {
      key: 'leaf-width',
      days: [48],
      onLastDay: ALL_POTS,
      of: (_, unit) => 13 * height(unit),
      sd: 5,
      least: 15,
      most: 130,
    },
  ];
}

/** What is read when the pots are emptied. */
function endReads(height: OfUnit, roots: OfUnit): readonly ReadScript[] {
  const atTheEnd = { days: [88], onLastDay: ALL_POTS };
  return [
    { key: 'ph', ...atTheEnd, of: () => 6.4, sd: 0.2, step: 0.1, least: 5, most: 8 },
    {
      key: 'root-mass',
      ...atTheEnd,
      of: (_, unit) => roots(unit),
      sd: 3.4,
      step: 0.1,
      least: 4,
      most: 60,
    },
    {
      key: 'top-mass',
      ...atTheEnd,
      of: (_, unit) => 38 * height(unit),
      sd: 24,
      least: 40,
      most: 400,
    },
  ];
}

const level = (feed: string, effect: number) => ({ name: feed, levels: { feed }, effect });
const BEANS: Omit<DemoScript, 'startsOn'> = {
  question: 'Do three feeds help dwarf beans?',
  act: 'feed',
  crop: 'dwarf beans',
  picked: 'beans',
  unitWord: 'pot',
  factors: [
    {
      name: 'feed',
      levels: ['plain water', 'Heronsgill feed', 'Wrackline feed', 'comfrey tea'],
      dealtAt: 'pot',
    },
  ],
  treatments: [
    level('plain water', 0),
    level('Heronsgill feed', 0.42),
    level('Wrackline feed', 0.12),
    level('comfrey tea', -0.24),
  ],
  bench: { unitsEach: 8, blockCount: 4, blockWord: 'shelf', unitWidthMm: 240, seed: 4118 },
  lengthDays: 90,
  isBlind: true,
  marginPercent: 15,
  harvestG: 460,
  cv: 0.13,
  pieceG: 6.2,
  pickDays: [
    { day: 62, share: 0.2 },
    { day: 69, share: 0.35 },
    { day: 76, share: 0.3 },
    { day: 83, share: 0.15 },
  ],
};

export function dwarfBeans(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const data = demoTrial({ ...BEANS, startsOn: addDays(today, -118) }, gardenId, dice);
  const gnawed = data.units[13];
  if (!gnawed) throw new RangeError('the bean trial must have a fourteenth pot');
  const closedOn = data.trial.endsOn;
  const predictions = guesses(data, dice);
  return {
    ...data,
    layout: data.layout && {
      ...data.layout,
      site: [{ kind: 'light', side: 'left', percent: 15, ...BLANK_FEATURE }],
    },
    predictions,
    trial: {
      ...data.trial,
      state: 'closed',
      closedAt: `${closedOn}T18:00:00.000Z`,
      keyOpenedAt: `${closedOn}T17:50:00.000Z`,
    },
    picks: [
      ...data.picks.map(pick => (pick.unitId === gnawed.id ? gnawedPick(pick) : pick)),
      ...culls(data, dice),
    ],
    incidents: [voleAt(gnawed, data, dice)],
  };
}

function guesses({ trial }: TrialData, dice: SeasonDice): readonly Prediction[] {
  const guess = (by: string, expects: string | null, why: string): Prediction => ({
    id: dice.newId(),
    by,
    expects,
    why,
    about: '',
    measureId: null,
    foretold: null,
    sealedAt: `${addDays(trial.startsOn, -1)}T19:00:00.000Z`,
  });
  return [
    guess('Ines', 'Wrackline feed', 'It smells as if it must do something.'),
    guess('Tomas', null, 'The mix feeds them itself until they flower.'),
  ];
}

/** What a gnawed plant still gave. */
function gnawedPick(pick: Pick): Pick {
  if (pick.netG === null) return pick;
  const netG = Math.round(pick.netG * 0.35);
  return { ...pick, netG, grossG: netG + pick.tareG };
}

function voleAt(gnawed: ExperimentalUnit, { trial }: TrialData, dice: SeasonDice): Incident {
  const happenedOn = addDays(trial.startsOn, 58);
  return {
    id: IncidentId.parse(dice.newId()),
    unitId: gnawed.id,
    happenedOn,
    recordedAt: `${happenedOn}T07:30:00.000Z`,
    what: 'left out of the sums',
    why: 'Gnawed to the stem by a vole in one night, before the first pick.',
    by: 'Ines',
    decision: 'leave-out',
    cause: 'animal',
    byTreatment: 'no',
    afterKeyOpened: false,
    supersedes: null,
    isRemoval: false,
  };
}

/** A few rotten or split pieces, weighed and counted apart. */
function culls(data: TrialData, dice: SeasonDice): readonly Pick[] {
  const last = data.picks.at(-1);
  return [3, 10, 21, 27].flatMap((at, i): Pick[] => {
    const unit = data.units[at];
    if (!unit || !last) return [];
    const netG = 20 + dice.below(40);
    return [
      {
        ...last,
        id: PickId.parse(dice.newId()),
        unitId: unit.id,
        outcome: 'picked',
        pieces: 3 + dice.below(5),
        grossG: netG + last.tareG,
        netG,
        asWritten: `${netG + last.tareG} g`,
        grade: 'cull',
        cullReason: i % 2 === 0 ? 'rot' : 'split',
        note: '',
      },
    ];
  });
}
