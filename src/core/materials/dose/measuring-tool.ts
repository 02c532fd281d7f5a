import { type MeasureSystem, unitOfMeasure } from '@/core/quantity/unit-of-measure';

/** What an amount is measured out with: its step, g or ml. A spoon's step is its quarter, a scale's its last digit. */
export interface MeasuringTool {
  readonly key: string;
  readonly name: string;
  readonly of: 'mass' | 'volume';
  readonly step: number;
  readonly largest: number;
}

// Syringes are marked in millilitres on both sides of the water.
const SYRINGES: readonly MeasuringTool[] = [
  { key: 'syringe-1', name: '1 ml syringe', of: 'volume', step: 0.02, largest: 1 },
  { key: 'syringe-10', name: '10 ml syringe', of: 'volume', step: 0.5, largest: 10 },
];

const OUNCE_G = unitOfMeasure('oz').perBase;
const TEASPOON_ML = unitOfMeasure('us-tsp').perBase;
const CUP_ML = unitOfMeasure('us-cup').perBase;

/** Tools that lie about in a shed, from fine to coarse. Sizes: common practice, no source. */
export const MEASURING_TOOLS: Readonly<Record<MeasureSystem, readonly MeasuringTool[]>> = {
  uk: [
    ...SYRINGES,
    { key: 'spoon', name: '5 ml spoon', of: 'volume', step: 1.25, largest: 15 },
    { key: 'cap', name: '15 ml cap', of: 'volume', step: 5, largest: 30 },
    { key: 'jug', name: 'kitchen jug', of: 'volume', step: 25, largest: 1000 },
    { key: 'can', name: 'watering can', of: 'volume', step: 500, largest: 10_000 },
    { key: 'fine-scale', name: 'pocket scale, 0.1 g', of: 'mass', step: 0.1, largest: 500 },
    { key: 'scale', name: 'kitchen scale, 1 g', of: 'mass', step: 1, largest: 5000 },
    { key: 'hanging-scale', name: 'hanging scale, 50 g', of: 'mass', step: 50, largest: 50_000 },
  ],
  us: [
    ...SYRINGES,
    {
      key: 'spoon',
      name: 'teaspoon',
      of: 'volume',
      step: TEASPOON_ML / 4,
      largest: 3 * TEASPOON_ML,
    },
    {
      key: 'cap',
      name: 'tablespoon',
      of: 'volume',
      step: TEASPOON_ML * 1.5,
      largest: 6 * TEASPOON_ML,
    },
    { key: 'jug', name: 'measuring cup', of: 'volume', step: CUP_ML / 8, largest: 4 * CUP_ML },
    { key: 'can', name: 'watering can', of: 'volume', step: 2 * CUP_ML, largest: 40 * CUP_ML },
    {
      key: 'fine-scale',
      name: 'pocket scale, 0.005 oz',
      of: 'mass',
      step: OUNCE_G / 200,
      largest: 16 * OUNCE_G,
    },
    {
      key: 'scale',
      name: 'kitchen scale, 0.1 oz',
      of: 'mass',
      step: OUNCE_G / 10,
      largest: 176 * OUNCE_G,
    },
    {
      key: 'hanging-scale',
      name: 'hanging scale, 2 oz',
      of: 'mass',
      step: 2 * OUNCE_G,
      largest: 1760 * OUNCE_G,
    },
  ],
};

/** An amount as a tool can give it. */
export interface MeasuredOut {
  /** Whole steps of the tool, never none. */
  readonly steps: number;
  /** g or ml really given. */
  readonly given: number;
  /** Given against wanted, in %; and the most that reading the tool to half a step adds. */
  readonly errorPercent: number;
  readonly stepPercent: number;
  readonly isTooCoarse: boolean;
}

/** More than this share of the dose in half a step, and a tool is too coarse. Common practice, no source. */
const COARSE_PERCENT = 10;

/** Rounds an amount to what a tool can measure. @param amount > 0, in the tool's g or ml */
export function measureOut(amount: number, tool: MeasuringTool): MeasuredOut {
  const steps = Math.max(1, Math.round(amount / tool.step));
  const given = steps * tool.step;
  const errorPercent = (100 * (given - amount)) / amount;
  const stepPercent = (50 * tool.step) / amount;
  return {
    steps,
    given,
    errorPercent,
    stepPercent,
    isTooCoarse: stepPercent > COARSE_PERCENT || Math.abs(errorPercent) > COARSE_PERCENT,
  };
}

/** The handiest of some tools that can measure an amount; undefined where none can. @param tools from fine to coarse */
export function fittingTool(
  amount: number,
  tools: readonly MeasuringTool[],
): MeasuringTool | undefined {
  return tools.find(
    tool => tool.largest * MOST_FILLS >= amount && !measureOut(amount, tool).isTooCoarse,
  );
}

const MOST_FILLS = 5; // a small syringe is not filled more often than that for one dose

/** A way to give a dose that is too small for its tool: dissolve more of it, and give a share of that. */
export interface StockSolution {
  /** Of product, measured with the tool. */
  readonly product: number;
  /** Made up with water to so much. */
  readonly madeUpToMl: number;
  /** Of the stock to each unit. */
  readonly eachMl: number;
  /** What is left over of the stock. */
  readonly leftMl: number;
}

// What bottles and jugs hold: half a cup, a cup, a pint, a quart, half a gallon and a gallon across the water.
const MADE_UP_ML: Readonly<Record<MeasureSystem, readonly number[]>> = {
  uk: [100, 200, 250, 500, 1000, 2000, 5000],
  us: [0.5, 1, 2, 4, 8, 16].map(cups => cups * CUP_ML),
};
const LEAST_EACH_ML = 5; // a share that a 10 ml syringe gives to 5%
const LEAST_STEPS = 10; // half a step of ten is 5%

/**
 * A stock for so many units: as little product as its tool measures to 5%, made up to the smallest usual volume of which a
 * share can be measured to 5%. Undefined where even the largest is too strong: then a finer tool is needed, or a stock of the stock.
 *
 * @param dose of product to one unit, in the tool's g or ml
 */
export function stockSolution(
  dose: number,
  units: number,
  tool: MeasuringTool,
  system: MeasureSystem,
): StockSolution | undefined {
  const steps = Math.max(LEAST_STEPS, Math.ceil((dose * units) / tool.step - 1e-9));
  const product = steps * tool.step;
  for (const madeUpToMl of MADE_UP_ML[system]) {
    const eachMl = (madeUpToMl * dose) / product;
    if (eachMl >= LEAST_EACH_ML && (tool.of === 'mass' || madeUpToMl >= 2 * product))
      return { product, madeUpToMl, eachMl, leftMl: madeUpToMl - eachMl * units };
  }
  return undefined;
}

/** A cap, handful or squirt, weighed a few times. */
export interface Calibration {
  readonly mean: number;
  readonly sd: number;
  /** SD in % of the mean. */
  readonly cvPercent: number;
  readonly isReliable: boolean;
}

/** Mean and spread of a loose measure. @param weighings at least two, > 0 */
export function calibrate(weighings: readonly number[]): Calibration {
  if (weighings.length < 2)
    throw new RangeError(`a calibration must have at least two weighings, got ${weighings.length}`);
  const mean = weighings.reduce((sum, each) => sum + each, 0) / weighings.length;
  const sd = Math.sqrt(
    weighings.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (weighings.length - 1),
  );
  const cvPercent = (100 * sd) / mean;
  return { mean, sd, cvPercent, isReliable: cvPercent <= COARSE_PERCENT };
}
