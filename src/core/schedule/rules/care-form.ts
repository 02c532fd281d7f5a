import { untriedTrouble } from '@/core/materials/dose/strength-ladder';
import { chosenAmount } from '@/core/materials/label/label-rate';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { GardenDay } from '@/core/time/garden-day';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import {
  type CareMaterial,
  CareRule,
  type Moment,
  type Repeat,
} from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';
import type { Treatment } from '@/core/trial/model/treatment';
import { CareDraft, type Draft } from './care-draft';

/** What a rule is read against. */
export interface CareContext {
  readonly system: MeasureSystem;
  readonly products: readonly Product[];
  readonly treatments: readonly Treatment[];
  readonly rules: readonly CareRule[];
}

/** Reads a rule of care as it came from the form. */
export function readCare(
  input: unknown,
  context: CareContext,
  id: string,
): Result<CareRule, FieldTroubles> {
  const parsed = CareDraft.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const draft = parsed.data;
  const reader = new Reader();
  const from = fromOf(draft, reader, context, id);
  const repeat = repeatOf(draft, reader);
  const until = untilOf(draft, reader);
  const material = materialOf(draft, reader, context);
  if (draft.treatmentIds.some(each => !context.treatments.some(treatment => treatment.id === each)))
    reader.trouble('treatmentIds', 'Choose among the treatments of this trial.');
  const minutesEach =
    draft.minutesEach.trim() === ''
      ? null
      : reader.number('minutesEach', draft.minutesEach, 0, 600, 'Minutes, at most 600.');
  const washedOffByMm =
    draft.washedOffByMm.trim() === '' ? null : rainOf(draft.washedOffByMm, reader, context.system);
  if (Object.keys(reader.troubles).length > 0) return failure(reader.troubles);
  const rule = CareRule.safeParse({
    id,
    name: draft.name,
    kind: draft.kind,
    treatmentIds: draft.treatmentIds,
    from,
    repeat,
    until,
    material,
    washedOffByMm,
    minutesEach,
    runsByItself: draft.runsByItself,
  });
  return rule.success ? success(rule.data) : failure(fieldTroublesOf(rule.error));
}

const LEAST_RAIN_MM = 0.1;
const MOST_RAIN_MM = 100;

function rainOf(written: string, reader: Reader, system: MeasureSystem): number {
  const bareUnit = system === 'us' ? 'in' : 'mm';
  const read = parseQuantity(written, { system, dimension: 'length', bareUnit });
  const mm = read.ok ? read.value.base : Number.NaN;
  if (!(mm >= LEAST_RAIN_MM && mm <= MOST_RAIN_MM))
    reader.trouble(
      'washedOffByMm',
      system === 'us' ? 'Inches of rain, from 0.01 to 4.' : 'Millimetres of rain, from 0.1 to 100.',
    );
  return mm;
}

/** Reads fields one by one and keeps what is wrong with each. */
class Reader {
  readonly #troubles: Record<string, string> = {};
  get troubles(): FieldTroubles {
    return this.#troubles;
  }

  trouble(field: string, sentence: string): void {
    this.#troubles[field] ??= sentence;
  }

  number(field: string, written: string, least: number, most: number, sentence: string): number {
    const value = /^-?\d+([.,]\d+)?$/.test(written.trim())
      ? Number(written.trim().replace(',', '.'))
      : Number.NaN;
    if (!(value >= least && value <= most)) this.trouble(field, sentence);
    return value;
  }

  whole(field: string, written: string, least: number, most: number, sentence: string): number {
    const value = this.number(field, written, least, most, sentence);
    if (!Number.isInteger(value)) this.trouble(field, sentence);
    return value;
  }

  day(field: string, written: string): string {
    if (!GardenDay.safeParse(written).success) this.trouble(field, 'Choose a day.');
    return written;
  }

  stage(field: string, written: string): string {
    if (written.trim() === '')
      this.trouble(field, 'Name the stage: first flower, first true leaf.');
    return written.trim();
  }
}

