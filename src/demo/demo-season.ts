import { addDays } from '@/core/time/garden-day';
import { BLANK_FEATURE } from '@/core/trial/model/blank-facts';
import { GardenId, IncidentId, PickId } from '@/core/trial/model/ids';
import type { Pick } from '@/core/trial/model/pick';
import type { Prediction } from '@/core/trial/model/plan-record';
import type { Product } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { type CareScript, withCare } from './demo-care';
import { type ReadScript, withReadings } from './demo-readings';
import { type DemoShelf, demoShelf } from './demo-shelf';
import { type DemoScript, demoTrial } from './demo-trial';
import { type SeasonDice, seasonDice } from './seeded-season';

/** The season at Cinder Row, a shared plot that does not exist. */
export interface DemoSeason {
  readonly garden: {
    readonly id: GardenId;
    readonly name: string;
    readonly system: 'uk';
    readonly latitude: number;
    readonly altitudeM: number;
    readonly lastFrost: string;
    readonly firstFrost: string;
  };
  readonly shelf: readonly Product[];
  /** A closed one says so in its state; its verdict is for the keeper to compute. */
  readonly trials: readonly TrialData[];
}

const SEED = 23;

/**
 * Makes the demo season: dwarf beans (finished, a clear winner), strawberries (running, blind), beetroot under four depths of
 * leaf-mould (finished, levels off), the beans of the year before (for taking seasons together) and lettuces among slugs (finished, days to the first bite). The same day gives the
 * same season to the last gram; another day moves its dates.
 *
 * @param today the day the running trial has come to
 */
export function demoSeason(today: string): DemoSeason {
  const dice = seasonDice(SEED, Date.parse(`${addDays(today, -160)}T08:00:00Z`));
  const garden = {
    id: GardenId.parse(dice.newId()),
    name: 'Cinder Row',
    system: 'uk',
    latitude: 51.2,
    altitudeM: 60,
    lastFrost: '05-12',
    firstFrost: '10-24',
  } as const;
  const [beans, berries] = [
    dwarfBeans(today, garden.id, dice),
    strawberries(today, garden.id, dice),
  ];
  // Dice of their own, so that what stood before them stays to the gram.
  const later = (nth: number): SeasonDice =>
    seasonDice(SEED + nth, Date.parse(`${addDays(today, -150)}T08:00:00Z`));
  const shelf = demoShelf(dice);
  return {
    garden,
    shelf: [shelf.heronsgill, shelf.wrackline, shelf.comfrey, ...shelf.others],
    trials: [
      withReadings(withCare(beans, beanCare(shelf), today, dice), beanReads(beans), later(5)),
      withReadings(
        withCare(berries, strawberryCare(shelf), today, dice),
        strawberryReads(berries),
        seasonDice(SEED + 1, Date.parse(`${addDays(today, -60)}T08:00:00Z`)),
      ),
      beetroot(today, garden.id, later(2)),
      beansBefore(today, garden.id, later(4)),
      lettuces(today, garden.id, later(3)),
    ],
  };
}

