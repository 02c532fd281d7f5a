import { adherenceOf, type Adherence, isUneven } from '@/core/schedule/adherence';
import { type CarePlan, doneTasks } from '@/core/schedule/care-plan';
import type { CareRule } from '@/core/schedule/care-rule';
import { careTasks, type CaredTrial, type DueToday, dueToday, hiddenDue, unitMeasuresOf } from '@/core/schedule/due-today';
import { shoppingList, type ToBuy } from '@/core/schedule/shopping-list';
import type { StandingTask } from '@/core/schedule/task-state';
import { makeFair, type FairBy } from '@/core/materials/make-fair';
import { heldByMix, type LedgerAccount, type LedgerFlag, ledgerFlags, nutrientLedger } from '@/core/materials/nutrient-ledger';
import type { NutrientAmounts } from '@/core/materials/nutrient';
import type { Hazard, Product } from '@/core/materials/product';
import { isWashedOff, type WeatherDay } from '@/core/weather/weather-day';
import { questionPattern } from '@/core/trial/question-patterns';
import { addDays } from '@/core/trial/calendar-day';
import type { Trial, TrialData } from '@/core/trial/trial-data';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';

/** A trial's care as its page shows it. Names treatments, never which unit has which while the key is shut. */
export interface TendView {
  readonly trial: Pick<Trial, 'id' | 'unitWord' | 'state' | 'startsOn' | 'endsOn'>;
  readonly today: string;
  readonly system: MeasureSystem;
  readonly treatments: readonly { readonly id: string; readonly name: string; readonly letter: string }[];
  readonly shelf: readonly Product[];
  readonly care: CarePlan;
  readonly due: DueToday;
  /** Of the next weeks; those that wait for a stage last. */
  readonly coming: readonly StandingTask[];
  /** Sprays of the last week that rain has washed off. */
  readonly washedOff: readonly { readonly name: string; readonly on: string; readonly rainMm: number }[];
  readonly recent: readonly { readonly actId: string; readonly name: string; readonly on: string; readonly isSkipped: boolean; readonly note: string }[];
  /** Stages that rules wait for, or that were dated. */
  readonly stages: readonly { readonly name: string; readonly day: string }[];
  readonly ledger: { readonly planned: readonly LedgerAccount[]; readonly done: readonly LedgerAccount[]; readonly base: NutrientAmounts; readonly flags: readonly LedgerFlag[] };
  readonly fair: Readonly<Record<FairBy & ('n' | 'p' | 'k' | 'money'), ReturnType<typeof makeFair>>>;
  readonly adherence: readonly (Adherence & { readonly name: string })[];
  readonly isUneven: boolean;
  /** Plain water that was put down, each unit's over the season so far, in ml. */
  readonly water: readonly { readonly name: string; readonly ml: number }[];
  readonly shopping: readonly ToBuy[];
  readonly hazards: readonly Hazard[];
  /** Products planned oftener for one treatment than their labels allow. */
  readonly tooOften: readonly { readonly product: string; readonly planned: number; readonly most: number }[];
}

const COMING_DAYS = 21;
const RECENT = 8;

/**
 * @param shelf what stands there now; the trial brings the products that its rules were made with
 * @param aliasOf what a blind trial's rule is called beside the pots that get it
 */
