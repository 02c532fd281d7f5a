import { bottleLabel } from '@/core/schedule/tasks/receivers';
import { isKeyOpen } from '@/core/trial/key';
import type { CareAct } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';

/** What acts are told against. */
type ActsOf = Pick<TrialData, 'trial' | 'care' | 'units'>;

/** Of several bottles: which of them belong together would tell. */
export const THE_BOTTLES = 'the bottles';

/** What was done, by the name that may be seen: the plan's own, or, of a blind trial, the bottle that was given. */
export function seenActName(act: Pick<CareAct, 'ruleId' | 'unitIds'>, data: ActsOf): string {
  const rule = data.care.rules.find(each => each.id === act.ruleId);
  if (!rule) return 'a task no longer planned';
  return isKept(rule, data) ? bottleOf(act, data) : `${rule.name}${WAYS[rule.kind] ?? ''}`;
}

/** A fleece is put on and taken off under one name. */
const WAYS: Readonly<Partial<Record<CareRule['kind'], string>>> = {
  cover: ', put on',
  uncover: ', taken off',
};

/** Whether the name of what a rule gives is kept back: it goes to some only, and who they are is not to be seen. */
export function isKept(
  rule: Pick<CareRule, 'treatmentIds'>,
  { trial }: Pick<ActsOf, 'trial'>,
): boolean {
  return !isKeyOpen(trial) && rule.treatmentIds.length > 0;
}

function bottleOf({ unitIds }: Pick<CareAct, 'unitIds'>, { care, units }: ActsOf): string {
  const given = new Set(
    units.filter(unit => unitIds?.includes(unit.id)).map(unit => unit.treatmentId),
  );
  const [one, ...others] = given;
  const code = one && others.length === 0 ? care.bottles[one] : undefined;
  return code === undefined ? THE_BOTTLES : bottleLabel(code);
}

/** A trial without what was given by bottles, while that tells. */
export function withoutBottles(data: TrialData): TrialData {
  const kept = new Set(data.care.rules.filter(rule => isKept(rule, data)).map(rule => rule.id));
  if (kept.size === 0) return data;
  const acts = data.care.acts.filter(act => !kept.has(act.ruleId));
  return { ...data, care: { ...data.care, acts } };
}

/** An act with its name; what one press put down of one bottle is one act, however many steps of the plan it was. */
export interface SeenAct {
  readonly act: CareAct;
  readonly name: string;
  readonly all: readonly CareAct[];
}

/** Acts as they may be seen, the latest first. */
export function seenActs(acts: readonly CareAct[], data: ActsOf): readonly SeenAct[] {
  const seen = new Map<string, SeenAct>();
  for (const act of acts) {
    const name = seenActName(act, data);
    const rule = data.care.rules.find(each => each.id === act.ruleId);
    const key =
      rule && isKept(rule, data) ? `${name} ${act.doneOn} ${act.takenAt} ${act.isRemoval}` : act.id;
    const before = seen.get(key);
    seen.set(key, before ? { ...before, all: [...before.all, act] } : { act, name, all: [act] });
  }
  return [...seen.values()].sort((a, b) =>
    a.act.doneOn < b.act.doneOn || (a.act.doneOn === b.act.doneOn && a.act.takenAt < b.act.takenAt)
      ? 1
      : -1,
  );
}
