import type { Hazard } from '@/core/trial/model/product';

/** What is generally known, and bears on a plan. Plain data: it crosses to the page. */
export interface HorticulturalFact {
  readonly id: string;
  readonly says: string;
  /** Author, year; or that there is none. */
  readonly source: string;
}

interface Entry extends HorticulturalFact {
  /** Speaks where one of these is used, or where the trial's or a step's words hold one of these. */
  readonly of: { readonly hazards?: readonly Hazard[]; readonly words?: RegExp };
}

const PRACTICE = 'common practice, no source';

const LORE: readonly Entry[] = [
  {
    id: 'young-strength',
    of: { words: /\b(seedlings?|transplants?|young plants?|plug)\b/i },
    says: 'Seedlings and young transplants take half the label’s strength; full from the first flowers.',
    source: PRACTICE,
  },
  {
    id: 'vinegar-seedlings',
    of: { words: /\bvinegar\b/i },
    says: 'Vinegar of 5% kills weeds under about two weeks old; larger ones need it stronger, and grow again from the root. Judge on day 28 and day 60.',
    source: 'USDA Agricultural Research Service trials, about 2002, from memory',
  },
  {
    id: 'systemic-way',
    of: { words: /\b(glyphosate|systemic (weed|herb)|whole-plant weedkiller)/i },
    says: 'A systemic weedkiller stops one enzyme (EPSPS) that makes three amino acids: annuals yellow after 4 to 7 days, perennials after 7 to 14 or more.',
    source:
      'Biochemical and Biophysical Research Communications 94, 1980, from memory; days: common practice',
  },
  {
    id: 'contact-rain',
    of: { hazards: ['peroxide', 'soap', 'sulphur', 'copper'] },
    says: 'What only lies on the leaf is gone after rain. Peroxide protects nothing once it is dry: it is spent.',
    source: PRACTICE,
  },
  {
    id: 'slug-barriers',
    of: { words: /\b(slugs?|snails?)\b/i },
    says: 'Copper tape, grit, bark and eggshell made no difference to slug damage in one large garden test: plan a control without.',
    source: 'national horticultural society test, 2018, from memory',
  },
  {
    id: 'green-potatoes',
    of: { words: /\bpotato/i },
    says: 'Potatoes gone green hold more glycoalkaloids; 200 mg in a kg fresh is the usual limit. Weigh green ones apart, eat none of them.',
    source: 'common practice, widely quoted',
  },
  {
    id: 'blossom-end-rot',
    of: { words: /\b(blossom.end|tomato|pepper)/i },
    says: 'Blossom-end rot comes from calcium that does not arrive, mostly by uneven water, not from one feed: keep water even, and count it as a cull by itself.',
    source: 'Journal of Plant Nutrition 27, 2004, from memory',
  },
  {
    id: 'third-rule',
    of: { words: /\b(lawn|turf|mow)/i },
    says: 'Cut no more than a third of the leaf. Where clippings stay, half the nitrogen will do. On the nine steps, six is good enough.',
    source:
      'Crop Science 42, 2002, and the national turfgrass evaluation scale, from memory; the third: common practice',
  },
  {
    id: 'char-share',
    of: { words: /\b(bio)?char\b/i },
    says: 'Char in a potting mix is usually 5 to 10% by volume. Raw char first takes nitrogen: compare loaded and raw, each with its own control.',
    source: PRACTICE,
  },
  {
    id: 'pepper-topping',
    of: { words: /\b(topping|topped|pinch(ed|ing)?)\b/i },
    says: 'Peppers are topped above four to six nodes; the first fruit comes one to three weeks later. End by a date that gives the topped ones time.',
    source: PRACTICE,
  },
  {
    id: 'trench-depth',
    of: { words: /\b(trench|earth(ing)? up|hill(ing)?)\b/i },
    says: 'Tubers lie 10 to 15 cm deep; earth up when the tops are 15 to 20 cm.',
    source: PRACTICE,
  },
  {
    id: 'manure-heat',
    of: { hazards: ['raw-manure'], words: /\bmanure\b/i },
    says: 'Manure counts as compost after 3 days at 55 to 77 °C in a vessel, or 15 with five turnings in a windrow. Raw, it waits 90 or 120 days.',
    source: 'US 7 CFR 205.203, from memory',
  },
];

/** What bears on a trial that uses these and speaks of that. */
export function factsFor(hazards: readonly Hazard[], words: string): readonly HorticulturalFact[] {
  return LORE.filter(
    ({ of }) => of.hazards?.some(hazard => hazards.includes(hazard)) || of.words?.test(words),
  ).map(({ id, says, source }) => ({ id, says, source }));
}
