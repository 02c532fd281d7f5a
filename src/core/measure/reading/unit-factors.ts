import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Measure } from '@/core/trial/model/measure';
import { readValue } from './read-value';

/** What a file is read against, as far as its units go. */
interface FactorContext {
  readonly system: MeasureSystem;
  readonly startsOn: string;
  readonly today: string;
}

/** Bare numbers in the unit of their column's head; its factor is looked up once for the whole column. */
export class UnitFactors {
  readonly #factors = new Map<string, number>();

  constructor(readonly context: FactorContext) {}

  /** @returns the number in the measure's own unit; as it was written where it has a unit itself, or none is named */
  inUnit(written: string, unit: string, measure: Measure): string {
    const bare = /^[-−]?[\d.,]+$/.test(written)
      ? Number(written.replace('−', '-').replace(',', '.'))
      : Number.NaN;
    if (unit === '' || unit === measure.unit || Number.isNaN(bare)) return written;
    const factor = this.#factorOf(unit, measure);
    return Number.isNaN(factor) ? `${written} ${unit}` : String(bare * factor);
  }

  #factorOf(unit: string, measure: Measure): number {
    const key = `${unit} ${measure.id}`;
    const known = this.#factors.get(key);
    if (known !== undefined) return known;
    const one = measure.scale
      ? readValue(`1 ${unit}`, '', measure.scale, { ...this.context, measure })
      : undefined;
    const factor = one?.ok ? (one.value.value ?? Number.NaN) : Number.NaN;
    this.#factors.set(key, factor);
    return factor;
  }
}
