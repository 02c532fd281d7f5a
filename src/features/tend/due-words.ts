import { amountWords } from '@/core/materials/amount-words';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { DueTask } from '@/core/schedule/tasks/due-today';
import { counted } from '@/core/words/plural';

/** What each unit gets in one step, as it is measured out. */
export function dueWords(
  { each, product, waterMl, units, trial }: DueTask,
  system: MeasureSystem,
): string {
  const things = counted(units, trial.unitWord);
  if (!product) return things;
  if (!each)
    return `${things}: ${product.name}, by a measure of the ${trial.unitWord} that is not known yet`;
  const amount =
    each.kind === 'mass'
      ? amountWords(each.g, 'mass', system)
      : amountWords(each.ml, 'volume', system);
  return `${things}: ${amount} ${product.name}${waterMl === null ? '' : ` in ${amountWords(waterMl, 'volume', system)}`} each`;
}
