import { failure, type Result, success } from '@/core/result';

/** One component of a mix. `share`: parts, or percent by volume. */
export interface Component {
  readonly name: string;
  readonly share: number;
  /** Litres in a bag and its price, where it is bought. */
  readonly bagL: number | null;
  readonly bagPrice: number | null;
}

/** How the shares of a recipe are meant. */
export type ShareMeaning =
  /** Parts of the whole: 2 : 1 : 1. */
  | 'parts'
  /** Percent of the finished mix; the first component fills what is left to 100. */
  | 'of-total'
  /** Percent added on top of the first component: 10% on 100 l makes 110 l, of which it is 9.1%. */
  | 'on-top';

/** What a mix is for. */
export interface MixPlan {
  readonly components: readonly Component[];
  readonly meaning: ShareMeaning;
  readonly containers: number;
  readonly litresEach: number;
  /** How much the loose mix goes down when it is watered in, as a share in [0, 1). */
  readonly settling: number;
  /** Spilt, or left in the barrow, as a share of what is mixed. */
  readonly waste: number;
}

/** What to put together. */
export interface MixedBatch {
  /** Loose, before it settles. */
  readonly mixedL: number;
  readonly parts: readonly {
    readonly name: string;
    readonly litres: number;
    readonly percentOfTotal: number;
    readonly bags: number | null;
    readonly leftL: number | null;
    readonly cost: number | null;
  }[];
  /** Of the share used, not of whole bags. Null where a price is not known. */
  readonly costEach: number | null;
}

/** Why a recipe makes no mix. */
export type MixTrouble =
  | { readonly kind: 'no-components' }
  | { readonly kind: 'over-100'; readonly sum: number }
  | { readonly kind: 'no-volume' };

/** Litres, bags and money for so many containers. Litres are loose litres, as they come from the bag. */
export function mixFor(plan: MixPlan): Result<MixedBatch, MixTrouble> {
  const shares = sharesOf(plan);
  if (!shares.ok) return shares;
  const mixedL = (plan.containers * plan.litresEach) / (1 - plan.settling) / (1 - plan.waste);
  if (!(mixedL > 0)) return failure({ kind: 'no-volume' });
  const parts = plan.components.map((component, i) => {
    const share = shares.value[i] ?? 0;
    const litres = share * mixedL;
    const bags = component.bagL === null ? null : bagsFor(litres, component.bagL);
    return {
      name: component.name,
      litres,
      percentOfTotal: 100 * share,
      bags,
      leftL: bags === null || component.bagL === null ? null : bags * component.bagL - litres,
      cost:
        component.bagL === null || component.bagPrice === null
          ? null
          : (litres / component.bagL) * component.bagPrice,
    };
  });
  const costs = parts.map(part => part.cost);
  return success({
    mixedL,
    parts,
    costEach: costs.some(cost => cost === null)
      ? null
      : costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0) / plan.containers,
  });
}

/** Shares of the finished mix, adding up to 1. */
function sharesOf({ components, meaning }: MixPlan): Result<readonly number[], MixTrouble> {
  const given = components.map(component => component.share);
  const sum = given.reduce((total, share) => total + share, 0);
  if (components.length === 0 || (meaning === 'parts' && sum <= 0))
    return failure({ kind: 'no-components' });
  if (meaning === 'parts') return success(given.map(share => share / sum));
  const added = given.slice(1).reduce((total, share) => total + share, 0);
  if (meaning === 'of-total')
    return added > 100
      ? failure({ kind: 'over-100', sum: added })
      : success([(100 - added) / 100, ...given.slice(1).map(share => share / 100)]);
  return success([100 / (100 + added), ...given.slice(1).map(share => share / (100 + added))]);
}

/** Whole bags that hold a volume; a hair over a full bag is that bag. */
export function bagsFor(volume: number, bag: number): number {
  return Math.ceil(volume / bag - 1e-9);
}

export function mixSentence(trouble: MixTrouble): string {
  switch (trouble.kind) {
    case 'no-components':
      return 'Say what goes in, and how many parts of each.';
    case 'over-100':
      return `The added parts make ${Number(trouble.sum.toFixed(1))}% of the whole: nothing would be left for the first.`;
    case 'no-volume':
      return 'Say how many containers, and what each holds.';
  }
}
