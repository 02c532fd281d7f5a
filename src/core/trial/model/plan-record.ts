import { z } from 'zod';
import { MeasureId } from './ids';
import { Name } from './limits';

/** One comparison of a question, by the names that its judgement has it under. */
export const GuessedComparison = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('control'), treatment: Name, control: Name }),
  z.object({
    kind: z.literal('level'),
    factor: Name,
    level: Name,
    against: Name,
    /** The other factors' levels it is told within; null where it is averaged over them. */
    within: z.record(Name, Name).nullable(),
  }),
  /** The largest dose of a series against the smallest, along the line through all. */
  z.object({ kind: z.literal('trend'), most: Name, least: Name }),
  z.object({ kind: z.literal('agreed'), one: z.array(Name), other: z.array(Name) }),
]);
export type GuessedComparison = z.infer<typeof GuessedComparison>;

/** What is expected of one comparison: that the first side gives more than the other, less, or no difference that matters. */
export const Foretold = z
  .object({ comparison: GuessedComparison, way: z.enum(['more', 'less', 'same']) })
  .readonly();
export type Foretold = z.infer<typeof Foretold>;

/** What somebody expects, sealed until the verdict. */
export const Prediction = z
  .object({
    id: z.uuidv7(),
    by: Name,
    /** A treatment's name, or null for “no difference that matters”; null too where one comparison is foretold. */
    expects: Name.nullable(),
    why: z.string().trim().min(1).max(600),
    sealedAt: z.iso.datetime(),
    /** Of the end inspection: what is foretold to be found. Empty: which treatment does best. */
    about: z.string().max(120).default(''),
    /** The measure that it is about; null for the main one. */
    measureId: MeasureId.nullable().default(null),
    /** Where it is about one comparison, not about which does best. */
    foretold: Foretold.nullable().default(null),
  })
  .readonly();
export type Prediction = z.infer<typeof Prediction>;

/** A change of the plan after it was locked. It shows on the verdict. */
export const Amendment = z
  .object({
    id: z.uuidv7(),
    at: z.iso.datetime(),
    what: z.enum(['margin', 'end', 'rules', 'other']),
    from: z.string().max(400),
    to: z.string().max(400),
    why: z.string().trim().min(3).max(600),
    by: z.string().max(80),
    afterKeyOpened: z.boolean(),
  })
  .readonly();
export type Amendment = z.infer<typeof Amendment>;

/** What somebody would do otherwise next time. It goes with the next trial that begins from this one. */
export const Regret = z
  .object({
    id: z.uuidv7(),
    at: z.iso.datetime(),
    text: z.string().trim().min(3).max(600),
    by: z.string().max(80),
  })
  .readonly();
export type Regret = z.infer<typeof Regret>;
