import { amountWords } from '@/core/materials/amount-words';
import type { Measured } from '@/core/materials/label/analysis';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { DueTask } from '@/core/schedule/tasks/due-today';
import { counted } from '@/core/words/plural';

/** An amount that was worked out, as it is measured out. */
export function eachWords(each: Measured, system: MeasureSystem): string {
  return each.kind === 'mass'
    ? amountWords(each.g, 'mass', system)
    : amountWords(each.ml, 'volume', system);
}

/** What each unit gets in one step, as it is measured out. */
export function dueWords(
  { each, product, waterMl, units, trial, receivers }: DueTask,
  system: MeasureSystem,
): string {
  const things = counted(units, trial.unitWord);
  if (!product) return things;
  if (!each && receivers.some(receiver => receiver.each))
    return `${things}: ${product.name}, each by its size`;
  if (!each)
    return `${things}: ${product.name}, by a measure of the ${trial.unitWord} that is not known yet`;
  const amount =
    each.kind === 'mass'
      ? amountWords(each.g, 'mass', system)
      : amountWords(each.ml, 'volume', system);
  return `${things}: ${amount} ${product.name}${waterMl === null ? '' : ` in ${amountWords(waterMl, 'volume', system)}`} each`;
}
