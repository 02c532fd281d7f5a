import { coverSpells, daysUnder } from '@/core/schedule/adherence/covers';
import { careTasks } from '@/core/schedule/tasks/due-today';
import { daysBetween } from '@/core/time/garden-day';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialData } from '@/core/trial/model/trial-data';
import { counted } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import { type Check, note, weakens } from './audit-view';
import { lastKnownDay } from './last-known-day';

const ASKS_WHEN = /\b(when|early|earlier|late|later|date|day|days|week|weeks|month|time)\b/i;
const FEW_DAYS = 3;

/** Whether the same is done, and lies there, at the same time for all. */
export const TIME_CHECKS: Readonly<Record<string, Check>> = {
  'days-differ': ({ data, isPlanned, act }) => {
    if (!['pruning', 'method', 'barrier', 'mulch', 'weeds'].includes(act)) return false;
    if (ASKS_WHEN.test(data.trial.question)) return false;
    const first = firstDays(data);
    const [early, late] = [first[0], first.at(-1)];
    return (
      early !== undefined &&
      late !== undefined &&
      daysBetween(early.day, late.day) >= FEW_DAYS &&
      weakens(
        `${early.name} is done on ${early.day}, ${late.name} on ${late.day}.`,
        'What the day does and what the treatment does can’t be told apart.',
        isPlanned
          ? 'Do all on one day; or let each block have its own day, with all treatments in it.'
          : '',
      )
    );
  },
  'covers-uneven': ({ data, words }) => {
    // By whose pots lay longer under it would tell whose they are.
    if (!isKeyOpen(data.trial)) return false;
    const spells = coverSpells(data).filter(each => each.isForAll);
    const names = [...new Set(spells.map(each => each.name))];
    const uneven = names.flatMap(name => {
      const means = data.treatments
        .map(treatment => {
          const own = data.units.filter(unit => unit.treatmentId === treatment.id);
          const days = own.map(unit => daysUnder(spells, unit.id, name, lastKnownDay(data)));
          const mean = days.reduce((sum, each) => sum + each, 0) / Math.max(1, own.length);
          return { treatment: treatment.name, days: mean };
        })
        .sort((a, b) => a.days - b.days);
      const [least, most] = [means[0], means.at(-1)];
      return least && most && most.days - least.days >= FEW_DAYS && least.days < 0.9 * most.days
        ? [{ name, least, most }]
        : [];
    });
    const [first] = uneven;
    return (
      first !== undefined &&
      weakens(
        `${sentenceCase(first.name)} lay ${Math.round(first.most.days)} days over ${words} with ${first.most.treatment}, ${Math.round(first.least.days)} over those with ${first.least.treatment}.`,
        'What a cover keeps out, and how warm it is under it, is a second difference.',
        '',
      )
    );
  },
  'cover-was-off': ({ data, word }) => {
    const spells = coverSpells(data);
    const gaps = spells.flatMap(({ name, unitId, off }) => {
      const again = spells.find(
        other => other.unitId === unitId && other.name === name && off !== null && other.on > off,
      );
      return off && again ? [{ name, unitId, days: daysBetween(off, again.on) }] : [];
    });
    const [longest] = [...gaps].sort((a, b) => b.days - a.days);
    return (
      longest !== undefined &&
      note(
        `${sentenceCase(longest.name)} was off for up to ${counted(longest.days, 'day')}, at ${counted(new Set(gaps.map(gap => gap.unitId)).size, word)}.`,
        'What came in then stays in.',
        '',
      )
    );
  },
};

/** Of each treatment with steps of its own, planned once, the first day of them, the earliest first. */
function firstDays(data: TrialData): readonly { readonly name: string; readonly day: string }[] {
  const once = new Set(
    data.care.rules
      .filter(
        rule => rule.repeat.kind === 'once' && rule.treatmentIds.length > 0 && !rule.isUnplanned,
      )
      .map(rule => rule.id),
  );
  const tasks = careTasks(data, lastKnownDay(data)).filter(task => once.has(task.ruleId));
  return data.treatments
    .flatMap(({ id, name }) => {
      const rules = data.care.rules.filter(rule => rule.treatmentIds.includes(id));
      const [day] = tasks
        .filter(task => rules.some(rule => rule.id === task.ruleId))
        .flatMap(task => task.dueOn ?? [])
        .sort();
      return day === undefined ? [] : [{ name, day }];
    })
    .sort((a, b) => a.day.localeCompare(b.day));
}
