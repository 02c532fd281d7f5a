import type { Hazard } from '@/core/trial/model/product';

/** What to mind with a material, told where it is used. */
export interface Caution {
  readonly hazard: Hazard;
  readonly says: string;
}

/** Each ends the same way on screen: see `LABEL_DECIDES`. */
export const LABEL_DECIDES = 'The product’s label, local rules and licensed advice decide.';

const CAUTIONS: Readonly<Record<Hazard, string>> = {
  'strong-acid':
    'Strong vinegar and other acids burn eyes and skin: goggles and gloves. Never together with bleach.',
  peroxide:
    'Peroxide hurts eyes, bleaches what it wets, and loses strength once mixed: mix fresh, never keep it closed in a bottle with anything else.',
  bleach:
    'Bleach gives off poisonous gas with acids and with ammonia. Keep it away from everything in this shed.',
  salt: 'Salt stays in the soil and adds up with each time. Never where something is to grow.',
  weedkiller:
    'It kills what it touches, and drifts. No wind, nobody and no pet on it until it is dry, not near water, and only what is allowed here.',
  'insect-spray':
    'Not on open flowers, and in the evening, when bees are home. Gloves; not over your head.',
  'fungus-spray': 'Gloves and goggles; not in wind, not on open flowers.',
  soap: 'Can burn leaves in sun and heat: try a few leaves first.',
  oil: 'Can burn leaves in sun and heat, and with sulphur: try a few leaves first.',
  sulphur: 'Irritates eyes and lungs, and burns leaves in heat or close to oil.',
  copper:
    'Stays in the soil, harms worms and life in water: no more than the label allows in a year.',
  'slug-bait':
    'Spread thin, never in heaps: pets and children eat it. Some kinds are banned in places.',
  'animal-meal': 'Dogs eat it, and the soil with it. A mask against the dust; cover it at once.',
  dust: 'Dust of minerals, char and perlite harms lungs: wet it first, wear a mask.',
  'raw-manure':
    'Gloves. Raw manure: 120 days before a harvest whose edible part touches soil, 90 days otherwise.',
  compost:
    'Water it before you move it, and wash your hands: dust and spores harm lungs. It may carry weedkiller from treated straw: try beans in it first.',
  lime: 'Burns eyes and skin. Not within weeks of an ammonium feed or manure: together they give off ammonia.',
  ammonium: 'Not together with lime: it gives off ammonia.',
  concentrate:
    'Keep it cool, dry, locked and in its own pack. Strong, its salts burn roots; what runs off feeds algae.',
  'home-brew':
    'What is brewed at home may be unlawful as a pesticide where you live, and nobody has tested it on you.',
  mulch: 'Clippings and straw may carry weedkiller; diseased plants don’t belong on a cold heap.',
};

/** What to mind with these, each once, in a fixed order. */
export function cautionsFor(hazards: readonly Hazard[]): readonly Caution[] {
  return Object.entries(CAUTIONS).flatMap(([key, says]) => {
    const hazard = hazards.find(each => each === key);
    return hazard ? [{ hazard, says }] : [];
  });
}

/** Two materials that must never come together in a can, and why. */
export interface NeverMix {
  readonly a: Hazard;
  readonly b: Hazard;
  readonly why: string;
}

const NEVER: readonly NeverMix[] = [
  { a: 'bleach', b: 'strong-acid', why: 'they give off chlorine, which can kill' },
  { a: 'bleach', b: 'ammonium', why: 'they give off chloramine, which can kill' },
  { a: 'bleach', b: 'salt', why: 'vinegar-salt mixes and bleach give off chlorine' },
  { a: 'bleach', b: 'peroxide', why: 'they heat up and burst what they are in' },
  { a: 'peroxide', b: 'strong-acid', why: 'together they make a stronger, corrosive acid' },
  { a: 'lime', b: 'ammonium', why: 'they give off ammonia, and the nitrogen is gone' },
  { a: 'lime', b: 'raw-manure', why: 'they give off ammonia, and the nitrogen is gone' },
  { a: 'lime', b: 'strong-acid', why: 'they foam, heat up and undo each other' },
  { a: 'sulphur', b: 'oil', why: 'together, or within weeks of each other, they burn leaves' },
  { a: 'copper', b: 'strong-acid', why: 'acid sets the copper free, which burns leaves' },
  { a: 'peroxide', b: 'copper', why: 'copper breaks the peroxide down, with heat' },
];
const PESTICIDES: readonly Hazard[] = ['weedkiller', 'insect-spray', 'fungus-spray'];

/** Why two products must not be mixed; undefined where nothing is known against it. */
export function neverMix(a: readonly Hazard[], b: readonly Hazard[]): string | undefined {
  const found = NEVER.find(
    pair =>
      (a.includes(pair.a) && b.includes(pair.b)) || (a.includes(pair.b) && b.includes(pair.a)),
  );
  if (found) return found.why;
  const [one, other] = [
    a.find(each => PESTICIDES.includes(each)),
    b.find(each => PESTICIDES.includes(each)),
  ];
  if (one && other && (one !== other || one === 'weedkiller'))
    return 'sprays are mixed only where both labels say so';
  return a.includes('concentrate') && b.includes('concentrate')
    ? 'neat concentrates curdle or set salts free: dilute each by itself first'
    : undefined;
}

/** The order in which things go into a can, the first first. Common practice, no source. */
export const ORDER_OF_MIXING = [
  'half the water',
  'powders, until they are dissolved',
  'liquids',
  'soap or oil',
  'the rest of the water',
] as const;
