import { z } from 'zod';
import { writeAmount } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { CareKind, type CareRule } from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';

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
  runsByItself: z.boolean().default(false),
});
export type CareDraft = z.input<typeof CareDraft>;
export type Draft = z.output<typeof CareDraft>;

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
  runsByItself: false,
};

/** A rule as its form would hold it. @param rates those of the product on the shelf now, by what is written */
export function careDraft(
  rule: CareRule,
  products: readonly Product[],
  system: MeasureSystem,
): CareDraft {
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
    water: material?.waterMl ? writeAmount(material.waterMl, 'volume', system) : '',
    minutesEach: rule.minutesEach === null ? '' : String(rule.minutesEach),
    washedOffByMm:
      rule.washedOffByMm === null ? '' : writeAmount(rule.washedOffByMm, 'length', system),
    runsByItself: rule.runsByItself,
  };
}
