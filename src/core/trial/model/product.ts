import { z } from 'zod';
import { printTemperature } from '@/core/quantity/temperature';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { CalendarDay, daysBetween } from '@/core/time/garden-day';
import { Analysis } from './analysis';
import { LabelRate } from './label-rate';
import { ModeOfAction } from './mode-of-action';

export const ProductForm = z.enum([
  'liquid',
  'soluble-powder',
  'granule',
  'slow-release',
  'meal',
  'bulk',
  'spray-concentrate',
  'ready-spray',
  'home-made',
]);
export type ProductForm = z.infer<typeof ProductForm>;

export const FORM_WORDS: Readonly<Record<ProductForm, string>> = {
  liquid: 'liquid feed',
  'soluble-powder': 'soluble powder',
  granule: 'granules',
  'slow-release': 'slow release',
  meal: 'meal',
  bulk: 'bulk amendment or mix',
  'spray-concentrate': 'spray concentrate',
  'ready-spray': 'ready to spray',
  'home-made': 'home-made',
};

/** What a product is, as far as it can hurt or does not go with another. */
export const Hazard = z.enum([
  'strong-acid',
  'peroxide',
  'bleach',
  'salt',
  'weedkiller',
  'insect-spray',
  'fungus-spray',
  'soap',
  'oil',
  'sulphur',
  'copper',
  'slug-bait',
  'animal-meal',
  'dust',
  'raw-manure',
  'compost',
  'lime',
  'ammonium',
  'concentrate',
  'home-brew',
  'mulch',
]);
export type Hazard = z.infer<typeof Hazard>;

/** A batch of a product: a bottle, a bag, a brew. Units are tied to it, so that a bad one can be told. */
export const Batch = z
  .object({
    id: z.uuidv7(),
    name: z.string().min(1).max(60),
    madeOn: CalendarDay.nullable(),
    openedOn: CalendarDay.nullable(),
  })
  .readonly();
export type Batch = z.infer<typeof Batch>;

/** A cap, handful or squirt of one product, as so many tries gave it: mean and SD in g or ml. */
export const LooseMeasure = z
  .object({
    name: z.string().trim().min(1).max(30),
    of: z.enum(['mass', 'volume']),
    mean: z.number().positive(),
    sd: z.number().min(0),
    tries: z.int().min(2).max(50),
  })
  .readonly();
export type LooseMeasure = z.infer<typeof LooseMeasure>;

/** A product as its pack prints it. */
export const Product = z
  .object({
    id: z.uuidv7(),
    name: z.string().trim().min(1).max(80),
    form: ProductForm,
    analysis: Analysis.nullable(),
    densityGPerMl: z.number().positive().max(20).nullable(),
    /** Of the active part of a spray, w/v. */
    activePercent: z.number().positive().max(100).nullable(),
    pack: z
      .object({
        of: z.enum(['mass', 'volume']),
        amount: z.number().positive(),
        price: z.number().min(0).nullable(),
      })
      .nullable(),
    rates: z.array(LabelRate).max(20).readonly(),
    /** Months over which slow release gives its nutrients. */
    releaseMonths: z.number().positive().max(36).nullable(),
    hazards: z.array(Hazard).readonly(),
    /** Days from the last application to the harvest, and hours until one may go in again, by the label. */
    waitingDays: z.int().min(0).max(400).nullable(),
    reentryHours: z.number().min(0).max(720).nullable(),
    mostApplications: z.int().min(1).max(100).nullable(),
    keepBelowC: z.number().nullable(),
    keepsMonths: z.number().positive().nullable(),
    /** Light spoils it; and hours for which it is good once it is mixed. */
    keepDark: z.boolean().default(false),
    mixedHours: z.number().positive().max(2000).nullable().default(null),
    /** Water in % of its wet mass, as it comes out of the bag. */
    moisturePercent: z.number().min(0).max(99).nullable().default(null),
    /** How it acts, hence when it can be judged. */
    acts: ModeOfAction.nullable().default(null),
    /** Caps, handfuls and squirts of it, weighed a few times. */
    looseMeasures: z.array(LooseMeasure).max(12).readonly().default([]),
    batches: z.array(Batch).max(50).readonly(),
    /** A new spray tried on few leaves first: when it began, and whether each look so far saw harm. */
    stepUp: z
      .object({ startedOn: CalendarDay, looks: z.array(z.boolean()).max(10).readonly() })
      .readonly()
      .nullable()
      .default(null),
    /** Used in this garden before, without harm: it need not be stepped up. */
    isKnownHere: z.boolean().default(false),
    note: z.string().max(1000),
  })
  .readonly();
export type Product = z.infer<typeof Product>;

/** The batch in use on a day: the last one opened by then. */
export function batchOn(
  { batches }: Pick<Product, 'batches'>,
  day: CalendarDay,
): Batch | undefined {
  return [...batches]
    .filter(batch => batch.openedOn !== null && batch.openedOn <= day)
    .sort((a, b) => ((a.openedOn ?? '') < (b.openedOn ?? '') ? 1 : -1))[0];
}

const DAYS_A_MONTH = 30.4;

/** A batch that stands open longer than its label lets it. */
export function isPastKeeping(
  { keepsMonths }: Pick<Product, 'keepsMonths'>,
  batch: Batch,
  today: CalendarDay,
): boolean {
  return (
    keepsMonths !== null &&
    batch.openedOn !== null &&
    daysBetween(batch.openedOn, today) > keepsMonths * DAYS_A_MONTH
  );
}

/** What a product asks of the place where it stands, that the weather of late did not give it. @param warmestC of the last days, in the shade */
export function storeTrouble(
  { keepBelowC }: Pick<Product, 'keepBelowC'>,
  warmestC: number | undefined,
  system: MeasureSystem,
): string | undefined {
  return keepBelowC !== null && warmestC !== undefined && warmestC > keepBelowC
    ? `It was ${printTemperature(warmestC, system)} of late; it keeps below ${printTemperature(keepBelowC, system)}. A glasshouse is hotter still.`
    : undefined;
}
