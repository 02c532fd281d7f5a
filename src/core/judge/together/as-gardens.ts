import { liesInGardens } from '@/core/trial/garden-word';
import type { TrialData } from '@/core/trial/model/trial-data';
import { type BlockAbout, NOTHING_ABOUT } from '@/core/trial/model/unit';

/** A garden of a trial that lies in several: its part of the trial, as a trial of its own. */
export interface PartOfTrial {
  /** Empty: the trial lies in one garden. */
  readonly block: string;
  readonly about: BlockAbout;
  readonly data: TrialData;
}

/** A trial by the gardens it lies in: one that was dealt in several is taken apart, so that each answers for itself. */
export function asGardens(data: TrialData): readonly PartOfTrial[] {
  const { layout } = data;
  if (!layout || !liesInGardens(layout)) return [{ block: '', about: NOTHING_ABOUT, data }];
  return data.blocks.map(block => {
    const units = data.units
      .filter(unit => unit.blockId === block.id)
      .map(unit => ({ ...unit, blockId: null }));
    const ids = new Set<string>(units.map(unit => unit.id));
    const own = <Entry extends { readonly unitId: string }>(entries: readonly Entry[]) =>
      entries.filter(entry => ids.has(entry.unitId));
    return {
      block: block.name,
      about: block.about,
      data: {
        ...data,
        layout: { ...layout, kind: 'complete-randomisation', blockCount: 0 },
        blocks: [],
        units,
        picks: own(data.picks),
        readings: own(data.readings),
        incidents: own(data.incidents),
      },
    };
  });
}
