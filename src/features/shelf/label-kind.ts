import type { ProductDraft } from '@/core/materials/label/product-form';
import type { Hazard } from '@/core/trial/model/product';

/** What a product is bought for: it says which lines of a label are worth asking for first. */
export type LabelKind = 'feed' | 'remedy' | 'soil' | 'other';

export const LABEL_KINDS: readonly { readonly value: LabelKind; readonly label: string }[] = [
  { value: 'feed', label: 'a feed' },
  { value: 'remedy', label: 'a spray or remedy' },
  { value: 'soil', label: 'soil, mulch or mix' },
  { value: 'other', label: 'something else: show every line' },
];

type Key = keyof ProductDraft;

const ALWAYS: readonly Key[] = ['name', 'form', 'packSize', 'packPrice', 'rates', 'hazards'];
const WANTED: Readonly<Record<Exclude<LabelKind, 'other'>, readonly Key[]>> = {
  feed: ['grade', 'others', 'basis', 'per', 'density', 'releaseMonths'],
  remedy: [
    'density',
    'activePercent',
    'waitingDays',
    'reentryHours',
    'mostApplications',
    'mixedHours',
    'acts',
    'keepDark',
  ],
  soil: ['density', 'moisture'],
};

const HAZARDS_OF: Readonly<Record<Exclude<LabelKind, 'other'>, readonly Hazard[]>> = {
  feed: ['concentrate', 'ammonium', 'animal-meal', 'home-brew', 'raw-manure', 'dust', 'lime'],
  remedy: [
    'concentrate',
    'strong-acid',
    'peroxide',
    'bleach',
    'salt',
    'weedkiller',
    'insect-spray',
    'fungus-spray',
    'soap',
    'oil',
    'sulphur',
    'copper',
    'slug-bait',
    'home-brew',
  ],
  soil: ['compost', 'raw-manure', 'mulch', 'dust', 'lime', 'animal-meal'],
};

/** Whether a line is shown: where its kind has it, or something stands in it already. */
export function isAsked(key: Key, kind: LabelKind, form: ProductDraft): boolean {
  if (kind === 'other' || ALWAYS.includes(key) || WANTED[kind].includes(key)) return true;
  const value = form[key];
  // How a label counts and prints says nothing by itself.
  if (key === 'basis' || key === 'per') return (form.grade ?? '') !== '';
  return value !== undefined && value !== '' && value !== false;
}

/** The hazards to choose among: those of its kind, and what is ticked already. */
export function hazardsAsked(
  kind: LabelKind,
  all: readonly Hazard[],
  form: ProductDraft,
): readonly Hazard[] {
  if (kind === 'other') return all;
  return all.filter(
    hazard => HAZARDS_OF[kind].includes(hazard) || (form.hazards ?? []).includes(hazard),
  );
}

const REMEDIES: readonly Hazard[] = [
  'weedkiller',
  'insect-spray',
  'fungus-spray',
  'slug-bait',
  'soap',
  'oil',
  'copper',
  'peroxide',
  'bleach',
];

/** What a product that is on the shelf already seems to be. */
export function kindOf(form: ProductDraft): LabelKind {
  const hazards = form.hazards ?? [];
  if ((form.acts ?? '') !== '' || hazards.some(hazard => REMEDIES.includes(hazard)))
    return 'remedy';
  if ((form.grade ?? '') !== '') return 'feed';
  if (hazards.some(hazard => HAZARDS_OF.soil.includes(hazard))) return 'soil';
  return form.name === '' ? 'feed' : 'other';
}
