import { shortDay } from '@/core/time/days';
import { daysBetween } from '@/core/time/garden-day';
import type { TrialSummary } from '@/core/trial/trial-summary';
import { counted } from '@/core/words/plural';

/** What one trial wants done today, and where. */
export interface Errand {
  readonly id: string;
  readonly href: string;
  readonly act: string;
  readonly amount: string;
  readonly why: string;
}

/** What is picked and weighed is done at the scale; all else is read on a walk round. */
const WAYS = {
  weighed: {
    step: 'weigh',
    begin: 'Pick, once it is ripe',
    again: 'Pick what is ripe',
    goOn: 'Go on picking',
    done: 'picked',
  },
  read: {
    step: 'walk',
    begin: 'Go round and read',
    again: 'Go round and read',
    goOn: 'Go on reading',
    done: 'read',
  },
} as const;

/** The next thing that a trial wants; none where it is closed, or all of it was done today. */
export function errandOf(
  { trial, units, lastDay, isWeighed }: TrialSummary,
  today: string,
): readonly Errand[] {
  const of = (step: string, act: string, amount: number, why: string): readonly Errand[] => [
    {
      id: trial.id,
      href: `/trials/${trial.id}/${step}`,
      act,
      amount: amount === 0 ? '—' : counted(amount, trial.unitWord),
      why,
    },
  ];
  if (trial.state === 'closed') return [];
  if (trial.state === 'planned')
    return of('lay-out', units === 0 ? 'Lay it out' : 'Lock the plan', units, trial.question);
  if (today > trial.endsOn)
    return of(
      'judge',
      'Judge it',
      units,
      `${trial.question} Its season ended on ${shortDay(trial.endsOn)}.`,
    );
  const way = WAYS[isWeighed ? 'weighed' : 'read'];
  if (!lastDay) return of(way.step, way.begin, units, `${trial.question} Nothing ${way.done} yet.`);
  if (lastDay.day === today && lastDay.units < units)
    return of(
      way.step,
      way.goOn,
      units - lastDay.units,
      `${trial.question} ${lastDay.units} of ${units} are done today.`,
    );
  const since = daysBetween(lastDay.day, today);
  if (since === 0) return [];
  const when = since === 1 ? 'yesterday' : `${since} days ago`;
  return of(way.step, way.again, units, `${trial.question} Last ${way.done} ${when}.`);
}
