import type { GardenGap } from './garden-answer';
import type { GardenSource } from './gardens-together';

/** A difference with its standard error as somebody published or told it, in what the question's gaps are told in. */
export interface TypedSummary {
  readonly id: string;
  readonly treatment: string;
  readonly control: string;
  readonly from: string;
  /** In % of the control; null where gaps are told in the measure's own unit. */
  readonly percent: number | null;
  /** In the measure's own unit; null where gaps are told in %. */
  readonly difference: number | null;
  /** In the same as the difference. */
  readonly se: number;
  readonly season: string;
}

/** Figures that were typed in, as a garden among the others: without units, weighed by its own error. */
export function typedSource(typed: TypedSummary): GardenSource {
  const { id, treatment, control, from, season } = typed;
  return {
    id,
    gardenId: id,
    name: from,
    season,
    crop: '',
    site: { place: '', soil: '', traits: {} },
    differs: [],
    typedFrom: from,
    isBlind: false,
    answer: {
      gaps: [
        {
          treatment,
          control,
          isLine: false,
          ...sizeOf(typed),
          df: KNOWN,
          controlLevel: null,
          units: [0, 0],
          share: null,
        },
      ],
      dots: [],
      units: 0,
      missing: 0,
      leftOut: 0,
    },
  };
}

function sizeOf({
  percent,
  difference,
  se,
}: TypedSummary): Pick<GardenGap, 'difference' | 'se' | 'percent' | 'logRatio'> {
  if (percent === null) return { difference, se, percent: null, logRatio: null };
  const ratio = 1 + percent / 100;
  // The error of a logarithm is the relative one (delta method).
  const logRatio = { estimate: Math.log(ratio), se: se / 100 / ratio };
  return { difference: null, se: null, percent, logRatio };
}

/** An error that somebody told is taken as it is. */
const KNOWN = 1e6;
