import { failure, type Result, success } from '@/core/result';

/** How a remedy's efficacy is reckoned. */
export type EfficacyMethod = 'abbott' | 'henderson-tilton' | 'schneider-orelli' | 'sun-shepard';

/** Live pests (or injured leaves) before and after, on treated and on untreated units: counts or shares alike, ≥ 0. */
export interface EfficacyCounts {
  readonly controlBefore?: number | undefined;
  readonly controlAfter: number;
  readonly treatedBefore?: number | undefined;
  readonly treatedAfter: number;
}

/** Why it can't be reckoned. */
export type EfficacyTrouble = 'needs-before' | 'nothing-to-divide-by' | 'not-a-percentage';

/**
 * Efficacy of a remedy in %, where the untreated changed, too; below 0 where the treated fared worse.
 *
 * - `abbott`: 100 (1 − Ta/Ca), where all began alike. Abbott (1925), Journal of Economic Entomology 18, 265-267.
 * - `henderson-tilton`: 100 (1 − Ta·Cb / (Tb·Ca)). Henderson & Tilton (1955), Journal of Economic Entomology 48, 157-161.
 * - `schneider-orelli`: 100 (Mt − Mc)/(100 − Mc) of mortalities in %; from counts before and after, or given as the “after”. Schneider-Orelli (1947), Entomologisches Praktikum.
 * - `sun-shepard`: 100 (Mt + Gc)/(100 + Gc), where Gc is how much the untreated grew, in %. Sun & Shepard (1947), Journal of Economic Entomology 40, 710-715.
 */
export function efficacy(
  method: EfficacyMethod,
  counts: EfficacyCounts,
): Result<number, EfficacyTrouble> {
  const { controlBefore, controlAfter, treatedBefore, treatedAfter } = counts;
  if (method === 'abbott') return divided(controlAfter - treatedAfter, controlAfter);
  if (controlBefore === undefined || treatedBefore === undefined) {
    if (method !== 'schneider-orelli') return failure('needs-before');
    return controlAfter > 100 || treatedAfter > 100
      ? failure('not-a-percentage')
      : divided(treatedAfter - controlAfter, 100 - controlAfter);
  }
  if (!(controlBefore > 0) || !(treatedBefore > 0)) return failure('nothing-to-divide-by');
  const killed = 100 * (1 - treatedAfter / treatedBefore);
  if (method === 'henderson-tilton')
    return divided(
      treatedBefore * controlAfter - treatedAfter * controlBefore,
      treatedBefore * controlAfter,
    );
  if (method === 'schneider-orelli') {
    const died = 100 * (1 - controlAfter / controlBefore);
    return divided(killed - died, 100 - died);
  }
  const grew = 100 * (controlAfter / controlBefore - 1);
  return divided(killed + grew, 100 + grew);
}

function divided(over: number, under: number): Result<number, EfficacyTrouble> {
  return under > 0 ? success((100 * over) / under) : failure('nothing-to-divide-by');
}

/** Whether the counts before differ so much that efficacy by the count after alone would mislead: more than a quarter. */
export function beganUnlike({ controlBefore, treatedBefore }: EfficacyCounts): boolean {
  if (controlBefore === undefined || treatedBefore === undefined) return false;
  return Math.abs(treatedBefore - controlBefore) > 0.25 * Math.max(controlBefore, treatedBefore);
}
