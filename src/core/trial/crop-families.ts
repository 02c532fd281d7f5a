/**
 * Crops of one botanical family share diseases, and what they take out of the ground. Families as in Vaughan & Geissler (2009), The
 * New Oxford Book of Food Plants, from memory.
 */
const FAMILIES: readonly (readonly [family: string, crops: RegExp])[] = [
  ['the nightshades', /\b(potato|tomato|aubergine|eggplant|pepper|chill?i|tobacco)(e?s)?\b/i],
  [
    'the cabbages',
    /\b(cabbage|kale|broccoli|cauliflower|sprout|radish|turnip|swede|rocket|mustard|pak choi|kohlrabi)(e?s)?\b/i,
  ],
  ['the peas and beans', /\b(bean|pea|lentil|clover|vetch|lupin|soya?)s?\b/i],
  ['the onions', /\b(onion|leek|garlic|shallot|chive)s?\b/i],
  ['the carrots', /\b(carrot|parsnip|celery|celeriac|fennel|parsley|dill|coriander)s?\b/i],
  ['the gourds', /\b(courgette|zucchini|cucumber|squash|pumpkin|melon|marrow|gourd)(e?s)?\b/i],
  ['the beets', /\b(beetroot|beet|chard|spinach|quinoa)s?\b/i],
  ['the lettuces', /\b(lettuce|chicory|endive|artichoke|sunflower|salsify)s?\b/i],
  ['the roses', /\b(strawberr(y|ies)|raspberr(y|ies)|apple|pear|plum|cherr(y|ies)|rose)s?\b/i],
  ['the grasses', /\b(sweetcorn|maize|corn|wheat|barley|oat|rye|grass|lawn)(e?s)?\b/i],
];

/** The family of a crop by its common name: `the nightshades`; undefined where it is not among those known here. */
export function familyOf(crop: string): string | undefined {
  return FAMILIES.find(([, crops]) => crops.test(crop))?.[0];
}
