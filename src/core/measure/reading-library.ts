import type { DayRule, Scale } from './scale';

/** What its little drawing shows. */
export type Drawing = 'height' | 'across' | 'leaf' | 'pieces' | 'scale' | 'card' | 'probe' | 'jar' | 'root' | 'day' | 'spots' | 'soil';

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
  readonly days: DayRule;
}

const number = (least: number, most: number): Scale => ({ kind: 'continuous', least, most });
const count: Scale = { kind: 'count' };
const yesNo: Scale = { kind: 'yes-no' };
const date: Scale = { kind: 'date' };
const of = (outOf: number | null = null): Scale => ({ kind: 'proportion', outOf });
const percent = (step = 1): Scale => ({ kind: 'percent', step });
const steps = (from: number, words: readonly string[], hasBeyond = false): Scale => ({ kind: 'ordinal', from, steps: words, hasBeyond });
const classes = (...words: readonly string[]): Scale => ({ kind: 'class', classes: words });
const nine = (low: string, high: string): Scale => steps(1, [low, '', '', '', 'middling', '', '', '', high].map((word, i) => word || `${i + 1}`));

type Row = readonly [key: string, name: string, definition: string, drawing: Drawing, scale: Scale, unit: string, better: ReadingKind['better'], when: string, instrument: string, step: number | null, parts?: number, days?: DayRule];

