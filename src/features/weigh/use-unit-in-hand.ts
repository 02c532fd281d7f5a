'use client';

import { useEffect } from 'react';
import type { Pick } from '@/core/trial/model/pick';
import type { BenchUnit } from '@/features/bench/bench-view';
import { useChosenUnit } from '@/features/bench/ChosenUnit';

interface UnitsToPick {
  readonly units: readonly BenchUnit[];
  readonly picks: readonly Pick[];
  /** The code on a label that was scanned: that unit is in hand first. */
  readonly asked?: string | undefined;
}

/** The unit in hand: the one chosen on the bench, else the one asked for, else the first without an entry that day. */
export function useUnitInHand({ units, picks, asked }: UnitsToPick, day: string) {
  const { unitId: chosenId, choose } = useChosenUnit();
  const unit =
    units.find(candidate => candidate.id === chosenId) ??
    units.find(candidate => candidate.code === asked) ??
    units.find(candidate => !isDone(candidate, picks, day)) ??
    units[0];
  const unitId = unit?.id;
  useEffect(() => {
    if (chosenId === null && unitId !== undefined) choose(unitId);
  }, [chosenId, unitId, choose]);
  return [unit, choose] as const;
}

export function isDone(unit: BenchUnit, picks: readonly Pick[], day: string): boolean {
  return picks.some(pick => pick.unitId === unit.id && pick.pickedOn === day);
}

/** The next unit in walking order that has nothing for the day yet, going round once. */
export function nextUnit(
  units: readonly BenchUnit[],
  from: BenchUnit,
  isDoneAlready: (unit: BenchUnit) => boolean,
): BenchUnit | undefined {
  const at = units.indexOf(from);
  return [...units.slice(at + 1), ...units.slice(0, at)].find(unit => !isDoneAlready(unit));
}
