import { chiSquareUpperTail } from '@/core/stats/distributions/distributions';

/** When it came, in days; or the last day on which it had not come yet. */
export interface Waited {
  readonly days: number;
  readonly hasCome: boolean;
}

/** A step of the curve: from this day on, so many still wait, of all. */
export interface WaitingStep {
  readonly days: number;
  readonly atRisk: number;
  readonly came: number;
  readonly waiting: number;
  /** The 95% range of the share that waits, each curve by itself (Greenwood's variance, log-log); null where all or none wait. */
  readonly range: readonly [number, number] | null;
}

/** The share that still waits, day by day, those that dropped out counted as long as they were looked at. Kaplan & Meier (1958), JASA 53, 457-481. */
export function kaplanMeier(units: readonly Waited[]): readonly WaitingStep[] {
  let waiting = 1;
  let spent = 0; // Greenwood's sum
  return eventDays(units).map(days => {
    const atRisk = units.filter(unit => unit.days >= days).length;
    const came = units.filter(unit => unit.hasCome && unit.days === days).length;
    waiting *= 1 - came / atRisk;
    spent += came / (atRisk * (atRisk - came));
    return { days, atRisk, came, waiting, range: rangeOf(waiting, spent) };
  });
}

const Z95 = 1.959963984540054;

/** On the scale of log(−log S), so that it stays between none and all. Kalbfleisch & Prentice (1980), section 1.3. */
function rangeOf(waiting: number, spent: number): readonly [number, number] | null {
  if (!(waiting > 0 && waiting < 1)) return null;
  const spread = Math.exp((Z95 * Math.sqrt(spent)) / Math.abs(Math.log(waiting)));
  return [waiting ** spread, waiting ** (1 / spread)];
}

/** The day by which half have come; null where so many never did. */
export function medianWait(units: readonly Waited[]): number | null {
  return kaplanMeier(units).find(step => step.waiting <= 0.5 + 1e-12)?.days ?? null;
}

/**
 * Mean days waited up to a horizon, with its standard error: the area under the curve (Irwin 1949; Greenwood's variance).
 *
 * @param until in days; at most the last day that anything was looked at
 */
export function restrictedMeanWait(
  units: readonly Waited[],
  until: number,
): { readonly mean: number; readonly se: number } {
  const steps = kaplanMeier(units).filter(step => step.days < until);
  const areas = [...steps, { days: until, waiting: 0, came: 0, atRisk: 0 }].map(
    (step, i) => (step.days - (steps[i - 1]?.days ?? 0)) * (steps[i - 1]?.waiting ?? 1),
  );
  const after = (i: number): number => areas.slice(i + 1).reduce((sum, area) => sum + area, 0);
  const variance = steps.reduce(
    (sum, { atRisk, came }, i) =>
      atRisk === came ? sum : sum + (after(i) ** 2 * came) / (atRisk * (atRisk - came)),
    0,
  );
  return { mean: areas.reduce((sum, area) => sum + area, 0), se: Math.sqrt(variance) };
}

function eventDays(units: readonly Waited[]): readonly number[] {
  return [...new Set(units.filter(unit => unit.hasCome).map(unit => unit.days))].sort(
    (a, b) => a - b,
  );
}

/** Units of one block: those treated and those of the control. */
export interface WaitedSamples {
  readonly treated: readonly Waited[];
  readonly control: readonly Waited[];
}

/** What the log-rank test says of two groups. */
export interface LogRank {
  readonly statistic: number;
  readonly p: number;
  /** Events of the treated over those expected of them, against the same of the control: above 1, it comes sooner. */
  readonly hazardRatio: number | null;
}

/**
 * Whether two groups wait alike, blocks allowed for. Mantel (1966), Cancer Chemotherapy Reports 50, 163-170; Peto & Peto (1972),
 * Journal of the Royal Statistical Society A 135, 185-207.
 *
 * @returns undefined where nothing came while both were looked at
 */
export function logRank(blocks: readonly WaitedSamples[]): LogRank | undefined {
  let [gap, variance, expected] = [0, 0, 0];
  let [seen, all] = [0, 0];
  for (const { treated, control } of blocks) {
    for (const days of eventDays([...treated, ...control])) {
      const [atRisk, riskTreated] = [[...treated, ...control], treated].map(
        units => units.filter(unit => unit.days >= days).length,
      ) as [number, number];
      const [came, cameTreated] = [[...treated, ...control], treated].map(
        units => units.filter(unit => unit.hasCome && unit.days === days).length,
      ) as [number, number];
      const share = riskTreated / atRisk;
      gap += cameTreated - came * share;
      expected += came * share;
      seen += cameTreated;
      all += came;
      if (atRisk > 1) variance += (came * share * (1 - share) * (atRisk - came)) / (atRisk - 1);
    }
  }
  if (!(variance > 0)) return undefined;
  const statistic = gap ** 2 / variance;
  const [cameControl, expectedControl] = [all - seen, all - expected];
  return {
    statistic,
    p: chiSquareUpperTail(statistic, 1),
    hazardRatio:
      expected > 0 && expectedControl > 0 && cameControl > 0
        ? seen / expected / (cameControl / expectedControl)
        : null,
  };
}

/** What each unit adds to the log-rank test: 1 where it came, less the hazard it went through. */
export function logRankScores(units: readonly Waited[]): readonly number[] {
  const steps = kaplanMeier(units);
  return units.map(
    unit =>
      Number(unit.hasCome) -
      steps
        .filter(step => step.days <= unit.days)
        .reduce((sum, step) => sum + step.came / step.atRisk, 0),
  );
}
