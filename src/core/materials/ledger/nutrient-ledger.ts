import { costOfDose, doseOf, type UnitMeasures } from '@/core/materials/dose/given-dose';
import { sumNutrients, timesNutrients } from '@/core/materials/label/nutrient';
import { dryMass } from '@/core/materials/soil-and-water/moisture';
import { type CalendarDay, daysBetween } from '@/core/time/garden-day';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { NutrientAmounts } from '@/core/trial/model/nutrient';
import type { Product } from '@/core/trial/model/product';
import type { Treatment } from '@/core/trial/model/treatment';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { releasedBy } from './release';

/** What one rule gives a unit of a treatment over the season. */
export interface LedgerLine {
  readonly ruleId: string;
  readonly name: string;
  readonly product: string;
  readonly times: number;
  /** Over all times; g, or ml. */
  readonly amount: number;
  readonly of: 'mass' | 'volume';
  readonly nutrients: NutrientAmounts | null;
  /** What of it has come free by the ledger's day: slow feeds give theirs over months. */
  readonly released: NutrientAmounts;
  /** null where its water, or the density it takes, is not known. */
  readonly dryG: number | null;
  readonly cost: number | null;
}

/** What a unit of a treatment gets. */
export interface LedgerAccount {
  readonly treatmentId: Treatment['id'];
  readonly name: string;
  readonly lines: readonly LedgerLine[];
  readonly nutrients: NutrientAmounts;
  readonly released: NutrientAmounts;
  readonly dryG: number | null;
  /** Some product's nutrients are not known: the sum is a least. */
  readonly isLeast: boolean;
  readonly cost: number | null;
  readonly minutes: number;
}

/** An act as it was really done: how much product each unit got. */
export interface GivenAct {
  readonly ruleId: string;
  readonly nth: number;
  /** In the rate's g or ml; null: as planned. */
  readonly amount: number | null;
  readonly doneOn: CalendarDay;
  /** Only these units got it; null: all that were meant. */
  readonly unitIds: readonly string[] | null;
}

/** A planned time of a rule, as far as the ledger needs it. */
export interface DatedTask {
  readonly ruleId: string;
  readonly nth: number;
  readonly state: string;
  readonly dueOn: CalendarDay | null;
  readonly doneOn: CalendarDay | null;
}

interface LedgerInput {
  readonly treatments: readonly Treatment[];
  readonly rules: readonly CareRule[];
  readonly tasks: readonly DatedTask[];
  readonly products: readonly Product[];
  /** What was done and not skipped. */
  readonly given: readonly GivenAct[];
  readonly units: readonly Pick<ExperimentalUnit, 'id' | 'treatmentId'>[];
  readonly unit: UnitMeasures;
  /** Of a treatment whose units are of a size of their own. */
  readonly unitOf?: ((treatmentId: string) => UnitMeasures) | undefined;
  /** Up to when what comes free is counted: the trial's end, or today. */
  readonly by: CalendarDay;
}

/** All treatments' accounts beside each other, over the whole season as planned, or of what was done so far. */
export function nutrientLedger(
  input: LedgerInput,
  which: 'planned' | 'done',
): readonly LedgerAccount[] {
  return input.treatments.map(treatment => {
    const rules = input.rules.filter(
      rule => rule.treatmentIds.length === 0 || rule.treatmentIds.includes(treatment.id),
    );
    const times = rules.map(rule =>
      which === 'planned' ? plannedTimes(rule, input) : doneTimes(rule, treatment.id, input),
    );
    const lines = rules.flatMap(
      (rule, i) =>
        lineOf(rule, times[i] ?? [], {
          ...input,
          unit: input.unitOf?.(treatment.id) ?? input.unit,
        }) ?? [],
    );
    return {
      treatmentId: treatment.id,
      name: treatment.name,
      lines,
      minutes: rules.reduce(
        (sum, rule, i) => sum + (rule.minutesEach ?? 0) * countOf(times[i] ?? []),
        0,
      ),
      nutrients: sumNutrients(lines.flatMap(line => line.nutrients ?? [])),
      released: sumNutrients(lines.map(line => line.released)),
      dryG: sumOrNull(lines.map(line => line.dryG)),
      isLeast: lines.some(line => line.nutrients === null),
      cost: sumOrNull(lines.map(line => line.cost)),
    };
  });
}