// Definitions are our own words for what growers count and measure; steps of instruments are what such tools usually show
// (common practice, no source).
const ROWS: readonly Row[] = [
  ['piece-mass', 'Weight of single pieces', 'One detached piece, dry, its stalk on or off as agreed; each weighed by itself.', 'scale', number(0, 50_000), 'g', 'higher', 'each pick', 'kitchen scale', 1, 10],
  ['ripe-share', 'Ripe share', 'Pieces with at least half their skin in the final colour, of all pieces.', 'pieces', of(), '', 'higher', 'final strip', 'eye', null],
  ['cull-reason', 'First cause of a cull', 'The first that applies, in this order.', 'pieces', classes('rot at the end', 'split', 'eaten', 'infected', 'green', 'misshapen', 'speared', 'sunscald', 'other'), '', 'neither', 'each pick', 'eye', null],
  ['ripe-colour', 'Ripe colour', 'The colour of most of the piece, in the shade.', 'card', steps(0, ['green', 'turning', 'dull', 'full colour']), '', 'higher', 'each pick', 'colour card', null, 3],
  ['shape', 'Shape', 'Against what the variety should look like.', 'pieces', steps(0, ['true to type', 'slightly off', 'badly off']), '', 'lower', 'each pick', 'eye', null, 3],
  ['head-mass', 'Head weight', 'Cut at the lowest firm leaf, loose outer leaves off, shaken, drained five minutes.', 'scale', number(0, 20_000), 'g', 'higher', 'harvest', 'kitchen scale', 1],
  ['head-firmness', 'Head firmness', 'Pressed with the thumb at the side.', 'pieces', steps(0, ['loose', 'gives', 'firm', 'hard']), '', 'higher', 'harvest', 'thumb', null],
  ['tuber-mass', 'Tuber yield', 'All new tubers over 2 cm, soil brushed off, the seed tuber left out; less the container.', 'scale', number(0, 100_000), 'g', 'higher', 'harvest', 'hanging scale', 10, 1, 'total'],
  ['layer-count', 'Tubers in a layer', 'Tubers over 2 cm in one pail or 10 cm of depth; one reading a layer, from the bottom.', 'soil', count, '', 'higher', 'harvest', 'eye', 1, 4, 'total'],
  ['green-tubers', 'Green tubers', 'Tubers with green on more than a twentieth of the skin, of all.', 'pieces', of(), '', 'lower', 'harvest', 'eye', null],
  ['bitten-tubers', 'Eaten tubers', 'Tubers with a bite wider than 5 mm, of all.', 'pieces', of(), '', 'lower', 'harvest', 'eye', null],
  ['labour', 'Work', 'Minutes of one person at this unit, walking there and back left out.', 'day', number(0, 1440), 'min', 'lower', 'each time', 'watch', 1, 1, 'total'],
  ['stem', 'Stem thickness', 'Just above the soil, at a mark 5 mm up; two readings at right angles.', 'across', number(0, 500), 'mm', 'higher', 'every two weeks', 'caliper', 0.1, 2],
  ['height', 'Plant height', 'From the soil to the top of the leaves as they stand, not pulled up.', 'height', number(0, 6000), 'mm', 'higher', 'weekly', 'ruler', 5],
  ['longest-leaf', 'Height to the longest tip', 'From the soil to the tip of the longest leaf, held up straight.', 'height', number(0, 6000), 'mm', 'higher', 'weekly', 'ruler', 5],
  ['leaves', 'Leaves', 'Leaves that stand off the stem; those still folded at the tip don’t count.', 'leaf', count, '', 'higher', 'weekly', 'eye', 1],
  ['leaf-length', 'Leaf length', 'From where it leaves the stem to its tip, three leaves of the middle.', 'leaf', number(0, 2000), 'mm', 'higher', 'every two weeks', 'ruler', 1, 3],
  ['leaf-width', 'Leaf width', 'At the broadest, square to its middle rib, three leaves of the middle.', 'leaf', number(0, 2000), 'mm', 'higher', 'every two weeks', 'ruler', 1, 3],
  ['branches', 'Side shoots', 'Side shoots over 2 cm with a live tip.', 'leaf', count, '', 'higher', 'every two weeks', 'eye', 1],
  ['buds-above-cut', 'Buds above the cut', 'From the marked cut to the tip, every bud that grew.', 'leaf', count, '', 'higher', 'once, six weeks on', 'tap counter', 1],
  ['shoot-length', 'New shoot length', 'From the marked cut to the tip.', 'height', number(0, 5000), 'mm', 'higher', 'end', 'ruler', 1],
  ['trunk', 'Trunk thickness', 'At the fixed mark, two readings at right angles.', 'across', number(0, 2000), 'mm', 'higher', 'yearly', 'caliper', 0.1, 2],
  ['fullness', 'Fullness', 'From the front, against the card: how dense the plant is.', 'card', nine('sparse', 'dense'), '', 'higher', 'every two weeks', 'card', null],
  ['vigour', 'Vigour', 'The whole plant against the card: how strongly it grows.', 'card', nine('weak', 'strong'), '', 'higher', 'every two weeks', 'card', null],
  ['blooms', 'Open blooms', 'Blooms open today; a bloom counts from its first open petal until it droops.', 'leaf', count, '', 'higher', 'twice a week', 'tap counter', 1, 1, 'total'],
  ['flower-buds', 'Flower buds', 'Buds over 3 mm that are not open.', 'leaf', count, '', 'higher', 'weekly', 'eye', 1],
  ['first-flower', 'First flower', 'The day on which the first flower of the unit is open.', 'day', date, 'd', 'lower', 'look daily', 'eye', 1],
  ['first-ripe', 'First ripe', 'The day on which the first piece of the unit is ripe by the rule.', 'day', date, 'd', 'lower', 'look daily', 'eye', 1],
  ['leaf-colour', 'Leaf colour', 'Third leaf from the top against the card, always in the same light.', 'card', steps(1, ['pale', 'light', 'middle', 'green', 'dark']), '', 'higher', 'weekly', 'colour card', null, 3],
  ['yellow-leaves', 'Leaves with a sign of want', 'Leaves that are yellow, purple or scorched at the edge, of all.', 'leaf', of(), '', 'lower', 'weekly', 'eye', null],
  ['want', 'Sign of want', 'The sign that most of the marked leaves show.', 'leaf', classes('none', 'old leaves yellow', 'young leaves yellow', 'purple', 'edges scorched', 'between the veins'), '', 'neither', 'weekly', 'eye', null],
  ['germination', 'Came up', 'Seeds that show both seed leaves, of those sown.', 'leaf', of(), '', 'higher', 'every two days', 'eye', null, 1, 'last'],
  ['rooted', 'Rooted', 'Cuttings with a root over 5 mm, or that hold when pulled softly, of those struck.', 'root', of(), '', 'higher', 'weekly', 'eye', null, 1, 'last'],
  ['alive', 'Alive', 'Any green left on it.', 'leaf', yesNo, '', 'higher', 'end', 'eye', null, 1, 'last'],
  ['alive-of', 'Alive of planted', 'Plants with any green, of those planted.', 'leaf', of(), '', 'higher', 'end', 'eye', null, 1, 'last'],
  ['holed-leaves', 'Leaves with holes', 'Leaves with fresh holes or bites at the side, of all.', 'leaf', of(), '', 'lower', 'twice a week', 'eye', null],
  ['leaf-missing', 'Leaf eaten away', 'How much of the leaf is gone, against the card.', 'spots', percent(5), '%', 'lower', 'twice a week', 'card', 5, 5, 'area'],
  ['slugs', 'Slugs found', 'Slugs and snails found in ten minutes at dusk, within the ring or under the board.', 'soil', count, '', 'lower', 'twice a week', 'torch', 1, 1, 'total'],
  ['bridged', 'Barrier bridged', 'A leaf or litter touches over the barrier.', 'soil', yesNo, '', 'lower', 'weekly', 'eye', null],
  ['aphids', 'Aphids', 'On the three worst leaves together.', 'spots', steps(0, ['none', '1 to 10', '11 to 100', '101 to 1000', 'more']), '', 'lower', 'weekly', 'eye', null],
  ['leaf-spot', 'Leaf spot', 'How much of each tagged leaf is spotted, against the card.', 'spots', percent(5), '%', 'lower', 'weekly', 'card', 5, 5, 'area'],
  ['lesions', 'Live spots', 'Spots with a yellow ring on the tagged leaves.', 'spots', count, '', 'lower', 'weekly', 'eye', 1],
  ['burn', 'Spray burn', 'How much of the leaf is scorched, after one, two and four days.', 'spots', percent(5), '%', 'lower', 'days 1, 2, 4', 'card', 5, 3, 'highest'],
  ['clean-growth', 'Clean new leaves', 'New leaves without a spot, of all new ones.', 'leaf', of(), '', 'higher', 'weekly', 'eye', null],
  ['blight', 'Blight in the tops', 'How much of the tops is gone or brown on the day.', 'spots', percent(5), '%', 'lower', 'twice a week', 'card', 5, 1, 'area'],
  ['weed-injury', 'Weed injury', 'Of one plant: 0 untouched, 100 dead.', 'spots', percent(10), '%', 'higher', 'days 1, 3, 7, 14, 28', 'card', 10, 1, 'last'],
  ['weed-cover', 'Weed cover', 'Ground hidden by weeds, seen from above in the frame.', 'spots', percent(5), '%', 'lower', 'days 0, 7, 28, 60', 'frame', 5, 1, 'last'],
  ['weed-dead', 'Weed dead', 'No green left on it.', 'leaf', yesNo, '', 'higher', 'day 28', 'eye', null, 1, 'last'],
  ['regrowth', 'Grows again', 'The day of the first new green shoot.', 'day', date, 'd', 'higher', 'look to day 60', 'eye', 1],
  ['moisture-letter', 'Soil moisture by the probe', 'At the marked depth, five spots; beyond the last step is a class of its own.', 'probe', steps(1, ['dry', 'moist', 'wet', 'soaked'], true), '', 'neither', 'before watering', 'four-step probe', null, 5],
  ['moisture-mass', 'Soil moisture by mass', 'Wet less dry, over dry less the tin, after a day at 105 °C.', 'scale', number(0, 500), '%', 'neither', 'before watering', 'scale, oven', 0.1],
  ['soil-feel', 'Soil feel', 'A handful from the marked depth, pressed once.', 'soil', steps(1, ['dust', 'crumbles', 'holds', 'sticky', 'wet film']), '', 'neither', 'before watering', 'hand', null],
  ['days-dry', 'Days to dry', 'Days from soaking until the probe shows dry.', 'probe', number(0, 120), 'd', 'higher', 'after soaking', 'probe', 1],
  ['water-given', 'Water given', 'Litres to the unit, from the can’s marks.', 'jar', number(0, 1000), 'l', 'lower', 'each time', 'can', 0.1, 1, 'total'],
  ['mulch-depth', 'Mulch depth', 'Five spots, pressed down with a flat hand.', 'soil', number(0, 1000), 'mm', 'neither', 'day 0 and 7', 'ruler', 5, 5],
  ['compost-depth', 'Compost depth', 'Nine spots, after it has settled.', 'soil', number(0, 1000), 'mm', 'neither', 'once settled', 'ruler', 5, 9],
  ['soil-test', 'Soil test value', 'Of one analyte, by the laboratory’s named extract; all cores of a unit in one bag.', 'jar', number(0, 1_000_000), 'mg/kg', 'neither', 'start and end', 'laboratory', null],
  ['turf-quality', 'Turf quality', 'The whole plot from standing height: six is good enough.', 'card', nine('dead', 'perfect'), '', 'higher', 'every two weeks', 'eye', null],
  ['thatch', 'Thatch', 'Brown layer between soil and green, five plugs.', 'soil', number(0, 200), 'mm', 'lower', 'spring and autumn', 'ruler', 1, 5],
  ['clippings', 'Clippings', 'Cut at one height, fresh, raked off the whole plot.', 'scale', number(0, 100_000), 'g', 'higher', 'each cut', 'scale', 1, 1, 'total'],
  ['cut-height', 'Cut height', 'What the guide stands at.', 'height', number(0, 300), 'mm', 'neither', 'each cut', 'guide', 5],
  ['root-score', 'Roots', 'Washed ball against the card, the scorer not knowing whose it is.', 'root', steps(1, ['few, coarse', 'some', 'middling', 'many', 'dense, fine']), '', 'higher', 'end', 'card', null],
  ['root-mass', 'Root weight', 'Washed, drained, dried if it can be.', 'root', number(0, 50_000), 'g', 'higher', 'end', 'scale', 0.1],
  ['circling', 'Circling roots', 'A root goes round more than half of the pot.', 'root', yesNo, '', 'lower', 'end', 'eye', null, 1, 'last'],
  ['escaped', 'Escaped roots', 'What had grown out of the holes, cut off and weighed.', 'root', number(0, 10_000), 'g', 'lower', 'end', 'scale', 0.1],
  ['residue', 'What is left of it', 'Share of what was put in that can still be found.', 'soil', percent(10), '%', 'neither', 'end', 'scale', 10, 1, 'last'],
  ['worms', 'Worms', 'In a cube of 20 cm or the whole pot, five minutes of sorting.', 'soil', count, '', 'higher', 'end', 'eye', 1],
  ['pill-bugs', 'Pill bugs', 'In a cube of 20 cm or the whole pot, five minutes of sorting.', 'soil', count, '', 'neither', 'end', 'eye', 1],
  ['smell', 'Smell', 'Of a handful from the middle, before anything else is looked at.', 'soil', classes('none', 'earthy', 'sour', 'rotten'), '', 'neither', 'end', 'nose', null],
  ['top-mass', 'Green mass', 'All tops cut at the soil, fresh, without what was picked.', 'scale', number(0, 200_000), 'g', 'higher', 'end', 'scale', 1],
  ['insect-marks', 'Insect marks', 'Leaves with marks, of all.', 'leaf', of(), '', 'lower', 'weekly', 'eye', null],
  ['looks-rank', 'Rank by eye', 'All units put in order by someone who does not know: 1 the best.', 'card', { kind: 'rank' }, '', 'lower', 'end', 'photos', null, 1, 'last'],
  ['odd-cup', 'Odd cup found', 'Tasters who found the odd one of three cups, of all tasters.', 'jar', of(), '', 'neither', 'end', 'coded cups', null],
  ['liking', 'Liking', 'Tasted from a coded cup.', 'jar', nine('dislike', 'like'), '', 'higher', 'end', 'coded cups', null, 3],
  ['first-pest', 'Pest first seen', 'The day on which it was first seen on the unit.', 'day', date, 'd', 'higher', 'look daily', 'eye', 1],
  ['soil-type', 'Soil type', 'Rolled between the fingers: it falls apart, holds, or makes a ring.', 'soil', classes('sand', 'loam', 'clay'), '', 'neither', 'start', 'hand', null],
  ['ph', 'pH', 'Of medium in water, one part to two and a half, or of the spray; always the same way.', 'jar', number(0, 14), 'pH', 'neither', 'start and end', 'meter', 0.1],
  ['start-size', 'Start size', 'Height from the soil to the top of the leaves, before the first treatment.', 'height', number(0, 6000), 'mm', 'neither', 'day 0', 'ruler', 1, 1, 'last'],
  ['keeping', 'Loss in store', 'Mass lost from a marked sample since it was stored.', 'scale', percent(1), '%', 'lower', 'after weeks', 'scale', 1, 1, 'last'],
];

/** Every measure that is read rather than picked, in the order of a season. */
export const READING_KINDS: readonly ReadingKind[] = ROWS.map(([key, name, definition, drawing, scale, unit, better, when, instrument, step, parts = 1, days = 'mean']) => ({ key, name, definition, drawing, scale, unit, better, when, instrument, step, parts, days }));

/** Whether more of it is a gain or a loss at all: of pH, of the depth of a mulch, of a class among others it is only a difference. */
export function isGainOrLoss({ kindKey, scale }: { readonly kindKey: string | null; readonly scale: Scale | null }): boolean {
  if (scale?.kind === 'class') return false;
  return kindKey === null || readingKind(kindKey)?.better !== 'neither';
}

export function readingKind(key: string): ReadingKind | undefined {
  return READING_KINDS.find(kind => kind.key === key);
}

/** Half the instrument's step in % of a value: what reading it to the nearest mark can put in. */
export function stepPercent(kind: Pick<ReadingKind, 'step'>, value: number): number | null {
  return kind.step === null || value <= 0 ? null : (100 * kind.step) / value;
}
