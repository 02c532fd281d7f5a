import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { Product } from '@/core/trial/model/product';

/** A number from a field, or why it is none; null where it is empty. */
type Read = { readonly value: number | null } | { readonly trouble: string };

export function numberIn(written: string, least: number, most: number, sentence: string): Read {
  if (written.trim() === '') return { value: null };
  const value = /^\d+([.,]\d+)?$/.test(written.trim())
    ? Number(written.trim().replace(',', '.'))
    : Number.NaN;
  return value >= least && value <= most ? { value } : { trouble: sentence };
}

const NUMBER_FIELDS = [
  'density',
  'activePercent',
  'releaseMonths',
  'waitingDays',
  'reentryHours',
  'mostApplications',
  'keepsMonths',
  'mixedHours',
  'moisture',
] as const;
type NumberField = (typeof NUMBER_FIELDS)[number];

interface NumberRange {
  readonly least: number;
  readonly most: number;
  readonly sentence: string;
  /** Where the product holds it. */
  readonly as: keyof Product;
}

const NUMBERS: Readonly<Record<NumberField, NumberRange>> = {
  density: {
    least: 0.01,
    most: 20,
    sentence: 'How heavy it is against water, above 0: water has 1.',
    as: 'densityGPerMl',
  },
  activePercent: {
    least: 0.001,
    most: 100,
    sentence: 'A percentage above 0, at most 100.',
    as: 'activePercent',
  },
  releaseMonths: {
    least: 0.5,
    most: 36,
    sentence: 'Months, from half a month to 36.',
    as: 'releaseMonths',
  },
  waitingDays: { least: 0, most: 400, sentence: 'Whole days, at most 400.', as: 'waitingDays' },
  reentryHours: { least: 0, most: 720, sentence: 'Hours, at most 720.', as: 'reentryHours' },
  mostApplications: {
    least: 1,
    most: 100,
    sentence: 'How often at most: a whole number from 1.',
    as: 'mostApplications',
  },
  keepsMonths: { least: 0.1, most: 600, sentence: 'Months, above 0.', as: 'keepsMonths' },
  mixedHours: { least: 0.1, most: 2000, sentence: 'Hours, above 0.', as: 'mixedHours' },
  moisture: {
    least: 0,
    most: 99,
    sentence: 'Water in % of what comes out of the bag, from 0 to 99.',
    as: 'moisturePercent',
  },
};

/** The numbers of the form by the product's own names; null where one is left empty. */
export function readNumbers(draft: Readonly<Record<NumberField, string>>): {
  readonly values: Partial<Record<keyof Product, number | null>>;
  readonly troubles: FieldTroubles;
} {
  const read = NUMBER_FIELDS.map(field => {
    const { least, most, sentence, as } = NUMBERS[field];
    return { field, as, ...numberIn(draft[field], least, most, sentence) };
  });
  return {
    values: Object.fromEntries(
      read.flatMap(each => ('value' in each ? [[each.as, each.value]] : [])),
    ),
    troubles: Object.fromEntries(
      read.flatMap(each => ('trouble' in each ? [[each.field, each.trouble]] : [])),
    ),
  };
}
