import { longDay } from '@/core/time/days';
import { addDays } from '@/core/time/garden-day';
import type { SeasonView } from './trial-view';

const ALERT_WORDS = { frost: 'frost', 'frost-risk': 'near frost', heat: 'heat' } as const;

/** What happened on a day of the season, in words: `Wed 3 June, day 33: weekly feed; 12 mm of rain`. */
export function dayWords(season: SeasonView, at: number, inRain: (mm: number) => string): string {
  const on = addDays(season.startsOn, at);
  const pick = season.picks.find(each => each.at === at);
  const care = season.care.find(each => each.at === at);
  const sky = season.weather.find(each => each.at === at);
  const happened = [
    ...(care ? [care.words] : []),
    ...(pick ? [`${pick.units} picked`] : []),
    ...season.mishaps.filter(each => each.at === at).map(each => each.words),
    ...(sky && sky.rainMm >= 1 ? [`${inRain(sky.rainMm)} of rain`] : []),
    ...(sky?.alert ? [ALERT_WORDS[sky.alert]] : []),
  ];
  const which = `${longDay(on)}, day ${at}`;
  return happened.length === 0
    ? `${which}: nothing on record.`
    : `${which}: ${happened.join('; ')}.`;
}

/** The next day on which something was done, picked or went wrong; the weather alone is no event. */
export function nextEvent(season: SeasonView, from: number, way: 'back' | 'on'): number {
  const days = [...season.picks, ...season.care, ...season.mishaps]
    .map(({ at }) => at)
    .filter(at => at >= 0 && at <= season.lengthDays);
  return way === 'on'
    ? Math.min(
        ...days.filter(at => at > from),
        Math.max(from, Math.min(season.todayAt, season.lengthDays)),
      )
    : Math.max(...days.filter(at => at < from), 0);
}
