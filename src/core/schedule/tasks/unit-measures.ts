import type { UnitMeasures } from '@/core/materials/dose/given-dose';
import { circleM2 } from '@/core/materials/mix/container-volume';
import type { Place } from '@/core/trial/model/place';
import type { ExperimentalUnit } from '@/core/trial/model/unit';

type Built = Pick<ExperimentalUnit, 'built'>;

/** What rates count by: what was put down as built where all have that, else the drawn place and the trial's settings. */
export function unitMeasuresOf(
  place: Pick<Place, 'shape' | 'widthMm' | 'depthMm'> | undefined,
  mixMl: number | null,
  units: readonly Built[] = [],
): UnitMeasures {
  const drawnM2 =
    place === undefined
      ? undefined
      : place.shape === 'round'
        ? circleM2(place.widthMm)
        : (place.widthMm * place.depthMm) / 1e6;
  const built = builtMeans(units);
  return {
    plants: built.plants ?? 1,
    areaM2: built.areaM2 ?? drawnM2,
    mixMl: built.mixMl ?? mixMl ?? undefined,
    rowMm: place?.widthMm,
  };
}

/** The same for the units of one treatment, which may be larger or smaller than others. */
export function ownMeasures(
  whole: UnitMeasures,
  units: readonly Pick<ExperimentalUnit, 'built' | 'treatmentId'>[],
): (treatmentId: string) => UnitMeasures {
  return treatmentId =>
    measuresOfGroup(
      whole,
      units.filter(unit => unit.treatmentId === treatmentId),
    );
}

/** Of some units: what was put down of all of them, else as of the whole trial. */
export function measuresOfGroup(whole: UnitMeasures, units: readonly Built[]): UnitMeasures {
  const own = builtMeans(units);
  return {
    ...whole,
    plants: own.plants ?? whole.plants,
    areaM2: own.areaM2 ?? whole.areaM2,
    mixMl: own.mixMl ?? whole.mixMl,
  };
}

/** Means of what was put down as built; undefined where it was not of every one. */
export function builtMeans(units: readonly Built[]): {
  readonly areaM2: number | undefined;
  readonly mixMl: number | undefined;
  readonly plants: number | undefined;
  readonly seedG: number | undefined;
} {
  const meanOf = (key: 'areaM2' | 'mixMl' | 'plants' | 'seedG'): number | undefined => {
    const said = units.flatMap(({ built }) => built?.[key] ?? []);
    return units.length > 0 && said.length === units.length
      ? said.reduce((sum, each) => sum + each, 0) / said.length
      : undefined;
  };
  return {
    areaM2: meanOf('areaM2'),
    mixMl: meanOf('mixMl'),
    plants: meanOf('plants'),
    seedG: meanOf('seedG'),
  };
}
