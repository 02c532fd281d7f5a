import type { Result } from '@/core/result';
import type { LabelRate } from '@/core/trial/model/label-rate';
import { parseLabelRate, type RateContext } from './parse-label-rate';
import type { RateTrouble } from './rate-trouble';

/** A line of a label's rates, and what was read of it. */
export interface RateLine {
  readonly line: string;
  readonly read: Result<LabelRate, RateTrouble>;
}

/** Reads rates that are written a line each; empty lines are none. */
export function readLines(written: string, context: RateContext): readonly RateLine[] {
  return written
    .split('\n')
    .map(each => each.trim())
    .filter(each => each !== '')
    .map(line => ({ line, read: parseLabelRate(line, context) }));
}
