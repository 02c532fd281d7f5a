import { BLANK_CARE, type CareDraft } from '@/core/schedule/rules/care-draft';
import type { SeasonLimits } from '@/core/schedule/rules/season-limits';
import { type CalendarDay, daysBetween } from '@/core/time/garden-day';
import type { CarePlan } from '@/core/trial/model/care-plan';
import type { CareKind } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';

/** A step that is easily forgotten, ready to go into the plan. */
export interface Reminder {
  readonly key: string;
  readonly why: string;
  readonly draft: CareDraft;
}

interface RemindedTrial extends Pick<TrialData, 'trial' | 'care' | 'layout' | 'treatments'> {
  readonly limits: SeasonLimits;
  readonly today: CalendarDay;
}

/** What a trial of this kind usually needs besides its treatments and has not planned yet. */
export function remindersFor(
  data: Omit<RemindedTrial, 'limits' | 'today'>,
  limits: SeasonLimits,
  today: CalendarDay,
): readonly Reminder[] {
  const reminded: RemindedTrial = { ...data, limits, today };
  return [...atTheStart(reminded), ...onTheWay(reminded), ...towardsTheEnd(reminded)].filter(
    each => each !== false,
  );
}

/** What was before can be put down only before. */
function atTheStart({ trial, care, today }: RemindedTrial): readonly (Reminder | false)[] {
  const isFresh = today <= trial.startsOn;
  return [
    isFresh &&
      !has(care, 'fill') && {
        key: 'fill',
        why: 'Litres and depth of each, top-ups and settling later: a pot filled less is another pot.',
        draft: plan('fill all alike, and note the litres', 'fill', { fromDays: '-1' }),
      },
    isFresh &&
      !has(care, 'soil-sample') && {
        key: 'baseline',
        why: 'What the soil or mix was before cannot be found out afterwards.',
        draft: plan('soil sample of each before the start', 'soil-sample', { fromDays: '-1' }),
      },
  ];
}

function onTheWay({
  trial,
  treatments,
  care,
  layout,
}: RemindedTrial): readonly (Reminder | false)[] {
  const every = (days: string) => ({ repeat: 'every', everyDays: days }) as const;
  const hasBarriers = BARRIERS.test(
    [trial.question, ...treatments.map(treatment => treatment.name)].join(' '),
  );
  return [
    !has(care, 'check') && {
      key: 'check',
      why: 'A known mass on the scale before each weighing: a drift looks like a treatment.',
      draft: plan('check the scale with a known mass', 'check', every('14')),
    },
    !has(care, 'look') && {
      key: 'looks',
      why: 'A look before the first treatment, then on fixed days at the same time of day.',
      draft: plan('look and measure', 'look', every('7')),
    },
    hasBarriers &&
      !has(care, 'barrier') && {
        key: 'barrier',
        why: 'A leaf across it is a bridge.',
        draft: plan('walk round the barriers', 'barrier', every('7')),
      },
    layout !== null &&
      !has(care, 'photo') && {
        key: 'photos',
        why: 'The same place, distance and light, with a ruler in it.',
        draft: plan('photo of each', 'photo', every('14')),
      },
  ];
}

function towardsTheEnd({ trial, care, limits }: RemindedTrial): readonly (Reminder | false)[] {
  const isNamed = (words: RegExp): boolean => care.rules.some(rule => words.test(rule.name));
  const end = String(daysBetween(trial.startsOn, trial.endsOn));
  return [
    limits.frostOn !== null &&
      !isNamed(/frost/i) && {
        key: 'frost',
        why: `The first frost is usual by ${limits.frostOn}.`,
        draft: plan('before the frost: cover, lift or pick all', 'other', {
          from: 'day',
          fromDay: limits.frostOn,
        }),
      },
    has(care, 'feed') &&
      !isNamed(/last feed/i) && {
        key: 'last-feed',
        why: 'What is fed in the last fortnight shows in nothing that is picked.',
        draft: plan('last feed, for all', 'other', { from: 'day', fromDay: limits.lastFeed }),
      },
    !has(care, 'promise') && {
      key: 'promise',
      why: 'Who was told of the trial wants to know how it went. Name them.',
      draft: plan('tell the result to those who were promised it', 'promise', { fromDays: end }),
    },
  ];
}

const BARRIERS = /barrier|collar|mesh|net|tape|cloche|fleece|copper|slug/i;

function has(care: CarePlan, kind: CareKind): boolean {
  return care.rules.some(rule => rule.kind === kind);
}

function plan(name: string, kind: CareKind, changes: Partial<CareDraft>): CareDraft {
  return { ...BLANK_CARE, name, kind, repeat: 'once', ...changes };
}
