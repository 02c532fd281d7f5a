import type { DayRule, Scale } from '@/core/trial/model/scale';

/** What its little drawing shows. */
export type Drawing =
  | 'height'
  | 'across'
  | 'leaf'
  | 'pieces'
  | 'scale'
  | 'card'
  | 'probe'
  | 'jar'
  | 'root'
  | 'day'
  | 'spots'
  | 'soil';

/** A measure as the library knows it: two people who read its definition do the same. */
export interface ReadingKind {
  readonly key: string;
  readonly name: string;
  /** From where to where, and what counts. */
  readonly definition: string;
  readonly drawing: Drawing;
  readonly scale: Scale;
  /** What is written behind the number; empty for steps, classes and yes or no. */
  readonly unit: string;
  readonly better: 'higher' | 'lower' | 'neither';
  readonly when: string;
  readonly instrument: string;
  /** The finest the instrument shows, in the unit; null where it has none. */
  readonly step: number | null;
  /** Readings of parts within a unit, each time. */
  readonly parts: number;
  /** Several entries of one day are added up; averaged where it is not said. */
  readonly partsAre?: 'added';
  readonly days: DayRule;
  /** What a picture of it can be counted for: green cover, or brown on green; null where the eye must do it. */
  readonly fromPicture: 'green' | 'brown' | null;
}
