import { z } from 'zod';
import { TreatmentId } from './ids';
import { Name } from './limits';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.
/** What a treatment is to the question. */
export const TreatmentRole = z.enum(['control', 'test', 'reference']);
export type TreatmentRole = z.infer<typeof TreatmentRole>;

/** What a treatment without the active part still gets, or what it stands for. */
export const ControlKind = z.enum(['nothing', 'carrier', 'usual', 'pooled']);
export type ControlKind = z.infer<typeof ControlKind>;

/** One combination of levels: what a unit gets. Its letter and order are those of its plant label. */
export const Treatment = z
  .object({
    id: TreatmentId,
    name: Name,
    letter: z.string().length(1),
    role: TreatmentRole,
    position: z.int().min(0),
    /** The level of each factor, by the factor's name. */
    levels: z.record(z.string(), z.string()),
    controlKind: ControlKind.nullable().default(null),
    /** Of a dose series: its number, in the series' own unit. */
    dose: z.number().min(0).nullable().default(null),
    /** What is done, step by step, where a name does not say it: a staged programme. */
    detail: z.string().max(600).default(''),
  })
  .readonly();
export type Treatment = z.infer<typeof Treatment>;

/** Something that differs between treatments, with its levels. */
export const Factor = z
  .object({ name: Name, levels: z.array(Name).min(2).readonly(), dealtAt: z.string() })
  .readonly();
export type Factor = z.infer<typeof Factor>;
