import { z } from 'zod';
import { untriedTrouble } from '@/core/materials/dose/strength-ladder';
import { chosenAmount } from '@/core/materials/label/label-rate';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { CalendarDay } from '@/core/time/garden-day';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import {
  CareKind,
  type CareMaterial,
  CareRule,
  type Moment,
  type Repeat,
} from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';
import type { Treatment } from '@/core/trial/model/treatment';

const text = z.string().max(120, 'That is too long.').default('');

/** A rule of care as it is typed. Only the fields that its choices need are looked at. */
export const CareDraft = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'Say what is done: weekly feed, first spray.')
    .max(80, 'At most 80 characters.'),
  kind: CareKind,
  treatmentIds: z.array(z.string()).max(40).default([]),
  from: z.enum(['start', 'day', 'stage', 'after']),
  fromDays: text,
  fromDay: text,
  fromStage: text,
  fromRule: text,
  repeat: z.enum(['once', 'every', 'times', 'weekdays']),
  everyDays: text,
  times: text,
  weekdays: z.array(z.int().min(1).max(7)).max(7).default([]),
  until: z.enum(['end', 'day', 'stage']),
  untilDay: text,
  untilStage: text,
  productId: text,
  rate: text,
  choice: z.enum(['low', 'middle', 'high']).default('high'),
  strength: text,
  water: text,
  minutesEach: text,
  washedOffByMm: text,
});
export type CareDraft = z.input<typeof CareDraft>;
type Draft = z.output<typeof CareDraft>;

export const BLANK_CARE: CareDraft = {
  name: '',
  kind: 'feed',
  treatmentIds: [],
  from: 'start',
  fromDays: '0',
  fromDay: '',
  fromStage: '',
  fromRule: '',
  repeat: 'every',
  everyDays: '7',
  times: '3',
  weekdays: [],
  until: 'end',
  untilDay: '',
  untilStage: '',
  productId: '',
  rate: '0',
  choice: 'high',
  strength: '1',
  water: '',
  minutesEach: '',
  washedOffByMm: '',
};

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
    draft.washedOffByMm.trim() === ''
      ? null
      : reader.number(
          'washedOffByMm',
          draft.washedOffByMm,
          0.1,
          100,
          'Millimetres of rain, from 0.1.',
        );
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
  });
  return rule.success ? success(rule.data) : failure(fieldTroublesOf(rule.error));
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
    if (!CalendarDay.safeParse(written).success) this.trouble(field, 'Choose a day.');
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
  let waterMl: number | null = null;
  if (draft.water.trim() !== '' || rate.per.kind === 'water') {
    const read = parseQuantity(draft.water, { system, dimension: 'volume' });
    if (!read.ok)
      reader.trouble(
        'water',
        draft.water.trim() === ''
          ? 'This rate counts by water: how much does each get?'
          : quantitySentence(read.trouble),
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

/** A rule as its form would hold it. @param rates those of the product on the shelf now, by what is written */
export function careDraft(rule: CareRule, products: readonly Product[]): CareDraft {
  const { from, repeat, until, material } = rule;
  const rates = products.find(product => product.id === material?.productId)?.rates ?? [];
  const rate = rates.findIndex(each => each.asWritten === material?.rate.asWritten);
  return {
    ...BLANK_CARE,
    name: rule.name,
    kind: rule.kind,
    treatmentIds: [...rule.treatmentIds],
    from: from.kind,
    fromDays: from.kind === 'day' ? '0' : String(from.days),
    fromDay: from.kind === 'day' ? from.day : '',
    fromStage: from.kind === 'stage' ? from.stage : '',
    fromRule: from.kind === 'after' ? from.ruleId : '',
    repeat: repeat.kind,
    everyDays: repeat.kind === 'every' || repeat.kind === 'times' ? String(repeat.days) : '7',
    times: repeat.kind === 'times' ? String(repeat.times) : '3',
    weekdays: repeat.kind === 'weekdays' ? [...repeat.weekdays] : [],
    until: until?.kind === 'day' || until?.kind === 'stage' ? until.kind : 'end',
    untilDay: until?.kind === 'day' ? until.day : '',
    untilStage: until?.kind === 'stage' ? until.stage : '',
    productId: material?.productId ?? '',
    rate: String(Math.max(0, rate)),
    choice: material?.choice ?? 'high',
    strength: String(material?.strength ?? 1),
    water: material?.waterMl ? `${material.waterMl} ml` : '',
    minutesEach: rule.minutesEach === null ? '' : String(rule.minutesEach),
    washedOffByMm: rule.washedOffByMm === null ? '' : String(rule.washedOffByMm),
  };
}
