/** What an amount is measured out with: its step, g or ml. A spoon's step is its quarter, a scale's its last digit. */
export interface MeasuringTool {
  readonly key: string;
  readonly name: string;
  readonly of: 'mass' | 'volume';
  readonly step: number;
  readonly largest: number;
}

/** Tools that lie about in a shed. Sizes: common practice, no source. */
export const MEASURING_TOOLS: readonly MeasuringTool[] = [
  { key: 'syringe-1', name: '1 ml syringe', of: 'volume', step: 0.02, largest: 1 },
  { key: 'syringe-10', name: '10 ml syringe', of: 'volume', step: 0.5, largest: 10 },
  { key: 'spoon', name: '5 ml spoon', of: 'volume', step: 1.25, largest: 15 },
  { key: 'cap', name: '15 ml cap', of: 'volume', step: 5, largest: 30 },
  { key: 'jug', name: 'kitchen jug', of: 'volume', step: 25, largest: 1000 },
  { key: 'can', name: 'watering can', of: 'volume', step: 500, largest: 10_000 },
  { key: 'fine-scale', name: 'pocket scale, 0.1 g', of: 'mass', step: 0.1, largest: 500 },
  { key: 'scale', name: 'kitchen scale, 1 g', of: 'mass', step: 1, largest: 5000 },
  { key: 'hanging-scale', name: 'hanging scale, 50 g', of: 'mass', step: 50, largest: 50_000 },
];

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

const MADE_UP_ML = [100, 200, 250, 500, 1000, 2000, 5000]; // what bottles and jugs hold
const LEAST_EACH_ML = 5; // a share that a 10 ml syringe gives to 5%
const LEAST_STEPS = 10; // half a step of ten is 5%

/**
 * A stock for so many units: as little product as its tool measures to 5%, made up to the smallest usual volume of which a
 * share can be measured to 5%. Undefined where even 5 l is too strong: then a finer tool is needed, or a stock of the stock.
 *
 * @param dose of product to one unit, in the tool's g or ml
 */
export function stockSolution(
  dose: number,
  units: number,
  tool: MeasuringTool,
): StockSolution | undefined {
  const steps = Math.max(LEAST_STEPS, Math.ceil((dose * units) / tool.step - 1e-9));
  const product = steps * tool.step;
  for (const madeUpToMl of MADE_UP_ML) {
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