export function tendViewOf(data: TrialData, shelf: readonly Product[], today: string, system: MeasureSystem, weather: readonly WeatherDay[] = [], aliasOf: (ruleId: string) => string = ruleId => ruleId): TendView {
  const { trial, care, treatments, products, units, places } = data;
  const place = places.find(each => each.id === units[0]?.placeId);
  const cared: CaredTrial = { trial, care, done: doneTasks(care.acts), treatments, units, unit: unitMeasuresOf(place, care.settings.mixMl) };
  const tasks = careTasks(data, today);
  const input = { treatments, rules: care.rules, tasks, products, given: care.acts.filter(act => !act.isSkipped), unit: cared.unit };
  const planned = nutrientLedger(input, 'planned');
  const base = care.settings.mixMl !== null && care.settings.mixNMgPerL !== null ? heldByMix({ n: care.settings.mixNMgPerL }, care.settings.mixMl) : {};
  const adherence = adherenceOf(care.rules, tasks, treatments.map(treatment => treatment.id));
  const nameOf = new Map(treatments.map(treatment => [treatment.id as string, treatment.name]));
  const countOf = (id: string): number => units.filter(unit => unit.treatmentId === id).length;
  return {
    trial, today, system, treatments, shelf, care: { ...care, bottles: {} }, due: hiddenDue(dueToday([cared], products, today), (_, ruleId) => aliasOf(ruleId)),
    coming: tasks.filter(task => task.state === 'waits' || (task.state === 'coming' && (task.dueOn ?? '') <= addDays(today, COMING_DAYS))),
    washedOff: washedOff(care, weather, today),
    recent: [...care.acts].sort((a, b) => (a.doneOn < b.doneOn || (a.doneOn === b.doneOn && a.takenAt < b.takenAt) ? 1 : -1)).slice(0, RECENT).map(act => ({ actId: act.id, name: care.rules.find(rule => rule.id === act.ruleId)?.name ?? 'a step no longer planned', on: act.doneOn, isSkipped: act.isSkipped, note: act.note })),
    stages: stageNames(care).map(name => ({ name, day: care.stages[name] ?? '' })),
    ledger: { planned, done: nutrientLedger(input, 'done'), base, flags: ledgerFlags(planned, base, asksKind(data)) },
    fair: { n: makeFair(planned, care.rules, 'n'), p: makeFair(planned, care.rules, 'p'), k: makeFair(planned, care.rules, 'k'), money: makeFair(planned, care.rules, 'money') },
    adherence: adherence.map(each => ({ ...each, name: nameOf.get(each.treatmentId) ?? '' })), isUneven: isUneven(adherence), water: waterOf(data),
    shopping: shoppingList(planned, products, id => Math.max(1, countOf(id))), hazards: [...new Set(products.flatMap(product => product.hazards))], tooOften: tooOften(planned, products),
  };
}

function waterOf({ care, treatments }: TrialData): TendView['water'] {
  const watering = new Map(care.rules.filter(rule => rule.kind === 'water' && rule.material === null).map(rule => [rule.id, rule]));
  const given = care.acts.filter(act => !act.isSkipped && act.amount !== null && watering.has(act.ruleId));
  if (given.length === 0) return [];
  return treatments.map(({ id, name }) => ({
    name, ml: given.filter(act => { const to = watering.get(act.ruleId)?.treatmentIds ?? []; return to.length === 0 || to.includes(id); }).reduce((sum, act) => sum + (act.amount ?? 0), 0),
  }));
}

function tooOften(accounts: readonly LedgerAccount[], products: readonly Product[]): TendView['tooOften'] {
  return products.flatMap(({ name, mostApplications }) => {
    const planned = Math.max(0, ...accounts.map(account => account.lines.filter(line => line.product === name).reduce((sum, line) => sum + line.times, 0)));
    return mostApplications !== null && planned > mostApplications ? [{ product: name, planned, most: mostApplications }] : [];
  });
}

const WASHED_OFF_DAYS = 7;

function washedOff({ rules, acts }: CarePlan, weather: readonly WeatherDay[], today: string): TendView['washedOff'] {
  return acts.filter(act => !act.isSkipped && act.doneOn >= addDays(today, -WASHED_OFF_DAYS)).flatMap(act => {
    const rule = rules.find(each => each.id === act.ruleId);
    if (!rule || rule.washedOffByMm === null || !isWashedOff(act.doneOn, rule.washedOffByMm, weather)) return [];
    const rainMm = weather.filter(day => day.day === act.doneOn || day.day === addDays(act.doneOn, 1)).reduce((sum, day) => sum + day.rainMm, 0);
    return [{ name: rule.name, on: act.doneOn, rainMm }];
  });
}

/** Whether the question is which kind, not how much: then unequal amounts spoil it. */
function asksKind({ trial, treatments }: TrialData): boolean {
  const act = questionPattern(trial.pattern)?.form.act ?? 'feed';
  return (act === 'feed' || act === 'amendment') && treatments.every(treatment => treatment.dose === null);
}

function stageNames({ rules, stages }: CarePlan): readonly string[] {
  const waited = (rule: CareRule): readonly string[] => [rule.from, rule.until].flatMap(moment => (moment?.kind === 'stage' ? [moment.stage] : []));
  return [...new Set([...rules.flatMap(waited), ...Object.keys(stages)])];
}