/** One time of a rule: on a day, to a share of the treatment's units, so much or as planned. */
interface Time {
  readonly on: CalendarDay | null;
  readonly share: number;
  readonly amount: number | null;
}

function plannedTimes(rule: CareRule, { tasks }: LedgerInput): readonly Time[] {
  if (rule.isUnplanned) return [];
  return tasks
    .filter(task => task.ruleId === rule.id)
    .map(task => ({ on: task.doneOn ?? task.dueOn, share: 1, amount: null }));
}

function doneTimes(
  rule: CareRule,
  treatmentId: string,
  { given, tasks, units }: LedgerInput,
): readonly Time[] {
  const own = units.filter(unit => unit.treatmentId === treatmentId);
  const ticked = given.filter(act => act.ruleId === rule.id);
  const ran = tasks.filter(
    task =>
      rule.runsByItself &&
      task.ruleId === rule.id &&
      task.state === 'done' &&
      !ticked.some(act => act.nth === task.nth),
  );
  return [
    ...ran.map(task => ({ on: task.doneOn, amount: null, share: 1 })),
    ...ticked.map(({ doneOn, amount, unitIds }) => ({
      on: doneOn,
      amount,
      share:
        unitIds === null || own.length === 0
          ? 1
          : own.filter(unit => unitIds.includes(unit.id)).length / own.length,
    })),
  ];
}

function countOf(times: readonly Time[]): number {
  return times.reduce((sum, time) => sum + time.share, 0);
}

function sumOrNull(values: readonly (number | null)[]): number | null {
  return values.reduce<number | null>(
    (sum, value) => (sum === null || value === null ? null : sum + value),
    0,
  );
}

function lineOf(
  rule: CareRule,
  times: readonly Time[],
  input: LedgerInput,
): LedgerLine | undefined {
  const { material } = rule;
  const product = input.products.find(each => each.id === material?.productId);
  const planned = material && product ? doseOf(material, product, input.unit) : undefined;
  if (!material || !product || !planned) return undefined;
  const doses = times.map(({ on, share, amount }) => ({
    on,
    share,
    dose: amount === null ? planned : costOfDose({ kind: material.rate.of, dose: amount }, product),
  }));
  const nutrientsOf = ({ dose, share }: (typeof doses)[number]): NutrientAmounts =>
    timesNutrients(dose.nutrients ?? {}, share);
  const amount = doses.reduce(
    (total, { dose, share }) =>
      total + share * (dose.amount.kind === 'mass' ? dose.amount.g : dose.amount.ml),
    0,
  );
  return {
    ruleId: rule.id,
    name: rule.name,
    product: product.name,
    times: countOf(times),
    of: material.rate.of,
    amount,
    dryG: dryOf(amount, material.rate.of, product),
    nutrients: doses.some(({ dose }) => dose.nutrients === null)
      ? null
      : sumNutrients(doses.map(nutrientsOf)),
    released: sumNutrients(
      doses.map(each =>
        each.on === null
          ? {}
          : releasedBy(nutrientsOf(each), product.releaseMonths, daysBetween(each.on, input.by)),
      ),
    ),
    cost: sumOrNull(
      doses.map(({ dose, share }) => (dose.cost === null ? null : dose.cost * share)),
    ),
  };
}

