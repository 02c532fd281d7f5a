import { type MassStyle, printMass } from '@/core/quantity/print-quantity';
import { unitOfMeasure } from '@/core/quantity/unit-of-measure';

/** What a unit's harvest may be counted by: only what somebody put down, nothing that a drawing assumes. */
export interface YieldMeasures {
  /** Ground or open top of the unit. */
  readonly areaM2: number | undefined;
  /** Mix that was filled in. */
  readonly mixMl: number | undefined;
  readonly plants?: number | undefined;
  /** Seed, tubers or sets that were planted. */
  readonly seedG?: number | undefined;
  /** Work of the season at one unit. */
  readonly minutes: number;
}

/** A yield by one base: by area, litre or gallon of mix, plant, weight of seed, hour of work. */
export interface YieldBase {
  readonly base: 'area' | 'mix' | 'plant' | 'seed' | 'hour';
  /** Grams by m², ml, plant, g of seed, minute. */
  readonly value: number;
  readonly words: string;
  /** The figure alone, and what it is by. */
  readonly figure: string;
  readonly by: string;
}

/** One harvest by all bases at once: what wins by the row need not win by the square metre. */
export function yieldBases(
  netG: number,
  { areaM2, mixMl, plants, seedG, minutes }: YieldMeasures,
  style: MassStyle,
): readonly YieldBase[] {
  const isMetric = style === 'metric';
  const by = (
    base: YieldBase['base'],
    over: number | undefined,
    [words, times]: readonly [words: string, times: number],
  ): readonly YieldBase[] => {
    if (over === undefined || over <= 0) return [];
    const value = netG / over;
    const figure = base === 'seed' ? short(value) : printMass(value * times, style);
    return [{ base, value, figure, by: words, words: `${figure} ${words}` }];
  };
  return [
    ...by('area', areaM2, isMetric ? ['per square metre', 1] : ['per square foot', FT2]),
    ...by('mix', mixMl, isMetric ? ['per litre of mix', 1000] : ['per gallon of mix', GALLON]),
    ...by('plant', plants, ['per plant', 1]),
    ...by('seed', seedG, ['times the weight of the seed', 1]),
    ...by('hour', minutes, ['per hour of work', 60]),
  ];
}

const FT2 = unitOfMeasure('ft2').perBase;
const GALLON = unitOfMeasure('us-gal').perBase;

function short(value: number): string {
  return String(Number(value.toPrecision(3)));
}
