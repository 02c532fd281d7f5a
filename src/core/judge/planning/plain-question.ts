import { dosesOf } from '@/core/judge/question/dose-line';
import type { PlannedTrial } from './planned-input';

/** Whether each treatment is weighed against the control: of anything else the closed form knows nothing. */
export function isPlainQuestion({ reading, agreed, treatments }: PlannedTrial): boolean {
  return (
    reading.outcome === 'continuous' &&
    agreed === undefined &&
    dosesOf(treatments) === undefined &&
    Object.keys(treatments[0]?.levels ?? {}).length < 2
  );
}
