import { deal } from '@/core/design/layouts/deal';
import { dealPlanOf } from '@/core/design/layouts/deal-plan';
import type { LayoutRequest } from '@/core/design/layouts/layout-definition';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import type { JudgedUnit } from '@/core/design/linear/design-input';
import { dosesOf } from '@/core/judge/question/dose-line';
import {
  type AgreedComparison,
  type JudgeInput,
  type Margin,
  STARTING_GUESS_CV,
} from '@/core/judge/question/judge-input';
import { confidenceAtEach } from '@/core/judge/question/planned-looks';
import type { Treatment } from '@/core/trial/model/treatment';
import type { PlannedReading } from './planned-reading';

/** A trial that is only planned: what would be judged, once its units have values. */
export interface PlannedTrial {
  readonly request: LayoutRequest;
  readonly treatments: readonly Treatment[];
  readonly unitWord: string;
  readonly response: string;
  readonly better: JudgeInput['better'];
  readonly margin: Margin | null;
  readonly reading: PlannedReading;
  readonly agreed?: AgreedComparison | undefined;
  /** How often it is agreed to look, the end included; once where nothing is said. */
  readonly looks?: number | undefined;
}

/** What the judge would take, its units dealt with this seed and without values yet. */
export function plannedInput(
  {
    request,
    treatments,
    unitWord,
    response,
    better,
    margin,
    reading,
    agreed,
    looks = 1,
  }: PlannedTrial,
  seed: number,
): JudgeInput {
  const factors = Object.keys(treatments[0]?.levels ?? {});
  const dealt = deal(dealPlanOf(request, treatments), seed);
  const isYesNo = reading.outcome === 'proportion' && reading.outOf === 1;
  const { hasBlocks, isPaired, hasWholePlots } = LAYOUTS[request.kind];
  return {
    outcome: reading.outcome,
    agreed,
    doses: isYesNo ? undefined : dosesOf(treatments),
    response,
    unitWord,
    treatmentName: factors.join(':'),
    treatments: treatments.map(treatment => treatment.name),
    control:
      treatments.find(treatment => treatment.role === 'control')?.name ?? treatments[0]?.name ?? '',
    factors:
      factors.length < 2
        ? undefined
        : {
            names: factors,
            levelsOf: Object.fromEntries(
              treatments.map(treatment => [
                treatment.name,
                factors.map(name => treatment.levels[name] ?? ''),
              ]),
            ),
          },
    blockNames: hasBlocks
      ? [request.blockWord, ...(request.columnWord === null ? [] : [request.columnWord])]
      : [],
    isPaired,
    units: dealt.map(
      (unit, i): JudgedUnit => ({
        id: String(i + 1),
        treatment: treatments[unit.treatment]?.name ?? '',
        value: null,
        blocks: [
          ...(hasBlocks ? [String(unit.block + 1)] : []),
          ...(request.columnWord === null ? [] : [String(unit.column + 1)]),
        ],
        wholePlot: hasWholePlots ? String(unit.wholePlot) : undefined,
      }),
    ),
    subsamples: dealt.length,
    better,
    margin,
    confidence: confidenceAtEach(looks),
    // One yes or no a unit is called by the deals: so many tell 5 from 4 of 100.
    shuffles: isYesNo ? 99 : 0,
    seed,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
  };
}
