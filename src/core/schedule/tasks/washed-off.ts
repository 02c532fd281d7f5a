import { addDays, daysBetween } from '@/core/time/garden-day';
import type { TaskDone } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { WeatherDay } from '@/core/weather/weather-day';
import type { WashedOff } from './tasks';

type RainDay = Pick<WeatherDay, 'day' | 'rainMm'>;

/** Steps whose last time was rained on, the day itself or the one after, by as much as their rule names. */
export function washedOffSteps(
  rules: readonly CareRule[],
  done: readonly TaskDone[],
  rain: readonly RainDay[],
): readonly WashedOff[] {
  const byMm = new Map(
    rules.flatMap(rule =>
      rule.washedOffByMm === null ? [] : [[rule.id, rule.washedOffByMm] as const],
    ),
  );
  if (byMm.size === 0 || rain.length === 0) return [];
  const last = new Map(
    done.filter(each => byMm.has(each.ruleId)).map(each => [`${each.ruleId} ${each.nth}`, each]),
  );
  return [...last.values()].flatMap((each): WashedOff[] => {
    if (each.isSkipped) return [];
    const wet = rain.find(
      day =>
        [0, 1].includes(daysBetween(each.on, day.day)) &&
        day.rainMm >= (byMm.get(each.ruleId) ?? Number.POSITIVE_INFINITY),
    );
    return wet
      ? [
          {
            ruleId: each.ruleId,
            nth: each.nth,
            doneOn: each.on,
            rainMm: wet.rainMm,
            dueAgainOn: addDays(wet.day, 1),
          },
        ]
      : [];
  });
}

/** What was done and still holds. */
export function holding(
  done: readonly TaskDone[],
  washed: readonly WashedOff[],
): readonly TaskDone[] {
  if (washed.length === 0) return done;
  const gone = new Set(washed.map(each => `${each.ruleId} ${each.nth}`));
  return done.filter(each => !gone.has(`${each.ruleId} ${each.nth}`));
}
