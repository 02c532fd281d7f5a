import { z } from 'zod';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { writeAmount } from '@/core/quantity/print-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import { printTemperature, readTemperature } from '@/core/quantity/temperature';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { type Analysis, AnalysisBasis } from '@/core/trial/model/analysis';
import type { LabelRate } from '@/core/trial/model/label-rate';
import { ModeOfAction } from '@/core/trial/model/mode-of-action';
import { NUTRIENT_WORDS, Nutrient, type NutrientAmounts } from '@/core/trial/model/nutrient';
import { Hazard, type LooseMeasure, Product, ProductForm } from '@/core/trial/model/product';
import { gradeSentence, parseGrade } from './analysis';
import { numberIn, readNumbers } from './product-numbers';
import type { RateContext } from './rate/parse-label-rate';
import { type RateLine, readLines } from './rate/rate-lines';
import { rateSentence } from './rate/rate-trouble';

const text = (most: number) => z.string().max(most, 'That is too long.').default('');

/** A product as it is typed. Empty fields are what nobody knows. */
export const ProductDraft = z.object({
  name: z.string().trim().min(1, 'Give it the name on its pack.').max(80, 'At most 80 characters.'),
  form: ProductForm,
  grade: text(60),
  basis: AnalysisBasis.default('oxide'),
  per: z.enum(['w/w', 'w/v']).default('w/w'),
  /** Secondary and trace elements: `Mg 1.2, Fe 0,05`. */
  others: text(200),
  density: text(20),
  activePercent: text(20),
  packSize: text(60),
  packPrice: text(20),
  /** One a line. */
  rates: text(2000),
  releaseMonths: text(10),
  waitingDays: text(10),
  reentryHours: text(10),
  mostApplications: text(10),
  keepsMonths: text(10),
  keepBelow: text(10),
  mixedHours: text(10),
  moisture: text(10),
  keepDark: z.boolean().default(false),
  acts: z.union([ModeOfAction, z.literal('')]).default(''),
  hazards: z.array(Hazard).max(30).default([]),
  note: text(1000),
});
export type ProductDraft = z.input<typeof ProductDraft>;

export const BLANK_PRODUCT: ProductDraft = {
  name: '',
  form: 'liquid',
  grade: '',
  basis: 'oxide',
  per: 'w/w',
  others: '',
  density: '',
  activePercent: '',
  packSize: '',
  packPrice: '',
  rates: '',
  releaseMonths: '',
  waitingDays: '',
  reentryHours: '',
  mostApplications: '',
  keepsMonths: '',
  keepBelow: '',
  mixedHours: '',
  moisture: '',
  keepDark: false,
  acts: '',
  hazards: [],
  note: '',
};
/** What the form does not hold and a change leaves alone. */
type CarriedOver = Pick<Product, 'batches' | 'stepUp' | 'looseMeasures' | 'isKnownHere'>;

const NOTHING_CARRIED: CarriedOver = {
  batches: [],
  stepUp: null,
  looseMeasures: [],
  isKnownHere: false,
};

const [COLDEST_STORE_C, WARMEST_STORE_C] = [1, 60];

/** Reads a product as it came from the form. */
export function readProduct(
  input: unknown,
  system: MeasureSystem,
  id: string,
  carried: CarriedOver = NOTHING_CARRIED,
): Result<Product, FieldTroubles> {
  const parsed = ProductDraft.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const draft = parsed.data;
  const analysis = readAnalysis(draft);
  const pack = readPack(draft, system);
  const numbers = readNumbers(draft);
  const keepBelow = readKeepBelow(draft.keepBelow, system);
  const rates = readRates(draft.rates, contextOf(draft, system, carried.looseMeasures));
  const troubles: FieldTroubles = {
    ...(analysis.ok ? {} : analysis.trouble),
    ...(pack.ok ? {} : pack.trouble),
    ...(rates.ok ? {} : { rates: rates.trouble }),
    ...(keepBelow.ok ? {} : { keepBelow: keepBelow.trouble }),
    ...numbers.troubles,
  };
  if (Object.keys(troubles).length > 0 || !analysis.ok || !pack.ok || !rates.ok || !keepBelow.ok)
    return failure(troubles);
  const product = Product.safeParse({
    ...carried,
    ...numbers.values,
    keepBelowC: keepBelow.value,
    id,
    name: draft.name,
    form: draft.form,
    analysis: analysis.value,
    pack: pack.value,
    rates: rates.value,
    hazards: draft.hazards,
    keepDark: draft.keepDark,
    acts: draft.acts === '' ? null : draft.acts,
    note: draft.note,
  });
  return product.success ? success(product.data) : failure(fieldTroublesOf(product.error));
}

function readKeepBelow(written: string, system: MeasureSystem): Result<number | null, string> {
  if (written.trim() === '') return success(null);
  const celsius = readTemperature(written, system);
  return celsius !== undefined && celsius >= COLDEST_STORE_C && celsius <= WARMEST_STORE_C
    ? success(celsius)
    : failure(
        `A temperature from ${printTemperature(COLDEST_STORE_C, system)} to ${printTemperature(WARMEST_STORE_C, system)}.`,
      );
}

