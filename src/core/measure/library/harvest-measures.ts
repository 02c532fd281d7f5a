import { BLANK_MEASURE } from '@/core/trial/model/blank-facts';
import { MeasureId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';

/** A measure as the library knows it, before a trial takes it. */
export interface MeasureKind {
  readonly summary: Measure['summary'];
  readonly name: string;
  readonly definition: string;
  readonly unit: Measure['unit'];
  /** What “more” can stand before, made from what is picked. */
  readonly responseOf: (picked: string) => string;
}

/** What can be made from a harvest. Order is that of the choice on screen. */
export const HARVEST_MEASURES: readonly MeasureKind[] = [
  {
    summary: 'sound-weight',
    name: 'Sound harvest by weight',
    definition:
      'All sound pieces of a pot or bed, weighed without their container, added up over the season. Culls don’t count.',
    unit: 'g',
    responseOf: picked => picked,
  },
  {
    summary: 'sound-count',
    name: 'Number of sound pieces',
    definition: 'All sound pieces of a pot or bed, counted over the season. Culls don’t count.',
    unit: 'count',
    responseOf: picked => picked,
  },
  {
    summary: 'mean-piece-weight',
    name: 'Weight of one sound piece',
    definition: 'Weight of the sound pieces that were both weighed and counted, over their number.',
    unit: 'g',
    responseOf: () => 'weight a piece',
  },
  {
    summary: 'total-weight',
    name: 'Whole harvest by weight',
    definition:
      'Sound pieces and culls together, weighed without their container, added up over the season.',
    unit: 'g',
    responseOf: picked => `${picked} with culls`,
  },
];

/** @throws {RangeError} not a harvest measure */
export function harvestMeasure(summary: Measure['summary']): MeasureKind {
  const kind = HARVEST_MEASURES.find(candidate => candidate.summary === summary);
  if (!kind) throw new RangeError(`summary must be one of the library's, got ${summary}`);
  return kind;
}

/** What a trial wants to know of its harvest. */
export interface HarvestQuestion {
  readonly picked: string;
  /** Which of the measures is the main one; another summary where none of them is. */
  readonly main: Measure['summary'] | 'read';
  readonly better: Measure['better'];
  readonly margin: Measure['margin'];
}

/** All that the picks of a trial give. A margin in percent holds for each, one in a unit for the main one alone. */
export function harvestMeasures(
  { picked, main, better, margin }: HarvestQuestion,
  newId: () => string,
): readonly Measure[] {
  return HARVEST_MEASURES.map(({ summary, name, definition, unit, responseOf }) => {
    const isMain = summary === main;
    return {
      id: MeasureId.parse(newId()),
      name,
      definition,
      response: responseOf(picked),
      unit,
      summary,
      better: isMain ? better : 'higher',
      margin: isMain || margin?.kind === 'percent' ? margin : null,
      isMain,
      ...BLANK_MEASURE,
    };
  });
}
