import { fitGardenMixedModel, type GardenMixedModel } from '@/core/stats/meta/garden-mixed-model';
import type { GardenSource } from './gardens-together';

/** Every unit of every garden in one model; undefined where nothing is left to judge by. Typed summaries have no units. */
export function mixedOver(
  sources: readonly GardenSource[],
  control: string,
): GardenMixedModel | undefined {
  const units = sources.flatMap(({ gardenId, id, answer }) =>
    answer.dots.map(({ treatment, block, value }) => ({
      garden: gardenId,
      block: `${id} ${block}`,
      treatment,
      value,
    })),
  );
  return units.length === 0 ? undefined : fitGardenMixedModel(units, control);
}
