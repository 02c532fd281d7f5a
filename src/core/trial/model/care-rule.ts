import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { TreatmentId } from './ids';
import { LabelRate } from './label-rate';

/** When a rule begins or ends. Whatever depends on a stage moves with it. */
export const Moment = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('day'), day: CalendarDay }),
  /** Days after the trial's start; below zero: before it, to get something ready. */
  z.object({ kind: z.literal('start'), days: z.int().min(-800).max(1100) }),
  /** Days after a stage that the gardener dates when it comes: first flower, first true leaf. */
  z.object({
    kind: z.literal('stage'),
    stage: z.string().trim().min(1).max(40),
    days: z.int().min(-60).max(400),
  }),
  /** Days after the last time of another rule. */
  z.object({ kind: z.literal('after'), ruleId: z.uuid(), days: z.int().min(0).max(400) }),
]);
export type Moment = z.infer<typeof Moment>;

export const Repeat = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('once') }),
  /** On fixed days, whether the last was late or not. */
  z.object({ kind: z.literal('every'), days: z.int().min(1).max(366) }),
  /** A number of times, each so many days after the one before was really done. */
  z.object({
    kind: z.literal('times'),
    times: z.int().min(2).max(60),
    days: z.int().min(1).max(366),
  }),
  /** 1 Monday to 7 Sunday. */
  z.object({
    kind: z.literal('weekdays'),
    weekdays: z.array(z.int().min(1).max(7)).min(1).max(7).readonly(),
  }),
]);
export type Repeat = z.infer<typeof Repeat>;

export const CareKind = z.enum([
  'feed',
  'spray',
  'dressing',
  'water',
  'look',
  'move',
  'soil-sample',
  'photo',
  'prune',
  'fill',
  'barrier',
  'cover',
  'uncover',
  'check',
  'rescue',
  'promise',
  'other',
]);
export type CareKind = z.infer<typeof CareKind>;

/** What is given, and how strong. */
export const CareMaterial = z
  .object({
    productId: z.uuid(),
    rate: LabelRate,
    choice: z.enum(['low', 'middle', 'high']),
    strength: z.number().positive().max(10),
    /** Water to each unit, with the product in it; null for what goes on dry. */
    waterMl: z.number().positive().max(200_000).nullable(),
    batchId: z.uuid().nullable(),
  })
  .readonly();
export type CareMaterial = z.infer<typeof CareMaterial>;

/** What is done again and again, to whom, and when. */
export const CareRule = z
  .object({
    id: z.uuid(),
    name: z.string().trim().min(1).max(80),
    kind: CareKind,
    /** Empty: to all. */
    treatmentIds: z.array(TreatmentId).max(40).readonly(),
    from: Moment,
    repeat: Repeat,
    until: Moment.nullable(),
    material: CareMaterial.nullable(),
    /** Rain of so many mm on the day or the day after washes it off: it is due again. */
    washedOffByMm: z.number().positive().max(100).nullable(),
    minutesEach: z.number().min(0).max(600).nullable(),
    /** A timer or a drip does it: it counts as done unless it is said that it was not. */
    runsByItself: z.boolean().default(false),
    /** It was never planned: it stands here for what was done once, besides the plan. */
    isUnplanned: z.boolean().default(false),
  })
  .readonly();
export type CareRule = z.infer<typeof CareRule>;

/** What happens to a step whose day has gone by, for all treatments alike. */
export const MissedPolicy = z.enum(['do-late', 'skip', 'stop']);
export type MissedPolicy = z.infer<typeof MissedPolicy>;

export const CARE_WORDS: Readonly<Record<CareKind, string>> = {
  feed: 'feed',
  spray: 'spray',
  dressing: 'dressing',
  water: 'watering',
  look: 'look and measure',
  move: 'move the pots',
  'soil-sample': 'soil sample',
  photo: 'photo',
  prune: 'pruning',
  fill: 'filling',
  barrier: 'round of the barriers',
  cover: 'cover, net or band put on',
  uncover: 'cover, net or band taken off',
  check: 'check of a tool',
  rescue: 'rescue',
  promise: 'something promised',
  other: 'something else',
};
