import { questionPattern } from '@/core/design/question/question-patterns';
import { type EqualiseBy, equaliseRates } from '@/core/materials/dose/equalise-rates';
import {
  heldByMix,
  type LedgerAccount,
  type LedgerFlag,
  ledgerFlags,
  nutrientLedger,
} from '@/core/materials/ledger/nutrient-ledger';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { type Adherence, adherenceOf, isUneven } from '@/core/schedule/adherence/adherence';
import { type UnevenAct, unevenActs } from '@/core/schedule/adherence/uneven-acts';
import {
  type FrostDays,
  type SeasonLimits,
  seasonLimits,
} from '@/core/schedule/rules/season-limits';
import { shoppingList, type ToBuy } from '@/core/schedule/supplies/shopping-list';
import {
  type CaredTrial,
  careTasks,
  type DueToday,
  dueToday,
  hiddenDue,
  unitMeasuresOf,
} from '@/core/schedule/tasks/due-today';
import { type ReEntry, reEntryOf } from '@/core/schedule/tasks/re-entry-interval';
import { type Reminder, remindersFor } from '@/core/schedule/tasks/reminders';
import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import { washedOffSteps } from '@/core/schedule/tasks/washed-off';
import { addDays } from '@/core/time/garden-day';
import { factsFor, type HorticulturalFact } from '@/core/trial/horticultural-facts';
import { type CarePlan, doneTasks } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { NutrientAmounts } from '@/core/trial/model/nutrient';
import type { Hazard, Product } from '@/core/trial/model/product';
import type { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import { etoOfDay, type StationPlace } from '@/core/weather/reference-et';
import { AVAILABLE_WATER, cropFactorsOf, cropUse, litresFor } from '@/core/weather/soil-store';
import { leachedMl, type WeatherDay } from '@/core/weather/weather-day';

/** A trial's care as its page shows it. Names treatments, never which unit has which while the key is shut. */
export interface TendView {
  readonly trial: Pick<Trial, 'id' | 'unitWord' | 'state' | 'startsOn' | 'endsOn'>;
  readonly today: string;
  readonly system: MeasureSystem;
  readonly treatments: readonly {
    readonly id: string;
    readonly name: string;
    readonly letter: string;
  }[];
  readonly shelf: readonly Product[];
  readonly care: CarePlan;
  readonly due: DueToday;
  /** Of the next weeks; those that wait for a stage last. */
  readonly coming: readonly TrackedTask[];
  /** Sprays that rain has washed off: they are due again. */
  readonly washedOff: readonly {
    readonly name: string;
    readonly on: string;
    readonly rainMm: number;
  }[];
  /** Rain that ran through the pots, and how much of it out of each. */
  readonly leached: readonly {
    readonly on: string;
    readonly rainMm: number;
    readonly ml: number;
  }[];
  /** What the weather of the last days takes from each unit in a week; null where it is not known. */
  readonly thirst: {
    readonly etoMm: number;
    readonly weeklyMl: number;
    readonly isCropKnown: boolean;
  } | null;
  readonly offTheBed: readonly ReEntry[];
  readonly unevenActs: readonly UnevenAct[];
  readonly limits: readonly string[];
  readonly reminders: readonly Reminder[];
  readonly lore: readonly HorticulturalFact[];
  /** Of all units, in walking order. */
  readonly codes: readonly string[];
  /** The ground of one unit, where it is known. */
  readonly areaM2: number | null;
  readonly recent: readonly {
    readonly actId: string;
    readonly name: string;
    readonly on: string;
    readonly isSkipped: boolean;
    readonly note: string;
  }[];
  /** Stages that rules wait for, or that were dated. */
  readonly stages: readonly { readonly name: string; readonly day: string }[];
  readonly ledger: {
    readonly planned: readonly LedgerAccount[];
    readonly done: readonly LedgerAccount[];
    readonly base: NutrientAmounts;
    readonly flags: readonly LedgerFlag[];
  };
  readonly fair: Readonly<
    Record<EqualiseBy & ('n' | 'p' | 'k' | 'money' | 'dry-mass'), ReturnType<typeof equaliseRates>>
  >;
  readonly adherence: readonly (Adherence & { readonly name: string })[];
  readonly isUneven: boolean;
  /** Plain water that was put down, each unit's over the season so far, in ml. */
  readonly water: readonly { readonly name: string; readonly ml: number }[];
  readonly shopping: readonly ToBuy[];
  readonly hazards: readonly Hazard[];
  /** Products planned oftener for one treatment than their labels allow. */
  readonly tooOften: readonly {
    readonly product: string;
    readonly planned: number;
    readonly most: number;
  }[];
}

const COMING_DAYS = 21;
const RECENT = 8;

/** What a trial's care is seen against. */
export interface TendScene {
  /** What stands there now; the trial brings the products that its rules were made with. */
  readonly shelf: readonly Product[];
  readonly today: string;
  /** An instant. */
  readonly now: string;
  readonly garden: StationPlace & FrostDays & { readonly system: MeasureSystem };
  /** Of the last ten days. */
  readonly weather: readonly WeatherDay[];
  /** What a blind trial's rule is called beside the pots that get it. */
  readonly aliasOf: (ruleId: string) => string;
}

export function tendViewOf(
  data: TrialData,
  { shelf, today, now, garden, weather, aliasOf }: TendScene,
): TendView {
  const { system } = garden;
  const { trial, care, treatments, products, units, places } = data;
  const place = places.find(each => each.id === units[0]?.placeId);
  const cared: CaredTrial = {
    trial,
    care,
    done: doneTasks(care.acts),
    treatments,
    units,
    unit: unitMeasuresOf(place, care.settings.mixMl),
  };
  const tasks = careTasks(data, today, weather);
  const limits = ahead(seasonLimits(trial, garden), today);
  const input = {
    treatments,
    rules: care.rules,
    tasks,
    products,
    units,
    given: care.acts.filter(act => !act.isSkipped),
    unit: cared.unit,
    by: trial.endsOn,
  };
  const planned = nutrientLedger(input, 'planned');
  const base =
    care.settings.mixMl !== null && care.settings.mixNMgPerL !== null
      ? heldByMix({ n: care.settings.mixNMgPerL }, care.settings.mixMl)
      : {};
  const adherence = adherenceOf(
    care.rules,
    tasks,
    treatments.map(treatment => treatment.id),
    units,
  );
  const nameOf = new Map(treatments.map(treatment => [treatment.id as string, treatment.name]));
  const countOf = (id: string): number => units.filter(unit => unit.treatmentId === id).length;
  return {
    trial,
    today,
    system,
    treatments,
    shelf,
    care: { ...care, bottles: {} },
    due: hiddenDue(dueToday([cared], products, today, weather), (_, ruleId) => aliasOf(ruleId)),
    coming: tasks.filter(
      task =>
        task.state === 'waits' ||
        (task.state === 'coming' && (task.dueOn ?? '') <= addDays(today, COMING_DAYS)),
    ),
    washedOff: washedOffSteps(care.rules, doneTasks(care.acts), weather).map(each => ({
      name: care.rules.find(rule => rule.id === each.ruleId)?.name ?? '',
      on: each.doneOn,
      rainMm: each.rainMm,
    })),
    leached: leachedBy(weather, care.settings.mixMl, cared.unit.areaM2),
    thirst: thirstOf(trial.crop, care.settings.etShare, weather, garden, cared.unit.areaM2),
    offTheBed: reEntryOf(care.rules, care.acts, products, now),
    unevenActs: unevenActs(data),
    limits: trial.state === 'closed' ? [] : limits.says,
    reminders: trial.state === 'closed' ? [] : remindersFor(data, limits, today),
    lore: factsFor(
      products.flatMap(product => product.hazards),
      [
        trial.question,
        trial.crop,
        ...treatments.map(treatment => treatment.name),
        ...care.rules.map(rule => rule.name),
      ].join(' '),
    ),
    codes: [...units].sort((a, b) => a.position - b.position).map(unit => unit.code),
    areaM2: cared.unit.areaM2 ?? null,
    recent: [...care.acts]
      .sort((a, b) =>
        a.doneOn < b.doneOn || (a.doneOn === b.doneOn && a.takenAt < b.takenAt) ? 1 : -1,
      )
      .slice(0, RECENT)
      .map(act => ({
        actId: act.id,
        name: care.rules.find(rule => rule.id === act.ruleId)?.name ?? 'a step no longer planned',
        on: act.doneOn,
        isSkipped: act.isSkipped,
        note: act.note,
      })),
    stages: stageNames(care).map(name => ({ name, day: care.stages[name] ?? '' })),
    ledger: {
      planned,
      done: nutrientLedger({ ...input, by: today < trial.endsOn ? today : trial.endsOn }, 'done'),
      base,
      flags: ledgerFlags(planned, base, asksKind(data)),
    },
    fair: {
      n: equaliseRates(planned, care.rules, 'n'),
      p: equaliseRates(planned, care.rules, 'p'),
      k: equaliseRates(planned, care.rules, 'k'),
      money: equaliseRates(planned, care.rules, 'money'),
      'dry-mass': equaliseRates(planned, care.rules, 'dry-mass'),
    },
    adherence: adherence.map(each => ({ ...each, name: nameOf.get(each.treatmentId) ?? '' })),
    isUneven: isUneven(adherence),
    water: waterOf(data),
    shopping: shoppingList(planned, products, id => Math.max(1, countOf(id))),
    hazards: [...new Set(products.flatMap(product => product.hazards))],
    tooOften: tooOften(planned, products),
  };
}

function waterOf({ care, treatments }: TrialData): TendView['water'] {
  const watering = new Map(
    care.rules
      .filter(rule => rule.kind === 'water' && rule.material === null)
      .map(rule => [rule.id, rule]),
  );
  const given = care.acts.filter(
    act => !act.isSkipped && act.amount !== null && watering.has(act.ruleId),
  );
  if (given.length === 0) return [];
  return treatments.map(({ id, name }) => ({
    name,
    ml: given
      .filter(act => {
        const to = watering.get(act.ruleId)?.treatmentIds ?? [];
        return to.length === 0 || to.includes(id);
      })
      .reduce((sum, act) => sum + (act.amount ?? 0), 0),
  }));
}

function tooOften(
  accounts: readonly LedgerAccount[],
  products: readonly Product[],
): TendView['tooOften'] {
  return products.flatMap(({ name, mostApplications }) => {
    const planned = Math.max(
      0,
      ...accounts.map(account =>
        account.lines
          .filter(line => line.product === name)
          .reduce((sum, line) => sum + line.times, 0),
      ),
    );
    return mostApplications !== null && planned > mostApplications
      ? [{ product: name, planned, most: mostApplications }]
      : [];
  });
}

/** Frosts that have come and gone ask for nothing any more. */
function ahead(limits: SeasonLimits, today: string): SeasonLimits {
  return limits.frostOn !== null && limits.frostOn < today
    ? { ...limits, frostOn: null, says: [] }
    : limits;
}

/** Rain that even a pot quite dry could not have held. */
function leachedBy(
  weather: readonly WeatherDay[],
  mixMl: number | null,
  areaM2: number | undefined,
): TendView['leached'] {
  if (mixMl === null || areaM2 === undefined) return [];
  return weather.flatMap(({ day, rainMm }) => {
    const ml = leachedMl(rainMm, areaM2, mixMl * AVAILABLE_WATER['potting mix']);
    return ml > 0 ? [{ on: day, rainMm, ml }] : [];
  });
}

const THIRST_DAYS = 7;

function thirstOf(
  crop: string,
  etShare: number,
  weather: readonly WeatherDay[],
  place: StationPlace,
  areaM2: number | undefined,
): TendView['thirst'] {
  const days = weather.slice(-THIRST_DAYS);
  if (days.length === 0 || areaM2 === undefined) return null;
  const etoMm = days.reduce((sum, day) => sum + etoOfDay(day, place), 0) / days.length;
  const factors = cropFactorsOf(crop);
  return {
    etoMm,
    weeklyMl: 1000 * litresFor(cropUse(etoMm, factors?.middle ?? 1) * etShare, 7, areaM2),
    isCropKnown: factors !== undefined,
  };
}

/** Whether the question is which kind, not how much: then unequal amounts spoil it. */
function asksKind({ trial, treatments }: TrialData): boolean {
  const act = questionPattern(trial.pattern)?.form.act ?? 'feed';
  return (
    (act === 'feed' || act === 'amendment') &&
    treatments.every(treatment => treatment.dose === null)
  );
}

function stageNames({ rules, stages }: CarePlan): readonly string[] {
  const waited = (rule: CareRule): readonly string[] =>
    [rule.from, rule.until].flatMap(moment => (moment?.kind === 'stage' ? [moment.stage] : []));
  return [...new Set([...rules.flatMap(waited), ...Object.keys(stages)])];
}
