import { CONTROL_NEEDS } from '@/core/design/question/control-advice';
import { type Act, USUAL_RULES } from '@/core/design/question/question-shape';
import { type LaidOutBench, layOutBench } from '@/core/design/site/bench-plan';
import type { BenchPlan } from '@/core/design/site/bench-request';
import { circleM2 } from '@/core/materials/mix/container-volume';
import { harvestMeasures } from '@/core/measure/library/harvest-measures';
import { addDays } from '@/core/time/garden-day';
import { NOT_SAID } from '@/core/trial/model/as-built';
import {
  BLANK_LAYOUT,
  BLANK_TREATMENT,
  BLANK_TRIAL,
  NOTHING_ENTERED,
} from '@/core/trial/model/blank-facts';
import { type GardenId, PickId, TreatmentId, TrialId } from '@/core/trial/model/ids';
import type { Pick } from '@/core/trial/model/pick';
import type { Factor, Treatment } from '@/core/trial/model/treatment';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { BlockAbout, ExperimentalUnit } from '@/core/trial/model/unit';
import type { SeasonDice } from './seeded-season';

/** A made-up trial: what it asks, how it is laid out, and how its pots really behave. */
export interface DemoScript {
  readonly question: string;
  /** What kind of thing is compared. */
  readonly act: Act;
  readonly crop: string;
  readonly picked: string;
  readonly unitWord: string;
  readonly factors: readonly Factor[];
  /** The first is the control. `effect`: its true share over the control. */
  readonly treatments: readonly {
    readonly name: string;
    readonly levels: Readonly<Record<string, string>>;
    readonly effect: number;
    readonly dose?: number;
  }[];
  /** `unitsEach` counts over all blocks. */
  readonly bench: Chosen<BenchPlan, 'blockCount' | 'blockWord' | 'unitWidthMm' | 'seed'> & {
    readonly unitsEach: number;
    readonly unitShape?: BenchPlan['unitShape'];
  };
  readonly startsOn: string;
  readonly lengthDays: number;
  readonly isBlind: boolean;
  readonly marginPercent: number;
  /** True season's harvest of one control unit and how units treated alike spread (SD over mean). */
  readonly harvestG: number;
  readonly cv: number;
  readonly pieceG: number;
  /** Days after the start, with each pick's share of the season's harvest. */
  readonly pickDays: readonly { readonly day: number; readonly share: number }[];
  /** What is judged; the weight of the sound harvest where nothing is said. */
  readonly main?: 'sound-weight' | 'sound-count' | 'read';
  /** What is picked is counted, and never weighed. */
  readonly isOnlyCounted?: boolean;
  /** What the blocks are called; numbered where nothing is said. */
  readonly blockNames?: readonly string[];
  /** What is known of each, where they are gardens. */
  readonly blocksAbout?: readonly BlockAbout[];
}

type Chosen<From, Keys extends keyof From> = { readonly [Key in Keys]: From[Key] };

/** The trial as locked, with every pick of its script in. */
export function demoTrial(script: DemoScript, gardenId: GardenId, dice: SeasonDice): TrialData {
  const treatments = treatmentsOf(script, dice);
  const bench = layOutBench(
    {
      ...BLANK_LAYOUT,
      ...script.bench,
      each: script.bench.unitsEach / script.bench.blockCount,
      kind: 'complete-blocks',
      treatments,
      unitWord: script.unitWord,
      unitShape: script.bench.unitShape ?? 'round',
      unitDepthMm: script.bench.unitWidthMm,
      deals: 1,
    },
    dice.newId,
  );
  return {
    format: 'turnspit-trial',
    version: 1,
    trial: {
      id: TrialId.parse(dice.newId()),
      gardenId,
      question: script.question,
      crop: script.crop,
      unitWord: script.unitWord,
      state: 'locked',
      isBlind: script.isBlind,
      startsOn: script.startsOn,
      endsOn: addDays(script.startsOn, script.lengthDays),
      lockedAt: `${script.startsOn}T08:10:00.000Z`,
      closedAt: null,
      keyOpenedAt: null,
      ...BLANK_TRIAL,
      rules: { ...USUAL_RULES, act: script.act },
    },
    factors: script.factors,
    treatments,
    measures: harvestMeasures(
      {
        picked: script.picked,
        main: script.main ?? 'sound-weight',
        better: 'higher',
        margin: { kind: 'percent', percent: script.marginPercent },
      },
      dice.newId,
    ),
    ...named(bench, script.blockNames, script.blocksAbout),
    units: bench.units.map(unit => ({
      ...unit,
      built: { ...NOT_SAID, areaM2: circleM2(script.bench.unitWidthMm) },
    })),
    ...NOTHING_ENTERED,
    picks: picksOf(script, treatments, bench.units, dice),
  };
}

