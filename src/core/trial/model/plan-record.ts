import { z } from 'zod';
import { Name } from './limits';

/** What somebody expects, sealed until the verdict. */
export const Prediction = z
  .object({
    id: z.uuidv7(),
    by: Name,
    /** A treatment's name, or null for “no difference that matters”. */ expects: Name.nullable(),
    why: z.string().trim().min(1).max(600),
    sealedAt: z.iso.datetime(),
    /** Of the end inspection: what is foretold to be found. Empty: which treatment does best. */
    about: z.string().max(120).default(''),
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
