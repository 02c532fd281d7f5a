import { writeAmount } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Pick } from '@/core/trial/model/pick';

/** What the picks add up to, by two ways, and those that don’t add up in themselves. */
export interface CheckSums {
  readonly picks: number;
  /** All sound weight, added pot by pot, and day by day: the same, or an entry is lost or counted twice. In g. */
  readonly byUnitG: number;
  readonly byDayG: number;
  /** Picks whose net is not gross less tare, or that weigh something and hold no piece, or the other way round. */
  readonly mismatches: readonly { readonly pick: Pick; readonly says: string }[];
}

const SAME_G = 0.05;

/** Adds up the picks twice over, and looks at each: net = gross − tare, and pieces and weight go together. */
export function checkSums(picks: readonly Pick[], system: MeasureSystem): CheckSums {
  const sound = picks.filter(pick => pick.grade === 'sound');
  return {
    picks: picks.length,
    byUnitG: sumBy(sound, pick => pick.unitId),
    byDayG: sumBy(sound, pick => pick.pickedOn),
    mismatches: picks.flatMap(pick => {
      const says = mismatchOf(pick, system);
      return says === undefined ? [] : [{ pick, says }];
    }),
  };
}

function sumBy(picks: readonly Pick[], keyOf: (pick: Pick) => string): number {
  const sums = new Map<string, number>();
  for (const pick of picks) sums.set(keyOf(pick), (sums.get(keyOf(pick)) ?? 0) + (pick.netG ?? 0));
  return [...sums.values()].reduce((sum, value) => sum + value, 0);
}

function mismatchOf(
  { outcome, grossG, tareG, netG, pieces }: Pick,
  system: MeasureSystem,
): string | undefined {
  if (outcome !== 'picked')
    return netG === null && pieces === null
      ? undefined
      : 'it says that nothing was picked, and holds a figure';
  if (grossG !== null && netG !== null && Math.abs(grossG - tareG - netG) > SAME_G)
    return `${weight(grossG, system)} less ${weight(tareG, system)} is not ${weight(netG, system)}`;
  return netG === 0 && (pieces ?? 0) > 0 ? `${pieces} pieces weigh nothing` : undefined;
}

/** As a field shows it, to the last figure: rounded, both sides could look the same. */
function weight(g: number, system: MeasureSystem): string {
  return writeAmount(g, 'mass', system);
}
