import { feedingAsked } from '@/core/design/question/compared-act';
import { equaliseRates } from '@/core/materials/dose/equalise-rates';
import { heldByMix, ledgerFlags, nutrientLedger } from '@/core/materials/ledger/nutrient-ledger';
import { adherenceOf, isUneven } from '@/core/schedule/adherence/adherence';
import { unevenActs } from '@/core/schedule/adherence/uneven-acts';
import { seasonLimits } from '@/core/schedule/rules/season-limits';
import { shoppingList } from '@/core/schedule/supplies/shopping-list';
import {
  type CaredTrial,
  careTasks,
  dueToday,
  missedTasks,
  unitMeasuresOf,
} from '@/core/schedule/tasks/due-today';
import { hiddenDue } from '@/core/schedule/tasks/hidden-due';
import { reEntryOf } from '@/core/schedule/tasks/re-entry-interval';
import { remindersFor } from '@/core/schedule/tasks/reminders';
import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import { washedOffSteps } from '@/core/schedule/tasks/washed-off';
import { addDays } from '@/core/time/garden-day';
import { factsFor } from '@/core/trial/horticultural-facts';
import { type CarePlan, doneTasks } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TendScene, TendView } from './tend-scene';
import { ahead, leachedBy, thirstOf, tooOften, waterOf } from './tend-warnings';

const COMING_DAYS = 21;
const RECENT = 8;

export function tendViewOf(data: TrialData, scene: TendScene): TendView {
  const { shelf, today, now, garden, timeZone, weather, aliasOf } = scene;
  const { trial, care, treatments, products, units } = data;
  const cared = caredTrialOf(data);
  const { areaM2 } = cared.unit;
  const tasks = careTasks(data, today, weather);
  const limits = ahead(seasonLimits(trial, garden), today);
  const isClosed = trial.state === 'closed';
  const ledger = ledgerOf(data, cared, tasks, today);
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
    system: garden.system,
    treatments,
    shelf,
    care: { ...care, bottles: {} },
    due: hiddenDue(dueToday([cared], products, today, weather), (_, ruleId) => aliasOf(ruleId)),
    missed: isClosed
      ? []
      : hiddenDue(
          { tasks: missedTasks(cared, products, tasks), mixing: [], forbidden: [] },
          (_, ruleId) => aliasOf(ruleId),
        ).tasks,
    coming: comingTasks(
      tasks.filter(task => !isByItself(care.rules, task)),
      today,
    ),
    washedOff: washedOffOf(care, weather),
    leached: leachedBy(weather, care.settings.mixMl, areaM2),
    thirst: thirstOf(trial.crop, care.settings.etShare, weather, garden, areaM2),
    reEntries: reEntryOf(care.rules, care.acts, products, now, timeZone),
    timeZone,
    unevenActs: unevenActs(data),
    limits: isClosed ? [] : limits.says,
    reminders: isClosed ? [] : remindersFor(data, limits, today),
    facts: factsOf(data),
    codes: [...units].sort((a, b) => a.position - b.position).map(unit => unit.code),
    areaM2: areaM2 ?? null,
    recent: recentActs(care),
    stages: stageNames(care).map(name => ({ name, day: care.stages[name] ?? '' })),
    ledger,
    equalised: equalisedBy(ledger.planned, care.rules),
    adherence: adherence.map(each => ({ ...each, name: nameOf.get(each.treatmentId) ?? '' })),
    isUneven: isUneven(adherence),
    water: waterOf(data),
    shopping: shoppingList(ledger.planned, products, id => Math.max(1, countOf(id))),
    hazards: [...new Set(products.flatMap(product => product.hazards))],
    tooOften: tooOften(ledger.planned, products),
  };
}

function caredTrialOf({ trial, care, treatments, units, places }: TrialData): CaredTrial {
  const place = places.find(each => each.id === units[0]?.placeId);
  return {
    trial,
    care,
    done: doneTasks(care.acts),
    treatments,
    units,
    unit: unitMeasuresOf(place, care.settings.mixMl),
  };
}

function ledgerOf(
  data: TrialData,
  cared: CaredTrial,
  tasks: readonly TrackedTask[],
  today: string,
): TendView['ledger'] {
  const { trial, care, treatments, products, units } = data;
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
  const { mixMl, mixNMgPerL } = care.settings;
  const base = mixMl !== null && mixNMgPerL !== null ? heldByMix({ n: mixNMgPerL }, mixMl) : {};
  const planned = nutrientLedger(input, 'planned');
  const soFar = today < trial.endsOn ? today : trial.endsOn;
  return {
    planned,
    done: nutrientLedger({ ...input, by: soFar }, 'done'),
    base,
    flags: ledgerFlags(planned, base, feedingAsked(data)),
  };
}

function equalisedBy(
  planned: TendView['ledger']['planned'],
  rules: readonly CareRule[],
): TendView['equalised'] {
  return {
    n: equaliseRates(planned, rules, 'n'),
    p: equaliseRates(planned, rules, 'p'),
    k: equaliseRates(planned, rules, 'k'),
    money: equaliseRates(planned, rules, 'money'),
    'dry-mass': equaliseRates(planned, rules, 'dry-mass'),
  };
}

/** What a timer does asks nobody to come. */
function isByItself(rules: readonly CareRule[], { ruleId }: TrackedTask): boolean {
  return rules.find(rule => rule.id === ruleId)?.runsByItself ?? false;
}

function comingTasks(tasks: readonly TrackedTask[], today: string): TendView['coming'] {
  const until = addDays(today, COMING_DAYS);
  return tasks.filter(
    task => task.state === 'waits' || (task.state === 'coming' && (task.dueOn ?? '') <= until),
  );
}

function washedOffOf(care: CarePlan, weather: TendScene['weather']): TendView['washedOff'] {
  return washedOffSteps(care.rules, doneTasks(care.acts), weather).map(each => ({
    name: care.rules.find(rule => rule.id === each.ruleId)?.name ?? '',
    on: each.doneOn,
    rainMm: each.rainMm,
  }));
}

function recentActs({ acts, rules }: CarePlan): TendView['recent'] {
  return [...acts]
    .sort((a, b) =>
      a.doneOn < b.doneOn || (a.doneOn === b.doneOn && a.takenAt < b.takenAt) ? 1 : -1,
    )
    .slice(0, RECENT)
    .map(act => ({
      actId: act.id,
      name: rules.find(rule => rule.id === act.ruleId)?.name ?? 'a step no longer planned',
      on: act.doneOn,
      isSkipped: act.isSkipped,
      note: act.note,
      by: act.by,
    }));
}

function factsOf({ trial, treatments, care, products }: TrialData): TendView['facts'] {
  const named = [...treatments, ...care.rules].map(each => each.name);
  return factsFor(
    products.flatMap(product => product.hazards),
    [trial.question, trial.crop, ...named].join(' '),
  );
}

function stageNames({ rules, stages }: CarePlan): readonly string[] {
  const waited = (rule: CareRule): readonly string[] =>
    [rule.from, rule.until].flatMap(moment => (moment?.kind === 'stage' ? [moment.stage] : []));
  return [...new Set([...rules.flatMap(waited), ...Object.keys(stages)])];
}
