import type { SoilSample } from '@/core/measure/laboratory/soil-sample';

/** A laboratory that takes bags by their numbers and answers with a report after some days. */
export interface SoilLaboratory {
  readonly name: string;
  readonly isStandIn: boolean;
  readonly answersAfterDays: number;
  /** @returns its report as CSV; undefined while it still works on the last of the bags */
  report(
    samples: readonly Pick<SoilSample, 'number' | 'takenOn'>[],
    today: string,
  ): Promise<string | undefined>;
}
