/** One material of a heap, by its dry mass. Carbon and nitrogen in % of dry mass. */
export interface HeapMaterial {
  readonly dryKg: number;
  readonly carbonPercent: number;
  readonly nitrogenPercent: number;
}

/** Carbon to nitrogen of the whole heap; null where there is no nitrogen. By mass: a barrow of straw weighs next to nothing. */
export function carbonToNitrogen(materials: readonly HeapMaterial[]): number | null {
  const carbon = materials.reduce((sum, each) => sum + each.dryKg * each.carbonPercent, 0);
  const nitrogen = materials.reduce((sum, each) => sum + each.dryKg * each.nitrogenPercent, 0);
  return nitrogen > 0 ? carbon / nitrogen : null;
}

/** What makes a hot heap. Source: On-Farm Composting Handbook (Rynk, 1992), from memory. */
export const HOT_HEAP_CN = { low: 25, high: 30 } as const;

/** Kilograms of b to bring a to a carbon to nitrogen of `wanted`, per kg dry of a; undefined where b can't. */
export function toReach(
  wanted: number,
  a: Omit<HeapMaterial, 'dryKg'>,
  b: Omit<HeapMaterial, 'dryKg'>,
): number | undefined {
  const over = a.carbonPercent - wanted * a.nitrogenPercent;
  const under = wanted * b.nitrogenPercent - b.carbonPercent;
  const ratio = over / under;
  return Number.isFinite(ratio) && ratio >= 0 ? ratio : undefined;
}