function dryOf(
  amount: number,
  of: 'mass' | 'volume',
  { moisturePercent, densityGPerMl }: Product,
): number | null {
  if (moisturePercent === null || (of === 'volume' && densityGPerMl === null)) return null;
  return dryMass(of === 'mass' ? amount : amount * (densityGPerMl ?? 0), moisturePercent);
}

/** What is wrong with a comparison of feeds, by their amounts. */
export interface LedgerFlag {
  readonly code: 'differs-in-amount' | 'still-held' | 'base-hides' | 'not-known';
  readonly says: string;
}

const ALIKE = 0.1; // treatments within a tenth of each other's nitrogen count as fed alike

/** What feeding is to a question: which kind is asked, or how much; part of what is compared; or nothing that it asks for. */
export type FeedingAsked = 'which' | 'how-much' | 'comes-along' | 'not-asked';

/** @param base what the mix itself gives a unit over the season */
export function ledgerFlags(
  accounts: readonly LedgerAccount[],
  base: NutrientAmounts,
  asked: FeedingAsked,
): readonly LedgerFlag[] {
  const fed = accounts.filter(account => (account.nutrients.n ?? 0) > 0);
  const most = Math.max(...fed.map(account => account.nutrients.n ?? 0));
  const flags: LedgerFlag[] = [...amountFlag(asked === 'not-asked' ? accounts : fed, asked)];
  const slow = fed.filter(
    account => (account.released.n ?? 0) < (account.nutrients.n ?? 0) * (1 - ALIKE),
  );
  if (slow.length > 0)
    flags.push({
      code: 'still-held',
      says: `${slow.map(account => `${account.name} has given ${Math.round((100 * (account.released.n ?? 0)) / (account.nutrients.n ?? 1))}% of its nitrogen by then`).join('; ')}. The rest comes too late to be judged.`,
    });
  if (fed.length > 0 && (base.n ?? 0) > most)
    flags.push({
      code: 'base-hides',
      says: `The mix itself gives ${((base.n ?? 0) / most).toFixed(1)} times the nitrogen of any treatment: it may hide them.`,
    });
  if (accounts.some(account => account.isLeast))
    flags.push({
      code: 'not-known',
      says: `${accounts
        .filter(account => account.isLeast)
        .map(account => account.name)
        .join(', ')}: a product’s analysis or density is missing, so this is the least it gives.`,
    });
  return flags;
}

/** Where which kind is asked, the fed ones are to get alike; where feeding is not asked about, all are. */
function amountFlag(
  compared: readonly LedgerAccount[],
  asked: FeedingAsked,
): readonly LedgerFlag[] {
  const sorted = [...compared].sort((a, b) => (a.nutrients.n ?? 0) - (b.nutrients.n ?? 0));
  const [least, most] = [sorted[0], sorted.at(-1)];
  const [low, high] = [least?.nutrients.n ?? 0, most?.nutrients.n ?? 0];
  if (!least || !most || high <= low * (1 + ALIKE)) return [];
  const more = `${most.name} gives ${(high / low).toFixed(1)} times the nitrogen of ${least.name}`;
  switch (asked) {
    case 'which':
      return [
        {
          code: 'differs-in-amount',
          says: `The question is which kind of feed, but ${more}. What wins may be the amount.`,
        },
      ];
    case 'not-asked':
      return [
        {
          code: 'differs-in-amount',
          says: `The question is not about feeding, but ${low > 0 ? more : `${most.name} is given nitrogen, ${least.name} none`}. What wins may be the feed.`,
        },
      ];
    case 'how-much':
    case 'comes-along':
      return [];
  }
}

/** What a bought mix gives by itself, and until when. Weeks: common practice, no source. */
export const MIX_FEEDS_WEEKS = { from: 4, to: 6 } as const;

/** Nutrients that a volume of mix holds. @param mgPerL of each, as its bag prints them */
export function heldByMix(mgPerL: NutrientAmounts, mixMl: number): NutrientAmounts {
  return timesNutrients(mgPerL, mixMl / 1e6);
}
