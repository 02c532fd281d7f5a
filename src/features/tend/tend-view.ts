import { seenDue } from '@/core/blinding/bottle-steps';
import { comingSteps } from '@/core/blinding/coming-steps';
import { loggedRules } from '@/core/blinding/logged-rules';
import { isKept, seenActs, withoutBottles } from '@/core/blinding/seen-acts';
import { asStrictest } from '@/core/blinding/strictest-bottle';
import { feedingAsked } from '@/core/design/question/compared-act';
import { equaliseRates } from '@/core/materials/dose/equalise-rates';
import { heldByMix, ledgerFlags, nutrientLedger } from '@/core/materials/ledger/nutrient-ledger';
import { adherenceOf, isUneven } from '@/core/schedule/adherence/adherence';
import { coverLines } from '@/core/schedule/adherence/covers';
import { unevenActs } from '@/core/schedule/adherence/uneven-acts';
import { seasonLimits } from '@/core/schedule/rules/season-limits';
import { shoppingList } from '@/core/schedule/supplies/shopping-list';
import type { CaredTrial } from '@/core/schedule/tasks/cared-trial';
import { careTasks, dueToday } from '@/core/schedule/tasks/due-today';
import { caredTrialOf, missedTasks } from '@/core/schedule/tasks/open-steps';
import { reEntryOf } from '@/core/schedule/tasks/re-entry-interval';
import { remindersFor } from '@/core/schedule/tasks/reminders';
import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import { ownMeasures } from '@/core/schedule/tasks/unit-measures';
import { washedOffSteps } from '@/core/schedule/tasks/washed-off';
import { addDays } from '@/core/time/garden-day';
import { factsFor } from '@/core/trial/horticultural-facts';
import { isKeyOpen } from '@/core/trial/key';
import { doneTasks } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TendScene, TendView } from './tend-scene';
import { ahead, leachedBy, thirstOf, tooOften, waterOf } from './tend-warnings';

const COMING_DAYS = 21;
const RECENT = 8;

export function tendViewOf(data: TrialData, scene: TendScene): TendView {
  const { shelf, today, now, garden, timeZone, weather } = scene;
  const { trial, care, treatments, products, units } = data;
  const cared = caredTrialOf(data);
  const { areaM2 } = cared.unit;
  const tasks = careTasks(data, today, weather);
  const limits = ahead(seasonLimits(trial, garden), today);
  const isClosed = trial.state === 'closed';
  const ledger = ledgerOf(data, cared, tasks, today);
  const due = dueToday([cared], products, today, weather);
  const countOf = (id: string): number => units.filter(unit => unit.treatmentId === id).length;
  return {
    trial,
    today,
    system: garden.system,
    treatments,
    shelf,
    care: { settings: care.settings, rules: care.rules },
    due: seenDue(due),
    isKeyShut: !isKeyOpen(trial),
    missed: isClosed
      ? []
      : seenDue({
          tasks: missedTasks(cared, products, tasks, due.tasks),
          mixing: [],
          forbidden: [],
        }).steps,
    coming: comingSteps(
      comingTasks(
        tasks.filter(task => !isByItself(care.rules, task)),
        today,
      ),
      data,
    ),
    washedOff: washedOffOf(data, weather),
    leached: leachedBy(weather, care.settings.mixMl, areaM2),
    thirst: thirstOf(trial.crop, care.settings.etShare, weather, garden, areaM2),
    reEntries: reEntriesOf(data, now, timeZone),
    timeZone,
    ...keptWell(data, tasks),
    covers: coverLines(withoutBottles(data)),
    limits: isClosed ? [] : limits.says,
    reminders: isClosed ? [] : remindersFor(data, limits, today),
    facts: factsOf(data),
    logNames: loggedRules(data, []).rules.map(rule => rule.name),
    codes: [...units].sort((a, b) => a.position - b.position).map(unit => unit.code),
    areaM2: areaM2 ?? null,
    recent: recentActs(data),
    stages: stageNames(care).map(name => ({ name, day: care.stages[name] ?? '' })),
    ledger,
    equalised: equalisedBy(ledger.planned, care.rules),
    shopping: shoppingList(ledger.planned, products, id => Math.max(1, countOf(id))),
    hazards: [...new Set(products.flatMap(product => product.hazards))],
    tooOften: tooOften(ledger.planned, products),
  };
}

