import type { SeenTrial } from '@/core/blinding/seen-trial';
import type { Decision } from '@/core/trial/model/incident';
import type { Layout } from '@/core/trial/model/layout';
import { counted } from '@/core/words/plural';

/** A mishap as the page shows it: by code, never by treatment. */
export interface MishapView {
  readonly id: string;
  readonly code: string;
  readonly on: string;
  readonly what: string;
  readonly why: string;
  readonly by: string;
  readonly decision: Decision;
  readonly isByTreatment: boolean;
  readonly isAfterKey: boolean;
}

/** A block by its name; one that has only a number by what such blocks are called, too: shelf 2. */
export function blockCalled(name: string, layout: Pick<Layout, 'blockWord'> | null): string {
  return /^\d+$/.test(name) ? `${layout?.blockWord || 'block'} ${name}` : name;
}

/** Units that something may happen to at once: all of them, or those of a block. */
export interface UnitGroup {
  readonly label: string;
  readonly codes: readonly string[];
}

export function unitGroupsOf({ units, blocks, trial, layout }: SeenTrial): readonly UnitGroup[] {
  return [
    { label: `All ${counted(units.length, trial.unitWord)}`, codes: units.map(unit => unit.code) },
    ...(blocks.length < 2 ? [] : blocks).map(({ id, name }) => ({
      label: `All of ${blockCalled(name, layout)}`,
      codes: units.filter(unit => unit.blockId === id).map(unit => unit.code),
    })),
  ];
}

export function mishapsOf({ incidents, units }: SeenTrial): readonly MishapView[] {
  return incidents
    .map(({ id, unitId, happenedOn, what, why, by, decision, byTreatment, afterKeyOpened }) => ({
      id,
      code: units.find(unit => unit.id === unitId)?.code ?? '',
      on: happenedOn,
      what,
      why,
      by,
      decision,
      isByTreatment: byTreatment === 'yes',
      isAfterKey: afterKeyOpened,
    }))
    .sort((a, b) => (a.on < b.on ? 1 : -1));
}
