import type { ReadUnit } from '@/core/judge/question/judge-input';
import { blocksOfTwo } from '@/core/judge/question/strata';
import { exactShareDifferenceInterval } from '@/core/stats/categorical/exact-share-difference';
import { type Share, shareDifferenceInterval } from '@/core/stats/categorical/share-intervals';
import type { TwoByTwo } from '@/core/stats/categorical/two-by-two';
import { tTwoSidedP } from '@/core/stats/distributions/distributions';
import { IDENTITY_SCALE } from './identity-scale';
import type { Compared, NaturalScale } from './natural-scale';
import { withoutPercent } from './without-percent';

/** Of so many units in all the approximate interval is as good, and sooner there. */
const MANY_UNITS = 400;

/**
 * One yes or no a unit: no spread of units is needed to know by how much chance lets such shares differ. Whether they do at all
 * is for the deals to say (`called-by-deals.ts`).
 */
export const YES_NO_SCALE: NaturalScale = {
  ...withoutPercent(IDENTITY_SCALE),
  interval: (compared, { critical, df }) => {
    const { treated, control } = sharesOf(compared);
    const confidence = 1 - tTwoSidedP(critical, df);
    return treated.n + control.n > MANY_UNITS
      ? shareDifferenceInterval(treated, control, confidence)
      : exactShareDifferenceInterval(treated, control, confidence);
  },
};

function sharesOf({ input, treated, controls }: Compared): {
  readonly treated: Share;
  readonly control: Share;
} {
  const blocks = blocksOfTwo(input, treated, controls);
  return {
    treated: shareOf(blocks.flatMap(block => block.treated)),
    control: shareOf(blocks.flatMap(block => block.control)),
  };
}

export function shareOf(units: readonly ReadUnit[]): Share {
  return {
    k: units.reduce((sum, unit) => sum + unit.value, 0),
    n: units.reduce((sum, unit) => sum + (unit.outOf ?? 1), 0),
  };
}

export function tableOf(treated: Share, control: Share): TwoByTwo {
  return {
    treatedYes: treated.k,
    treatedNo: treated.n - treated.k,
    controlYes: control.k,
    controlNo: control.n - control.k,
  };
}
