import { printDoseMass, printVolume } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';

/** An amount as one measures it out: `3.3 ml`, `120 g`, `1.5 l`; in an American garden `0.67 tsp`, `4.23 oz`, `1.5 qt`. To three figures. */
export function amountWords(
  amount: number,
  of: 'mass' | 'volume',
  system: MeasureSystem = 'uk',
): string {
  return of === 'mass' ? printDoseMass(amount, system) : printVolume(amount, system);
}

/** Three figures, without a tail of noughts. */
export function figures(value: number): string {
  return String(Number(value.toPrecision(3)));
}

/** A strength as a gardener says it. */
export function strengthWords(strength: number): string {
  if (strength === 1) return 'full strength';
  if (strength === 0.5) return 'half strength';
  return strength === 0.25 ? 'quarter strength' : `${figures(100 * strength)}% of the label`;
}
