import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { type SeededRandom, seededRandom } from '@/core/stats/distributions/seeded-random';
import { daysBetween } from '@/core/time/garden-day';
import type { SoilLaboratory } from './soil-laboratory';

const ANSWERS_AFTER = 10;
const HEADS = 'sample,analyte,value,unit,extract,optimum low,optimum high';

interface Method {
  readonly analyte: string;
  readonly unit: string;
  readonly extract: string;
  readonly mean: number;
  readonly sd: number;
  readonly digits: number;
  readonly limit: number;
  readonly optimum: string;
}

// Made up, within what garden soils give. What it calls optimum is its own.
const METHODS: readonly Method[] = [
  {
    analyte: 'pH',
    unit: '',
    extract: 'in water',
    mean: 6.4,
    sd: 0.2,
    digits: 1,
    limit: 0,
    optimum: '6.0,7.0',
  },
  {
    analyte: 'P2O5',
    unit: 'mg/100 g',
    extract: 'lactate',
    mean: 17,
    sd: 3,
    digits: 0,
    limit: 1,
    optimum: '10,20',
  },
  {
    analyte: 'K2O',
    unit: 'mg/100 g',
    extract: 'lactate',
    mean: 14,
    sd: 3,
    digits: 0,
    limit: 1,
    optimum: '12,22',
  },
  {
    analyte: 'Magnesium (Mg)',
    unit: 'mg/kg',
    extract: 'calcium chloride',
    mean: 95,
    sd: 15,
    digits: 0,
    limit: 5,
    optimum: '60,120',
  },
  {
    analyte: 'Boron',
    unit: 'mg/kg',
    extract: 'hot water',
    mean: 0.45,
    sd: 0.15,
    digits: 2,
    limit: 0.4,
    optimum: '0.4,0.9',
  },
  {
    analyte: 'Organic matter',
    unit: '%',
    extract: 'loss on ignition',
    mean: 5.5,
    sd: 0.7,
    digits: 1,
    limit: 0.5,
    optimum: '4,10',
  },
];

/** A laboratory that is not there: values such as garden soils give, the same for the same bag, knowing nothing of treatments. */
export function standInLaboratory(seed: number): SoilLaboratory {
  return {
    name: 'Stand-in laboratory',
    isStandIn: true,
    answersAfterDays: ANSWERS_AFTER,
    report: async (samples, today) => {
      if (
        samples.length === 0 ||
        samples.some(sample => daysBetween(sample.takenOn, today) < ANSWERS_AFTER)
      )
        return undefined;
      return [
        HEADS,
        ...samples.flatMap(({ number }) =>
          rowsOf(number, seededRandom((seed + Number(number.slice(1)) * 2_654_435_761) >>> 0)),
        ),
      ].join('\n');
    },
  };
}

function rowsOf(number: string, random: SeededRandom): readonly string[] {
  return METHODS.map(({ analyte, unit, extract, mean, sd, digits, limit, optimum }) => {
    const value = Math.max(0, mean + sd * normalDraw(random));
    return `${number},${analyte},${value < limit ? `< ${limit}` : value.toFixed(digits)},${unit},${extract},${optimum}`;
  });
}
