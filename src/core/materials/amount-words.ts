/** An amount as one measures it out: `3.3 ml`, `120 g`, `1.5 l`, `2.4 kg`. To three figures. */
export function amountWords(amount: number, of: 'mass' | 'volume'): string {
  const [small, large] = of === 'mass' ? ['g', 'kg'] : ['ml', 'l'];
  return amount >= 1000 ? `${figures(amount / 1000)} ${large}` : `${figures(amount)} ${small}`;
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
