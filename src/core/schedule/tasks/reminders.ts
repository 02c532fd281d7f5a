import { BLANK_CARE, type CareDraft } from '@/core/schedule/rules/care-draft';
import type { SeasonLimits } from '@/core/schedule/rules/season-limits';
import { type CalendarDay, daysBetween } from '@/core/time/garden-day';
import type { CareKind } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';

/** A step that is easily forgotten, ready to go into the plan. */
export interface Reminder {
  readonly key: string;
  readonly why: string;
  readonly draft: CareDraft;
}

/** What a trial of this kind usually needs besides its treatments and has not planned yet. */
export function remindersFor(
  { trial, care, layout, treatments }: Pick<TrialData, 'trial' | 'care' | 'layout' | 'treatments'>,
  limits: SeasonLimits,
  today: CalendarDay,
): readonly Reminder[] {
  const has = (kind: CareKind): boolean => care.rules.some(rule => rule.kind === kind);
  const plan = (name: string, kind: CareKind, changes: Partial<CareDraft>): CareDraft => ({
    ...BLANK_CARE,
    name,
    kind,
    repeat: 'once',
    ...changes,
  });
  const isFresh = today <= trial.startsOn; // what was before can be put down only before
  const end = String(daysBetween(trial.startsOn, trial.endsOn));
  const barriers = /barrier|collar|mesh|net|tape|cloche|fleece|copper|slug/i.test(
    [trial.question, ...treatments.map(treatment => treatment.name)].join(' '),
  );
  const all: readonly (Reminder | false)[] = [
    isFresh &&
      !has('fill') && {
        key: 'fill',
        why: 'Litres and depth of each, top-ups and settling later: a pot filled less is another pot.',
        draft: plan('fill all alike, and note the litres', 'fill', { fromDays: '-1' }),
      },
    isFresh &&
      !has('soil-sample') && {
        key: 'baseline',
        why: 'What the soil or mix was before cannot be found out afterwards.',
        draft: plan('soil sample of each before the start', 'soil-sample', { fromDays: '-1' }),
      },
    !has('check') && {
      key: 'check',
      why: 'A known mass on the scale before each weighing: a drift looks like a treatment.',
      draft: plan('check the scale with a known mass', 'check', {
        repeat: 'every',
        everyDays: '14',
      }),
    },
    !has('look') && {
      key: 'looks',
      why: 'A look before the first treatment, then on fixed days at the same time of day.',
      draft: plan('look and measure', 'look', { repeat: 'every', everyDays: '7' }),
    },
    barriers &&
      !has('barrier') && {
        key: 'barrier',
        why: 'A leaf across it is a bridge.',
        draft: plan('walk round the barriers', 'barrier', { repeat: 'every', everyDays: '7' }),
      },
    layout !== null &&
      !has('photo') && {
        key: 'photos',
        why: 'The same place, distance and light, with a ruler in it.',
        draft: plan('photo of each', 'photo', { repeat: 'every', everyDays: '14' }),
      },
    limits.frostOn !== null &&
      !care.rules.some(rule => /frost/i.test(rule.name)) && {
        key: 'frost',
        why: `The first frost is usual by ${limits.frostOn}.`,
        draft: plan('before the frost: cover, lift or pick all', 'other', {
          from: 'day',
          fromDay: limits.frostOn,
        }),
      },
    has('feed') &&
      !care.rules.some(rule => /last feed/i.test(rule.name)) && {
        key: 'last-feed',
        why: 'What is fed in the last fortnight shows in nothing that is picked.',
        draft: plan('last feed, for all', 'other', { from: 'day', fromDay: limits.lastFeed }),
      },
    !has('promise') && {
      key: 'promise',
      why: 'Who was told of the trial wants to know how it went. Name them.',
      draft: plan('tell the result to those who were promised it', 'promise', { fromDays: end }),
    },
  ];
  return all.filter(each => each !== false);
}
