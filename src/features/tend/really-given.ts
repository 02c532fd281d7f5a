import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { DueTask } from '@/core/schedule/tasks/due-today';
import { type ReadAmount, readAmount } from '@/features/shelf/sums/read-amount';

export const NOTHING_WRITTEN: ReadAmount = { base: undefined, trouble: undefined };

/** In the garden's own small unit where none is written; what can't be read is said, never left out. */
export function readReally(written: string, { each }: DueTask, system: MeasureSystem): ReadAmount {
  const isMass = each?.kind === 'mass';
  const bare = system === 'us' ? (isMass ? 'oz' : 'us-floz') : isMass ? 'g' : 'ml';
  return readAmount(written, isMass ? 'mass' : 'volume', system, bare);
}
