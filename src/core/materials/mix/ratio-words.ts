/** What a ratio in words can mean. */
export type RatioMeaning =
  /** Parts of product and of water, each by volume; the water is what it is added to. */
  | {
      readonly kind: 'parts';
      readonly product: number;
      readonly water: number;
      readonly words: string;
    }
  /** So many times the usual. */
  | { readonly kind: 'times'; readonly factor: number; readonly words: string }
  /** A share of the whole. */
  | { readonly kind: 'share'; readonly share: number; readonly words: string };

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;

/**
 * Reads ratio words. None: the phrase is no ratio. One: it can mean only that. More: it must be asked back, never guessed.
 * “1 part to 16” is one part of product added to sixteen of water; “3 to 1” does not say which three.
 */
export function ratioMeanings(phrase: string): readonly RatioMeaning[] {
  const words = phrase.trim().toLowerCase();
  return partsWords(words) ?? moreWords(words) ?? halvesWords(words) ?? [];
}

const OF_PRODUCT = '(?: (?:of )?(?:product|feed|concentrate|stock))?';
const ADDED = '(?:added )?(?:to|into|and)';

function partsWords(words: string): readonly RatioMeaning[] | undefined {
  const turned = new RegExp(
    `^${NUMBER}(?: parts?)?(?: of)? water ${ADDED} ${NUMBER}(?: parts?)?${OF_PRODUCT}$`,
  ).exec(words);
  if (turned) return [parts(number(turned[2]), number(turned[1]))];
  const named = new RegExp(
    `^${NUMBER}(?: parts?)?${OF_PRODUCT} ${ADDED} ${NUMBER}(?: parts?)?(?: of)? water$`,
  ).exec(words);
  if (named) return [parts(number(named[1]), number(named[2]))];
  const said = new RegExp(
    `^${NUMBER} parts?${OF_PRODUCT} (?:added to|to|in|into) ${NUMBER}(?: parts?)?$`,
  ).exec(words);
  if (said && number(said[1]) < number(said[2]) && !/ in /.test(words))
    return [parts(number(said[1]), number(said[2]))];
  const bare =
    said ??
    new RegExp(
      `^${NUMBER}\\s*(?::|to|in)\\s*${NUMBER}(?: (?:dilution|solution|mix|parts?(?: of water)?|water))?$`,
    ).exec(words);
  if (!bare) return undefined;
  const [a, b] = [number(bare[1]), number(bare[2])];
  if (a === 0 || b === 0) return undefined;
  if (/ in /.test(words)) return [parts(a, b), ...(b > a ? [parts(a, b - a)] : [])];
  return a === b ? [parts(a, b)] : [parts(a, b), parts(b, a)];
}

function moreWords(words: string): readonly RatioMeaning[] | undefined {
  const more = new RegExp(`^${NUMBER}\\s*%\\s*(more|stronger|extra)$`).exec(words);
  if (!more) return undefined;
  const percent = number(more[1]);
  const added: RatioMeaning = {
    kind: 'times',
    factor: 1 + percent / 100,
    words: `${plain(percent)}% added: ${plain(1 + percent / 100)} times as much`,
  };
  return percent > 100
    ? [
        added,
        {
          kind: 'times',
          factor: percent / 100,
          words: `${plain(percent)}% in all: ${plain(percent / 100)} times as much`,
        },
      ]
    : [added];
}

function halvesWords(words: string): readonly RatioMeaning[] | undefined {
  if (!/^(?:50[\s/-]+50|fifty[\s-]+fifty|half and half)$/.test(words)) return undefined;
  return [
    { kind: 'share', share: 0.5, words: 'equal parts by volume' },
    { kind: 'share', share: 0.5, words: 'equal parts by weight' },
  ];
}

function parts(product: number, water: number): RatioMeaning {
  return {
    kind: 'parts',
    product,
    water,
    words: `${plain(product)} of product to ${plain(water)} of water, ${plain((100 * product) / (product + water))}% of the whole`,
  };
}

function number(written: string | undefined): number {
  return Number((written ?? '').replace(',', '.'));
}

function plain(value: number): string {
  return String(Number(value.toPrecision(3)));
}
