import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import type { CalendarDay } from '@/core/time/garden-day';
import type { CareMaterial, CareRule } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';
import { listed } from '@/core/words/listed';
import { isKept, THE_BOTTLES } from './seen-acts';

/** A step of the plan on its day, for a calendar. */
export interface DatedStep {
  /** Its own for good: a calendar that is taken in again moves what it has. */
  readonly key: string;
  readonly says: string;
  readonly on: CalendarDay;
  /** What, how much and for whom, a line each; of what is kept blind only where to look. */
  readonly details: readonly string[];
  /** It is still to be done: a calendar may remind of it. */
  readonly isOpen: boolean;
}

const CAME: Partial<Record<TrackedTask['state'], string>> = {
  done: ' (done)',
  skipped: ' (left out)',
};

/** Dated steps that were not missed, and what came of them. What goes into a blind trial's bottles is one line a day, done or not. */
export function datedSteps(
  tasks: readonly TrackedTask[],
  data: Pick<TrialData, 'trial' | 'care' | 'treatments' | 'products'>,
): readonly DatedStep[] {
  const { trial, care } = data;
  const steps = new Map<string, DatedStep>();
  for (const { ruleId, nth, dueOn, state } of tasks) {
    const rule = care.rules.find(each => each.id === ruleId);
    if (!rule || dueOn === null) continue;
    if (isKept(rule, { trial })) {
      const key = `bottles-${dueOn}`;
      steps.set(key, {
        key,
        says: THE_BOTTLES,
        on: dueOn,
        details: ['From the bottles, by their codes.'],
        // Whether it was done would tell of one bottle.
        isOpen: true,
      });
    } else if (state !== 'missed') {
      const key = `${ruleId}-${nth}`;
      steps.set(key, {
        key,
        says: `${rule.name}${CAME[state] ?? ''}`,
        on: dueOn,
        details: detailsOf(rule, data),
        isOpen: state !== 'done' && state !== 'skipped',
      });
    }
  }
  return [...steps.values()];
}

/** What is given, how strong, with how much water, and to which treatments. */
function detailsOf(
  { treatmentIds, material }: CareRule,
  { treatments, products }: Pick<TrialData, 'treatments' | 'products'>,
): readonly string[] {
  const names = treatmentIds.flatMap(id => treatments.find(each => each.id === id)?.name ?? []);
  const product = products.find(each => each.id === material?.productId);
  return [
    ...(material && product ? [`${product.name}: ${rateWords(material)}`] : []),
    names.length === 0 ? 'For all.' : `For ${listed(names)}.`,
  ];
}

function rateWords({ rate, choice, strength, waterMl }: CareMaterial): string {
  const share = strength === 1 ? '' : `, at ${Number((100 * strength).toPrecision(3))}% of that`;
  const water = waterMl === null ? '' : `, ${Number(waterMl.toPrecision(3))} ml to each`;
  return `${rate.asWritten}, the ${choice} rate${share}${water}`;
}
