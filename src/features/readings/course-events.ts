import type { SeasonView } from '@/features/trial/trial-view';

/** Something that happened while readings were taken, and may have bent them. */
export interface CourseEvent {
  readonly on: string;
  readonly words: string;
  readonly kind: 'care' | 'mishap' | 'weather';
}

const ALERTS = { frost: 'frost', 'frost-risk': 'near frost', heat: 'heat' } as const;

/** What was done, what befell and what the weather brought from one day to another, the earliest first. */
export function eventsBetween(
  { care, mishaps, weather }: Pick<SeasonView, 'care' | 'mishaps' | 'weather'>,
  from: string,
  to: string,
): readonly CourseEvent[] {
  const events: readonly CourseEvent[] = [
    ...care.map(({ on, words }) => ({ on, words, kind: 'care' as const })),
    ...mishaps.map(({ on, words }) => ({ on, words, kind: 'mishap' as const })),
    ...weather.flatMap(({ on, alert }) =>
      alert ? [{ on, words: ALERTS[alert], kind: 'weather' as const }] : [],
    ),
  ];
  return events.filter(({ on }) => on >= from && on <= to).sort((a, b) => a.on.localeCompare(b.on));
}
