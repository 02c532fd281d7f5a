import type { WaterSource } from '@/core/trial/model/water-source';

/** What to do with it before it touches something alive. */
export interface WaterStep {
  readonly label: string;
  /** Hours to stand open until its disinfectant is gone; null: standing does not do it. */
  readonly standsHours: number | null;
  readonly says: string;
}

// Free chlorine goes off overnight, chloramine does not: common practice, no source.
export const WATER_STEPS: Readonly<Record<WaterSource, WaterStep>> = {
  rain: {
    label: 'rain from a butt',
    standsHours: 0,
    says: 'Nothing to let off. It is soft: feeds turn the mix sour sooner.',
  },
  well: {
    label: 'well or spring',
    standsHours: 0,
    says: 'Nothing to let off. Hard water limes the mix over a season.',
  },
  'tap-chlorine': {
    label: 'tap, with chlorine',
    standsHours: 12,
    says: 'Let it stand open overnight: the chlorine goes off.',
  },
  'tap-chloramine': {
    label: 'tap, with chloramine',
    standsHours: null,
    says: 'Standing does not clear chloramine. For brews and washings take rain water, or a carbon filter.',
  },
  'tap-unknown': {
    label: 'tap, not known with what',
    standsHours: null,
    says: 'Ask the waterworks: standing clears chlorine, not chloramine.',
  },
};

/** One water for all, always: two sources are a second difference between treatments. */
export const SAME_WATER =
  'Take the same water for all, for the plain one too, and wash everything in it.';
