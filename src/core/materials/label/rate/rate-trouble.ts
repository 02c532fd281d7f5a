import type { RatioMeaning } from '@/core/materials/mix/ratio-words';
import type { QuantityTrouble } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';

/** Why a written rate was not taken. `choices` are whole rates that would be: each says one of the things it could mean. */
export type RateTrouble =
  | { readonly kind: 'empty' }
  | { readonly kind: 'no-per'; readonly read: string; readonly choices: readonly string[] }
  | { readonly kind: 'amount'; readonly read: string; readonly trouble: QuantityTrouble }
  | { readonly kind: 'per'; readonly read: string; readonly choices: readonly string[] }
  | { readonly kind: 'whose-measures'; readonly read: string; readonly choices: readonly string[] }
  | { readonly kind: 'which-ounces'; readonly read: string; readonly choices: readonly string[] }
  | { readonly kind: 'bracket'; readonly read: string; readonly choices: readonly string[] }
  | { readonly kind: 'uncalibrated'; readonly read: string; readonly measure: string }
  | {
      readonly kind: 'ambiguous-ratio';
      readonly read: string;
      readonly meanings: readonly RatioMeaning[];
      readonly choices: readonly string[];
    }
  | { readonly kind: 'how-often'; readonly read: string; readonly choices: readonly string[] }
  | { readonly kind: 'falling-range'; readonly read: string; readonly choices: readonly string[] }
  | {
      readonly kind: 'oxide-or-element';
      readonly read: string;
      readonly choices: readonly string[];
    }
  | { readonly kind: 'needs-analysis'; readonly read: string }
  | { readonly kind: 'needs-density'; readonly read: string }
  | { readonly kind: 'holds-none'; readonly read: string }
  | { readonly kind: 'zero'; readonly read: string };

/** The filled-in rates that a trouble offers to choose from. */
export function rateChoices(trouble: RateTrouble): readonly string[] {
  return 'choices' in trouble ? trouble.choices : [];
}

interface RateSentenceFor {
  /** Whose examples it gives; without it metric ones. */
  readonly system: MeasureSystem | undefined;
  /** The choices stand beside it as buttons. */
  readonly hasButtons?: boolean;
}

/** A rate that was not taken: what was read, and what would be. */
export function rateSentence(
  trouble: RateTrouble,
  { system, hasButtons = false }: RateSentenceFor,
): string {
  const choices = rateChoices(trouble);
  const sentence = troubleWords(trouble, system);
  return choices.length === 0 || hasButtons
    ? sentence
    : `${sentence} For example: ${choices.map(choice => `“${choice}”`).join(' or ')}.`;
}

function troubleWords(trouble: RateTrouble, system: MeasureSystem | undefined): string {
  const isUs = system === 'us';
  switch (trouble.kind) {
    case 'empty':
      return isUs
        ? 'Write the rate as on the label: 1 tbsp in 1 gal, 3 lb per 100 sq ft.'
        : 'Write the rate as on the label: 20 ml in 4.5 l, 70 g per square metre.';
    case 'no-per':
      return `“${trouble.read}” says how much, but not for what: in how much water, per plant, ${isUs ? 'per 100 sq ft' : 'per square metre'}?`;
    case 'amount':
      return quantitySentence(trouble.trouble, { system });
    case 'per':
      return `“${trouble.read}” is not something a rate is for. Write a volume of water, plant, pot, an area, ${isUs ? 'cubic feet' : 'litres'} of mix, or a length of row.`;
    case 'whose-measures':
      return `US and UK gallons, pints and spoons differ. Say which are meant in “${trouble.read}”.`;
    case 'which-ounces':
      return `This product is a liquid. Say whether “${trouble.read}” means fluid ounces or ounces by weight.`;
    case 'bracket':
      return `“${trouble.read}”: is the amount in brackets for each one, or for all of them together?`;
    case 'uncalibrated':
      return `How much is a ${trouble.measure.toLowerCase()}? Weigh or measure five of it below, once it is on the shelf, or write it in brackets: a ${trouble.measure.toLowerCase()} ${isUs ? '(1 tbsp) in 1 gal' : '(15 ml) in 4.5 l'}.`;
    case 'ambiguous-ratio':
      return `“${trouble.read}” can mean ${trouble.meanings.map(meaning => meaning.words).join(', or ')}. Say which.`;
    case 'how-often':
      return `“${trouble.read}” can be done on more than one plan. Say how many days apart.`;
    case 'falling-range':
      return `“${trouble.read}” goes from more to less. Write the smaller number first.`;
    case 'oxide-or-element':
      return `“${trouble.read}” can mean the element or its oxide, as packs print it: they differ by a fifth to a half. Say which.`;
    case 'needs-analysis':
      return `“${trouble.read}” counts the nutrient, not the product. Write the three numbers on the pack (N-P-K) too, and the amount of product follows.`;
    case 'needs-density':
      return `“${trouble.read}” counts by weight and the label’s three numbers count by volume, or the other way round. ${isUs ? 'Write its density: what it weighs against water.' : 'Write how many grams a millilitre weighs.'}`;
    case 'holds-none':
      return `“${trouble.read}”: by its three numbers the product holds none of it.`;
    case 'zero':
      return 'A rate of nothing is no rate.';
  }
}