/** Three feeds a week apart by their labels: equal care, unequal nitrogen. */
function beanCare({ heronsgill, wrackline, comfrey }: DemoShelf): CareScript {
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

function strawberryCare({ heronsgill }: DemoShelf): CareScript {
  const isFed = (name: string): boolean => name.endsWith('Heronsgill feed');
  const feed = {
    kind: 'feed',
    repeat: 'every',
    everyDays: '7',
    productId: heronsgill.id,
    water: '1.5 l',
    minutesEach: '1',
  } as const;
  return {
    products: [heronsgill],
    stages: { 'first flower': 22 },
    mixMl: 14_000,
    mixNMgPerL: 180,
    late: [{ rule: 1, nth: 3, days: 1 }],
    leftOut: [],
    rules: [
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
    ],
  };
}

/** Twelve measures in all: a feed that helps shows in what grows, and in little else. */
function beanReads({ treatments }: TrialData): readonly ReadScript[] {
  const among =
    (none: number, heronsgill: number, wrackline: number, comfrey: number) =>
    (unit: ExperimentalUnit): number =>
      [none, heronsgill, wrackline, comfrey][
        treatments.findIndex(treatment => treatment.id === unit.treatmentId)
      ] ?? none;
  const all = 32;
  const height = among(4.1, 4.9, 4.4, 4.2);
  const roots = among(21, 24, 22, 21);
  return [
    {
      key: 'height',
      days: [20, 34, 48, 60],
      onLastDay: all,
      of: (day, unit) => 60 + day * height(unit),
      sd: 16,
      step: 5,
      least: 20,
      most: 600,
    },
    {
      key: 'stem',
      days: [34, 60],
      onLastDay: all,
      of: (day, unit) => 2 + day * 0.012 * height(unit),
      sd: 0.35,
      step: 0.1,
      least: 1,
      most: 12,
    },
    {
      key: 'leaf-length',
      days: [48],
      onLastDay: all,
      of: (_, unit) => 17 * height(unit),
      sd: 6,
      least: 20,
      most: 160,
    },
    {
      key: 'leaf-width',
      days: [48],
      onLastDay: all,
      of: (_, unit) => 13 * height(unit),
      sd: 5,
      least: 15,
      most: 130,
    },
    {
      key: 'days-dry',
      days: [55],
      onLastDay: all,
      of: (_, unit) => among(5, 4, 5, 5)(unit),
      sd: 0.9,
      least: 1,
      most: 12,
    },
    { key: 'ph', days: [88], onLastDay: all, of: () => 6.4, sd: 0.2, step: 0.1, least: 5, most: 8 },
    {
      key: 'root-mass',
      days: [88],
      onLastDay: all,
      of: (_, unit) => roots(unit),
      sd: 3.4,
      step: 0.1,
      least: 4,
      most: 60,
    },
    {
      key: 'top-mass',
      days: [88],
      onLastDay: all,
      of: (_, unit) => 38 * height(unit),
      sd: 24,
      least: 40,
      most: 400,
    },
  ];
}

/** Fed troughs make more and darker leaves; today's walk is half done. */
function strawberryReads({ treatments }: TrialData): readonly ReadScript[] {
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

function dwarfBeans(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const level = (feed: string, effect: number) => ({ name: feed, levels: { feed }, effect });
  const script: DemoScript = {
    question: 'Do three feeds help dwarf beans?',
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
      level('comfrey tea', 0.06),
    ],
    bench: { unitsEach: 8, blockCount: 4, blockWord: 'shelf', unitWidthMm: 240, seed: 4118 },
    startsOn: addDays(today, -118),
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
  const data = demoTrial(script, gardenId, dice);
  const gnawed = data.units[13];
  if (!gnawed) throw new RangeError('the bean trial must have a fourteenth pot');
  const closedOn = data.trial.endsOn;
  const guess = (by: string, expects: string | null, why: string): Prediction => ({
    id: dice.newId(),
    by,
    expects,
    why,
    about: '',
    sealedAt: `${addDays(data.trial.startsOn, -1)}T19:00:00.000Z`,
  });
  return {
    ...data,
    layout: data.layout && {
      ...data.layout,
      site: [{ kind: 'light', side: 'left', percent: 15, ...BLANK_FEATURE }],
    },
    predictions: [
      guess('Ines', 'Wrackline feed', 'It smells as if it must do something.'),
      guess('Tomas', null, 'The mix feeds them itself until they flower.'),
    ],
    trial: {
      ...data.trial,
      state: 'closed',
      closedAt: `${closedOn}T18:00:00.000Z`,
      keyOpenedAt: `${closedOn}T17:50:00.000Z`,
    },
    picks: [
      ...data.picks.map(pick =>
        pick.unitId === gnawed.id && pick.netG !== null
          ? {
              ...pick,
              netG: Math.round(pick.netG * 0.35),
              grossG: Math.round(pick.netG * 0.35) + pick.tareG,
            }
          : pick,
      ),
      ...culls(data, dice),
    ],
    incidents: [
      {
        id: IncidentId.parse(dice.newId()),
        unitId: gnawed.id,
        happenedOn: addDays(data.trial.startsOn, 58),
        recordedAt: `${addDays(data.trial.startsOn, 58)}T07:30:00.000Z`,
        what: 'left out of the sums',
        why: 'Gnawed to the stem by a vole in one night, before the first pick.',
        by: 'Ines',
        decision: 'leave-out',
        cause: 'animal',
        byTreatment: 'no',
        afterKeyOpened: false,
        supersedes: null,
        isRemoval: false,
      },
    ],
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

const PICKED_TODAY = 15;

function strawberries(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const cell = (medium: string, feed: string, effect: number) => ({
    name: `${medium}, ${feed}`,
    levels: { medium, feed },
    effect,
  });
  const script: DemoScript = {
    question: 'Bark or loam in the troughs, and does either want feeding?',
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

/** Closed on its last day, its key opened just before. */
function closed(data: TrialData): TrialData {
  const { trial } = data;
  return {
    ...data,
    trial: {
      ...trial,
      state: 'closed',
      closedAt: `${trial.endsOn}T18:00:00.000Z`,
      keyOpenedAt: trial.isBlind ? `${trial.endsOn}T17:50:00.000Z` : null,
    },
  };
}

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

function beetroot(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const depth = (cm: number, effect: number) => ({
    name: `${cm} cm`,
    levels: { 'leaf-mould': `${cm} cm` },
    effect,
    dose: cm,
  });
  const data = demoTrial(
    {
      question: 'How deep must leaf-mould lie under beetroot?',
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

const SLUG_TRIAL_DAYS = 45;

/** Days to the first bite, holed leaves, slugs found and vigour: none of them a mean. */
function lettuces(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const remedy = (name: string, effect: number) => ({ name, levels: { remedy: name }, effect });
  const names = ['plain pots', 'copper band', 'crushed shells', 'beer trap'];
  const data = demoTrial(
    {
      question: 'What keeps slugs off lettuce?',
      crop: 'lettuce',
      picked: 'lettuce',
      unitWord: 'pot',
      factors: [{ name: 'remedy', levels: names, dealtAt: 'pot' }],
      treatments: [
        remedy('plain pots', 0),
        remedy('copper band', 0.35),
        remedy('crushed shells', 0.02),
        remedy('beer trap', 0.1),
      ],
      bench: { unitsEach: 6, blockCount: 6, blockWord: 'row', unitWidthMm: 220, seed: 312 },
      startsOn: addDays(today, -110),
      lengthDays: SLUG_TRIAL_DAYS,
      isBlind: false,
      marginPercent: 20,
      harvestG: 260,
      cv: 0.22,
      pieceG: 260,
      pickDays: [{ day: 44, share: 1 }],
    },
    gardenId,
    dice,
  );
  const remedyOf = (unit: ExperimentalUnit): string =>
    data.treatments.find(treatment => treatment.id === unit.treatmentId)?.name ?? '';
  const among =
    (copper: number, shells: number, beer: number, none: number) =>
    (_: number, unit: ExperimentalUnit): number =>
      ({ 'copper band': copper, 'crushed shells': shells, 'beer trap': beer })[remedyOf(unit)] ??
      none;
  return closed(
    withReadings(
      data,
      [
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
      ],
      dice,
    ),
  );
}

/** The bean trial of the year before, smaller, one feed fewer: for taking seasons together. */
function beansBefore(today: string, gardenId: GardenId, dice: SeasonDice): TrialData {
  const level = (feed: string, effect: number) => ({ name: feed, levels: { feed }, effect });
  return closed(
    demoTrial(
      {
        question: 'Does Heronsgill feed help dwarf beans?',
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
