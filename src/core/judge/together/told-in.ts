import { isToldInPercent } from '@/core/judge/verdict/shown-interval';
import type { TogetherMeasure } from './together-measure';

/** What the gaps of a question are told in by hand. */
export interface ToldIn {
  readonly isPercent: boolean;
  /** `%`, `days`, `points`, `steps`, `g`; empty where the measure is a bare number. */
  readonly unit: string;
  /** One of it in what the core reckons in. */
  readonly base: number;
}

/** In % of the control where gaps are; else in what the measure's own are told in. */
export function toldIn(measure: TogetherMeasure): ToldIn {
  if (isShareTold(measure)) return { isPercent: true, unit: '%', base: 1 };
  switch (measure.outcome) {
    case 'proportion':
      return { isPercent: false, unit: 'points', base: 0.01 };
    case 'time':
      return { isPercent: false, unit: 'days', base: 1 };
    case 'ordinal':
      return { isPercent: false, unit: 'steps', base: 1 };
    default:
      return {
        isPercent: false,
        unit: measure.responseUnit ?? '',
        base: measure.responseBase ?? 1,
      };
  }
}

/** Whether all gardens are taken together by shares of their controls. */
export function isShareTold(measure: TogetherMeasure): boolean {
  const isRatio = measure.outcome === 'continuous' || measure.outcome === 'count';
  return isRatio && isToldInPercent(measure);
}
