import type { CareRule } from '@/core/schedule/care-rule';
import type { StandingTask } from '@/core/schedule/task-state';
import type { Treatment } from '@/core/trial/trial-data';
import { doseOf, type GivenDose, type UnitMeasures, worthOf } from './given-dose';
import { type NutrientAmounts, sumNutrients, timesNutrients } from './nutrient';
import type { Product } from './product';

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
  readonly cost: number | null;
}

/** What a unit of a treatment gets. */
export interface LedgerAccount {
  readonly treatmentId: Treatment['id'];
  readonly name: string;
  readonly lines: readonly LedgerLine[];
  readonly nutrients: NutrientAmounts;
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
}

interface LedgerInput {
  readonly treatments: readonly Treatment[];
  readonly rules: readonly CareRule[];
  readonly tasks: readonly StandingTask[];
  readonly products: readonly Product[];
  readonly given: readonly GivenAct[];
  readonly unit: UnitMeasures;
}

/** All treatments' accounts beside each other, over the whole season as planned, or of what was done so far. */
export function nutrientLedger(input: LedgerInput, which: 'planned' | 'done'): readonly LedgerAccount[] {
  return input.treatments.map(treatment => {
    const rules = input.rules.filter(rule => rule.treatmentIds.length === 0 || rule.treatmentIds.includes(treatment.id));
    const lines = rules.flatMap(rule => lineOf(rule, input, which) ?? []);
    const minutes = rules.reduce((sum, rule) => sum + (rule.minutesEach ?? 0) * timesOf(rule, input, which).length, 0);
    return {
      treatmentId: treatment.id, name: treatment.name, lines, minutes, nutrients: sumNutrients(lines.flatMap(line => line.nutrients ?? [])), isLeast: lines.some(line => line.nutrients === null),
      cost: lines.some(line => line.cost === null) ? null : lines.reduce((sum, line) => sum + (line.cost ?? 0), 0),
    };
  });
}

function timesOf(rule: CareRule, { tasks }: LedgerInput, which: 'planned' | 'done'): readonly StandingTask[] {
  return tasks.filter(task => task.ruleId === rule.id && (which === 'planned' || task.state === 'done'));
}

function lineOf(rule: CareRule, input: LedgerInput, which: 'planned' | 'done'): LedgerLine | undefined {
  const { material } = rule;
  const product = input.products.find(each => each.id === material?.productId);
  const planned = material && product ? doseOf(material, product, input.unit) : undefined;
  if (!material || !product || !planned) return undefined;
  const doses = timesOf(rule, input, which).map((task): GivenDose => {
    const amount = which === 'done' ? input.given.find(act => act.ruleId === rule.id && act.nth === task.nth)?.amount : undefined;
    return amount == null ? planned : worthOf({ kind: material.rate.of, dose: amount }, product);
  });
  const sum = (of: (dose: GivenDose) => number | null): number | null => doses.reduce<number | null>((total, dose) => { const value = of(dose); return total === null || value === null ? null : total + value; }, 0);
  return {
    ruleId: rule.id, name: rule.name, product: product.name, times: doses.length, of: material.rate.of,
    amount: doses.reduce((total, { amount }) => total + (amount.kind === 'mass' ? amount.g : amount.ml), 0),
    nutrients: doses.some(dose => dose.nutrients === null) ? null : sumNutrients(doses.map(dose => dose.nutrients ?? {})), cost: sum(dose => dose.cost),
  };
}

/** What is wrong with a comparison of feeds, by their amounts. */
export interface LedgerFlag {
  readonly code: 'differs-in-amount' | 'base-hides' | 'not-known';
  readonly says: string;
}

const ALIKE = 0.1; // treatments within a tenth of each other's nitrogen count as fed alike

/** @param base what the mix itself gives a unit over the season; @param asksKind whether the question is which kind of feed, not how much */
export function ledgerFlags(accounts: readonly LedgerAccount[], base: NutrientAmounts, asksKind: boolean): readonly LedgerFlag[] {
  const fed = accounts.filter(account => (account.nutrients.n ?? 0) > 0);
  const amounts = fed.map(account => account.nutrients.n ?? 0);
  const [least, most] = [Math.min(...amounts), Math.max(...amounts)];
  const leastName = fed.find(account => account.nutrients.n === least)?.name;
  const mostName = fed.find(account => account.nutrients.n === most)?.name;
  const flags: LedgerFlag[] = [];
  if (asksKind && fed.length > 1 && most > least * (1 + ALIKE)) flags.push({ code: 'differs-in-amount', says: `The question is which kind of feed, but ${mostName} gives ${(most / least).toFixed(1)} times the nitrogen of ${leastName}. What wins may be the amount.` });
  if (fed.length > 0 && (base.n ?? 0) > most) flags.push({ code: 'base-hides', says: `The mix itself gives ${(base.n ?? 0).toFixed(1)} g of nitrogen, more than any treatment’s ${most.toFixed(1)} g: it may hide them.` });
  if (accounts.some(account => account.isLeast)) flags.push({ code: 'not-known', says: `${accounts.filter(account => account.isLeast).map(account => account.name).join(', ')}: a product’s analysis or density is missing, so this is the least it gives.` });
  return flags;
}

/** What a bought mix gives by itself, and until when. Weeks: common practice, no source. */
export const MIX_FEEDS_WEEKS = { from: 4, to: 6 } as const;

/** Nutrients that a volume of mix holds. @param mgPerL of each, as its bag prints them */
export function heldByMix(mgPerL: NutrientAmounts, mixMl: number): NutrientAmounts {
  return timesNutrients(mgPerL, mixMl / 1e6);
}
