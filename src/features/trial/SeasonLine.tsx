'use client';

import { styled } from 'styled-components';
import { shortDay } from '@/features/frame/days';
import type { SeasonView } from './trial-view';

/** The weeks from sowing to the end, with picks, mishaps and today on them. */
export function SeasonLine({ season }: { readonly season: SeasonView }) {
  const at = (day: number): string => `${Math.min(100, Math.max(0, (100 * day) / season.lengthDays))}%`;
  const weeks = Array.from({ length: Math.floor(season.lengthDays / 7) + 1 }, (_, week) => week * 7);
  const isUnderWay = season.todayAt >= 0 && season.todayAt <= season.lengthDays;
  const firstPick = season.picks[0];
  return (
    <Strip aria-label="Season">
      <div aria-hidden>
        {weeks.map(day => <i key={day} data-week style={{ left: at(day) }} />)}
        {season.picks.map(pick => <i key={pick.on} data-pick title={`${shortDay(pick.on)}: ${pick.units} picked`} style={{ left: at(pick.at) }} />)}
        {season.mishaps.map(mishap => <i key={`${mishap.on}${mishap.words}`} data-mishap title={`${shortDay(mishap.on)}, ${mishap.words}`} style={{ left: at(mishap.at) }}>✕</i>)}
        {isUnderWay && <i data-today style={{ left: at(season.todayAt) }} />}
      </div>
      <p>
        <span>from {shortDay(season.startsOn)}</span>
        <span data-middle>{summary(season, firstPick)}</span>
        <span>to {shortDay(season.endsOn)}</span>
      </p>
    </Strip>
  );
}

function summary(season: SeasonView, firstPick: SeasonView['picks'][number] | undefined): string {
  const last = season.picks.at(-1);
  const picks = !firstPick || !last ? 'no pick yet'
    : season.picks.length === 1 ? `● one pick, on ${shortDay(firstPick.on)}` : `● ${season.picks.length} picks, from ${shortDay(firstPick.on)} to ${shortDay(last.on)}`;
  const mishaps = season.mishaps.length === 0 ? '' : ` · ✕ ${season.mishaps.map(mishap => `${shortDay(mishap.on)}, ${mishap.words}`).join(' · ')}`;
  return picks + mishaps;
}

const Strip = styled.section`
  & > div { position: relative; height: 32px; border-bottom: 1px solid var(--ink-soft); margin-inline: 8px; }
  & i { position: absolute; bottom: -1px; transform: translateX(-50%); font-style: normal; }
  & [data-week] { width: 1px; height: 7px; background: var(--ink-soft); }
  & [data-pick] { width: 13px; height: 13px; border-radius: 50%; background: var(--leaf); bottom: 9px; }
  & [data-mishap] { color: var(--beet); font-weight: 700; bottom: 4px; font-size: 0.875rem; }
  & [data-today] { width: 3px; height: 30px; background: var(--clay); }
  & p { display: flex; justify-content: space-between; gap: 24px; max-width: none; font-size: 0.9375rem; color: var(--ink-soft); padding-top: 6px; }
  & [data-middle] { color: var(--ink); text-align: center; }
  @media (max-width: 640px) { & p { flex-wrap: wrap; gap: 4px 24px; } & [data-middle] { order: 1; width: 100%; text-align: left; } }
`;
