import type { UnitMeasures } from '@/core/materials/dose/given-dose';
import type { CarePlan, TaskDone } from '@/core/trial/model/care-plan';
import type { Treatment } from '@/core/trial/model/treatment';
import type { Trial } from '@/core/trial/model/trial';
import type { ExperimentalUnit } from '@/core/trial/model/unit';

/** A running trial as far as its care goes. */
export interface CaredTrial {
  readonly trial: Pick<
    Trial,
    'id' | 'question' | 'unitWord' | 'startsOn' | 'endsOn' | 'isBlind' | 'keyOpenedAt'
  >;
  readonly care: Omit<CarePlan, 'acts'>;
  /** With what rain has washed off since. */
  readonly done: readonly TaskDone[];
  readonly treatments: readonly Pick<Treatment, 'id' | 'name'>[];
  readonly units: readonly Pick<
    ExperimentalUnit,
    'id' | 'code' | 'treatmentId' | 'position' | 'built'
  >[];
  readonly unit: UnitMeasures;
}
