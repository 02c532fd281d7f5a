import { z } from 'zod';

/** How something acts on what it is meant for, and hence when it can be judged. */
export const ModeOfAction = z.enum([
  'contact-spray',
  'contact-weedkiller',
  'systemic-weedkiller-annuals',
  'systemic-weedkiller-perennials',
  'vinegar',
  'bait',
  'soluble-feed',
  'slow-release',
  'meal',
  'char-or-rock-dust',
  'compost',
  'mulch',
]);
export type ModeOfAction = z.infer<typeof ModeOfAction>;

export const ACTS_WORDS: Readonly<Record<ModeOfAction, string>> = {
  'contact-spray': 'on the pest, on contact',
  'contact-weedkiller': 'on leaves it touches',
  'systemic-weedkiller-annuals': 'through annual weeds',
  'systemic-weedkiller-perennials': 'through perennial weeds',
  vinegar: 'burns leaves, as vinegar',
  bait: 'as a bait',
  'soluble-feed': 'feeds at once',
  'slow-release': 'feeds slowly',
  meal: 'feeds as it rots',
  'char-or-rock-dust': 'over years, as char or rock dust',
  compost: 'as compost',
  mulch: 'as a mulch',
};
