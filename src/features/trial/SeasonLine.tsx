'use client';

import { useEffect } from 'react';
import { styled } from 'styled-components';
import { shortDay } from '@/core/time/days';
import { addDays, daysBetween } from '@/core/time/garden-day';
import { counted } from '@/core/words/plural';
import { isWriting } from '@/features/frame/is-writing';
import { areSingleKeysOn } from '@/features/frame/single-keys';
import { useRainWords } from '@/features/frame/use-garden-units';
import { Button } from '@/ui/Button';
import { DaySlider } from '@/ui/DaySlider';
import { useSeasonDay } from './season-day';
import { dayWords, nextEvent } from './season-events';
import type { SeasonView } from './trial-view';

/** The weeks from sowing to the end, with picks, mishaps and today on them. */
export function SeasonLine({ season }: { readonly season: SeasonView }) {
  const inRain = useRainWords();
  const at = (day: number): string =>
    `${Math.min(100, Math.max(0, (100 * day) / season.lengthDays))}%`;
  const weeks = Array.from(
    { length: Math.floor(season.lengthDays / 7) + 1 },
    (_, week) => week * 7,
  );
  const isUnderWay = season.todayAt >= 0 && season.todayAt <= season.lengthDays;
  const firstPick = season.picks[0];
  const looked = useLookedDay(season);
  return (
    <Strip aria-label="Season">
      <div aria-hidden>
        {weeks.map(day => (
          <i key={day} data-week style={{ left: at(day) }} />
        ))}
        {season.weather.map(day => (
          <i
            key={day.on}
            data-rain={day.rainMm >= 1 || undefined}
            data-alert={day.alert ?? undefined}
            title={`${shortDay(day.on)}: ${day.rainMm >= 1 ? `${inRain(day.rainMm)} of rain` : ''}${day.alert ? ` ${ALERT_WORDS[day.alert]}` : ''}`}
            style={{ left: at(day.at), height: `${Math.min(30, 3 + day.rainMm)}px` }}
          />
        ))}
        {season.care.map(act => (
          <i
            key={act.on}
            data-care
            title={`${shortDay(act.on)}: ${act.words}`}
            style={{ left: at(act.at) }}
          />
        ))}
        {season.picks.map(pick => (
          <i
            key={pick.on}
            data-pick
            title={`${shortDay(pick.on)}: ${pick.units} picked`}
            style={{ left: at(pick.at) }}
          />
        ))}
        {season.mishaps.map(mishap => (
          <i
            key={`${mishap.on}${mishap.words}`}
            data-mishap
            title={`${shortDay(mishap.on)}, ${mishap.words}`}
            style={{ left: at(mishap.at) }}
          >
            ✕
          </i>
        ))}
        {isUnderWay && <i data-today style={{ left: at(season.todayAt) }} />}
      </div>
      {looked.lastAt > 0 && (
        <Slide>
          <DaySlider
            label="Day of the season"
            lengthDays={season.lengthDays}
            value={looked.at}
            onChange={looked.go}
            words={dayWords(season, looked.at, inRain)}
          />
        </Slide>
      )}
      <p>
        <span>from {shortDay(season.startsOn)}</span>
        <span data-middle>{summary(season, firstPick, inRain)}</span>
        <span>to {shortDay(season.endsOn)}</span>
      </p>
      {looked.isPast && (
        <p data-looked>
          <span role="status">{dayWords(season, looked.at, inRain)}</span>
          <Button data-tone="quiet" onPress={looked.leave}>
            Back to today
          </Button>
        </p>
      )}
    </Strip>
  );
}

/** The day that is looked at: by the slider, or by `[` and `]` from one event to the next. */
function useLookedDay(season: SeasonView) {
  const { on, look } = useSeasonDay();
  const lastAt = Math.max(0, Math.min(season.todayAt, season.lengthDays));
  const at = on === null ? lastAt : daysBetween(season.startsOn, on);
  const go = (day: number): void =>
    look(day >= lastAt ? null : addDays(season.startsOn, Math.max(0, day)));
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isWriting(event.target)) return;
      if (!areSingleKeysOn() || (event.key !== '[' && event.key !== ']')) return;
      const next = nextEvent(season, at, event.key === '[' ? 'back' : 'on');
      look(next >= lastAt ? null : addDays(season.startsOn, next));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [season, at, lastAt, look]);
  return { at, lastAt, isPast: on !== null, go, leave: () => look(null) };
}

const Slide = styled.div`
  && { position: relative; height: 24px; margin: -24px 8px 4px; border: 0; }
`;

const ALERT_WORDS = { frost: 'frost', 'frost-risk': 'near frost', heat: 'heat' } as const;

function summary(
  season: SeasonView,
  firstPick: SeasonView['picks'][number] | undefined,
  inRain: (mm: number) => string,
): string {
  const last = season.picks.at(-1);
  const picks =
    !firstPick || !last
      ? 'no pick yet'
      : season.picks.length === 1
        ? `● one pick, on ${shortDay(firstPick.on)}`
        : `● ${season.picks.length} picks, from ${shortDay(firstPick.on)} to ${shortDay(last.on)}`;
  const care =
    season.care.length === 0 ? '' : ` · ▾ tended on ${counted(season.care.length, 'day')}`;
  const rain = season.weather.reduce((sum, day) => sum + day.rainMm, 0);
  const frosts = season.weather.filter(day => day.alert === 'frost').length;
  const sky =
    rain < 1 && frosts === 0
      ? ''
      : ` · ${inRain(rain)} of rain${frosts > 0 ? `, ${counted(frosts, 'frost')}` : ''}`;
  const mishaps =
    season.mishaps.length === 0
      ? ''
      : ` · ✕ ${season.mishaps.map(mishap => `${shortDay(mishap.on)}, ${mishap.words}`).join(' · ')}`;
  return picks + care + sky + mishaps;
}

const Strip = styled.section`
  & > div { position: relative; height: 32px; border-bottom: 1px solid var(--ink-soft); margin-inline: 8px; }
  & i { position: absolute; bottom: -1px; transform: translateX(-50%); font-style: normal; }
  & [data-week] { width: 1px; height: 7px; background: var(--ink-soft); }
  & [data-pick] { width: 13px; height: 13px; border-radius: 50%; background: var(--leaf); bottom: 9px; }
  & [data-care] { width: 0; height: 0; border: 5px solid transparent; border-top: 7px solid var(--ink-soft); border-bottom: 0; bottom: 1px; }
  & [data-rain] { width: 3px; background: var(--water); opacity: 0.45; }
  & [data-alert]:not([data-rain]) { width: 2px; background: var(--beet); opacity: 0.5; }
  & [data-mishap] { color: var(--beet); font-weight: 700; bottom: 4px; font-size: 0.875rem; }
  & [data-today] { width: 3px; height: 30px; background: var(--clay); }
  & p { display: flex; justify-content: space-between; gap: 24px; max-width: none; font-size: 0.9375rem; color: var(--ink-soft); padding-top: 6px; }
  & p[data-looked] { justify-content: start; align-items: center; color: var(--ink); }
  & [data-middle] { color: var(--ink); text-align: center; }
  @media (max-width: 640px) { & p { flex-wrap: wrap; gap: 4px 24px; } & [data-middle] { order: 1; width: 100%; text-align: left; } }
`;
