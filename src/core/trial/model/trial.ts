import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { GardenId, TrialId } from './ids';
import { Name } from './limits';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.
export const TrialState = z.enum(['planned', 'locked', 'closed']);
export type TrialState = z.infer<typeof TrialState>;

/** What was agreed before the start, so that nobody decides it after a look at the results. */
export const TrialRules = z
  .object({
    end: z.enum(['date', 'stage']).default('date'),
    endStage: z.string().max(200).default(''),
    leaveOut: z.string().max(400).default(''),
    replace: z.string().max(400).default(''),
    cull: z.string().max(400).default(''),
    /** When a piece is ripe: what is picked before counts as green. */
    ripe: z.string().max(400).default(''),
    /** The last day on which a spare may stand in for a unit; empty: none was set. */
    replaceUntil: z.union([z.literal(''), CalendarDay]).default(''),
    /** Who may see which unit got what before the end. */
    key: z.string().max(400).default(''),
    /** When an untreated unit is saved, and that its measuring ends there. */
    rescue: z.string().max(400).default(''),
    /** What the question is about, by name, where it is not about the control; both empty otherwise. */
    askedOne: z.string().max(120).default(''),
    askedOther: z.string().max(120).default(''),
    /** Treatments taken together with the first, and with the other. */
    askedOneWith: z.array(z.string().max(120)).max(12).readonly().default([]),
    askedOtherWith: z.array(z.string().max(120)).max(12).readonly().default([]),
    /** What kind of thing is compared, as was chosen; empty: by the pattern it began from. */
    act: z.string().max(20).default(''),
    /** Over how many seasons it is meant to run. */
    seasons: z.int().min(1).max(20).default(1),
    /** How often its answer may be looked at, the last time at the end: all those looks hold together. */
    looks: z.int().min(1).max(5).default(1),
  })
  .readonly();
export type TrialRules = z.infer<typeof TrialRules>;

/** What a treatment costs a unit and what the crop is worth, as the margin was worked out from. */
export const MarginMoney = z
  .object({
    costEach: z.number().positive(),
    worthPerKg: z.number().positive(),
    presentKg: z.number().positive(),
  })
  .readonly();
export type MarginMoney = z.infer<typeof MarginMoney>;

/** A trial's own facts. */
export const Trial = z
  .object({
    id: TrialId,
    gardenId: GardenId,
    question: z.string().trim().min(1).max(300),
    crop: Name,
    unitWord: Name,
    state: TrialState,
    isBlind: z.boolean(),
    startsOn: CalendarDay,
    endsOn: CalendarDay,
    lockedAt: z.iso.datetime().nullable(),
    closedAt: z.iso.datetime().nullable(),
    keyOpenedAt: z.iso.datetime().nullable(),
    /** The question pattern it began from. */
    pattern: z.string().max(60).nullable().default(null),
    /** A gift, an own recipe, a sale: what might make somebody wish for a result. */
    interest: z.string().max(400).default(''),
    rules: TrialRules.default(() => TrialRules.parse({})),
    money: MarginMoney.nullable().default(null),
    /** Of a trial run by another garden's plan: the trial that plan was made from. */
    protocolId: TrialId.nullable().default(null),
  })
  .readonly();
export type Trial = z.infer<typeof Trial>;
