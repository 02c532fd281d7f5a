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
  hiddenDue,
  unitMeasuresOf,
} from '@/core/schedule/tasks/due-today';
import { reEntryOf } from '@/core/schedule/tasks/re-entry-interval';
import { remindersFor } from '@/core/schedule/tasks/reminders';
import { washedOffSteps } from '@/core/schedule/tasks/washed-off';
import { addDays } from '@/core/time/garden-day';
import { factsFor } from '@/core/trial/horticultural-facts';
import { type CarePlan, doneTasks } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TendScene, TendView } from './tend-scene';
import { ahead, asksKind, leachedBy, thirstOf, tooOften, waterOf } from './tend-warnings';

const COMING_DAYS = 21;
const RECENT = 8;

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

function stageNames({ rules, stages }: CarePlan): readonly string[] {
  const waited = (rule: CareRule): readonly string[] =>
    [rule.from, rule.until].flatMap(moment => (moment?.kind === 'stage' ? [moment.stage] : []));
  return [...new Set([...rules.flatMap(waited), ...Object.keys(stages)])];
}
