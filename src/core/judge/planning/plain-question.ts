import { dosesOf } from '@/core/judge/question/dose-line';
import type { PlannedTrial } from './planned-input';

/** Whether each treatment is weighed against the control, once: of anything else the closed form knows nothing. */
export function isPlainQuestion({ reading, agreed, treatments, looks = 1 }: PlannedTrial): boolean {
  return (
    looks === 1 &&
    reading.outcome === 'continuous' &&
    agreed === undefined &&
    dosesOf(treatments) === undefined &&
    Object.keys(treatments[0]?.levels ?? {}).length < 2
  );
}
