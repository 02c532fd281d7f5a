import { leftOutOf } from '@/core/judge/units/analysis-sets';
import { mainMeasure } from '@/core/judge/units/trial-analysis';
import type { TrialData } from '@/core/trial/model/trial-data';
import { counted, pluralOf } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import { chanceSeen } from './chance-seen';

/** What became of a plan: units that were laid out and units that still count. */
export interface Standing {
  readonly planned: number;
  readonly left: number;
  readonly byTreatment: readonly {
    readonly name: string;
    readonly planned: number;
    readonly left: number;
  }[];
}

/** How often a trial would see what is worth having, as it was planned and as it stands. */
export interface StandingChance {
  readonly planned: number;
  readonly left: number;
}

/** How often a plan sees what is worth having, made up anew or remembered. */
export type ChanceOf = typeof chanceSeen;

/** What is read and not weighed is made up unit by unit, which takes many seconds of larger trials than this. */
const MOST_DRAWN = 48;

/** @returns null where every unit still counts: none was left out in time */
export function standingOf(data: TrialData): Standing | null {
  const units = stillCounting(data);
  if (units.length === data.units.length) return null;
  return {
    planned: data.units.length,
    left: units.length,
    byTreatment: data.treatments.map(({ id, name }) => ({
      name,
      planned: data.units.filter(unit => unit.treatmentId === id).length,
      left: units.filter(unit => unit.treatmentId === id).length,
    })),
  };
}

/**
 * The plan’s chance is that of a trial that is no longer there, once units are lost.
 *
 * @param cv spread of what is weighed (SD over mean)
 * @returns null where nothing was called worth having
 */
export function standingChance(
  data: TrialData,
  cv: number,
  chanceOf: ChanceOf = chanceSeen,
): StandingChance | null {
  const planned = chanceOf(data, cv);
  const left = chanceOf({ ...data, units: stillCounting(data) }, cv);
  return planned === null || left === null ? null : { planned, left };
}

function stillCounting(data: TrialData): TrialData['units'] {
  const out = new Set(leftOutOf(data, 'planned'));
  return data.units.filter(unit => !out.has(unit.code));
}

/**
 * What is left of a plan, in sentences; none where every unit still counts.
 *
 * @param isOpen of a blind trial nothing is said by treatment, nor by the chance, which would tell the key
 * @param cv spread of what is weighed (SD over mean); without it the chance is not worked out
 */
export function standingLines(
  data: TrialData,
  isOpen: boolean,
  cv?: number,
  chanceOf: ChanceOf = chanceSeen,
): readonly string[] {
  const standing = standingOf(data);
  if (!standing) return [];
  const { planned, left, byTreatment } = standing;
  const { unitWord } = data.trial;
  const sum = `${left} of ${counted(planned, unitWord)} still count`;
  if (!isOpen)
    return [
      `${sum}.`,
      'How they fall to the treatments, and what they can still show, waits for the key.',
    ];
  const shares = byTreatment.map(
    each => `${each.name} ${each.left}${each.left < each.planned ? ` (of ${each.planned})` : ''}`,
  );
  return [
    `${sum}: ${shares.join(', ')}.`,
    ...byTreatment.flatMap(({ name, left: each }) => fewWords(name, each, unitWord)),
    ...(cv === undefined ? [] : lostChance(data, cv, chanceOf)),
  ];
}

function fewWords(name: string, left: number, unitWord: string): readonly string[] {
  if (left > 1) return [];
  return [
    left === 0
      ? `${sentenceCase(name)} has none left: nothing can be said of it.`
      : `${sentenceCase(name)} has one left: how much such ${pluralOf(unitWord)} differ can’t be told from it.`,
  ];
}

/** How often what is worth having is seen with the units that are left, against the plan; nothing where none is lost. */
export function lostChance(
  data: TrialData,
  cv: number,
  chanceOf: ChanceOf = chanceSeen,
): readonly string[] {
  const standing = standingOf(data);
  if (mainMeasure(data).scale !== null && data.units.length > MOST_DRAWN) return [];
  const chance = standing && standingChance(data, cv, chanceOf);
  if (!chance) return [];
  const of100 = (share: number): number => Math.round(share * 100);
  return [
    `With ${standing.left} of ${counted(standing.planned, data.trial.unitWord)} what is worth having is seen about ${of100(chance.left)} times of 100; as planned, ${of100(chance.planned)}.`,
  ];
}