function fromOf(draft: Draft, reader: Reader, { rules }: CareContext, id: string): Moment {
  const days = (least: number): number =>
    draft.fromDays.trim() === ''
      ? 0
      : reader.whole(
          'fromDays',
          draft.fromDays,
          least,
          1100,
          `Whole days${least < 0 ? ', below 0 for before the start' : ''}.`,
        );
  switch (draft.from) {
    case 'start':
      return { kind: 'start', days: days(-800) };
    case 'day':
      return { kind: 'day', day: reader.day('fromDay', draft.fromDay) };
    case 'stage':
      return { kind: 'stage', stage: reader.stage('fromStage', draft.fromStage), days: days(-60) };
    case 'after':
      if (!rules.some(rule => rule.id === draft.fromRule && rule.id !== id))
        reader.trouble('fromRule', 'Choose what it comes after.');
      return { kind: 'after', ruleId: draft.fromRule, days: days(0) };
  }
}

function repeatOf(draft: Draft, reader: Reader): Repeat {
  const days = (): number =>
    reader.whole('everyDays', draft.everyDays, 1, 366, 'Whole days, from 1 to 366.');
  switch (draft.repeat) {
    case 'once':
      return { kind: 'once' };
    case 'every':
      return { kind: 'every', days: days() };
    case 'times':
      return {
        kind: 'times',
        times: reader.whole('times', draft.times, 2, 60, 'How often: from 2 to 60.'),
        days: days(),
      };
    case 'weekdays':
      if (draft.weekdays.length === 0)
        reader.trouble('weekdays', 'Choose at least one day of the week.');
      return { kind: 'weekdays', weekdays: [...draft.weekdays].sort((a, b) => a - b) };
  }
}

function untilOf(draft: Draft, reader: Reader): Moment | null {
  switch (draft.until) {
    case 'end':
      return null;
    case 'day':
      return { kind: 'day', day: reader.day('untilDay', draft.untilDay) };
    case 'stage':
      return { kind: 'stage', stage: reader.stage('untilStage', draft.untilStage), days: 0 };
  }
}

function materialOf(
  draft: Draft,
  reader: Reader,
  { products, system }: CareContext,
): CareMaterial | null {
  if (draft.productId === '') return null;
  const product = products.find(each => each.id === draft.productId);
  const rate = product?.rates[Number(draft.rate)];
  if (!product) {
    reader.trouble('productId', 'Choose a product of the shelf.');
    return null;
  }
  if (!rate) {
    reader.trouble(
      'rate',
      product.rates.length === 0
        ? `${product.name} has no rate yet: write its label’s rate on the shelf.`
        : 'Choose one of its rates.',
    );
    return null;
  }
  const strength = strengthOf(draft.strength);
  if (strength === undefined)
    reader.trouble('strength', 'A share of the label’s rate: 1, 0.5, 1/2 or 50%.');
  const share = (strength ?? 1) * (chosenAmount(rate, draft.choice) / rate.high);
  const untried = draft.kind === 'spray' ? untriedTrouble(product, share) : undefined;
  if (untried !== undefined) reader.trouble('productId', untried);
  let waterMl: number | null =
    rate.per.kind === 'water' && rate.per.plants !== undefined
      ? rate.per.ml / rate.per.plants
      : null;
  if (draft.water.trim() !== '' || (rate.per.kind === 'water' && waterMl === null)) {
    const read = parseQuantity(draft.water, { system, dimension: 'volume' });
    if (!read.ok)
      reader.trouble(
        'water',
        draft.water.trim() === ''
          ? 'This rate counts by water: how much does each get?'
          : quantitySentence(read.trouble, { system, wanted: 'volume' }),
      );
    else if (read.value.base <= 0) reader.trouble('water', 'More than none.');
    else waterMl = read.value.base;
  }
  return {
    productId: product.id,
    rate,
    choice: draft.choice,
    strength: strength ?? 1,
    waterMl,
    batchId: null,
  };
}

/** `1`, `0.5`, `1/2`, `50%`, `half`. */
export function strengthOf(written: string): number | undefined {
  const said = written.trim().toLowerCase();
  if (said === '' || said === 'full') return 1;
  if (said === 'half') return 0.5;
  if (said === 'quarter') return 0.25;
  const share = /^(\d+(?:[.,]\d+)?)\s*(%|\/\s*(\d+))?$/.exec(said);
  if (!share) return undefined;
  const value =
    Number((share[1] ?? '').replace(',', '.')) /
    (share[2] === '%' ? 100 : share[3] === undefined ? 1 : Number(share[3]));
  return value > 0 && value <= 10 ? value : undefined;
}