function readAnalysis({
  grade,
  basis,
  per,
  others,
}: z.output<typeof ProductDraft>): Result<Analysis | null, FieldTroubles> {
  const more = readOthers(others);
  if (!more.ok) return failure({ others: more.trouble });
  if (grade.trim() === '')
    return Object.keys(more.value).length === 0
      ? success(null)
      : success({ basis, per, n: 0, p: 0, k: 0, others: more.value });
  const read = parseGrade(grade);
  if (!read.ok) return failure({ grade: gradeSentence(read.trouble) });
  const [n, p, k] = read.value;
  return success({ basis, per, n, p, k, others: more.value });
}

function readOthers(written: string): Result<NutrientAmounts, string> {
  const amounts: Partial<Record<Nutrient, number>> = {};
  for (const part of written
    .split(/[;\n]|,(?!\d)/)
    .map(each => each.trim())
    .filter(each => each !== '')) {
    const found = /^([a-z]+)\s*[:=]?\s*(\d+(?:[.,]\d+)?)\s*%?$/i.exec(part);
    const nutrient = Object.entries(NUTRIENT_WORDS).find(([key, word]) =>
      [key, word].includes((found?.[1] ?? '').toLowerCase()),
    )?.[0];
    const percent = Number((found?.[2] ?? '').replace(',', '.'));
    if (!found || nutrient === undefined || percent > 100)
      return failure(
        `“${part}” is not an element with its percentage. Write for example Mg 1.2, Fe 0.05.`,
      );
    amounts[Nutrient.parse(nutrient)] = percent;
  }
  return success(amounts);
}

function readPack(
  { packSize, packPrice }: z.output<typeof ProductDraft>,
  system: MeasureSystem,
): Result<Product['pack'], FieldTroubles> {
  const price = numberIn(packPrice, 0, 100_000, 'A price: 0 or more, without the currency.');
  if ('trouble' in price) return failure({ packPrice: price.trouble });
  if (packSize.trim() === '')
    return price.value === null
      ? success(null)
      : failure({ packSize: 'How much is in the pack that costs this?' });
  const read = parseQuantity(packSize, { system });
  if (!read.ok) return failure({ packSize: quantitySentence(read.trouble, { system }) });
  const { dimension: of, base } = read.value;
  if ((of !== 'mass' && of !== 'volume') || base <= 0)
    return failure({ packSize: 'A pack holds a mass or a volume, above 0.' });
  return success({ of, amount: base, price: price.value });
}

/** What the rates of a product are read against: its numbers, what a handful of it weighs, whether it pours. */
function contextOf(
  draft: z.output<typeof ProductDraft>,
  system: MeasureSystem,
  loose: readonly LooseMeasure[],
): RateContext {
  const analysis = readAnalysis(draft);
  const { densityGPerMl = null } = readNumbers(draft).values;
  return {
    system,
    loose,
    isLiquid: draft.form === 'liquid' || draft.form === 'spray-concentrate',
    product:
      analysis.ok && analysis.value ? { analysis: analysis.value, densityGPerMl } : undefined,
  };
}

/** Each line of the rates as it is read while one types. */
export function rateLines(
  input: ProductDraft,
  system: MeasureSystem,
  loose: readonly LooseMeasure[],
): readonly RateLine[] {
  const parsed = ProductDraft.safeParse({ ...input, name: input.name || 'x' });
  return parsed.success ? readLines(parsed.data.rates, contextOf(parsed.data, system, loose)) : [];
}

function readRates(written: string, context: RateContext): Result<readonly LabelRate[], string> {
  const rates: LabelRate[] = [];
  for (const { read } of readLines(written, context)) {
    if (!read.ok) return failure(rateSentence(read.trouble, { system: context.system }));
    rates.push(read.value);
  }
  return rates.length > 20 ? failure('At most 20 rates.') : success(rates);
}

/** A product as its form would hold it. */
export function productDraft(product: Product, system: MeasureSystem): ProductDraft {
  const written = (value: number | null): string => (value === null ? '' : String(value));
  const { analysis, pack } = product;
  const packSize = pack === null ? '' : writeAmount(pack.amount, pack.of, system);
  return {
    name: product.name,
    form: product.form,
    grade: analysis === null ? '' : `${analysis.n}-${analysis.p}-${analysis.k}`,
    basis: analysis?.basis ?? 'oxide',
    per: analysis?.per ?? 'w/w',
    others: Object.entries(analysis?.others ?? {})
      .map(
        ([nutrient, percent]) =>
          `${nutrient.charAt(0).toUpperCase()}${nutrient.slice(1)} ${percent}`,
      )
      .join(', '),
    density: written(product.densityGPerMl),
    activePercent: written(product.activePercent),
    packSize,
    packPrice: written(pack?.price ?? null),
    rates: product.rates.map(rate => rate.asWritten).join('\n'),
    releaseMonths: written(product.releaseMonths),
    waitingDays: written(product.waitingDays),
    reentryHours: written(product.reentryHours),
    mostApplications: written(product.mostApplications),
    keepsMonths: written(product.keepsMonths),
    keepBelow: product.keepBelowC === null ? '' : printTemperature(product.keepBelowC, system, 1),
    mixedHours: written(product.mixedHours),
    moisture: written(product.moisturePercent),
    keepDark: product.keepDark,
    acts: product.acts ?? '',
    hazards: [...product.hazards],
    note: product.note,
  };
}
