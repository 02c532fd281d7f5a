import type { DesignInput } from '@/core/design/linear/design-input';
import { buildTrialModel } from '@/core/design/linear/trial-model';
import { fitLinearModel, indicatorColumns } from '@/core/stats/linear/linear-model';
import { benchPlaces } from '@/core/trial/bench-places';
import type { SiteFeature } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';
import type { TrialData } from '@/core/trial/model/trial-data';
import { cornersOn } from '@/core/trial/place-corner';

/** What a feature of the site is called on screen. */
export const SITE_WORDS: Readonly<Record<SiteFeature['kind'], string>> = {
  slope: 'slope, high',
  light: 'light',
  wall: 'wall',
  fence: 'fence',
  tap: 'tap',
  traffic: 'foot traffic',
};

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

const REACH = 0.3; // of the bench, where nothing else is said
// Of the bench: how far beside it each is drawn until it is put where it is; none on another.
const ASIDE: Readonly<Record<SiteFeature['kind'], number>> = {
  slope: 0,
  light: 0,
  tap: 0.08,
  wall: 0.13,
  fence: 0.18,
  traffic: 0.23,
};

/** Whether a feature is something that stands or runs somewhere; otherwise it changes evenly from side to side. */
export function isLine({ kind }: Pick<SiteFeature, 'kind'>): boolean {
  return kind !== 'slope' && kind !== 'light';
}

/** Where a wall, fence, path or tap is, in mm from the far left corner; along its side where nothing was said. */
export function lineOf(
  { kind, side, line }: SiteFeature,
  { widthMm, depthMm }: Pick<Place, 'widthMm' | 'depthMm'>,
): NonNullable<SiteFeature['line']> {
  if (line) return line;
  const [a, b] = kind === 'tap' ? [0.85, 0.85] : [0, 1];
  const aside = ASIDE[kind] * Math.max(widthMm, depthMm);
  if (side === 'left' || side === 'right') {
    const x = side === 'left' ? -aside : widthMm + aside;
    return { x1Mm: x, y1Mm: a * depthMm, x2Mm: x, y2Mm: b * depthMm };
  }
  const y = side === 'far' ? -aside : depthMm + aside;
  return { x1Mm: a * widthMm, y1Mm: y, x2Mm: b * widthMm, y2Mm: y };
}

/** 1 where a feature is strongest, 0 where it is not felt. Slope and light change evenly over the bench; the rest fades with distance. */
export function strengthAt(
  feature: SiteFeature,
  xMm: number,
  yMm: number,
  bench: Pick<Place, 'widthMm' | 'depthMm'>,
): number {
  const { side } = feature;
  const isAcross = side === 'left' || side === 'right';
  if (isLine(feature))
    return Math.exp(
      -distanceTo(lineOf(feature, bench), xMm, yMm) /
        (feature.reachMm ?? REACH * (isAcross ? bench.widthMm : bench.depthMm)),
    );
  const along = isAcross ? xMm / bench.widthMm : yMm / bench.depthMm;
  return side === 'left' || side === 'far' ? 1 - along : along;
}

/** From a point to the nearest point of a line between two ends. */
function distanceTo(
  { x1Mm, y1Mm, x2Mm, y2Mm }: NonNullable<SiteFeature['line']>,
  xMm: number,
  yMm: number,
): number {
  const [dx, dy] = [x2Mm - x1Mm, y2Mm - y1Mm];
  const length = dx * dx + dy * dy;
  const along =
    length === 0 ? 0 : Math.min(1, Math.max(0, ((xMm - x1Mm) * dx + (yMm - y1Mm) * dy) / length));
  return Math.hypot(xMm - x1Mm - along * dx, yMm - y1Mm - along * dy);
}

/** The middle of every unit, in mm from the corner of the bench. */
export function centresOf({
  places,
  units,
}: TrialData): readonly { readonly x: number; readonly y: number }[] {
  const cornerOf = cornersOn(places);
  const byId = new Map(places.map(place => [place.id, place]));
  return units.map(unit => {
    const own = byId.get(unit.placeId);
    if (!own) return { x: 0, y: 0 };
    const { xMm, yMm } = cornerOf(own);
    return { x: xMm + own.widthMm / 2, y: yMm + own.depthMm / 2 };
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
