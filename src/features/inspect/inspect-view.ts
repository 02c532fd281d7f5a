import type { SeenTrial } from '@/core/blinding/seen-trial';
import { INSPECTION_KINDS, isInspected } from '@/core/measure/library/end-inspection';
import { readingKind } from '@/core/measure/library/reading-library';
import {
  fewestCorrect,
  shareWhoTaste,
  type TasterCups,
  triangleCups,
  triangleP,
} from '@/core/stats/categorical/triangle-test';
import { scaleWords } from '@/core/trial/model/scale';
import type { Tasting } from '@/core/trial/model/tasting';

/** One thing that is looked for when all is dug up. */
export interface FindingView {
  readonly key: string;
  readonly name: string;
  readonly definition: string;
  readonly scaleWords: string;
  /** How many units were looked at; null where it is not among the trial's measures yet. */
  readonly read: number | null;
}

/** A triangle test: the cups while it stands open, the answer once it is counted. */
export interface TastingView {
  readonly id: string;
  readonly codes: readonly [string, string];
  readonly heldOn: string;
  readonly tasters: number;
  readonly needed: number | null;
  readonly cups: readonly TasterCups[];
  readonly correct: number | null;
  readonly p: number | null;
  readonly share: number | null;
}

export interface InspectView {
  readonly findings: readonly FindingView[];
  readonly isInspected: boolean;
  readonly foretold: readonly {
    readonly by: string;
    readonly about: string;
    readonly sealedAt: string;
  }[];
  readonly treatments: readonly string[];
  readonly tastings: readonly TastingView[];
}

export function inspectViewOf(data: SeenTrial, tastings: readonly Tasting[]): InspectView {
  const codeOf = new Map(data.units.map(unit => [unit.id as string, unit.code as string]));
  return {
    findings: INSPECTION_KINDS.flatMap((key): FindingView[] => {
      const kind = readingKind(key);
      const measure = data.measures.find(each => each.kindKey === key);
      return kind
        ? [
            {
              key,
              name: kind.name,
              definition: kind.definition,
              scaleWords: scaleWords(kind.scale),
              read: measure
                ? new Set(
                    data.readings
                      .filter(reading => reading.measureId === measure.id)
                      .map(reading => reading.unitId),
                  ).size
                : null,
            },
          ]
        : [];
    }),
    isInspected: isInspected(data),
    foretold: data.predictions
      .filter(each => each.about !== '')
      .map(({ by, about, sealedAt }) => ({ by, about, sealedAt })),
    treatments: data.treatments.map(treatment => treatment.name),
    tastings: tastings.map(({ id, unitA, unitB, heldOn, tasters, seed, correct }) => ({
      id,
      codes: [codeOf.get(unitA) ?? '', codeOf.get(unitB) ?? ''],
      heldOn,
      tasters,
      needed: fewestCorrect(tasters),
      cups: correct === null ? triangleCups(tasters, seed) : [],
      correct,
      p: correct === null ? null : triangleP(correct, tasters),
      share: correct === null ? null : shareWhoTaste(correct, tasters),
    })),
  };
}
