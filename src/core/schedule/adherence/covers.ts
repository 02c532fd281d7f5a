import type { CalendarDay } from '@/core/time/garden-day';
import type { CareAct } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';

/** How long a cover, net or band lay over one unit. */
export interface CoverSpell {
  readonly name: string;
  /** Whether it was meant for all units, and so is no treatment. */
  readonly isForAll: boolean;
  readonly unitId: string;
  readonly on: CalendarDay;
  /** null: it lies there still. */
  readonly off: CalendarDay | null;
}

const BANDS = { cover: 'on', uncover: 'off' } as const;

/**
 * Who had which cover, and when, from what was put on and taken off. What comes off by the name of a cover is that one; by any other
 * name, all that lies there.
 */
export function coverSpells({
  care,
  units,
}: Pick<TrialData, 'care' | 'units'>): readonly CoverSpell[] {
  const rules = new Map(care.rules.map(rule => [rule.id, rule]));
  const steps = care.acts
    .flatMap(act => {
      const rule = rules.get(act.ruleId);
      const way = rule && isBand(rule.kind) ? BANDS[rule.kind] : undefined;
      return rule && way && !act.isSkipped ? [{ act, rule, way }] : [];
    })
    .sort((a, b) => orderOf(a.act).localeCompare(orderOf(b.act)));
  const names = new Set(
    steps.filter(({ way }) => way === 'on').map(({ rule }) => called(rule.name)),
  );
  const spells: CoverSpell[] = [];
  for (const { act, rule, way } of steps)
    for (const { id } of units.filter(unit => gets(act, rule, unit))) {
      const lying = (each: CoverSpell): boolean => each.unitId === id && each.off === null;
      if (way === 'on') {
        if (spells.some(each => lying(each) && called(each.name) === called(rule.name))) continue;
        const isForAll = rule.treatmentIds.length === 0;
        spells.push({ name: rule.name, isForAll, unitId: id, on: act.doneOn, off: null });
        continue;
      }
      const one = names.has(called(rule.name)) ? called(rule.name) : null;
      for (const [i, each] of spells.entries())
        if (lying(each) && (one === null || called(each.name) === one))
          spells[i] = { ...each, off: act.doneOn };
    }
  return spells;
}

function isBand(kind: CareRule['kind']): kind is keyof typeof BANDS {
  return kind in BANDS;
}

/** On one day something may come off and go on again: in the order in which it was entered. */
function orderOf({ doneOn, takenAt }: CareAct): string {
  return `${doneOn} ${takenAt}`;
}

function gets(act: CareAct, rule: CareRule, unit: TrialData['units'][number]): boolean {
  if (act.unitIds !== null) return act.unitIds.includes(unit.id);
  return rule.treatmentIds.length === 0 || rule.treatmentIds.includes(unit.treatmentId);
}

function called(name: string): string {
  return name.trim().toLowerCase();
}

/** Days that a unit lay under a cover up to a day, by the cover's name. */
export function daysUnder(
  spells: readonly CoverSpell[],
  unitId: string,
  name: string,
  today: CalendarDay,
): number {
  return spells
    .filter(each => each.unitId === unitId && called(each.name) === called(name))
    .reduce((sum, { on, off }) => {
      const end = off ?? today;
      return sum + Math.max(0, (Date.parse(end) - Date.parse(on)) / 86_400_000);
    }, 0);
}

/** Units with the same cover over the same days, as one line. */
export interface CoverLine {
  readonly name: string;
  readonly on: CalendarDay;
  readonly off: CalendarDay | null;
  readonly codes: readonly string[];
}

/** Who has what, the latest first. */
export function coverLines(data: Pick<TrialData, 'care' | 'units'>): readonly CoverLine[] {
  const codeOf = new Map(data.units.map(unit => [unit.id as string, unit.code]));
  const lines = new Map<string, CoverLine>();
  for (const { name, on, off, unitId } of coverSpells(data)) {
    const key = `${called(name)} ${on} ${off}`;
    const codes = [...(lines.get(key)?.codes ?? []), codeOf.get(unitId) ?? ''];
    lines.set(key, { name, on, off, codes });
  }
  return [...lines.values()].sort((a, b) => b.on.localeCompare(a.on));
}