/**
 * How the plan was kept, treatment by treatment. While the key is shut nothing of it: it grows with each bottle that is given, and
 * so would tell what was in it.
 */
function keptWell(
  data: TrialData,
  tasks: readonly TrackedTask[],
): Pick<TendView, 'adherence' | 'isUneven' | 'water' | 'unevenActs'> {
  const { trial, care, treatments, units } = data;
  const uneven = unevenActs(data);
  if (!isKeyOpen(trial)) {
    const hidden = new Set(care.rules.filter(rule => isKept(rule, data)).map(rule => rule.name));
    const unevenOfAll = uneven.filter(act => !hidden.has(act.name));
    return { adherence: [], isUneven: false, water: [], unevenActs: unevenOfAll };
  }
  const adherence = adherenceOf(
    care.rules,
    tasks,
    treatments.map(treatment => treatment.id),
    units,
  );
  const nameOf = new Map(treatments.map(treatment => [treatment.id as string, treatment.name]));
  return {
    adherence: adherence.map(each => ({ ...each, name: nameOf.get(each.treatmentId) ?? '' })),
    isUneven: isUneven(adherence),
    water: waterOf(data),
    unevenActs: uneven,
  };
}

/** Until when labels keep one off; by which product only where that tells nothing of a bottle. */
function reEntriesOf(data: TrialData, now: string, timeZone: string): TendView['reEntries'] {
  const { care, products } = asStrictest(data);
  const off = reEntryOf(care.rules, care.acts, products, now, timeZone).map(
    ({ ruleId, until, product }) => {
      const rule = care.rules.find(each => each.id === ruleId);
      return { until, product: rule && isKept(rule, data) ? null : product };
    },
  );
  return [...new Map(off.map(each => [`${each.product} ${each.until}`, each])).values()];
}

/** As nothing was given yet: what was tells, by how the plan moves, what it was. */
function unbegunTasks(data: TrialData): readonly TrackedTask[] {
  return careTasks({ ...data, care: { ...data.care, acts: [] } }, data.trial.startsOn);
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
    unitOf: ownMeasures(cared.unit, units),
    by: trial.endsOn,
  };
  const { mixMl, mixNMgPerL } = care.settings;
  const base = mixMl !== null && mixNMgPerL !== null ? heldByMix({ n: mixNMgPerL }, mixMl) : {};
  const isShut = !isKeyOpen(trial);
  const planned = nutrientLedger(
    isShut ? { ...input, tasks: unbegunTasks(data), given: [] } : input,
    'planned',
  );
  const soFar = today < trial.endsOn ? today : trial.endsOn;
  return {
    planned,
    done: isShut ? null : nutrientLedger({ ...input, by: soFar }, 'done'),
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

function comingTasks(tasks: readonly TrackedTask[], today: string): readonly TrackedTask[] {
  const until = addDays(today, COMING_DAYS);
  return tasks.filter(
    task => task.state === 'waits' || (task.state === 'coming' && (task.dueOn ?? '') <= until),
  );
}

function washedOffOf(data: TrialData, weather: TendScene['weather']): TendView['washedOff'] {
  const { care } = data;
  return washedOffSteps(care.rules, doneTasks(care.acts), weather).flatMap(each => {
    const rule = care.rules.find(own => own.id === each.ruleId);
    // That a bottle can be washed off says that it is a spray.
    return rule && !isKept(rule, data)
      ? [{ name: rule.name, on: each.doneOn, rainMm: each.rainMm }]
      : [];
  });
}

function recentActs(data: TrialData): TendView['recent'] {
  return seenActs(data.care.acts, data)
    .slice(0, RECENT)
    .map(({ act, name }) => ({
      actId: act.id,
      name,
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

function stageNames({ rules, stages }: TrialData['care']): readonly string[] {
  const waited = (rule: CareRule): readonly string[] =>
    [rule.from, rule.until].flatMap(moment => (moment?.kind === 'stage' ? [moment.stage] : []));
  return [...new Set([...rules.flatMap(waited), ...Object.keys(stages)])];
}
