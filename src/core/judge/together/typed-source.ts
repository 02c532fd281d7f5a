import type { GardenSource } from './gardens-together';

/** A difference with its standard error as somebody published or told it, in % of the control. */
export interface TypedSummary {
  readonly id: string;
  readonly treatment: string;
  readonly control: string;
  readonly from: string;
  readonly percent: number;
  readonly se: number;
  readonly season: string;
}

/** Figures that were typed in, as a garden among the others: without units, weighed by its own error. */
export function typedSource(typed: TypedSummary): GardenSource {
  const { id, treatment, control, from, percent, se, season } = typed;
  const ratio = 1 + percent / 100;
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
          difference: null,
          se: null,
          df: KNOWN,
          percent,
          // The error of a logarithm is the relative one (delta method).
          logRatio: { estimate: Math.log(ratio), se: se / 100 / ratio },
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

/** An error that somebody told is taken as it is. */
const KNOWN = 1e6;
