import type { DesignInput } from '@/core/design/linear/design-input';
import { buildTrialModel } from '@/core/design/linear/trial-model';
import { fitLinearModel, indicatorColumns } from '@/core/stats/linear/linear-model';
import { benchPlaces } from '@/core/trial/bench-places';
import type { SiteFeature } from '@/core/trial/model/layout';
import type { TrialData } from '@/core/trial/model/trial-data';
import { strengthAt } from './site-features';
import { centresOf } from './unit-centres';

/** What a gradient of the site would do to this deal, if nothing else differed. */
export interface SiteBias {
  readonly feature: SiteFeature;
  /** By treatment against the control, blocks allowed for, in % of a plant's yield. */
  readonly biases: readonly { readonly treatment: string; readonly percent: number }[];
  /** The share of the gradient that the blocks take out, in [0, 1]. */
  readonly takenOut: number;
  /** The same share if blocks were cut as rows, and as columns. */
  readonly asRows: number;
  readonly asColumns: number;
}

/** Works out every feature of the site for the deal as it stands. */
export function siteBiases(data: TrialData): readonly SiteBias[] {
  const at = centresOf(data);
  const { ground: bench } = benchPlaces(data.places);
  if (!bench || at.length === 0) return [];
  return (data.layout?.site ?? []).map(feature => {
    const values = at.map(({ x, y }) => feature.percent * strengthAt(feature, x, y, bench));
    const input = inputOf(data, values);
    const trial = buildTrialModel(input);
    const model = trial.fit(values);
    return {
      feature,
      biases: input.treatments
        .filter(name => name !== input.control)
        .map(treatment => ({
          treatment,
          percent: trial.differenceOf(model, treatment, input.control)?.estimate ?? 0,
        })),
      takenOut: explained(values, ...trial.blockTerms.map(term => term.columns)),
      asRows: explained(
        values,
        groupColumns(
          at.map(place => place.y),
          bench.depthMm,
          data.blocks.length,
        ),
      ),
      asColumns: explained(
        values,
        groupColumns(
          at.map(place => place.x),
          bench.widthMm,
          data.blocks.length,
        ),
      ),
    };
  });
}

function inputOf(data: TrialData, values: readonly number[]): DesignInput {
  const nameOf = new Map(data.treatments.map(treatment => [treatment.id, treatment.name]));
  const blockOf = new Map(data.blocks.map(block => [block.id, block.name]));
  const isSquare = data.layout?.columnWord != null;
  return {
    treatmentName: 'treatment',
    treatments: data.treatments.map(treatment => treatment.name),
    control:
      data.treatments.find(treatment => treatment.role === 'control')?.name ??
      data.treatments[0]?.name ??
      '',
    blockNames: data.blocks.length > 0 ? ['block', ...(isSquare ? ['column'] : [])] : [],
    units: data.units.map((unit, i) => ({
      id: unit.code,
      treatment: nameOf.get(unit.treatmentId) ?? '',
      value: values[i] ?? 0,
      blocks:
        unit.blockId === null
          ? []
          : [blockOf.get(unit.blockId) ?? '', ...(isSquare ? [String(unit.column)] : [])],
    })),
  };
}

/** The share of a column's spread that groups explain. */
function explained(
  values: readonly number[],
  ...groups: readonly (readonly (readonly number[])[])[]
): number {
  const total = fitLinearModel(values, []).residualSs;
  if (total < 1e-12) return 1;
  return (
    1 -
    fitLinearModel(
      values,
      groups.map((columns, i) => ({ name: String(i), columns })),
    ).residualSs /
      total
  );
}

/** Strips of equal width across the bench. */
function groupColumns(
  along: readonly number[],
  lengthMm: number,
  strips: number,
): readonly (readonly number[])[] {
  const labels = along.map(at =>
    String(Math.min(strips - 1, Math.floor((at / lengthMm) * Math.max(1, strips)))),
  );
  return indicatorColumns(labels, [...new Set(labels)]);
}