/** Blocks and their places called by names of their own. */
function named(
  bench: LaidOutBench,
  names: readonly string[] = [],
  about: readonly BlockAbout[] = [],
): LaidOutBench {
  const nameOf = new Map(
    bench.blocks.flatMap(({ placeId, position }) => {
      const name = names[position];
      return name === undefined || placeId === null ? [] : [[placeId, name] as const];
    }),
  );
  return {
    ...bench,
    blocks: bench.blocks.map(block => ({
      ...block,
      name: names[block.position] ?? block.name,
      about: about[block.position] ?? block.about,
    })),
    places: bench.places.map(place => ({ ...place, name: nameOf.get(place.id) ?? place.name })),
  };
}

function treatmentsOf({ act, treatments }: DemoScript, dice: SeasonDice): readonly Treatment[] {
  return treatments.map(({ name, levels, dose = null }, position) => ({
    id: TreatmentId.parse(dice.newId()),
    name,
    letter: String.fromCharCode(65 + position),
    role: position === 0 ? 'control' : 'test',
    position,
    levels,
    ...BLANK_TREATMENT,
    dose,
    controlKind: position === 0 ? controlOf(act, dose) : null,
  }));
}

/** What such a trial wants its control to be: of a series none of it. */
function controlOf(act: Act, dose: number | null): Treatment['controlKind'] {
  return dose === null ? (CONTROL_NEEDS[act][0]?.kind ?? null) : 'nothing';
}

function picksOf(
  script: DemoScript,
  treatments: readonly Treatment[],
  units: readonly ExperimentalUnit[],
  dice: SeasonDice,
): readonly Pick[] {
  const blockEffect = Array.from({ length: script.bench.blockCount }, () => 0.1 * dice.normal());
  const perBlock = units.length / script.bench.blockCount;
  const seasonG = units.map((unit, i) => {
    const effect =
      script.treatments[treatments.findIndex(treatment => treatment.id === unit.treatmentId)]
        ?.effect ?? 0;
    return (
      script.harvestG *
      Math.exp(
        Math.log1p(effect) +
          (blockEffect[Math.floor(i / perBlock)] ?? 0) +
          script.cv * dice.normal(),
      )
    );
  });
  return script.pickDays.flatMap(({ day, share }) =>
    units.map((unit, i): Pick => {
      const netG = Math.round((seasonG[i] ?? 0) * share * Math.exp(0.1 * dice.normal()));
      const pieces = Math.max(1, Math.round(netG / script.pieceG));
      const pick = demoPick(unit, addDays(script.startsOn, day), netG, pieces, i, dice);
      return script.isOnlyCounted ? counted(pick) : pick;
    }),
  );
}

/** Put down as so many, without a scale. */
function counted(pick: Pick): Pick {
  return { ...pick, grossG: null, netG: null, tareG: 0, asWritten: '' };
}

const BOWL_G = 184;

function demoPick(
  unit: ExperimentalUnit,
  pickedOn: string,
  netG: number,
  pieces: number,
  order: number,
  dice: SeasonDice,
): Pick {
  const minutes = String(order % 60).padStart(2, '0');
  return {
    id: PickId.parse(dice.newId()),
    unitId: unit.id,
    pickedOn,
    takenAt: `${pickedOn}T09:${minutes}:00.000Z`,
    outcome: 'picked',
    pieces,
    grossG: netG + BOWL_G,
    tareG: BOWL_G,
    netG,
    grade: 'sound',
    cullReason: null,
    note: '',
    asWritten: `${netG + BOWL_G} g`,
    by: '',
    supersedes: null,
    isRemoval: false,
  };
}
