import { LAYOUTS } from '@/core/design/layouts/layouts';
import { buildTrialModel } from '@/core/design/linear/trial-model';
import { closedPower, differenceSeen } from '@/core/design/power/closed-power';
import { isPlainQuestion } from './plain-question';
import type { PlannedTrial } from './planned-input';
import { plannedInput } from './planned-input';
import type { PlannedTruth } from './planned-reading';
import {
  simulateVerdicts,
  type VerdictShares,
  type VerdictSimulation,
  withoutReadings,
} from './simulate-verdicts';
import { smallestDealP } from './smallest-deal-p';

/** What is asked of a plan: how often it sees a gain, by its size. */
export interface SizeQuestion {
  readonly plan: PlannedTrial;
  readonly truth: PlannedTruth;
  /** Sizes to look at, one of them the plan's own: units of each treatment, or blocks where each holds one. */
  readonly sizes: readonly number[];
  readonly own: number;
  readonly seed: number;
}

/** One size and what it shows. */
export interface SizePoint {
  readonly size: number;
  readonly units: number;
  /** By simulation of the verdict rule; null before the first trials, and where nothing is left to judge by. */
  readonly shares: VerdictShares | null;
  /** The chance that one gain is seen, in closed form; null for a single unit each, and where no closed form fits the question. */
  readonly closed: number | null;
  /** The smallest gain seen four times in five, as a share of the mean; null as before. */
  readonly smallestSeen: number | null;
  /** How rare the largest gap can get among the deals. */
  readonly smallestP: number;
}

export type SizeCurve = readonly SizePoint[];

const WANTED = 0.8;

/** A curve that is made size by size, and sharpened size by size. */
export interface GrowingCurve {
  /** Adds so many simulated trials to the size at this index of the question's; the first time also sets it up. */
  readonly advance: (at: number, trials: number) => void;
  /** The sizes that were advanced, smallest first. */
  readonly curve: () => SizeCurve;
}

/** Looks at a plan in several sizes. */
export function sizeCurve(question: SizeQuestion): GrowingCurve {
  const rows = new Map<
    number,
    {
      readonly point: Omit<SizePoint, 'shares'>;
      readonly simulation: VerdictSimulation | undefined;
    }
  >();
  const rowAt = (at: number) => {
    const size = question.sizes[at] ?? 0;
    const plan = sized(question.plan, size);
    const input = plannedInput(plan, question.seed);
    const units = input.units.length;
    return {
      point: {
        size,
        units,
        smallestP: smallestDealP(input, buildTrialModel(withoutReadings(input))),
        ...closedForm(plan, units, question.truth),
      },
      simulation: simulateVerdicts(input, plan.reading, question.truth, question.seed + size),
    };
  };
  return {
    advance: (at, trials) => {
      const row = rows.get(at) ?? rowAt(at);
      rows.set(at, row);
      row.simulation?.run(trials);
    },
    curve: () =>
      [...rows.values()]
        .map(({ point, simulation }) => ({ ...point, shares: sharesOf(simulation) }))
        .sort((a, b) => a.size - b.size),
  };
}

function sharesOf(simulation: VerdictSimulation | undefined): VerdictShares | null {
  const shares = simulation?.shares();
  return shares && shares.trials > 0 ? shares : null;
}

/** The plan with another size: more of each, or more blocks where each holds every treatment once. */
function sized(plan: PlannedTrial, size: number): PlannedTrial {
  const { request } = plan;
  const { growsBy } = LAYOUTS[request.kind];
  if (growsBy === 'nothing') return plan;
  if (growsBy === 'blocks') return { ...plan, request: { ...request, blockCount: size } };
  return {
    ...plan,
    request: {
      ...request,
      each: size,
      controlEach:
        request.controlEach === null
          ? null
          : Math.max(1, Math.round((request.controlEach * size) / request.each)),
    },
  };
}

/** Dunnett's power with the units that the plan has of each; blocks cost degrees of freedom that are few beside the rest. */
function closedForm(
  plan: PlannedTrial,
  units: number,
  { cv, effect, level }: PlannedTruth,
): Pick<SizePoint, 'closed' | 'smallestSeen'> {
  if (!isPlainQuestion(plan)) return { closed: null, smallestSeen: null };
  const { treatments, request } = plan;
  const groups = treatments.length;
  const control =
    !LAYOUTS[request.kind].hasBlocks && request.controlEach !== null
      ? request.controlEach
      : units / groups;
  const each = (units - control) / (groups - 1);
  if (each < 2 || control < 2) return { closed: null, smallestSeen: null };
  const dunnett = { kind: 'dunnett', groups, sd: cv, alpha: 0.05 } as const;
  return {
    closed: closedPower({ ...dunnett, delta: effect / level }, each, control),
    smallestSeen: differenceSeen(dunnett, each, WANTED, control),
  };
}

/** A plan's own size on its curve: units of each, or blocks. */
export function sizeOf({ request }: PlannedTrial): number {
  return LAYOUTS[request.kind].growsBy === 'each' ? request.each : request.blockCount;
}

const USUAL_SIZES = [2, 3, 4, 5, 6, 8, 10, 12, 16, 20] as const;
const MOST_UNITS = 240;
/** Judged unit by unit each made-up season takes its time. */
const MOST_UNITS_DRAWN = 120;

/** Sizes worth looking at, the plan's own among them; a square has only one. */
export function sizesFor(plan: PlannedTrial): readonly number[] {
  const own = sizeOf(plan);
  const { growsBy } = LAYOUTS[plan.request.kind];
  if (growsBy === 'nothing') return [own];
  const perSize =
    plan.treatments.length * (growsBy === 'each' ? 1 : Math.max(1, plan.request.each));
  const most = plan.reading.outcome === 'continuous' ? MOST_UNITS : MOST_UNITS_DRAWN;
  const sizes = USUAL_SIZES.filter(
    size =>
      size * perSize <= most &&
      (plan.request.perBlock === null || size * plan.request.perBlock >= plan.treatments.length),
  );
  return [...new Set([...sizes, own])].sort((a, b) => a - b);
}

/** The same units on fewer treatments: 8 × 1, 4 × 2, 2 × 4, each with the smallest gain that it sees four times in five. */
export function splitsOf(
  units: number,
  cv: number,
): readonly {
  readonly treatments: number;
  readonly each: number;
  readonly smallest: number | null;
}[] {
  return [8, 6, 4, 3, 2].flatMap(treatments => {
    const each = Math.floor(units / treatments);
    if (each < 1) return [];
    return [
      {
        treatments,
        each,
        smallest:
          each < 2
            ? null
            : differenceSeen(
                { kind: 'dunnett', groups: treatments, sd: cv, alpha: 0.05 },
                each,
                WANTED,
              ),
      },
    ];
  });
}
