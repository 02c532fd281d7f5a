import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { CareRule, MissedPolicy } from './care-rule';
import { UnitId } from './ids';
import { WATER_SOURCES } from './water-source';

/** What a look at a barrier or a tool found. */
export const ActOutcome = z.enum(['as-it-should-be', 'not-as-it-should-be']);

/** A step as it was done, or left out with a reason. Never overwritten: a revision names what it supersedes. */
export const CareAct = z
  .object({
    id: z.uuidv7(),
    ruleId: z.uuid(),
    nth: z.int().min(0),
    doneOn: CalendarDay,
    takenAt: z.iso.datetime(),
    isSkipped: z.boolean(),
    /** Product to each unit, in the rate's g or ml; of plain water, ml. null: as planned. */
    amount: z.number().min(0).nullable(),
    /** The bottle or bag it came from. */
    batchId: z.uuidv7().nullable().default(null),
    /** Only these units got it; null: all that its rule names. */
    unitIds: z.array(UnitId).min(1).max(500).readonly().nullable().default(null),
    /** What a round of barriers or a check found. */
    outcome: ActOutcome.nullable().default(null),
    note: z.string().max(600),
    by: z.string().max(80),
    supersedes: z.uuidv7().nullable(),
    isRemoval: z.boolean(),
  })
  .readonly();
export type CareAct = z.infer<typeof CareAct>;

/** What is agreed of the care as a whole. */
export const CareSettings = z
  .object({
    missed: MissedPolicy.default('do-late'),
    water: z.enum(['same', 'need', 'et-share', 'below', 'none']).default('same'),
    /** Where the water comes from: one for all. */
    waterSource: z.enum(WATER_SOURCES).nullable().default(null),
    /** Of what the weather takes, where water is shared out by it. */
    etShare: z.number().min(0.1).max(2).default(1),
    /** Litres of mix in each unit, as ml, and what it holds of nitrogen by its bag. */
    mixMl: z.number().positive().max(2_000_000).nullable().default(null),
    mixNMgPerL: z.number().min(0).max(5000).nullable().default(null),
    /** What an hour is worth to the gardener; null where it is not counted. */
    hourWorth: z.number().min(0).max(1000).nullable().default(null),
  })
  .readonly();
export type CareSettings = z.infer<typeof CareSettings>;

/** A trial's care: what is to be done, when stages came, and what was done. */
export const CarePlan = z
  .object({
    settings: CareSettings,
    rules: z.array(CareRule).max(60).readonly(),
    stages: z.record(z.string().min(1).max(40), CalendarDay),
    acts: z.array(CareAct).readonly(),
    /** Codes on the bottles of a blind trial, by treatment; and a secret by which its steps are named on open pages. */
    bottles: z.record(z.string(), z.string().max(8)),
  })
  .readonly();
export type CarePlan = z.infer<typeof CarePlan>;

export const NO_CARE: CarePlan = {
  settings: CareSettings.parse({}),
  rules: [],
  stages: {},
  acts: [],
  bottles: {},
};

/** Acts as the calendar counts them: what several did of one step, each for other units, is one step. */
export function doneTasks(acts: readonly CareAct[]): readonly TaskDone[] {
  return mergedParts(
    acts.map(({ ruleId, nth, doneOn, isSkipped, unitIds }) => ({
      ruleId,
      nth,
      on: doneOn,
      isSkipped,
      unitIds,
    })),
  );
}

/** Parts of one step as one: done for all that any of them got it, left out for the rest that it was left out for. */
export function mergedParts(parts: readonly TaskDone[]): readonly TaskDone[] {
  const done: TaskDone[] = [];
  const at = new Map<string, number>();
  for (const part of parts) {
    const key = `${part.ruleId} ${part.nth}`;
    const i = at.get(key);
    const before = i === undefined ? undefined : done[i];
    if (i !== undefined && before && isOtherPart(before, part)) done[i] = merged(before, part);
    else {
      at.set(key, done.length);
      done.push(part);
    }
  }
  return done;
}

function merged(before: TaskDone, part: TaskDone): TaskDone {
  const [first, second] = before.isSkipped && !part.isSkipped ? [part, before] : [before, part];
  const more = second.unitIds ?? [];
  if (!first.isSkipped && second.isSkipped)
    return { ...first, leftOutIds: [...(first.leftOutIds ?? []), ...more] };
  const [, last = first.on] = [first.on, second.on].sort();
  return { ...first, on: last, unitIds: [...(first.unitIds ?? []), ...more] };
}

type PartDone = Pick<TaskDone, 'unitIds' | 'leftOutIds'>;

/** Whether a step was done, or left out, for some units now and for others then: both stand. */
export function isOtherPart(before: PartDone, now: Pick<TaskDone, 'unitIds'>): boolean {
  const settled = settledIds(before);
  return settled !== null && now.unitIds != null && !now.unitIds.some(id => settled.includes(id));
}

/** The units of which it is known whether they got a step; null: all that were meant. */
export function settledIds({ unitIds, leftOutIds = [] }: PartDone): readonly string[] | null {
  return unitIds == null ? null : [...unitIds, ...leftOutIds];
}

/** A time of a rule that was done, or left out with a reason. */
export interface TaskDone {
  readonly ruleId: string;
  readonly nth: number;
  readonly on: CalendarDay;
  readonly isSkipped: boolean;
  /** Only these units got it; null: all that were meant. */
  readonly unitIds?: readonly string[] | null;
  /** For these it was left out on purpose. */
  readonly leftOutIds?: readonly string[];
}
