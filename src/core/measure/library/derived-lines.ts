import type { DerivedTerm, Scale } from '@/core/trial/model/scale';
import type { ReadingKind } from './reading-kind';

const harvest = (what: Extract<DerivedTerm, { kind: 'harvest' }>['what']): DerivedTerm => ({
  kind: 'harvest',
  what,
});
const built = (what: Extract<DerivedTerm, { kind: 'built' }>['what']): DerivedTerm => ({
  kind: 'built',
  what,
});
const reading = (key: string): DerivedTerm => ({ kind: 'reading', key });
const HOURS: DerivedTerm = { kind: 'hours' };

type How = Extract<Scale, { kind: 'derived' }>['how'];

const derived = (of: DerivedTerm, how: How, by: DerivedTerm, times = 1): Scale => ({
  kind: 'derived',
  how,
  of,
  by,
  times,
});

type Line = Pick<ReadingKind, 'key' | 'name' | 'definition' | 'scale' | 'unit' | 'better'>;

/** What gardeners work out of two other figures, ready-made. */
const LINES: readonly Line[] = [
  {
    key: 'per-area',
    name: 'Harvest per area',
    definition: 'Sound harvest over the ground or open top that was put down for each.',
    scale: derived(harvest('sound-weight'), 'over', built('area')),
    unit: 'g per m²',
    better: 'higher',
  },
  {
    key: 'per-plant',
    name: 'Harvest per plant',
    definition:
      'Sound harvest over the plants, seed tubers or sets that were planted, lived or not.',
    scale: derived(harvest('sound-weight'), 'over', built('plants')),
    unit: 'g per plant',
    better: 'higher',
  },
  {
    key: 'per-seed',
    name: 'Harvest per weight of seed',
    definition: 'Sound harvest over the weight of seed, tubers or sets that was planted.',
    scale: derived(harvest('sound-weight'), 'over', built('seed')),
    unit: 'g per g',
    better: 'higher',
  },
  {
    key: 'per-litre',
    name: 'Harvest per litre of mix',
    definition: 'Sound harvest over the mix that was filled in.',
    scale: derived(harvest('sound-weight'), 'over', built('litres')),
    unit: 'g per l',
    better: 'higher',
  },
  {
    key: 'per-hour',
    name: 'Harvest per hour of work',
    definition: 'Sound harvest over the hours that were timed or written down.',
    scale: derived(harvest('sound-weight'), 'over', HOURS),
    unit: 'g per hour',
    better: 'higher',
  },
  {
    key: 'hours-per-kg',
    name: 'Hours per kilogram',
    definition: 'Hours that were timed or written down, over the sound harvest.',
    scale: derived(HOURS, 'over', harvest('sound-weight'), 1000),
    unit: 'h per kg',
    better: 'lower',
  },
  {
    key: 'sound-share',
    name: 'Sound share by weight',
    definition: 'Sound harvest in % of the whole harvest, culls and all.',
    scale: derived(harvest('sound-weight'), 'over', harvest('total-weight'), 100),
    unit: '%',
    better: 'higher',
  },
  {
    key: 'pooled-piece',
    name: 'Weight of a piece, over all',
    definition:
      'Sound harvest over the number of sound pieces, each treatment’s pieces taken together.',
    scale: derived(harvest('sound-weight'), 'over', harvest('sound-count')),
    unit: 'g per piece',
    better: 'higher',
  },
  {
    key: 'clearing-ripe-share',
    name: 'Ripe share of the final clearing pick',
    definition: 'Ripe pieces of all pieces, on the day on which everything came off.',
    scale: derived(harvest('clearing-ripe'), 'share', harvest('clearing-all')),
    unit: '',
    better: 'higher',
  },
  {
    key: 'harvest-share',
    name: 'Harvest share of the plant',
    definition: 'Whole harvest in % of harvest and green mass together (the harvest index).',
    scale: derived(harvest('total-weight'), 'part', reading('top-mass'), 100),
    unit: '%',
    better: 'higher',
  },
  {
    key: 'internode',
    name: 'Internode length',
    definition: 'New shoot length over the buds that grew on it.',
    scale: derived(reading('shoot-length'), 'over', reading('buds-above-cut')),
    unit: 'mm per bud',
    better: 'lower',
  },
  {
    key: 'height-gain',
    name: 'Height gained',
    definition: 'Plant height less its start size.',
    scale: derived(reading('height'), 'less', reading('start-size')),
    unit: 'mm',
    better: 'higher',
  },
  {
    key: 'tubers-per-seed',
    name: 'Tubers per weight of seed',
    definition: 'Tuber yield over the weight of seed tubers that was planted.',
    scale: derived(reading('tuber-mass'), 'over', built('seed')),
    unit: 'g per g',
    better: 'higher',
  },
  {
    key: 'tubers-per-plant',
    name: 'Tubers per seed tuber',
    definition: 'Tuber yield over the number of seed tubers that were planted, lived or not.',
    scale: derived(reading('tuber-mass'), 'over', built('plants')),
    unit: 'g per plant',
    better: 'higher',
  },
  {
    key: 'water-per-kg',
    name: 'Water per kilogram',
    definition: 'Litres given over the sound harvest.',
    scale: derived(reading('water-given'), 'over', harvest('sound-weight'), 1000),
    unit: 'l per kg',
    better: 'lower',
  },
  {
    key: 'dry-share',
    name: 'Dry matter',
    definition: 'The marked sample dry, in % of what it weighed fresh.',
    scale: derived(reading('trimmed-dry'), 'over', reading('trimmed-fresh'), 100),
    unit: '%',
    better: 'higher',
  },
  {
    key: 'kept-share',
    name: 'Kept in store',
    definition: 'The sound part of the marked sample, in % of what was stored.',
    scale: derived(reading('stored-after'), 'over', reading('stored-before'), 100),
    unit: '%',
    better: 'higher',
  },
];

/** The ready-made ones in the shape of the library. */
export const DERIVED_KINDS: readonly ReadingKind[] = LINES.map(line => ({
  drawing: 'scale',
  when: 'worked out',
  instrument: 'worked out of two others',
  step: null,
  parts: 1,
  days: 'mean',
  fromPicture: null,
  ...line,
}));
