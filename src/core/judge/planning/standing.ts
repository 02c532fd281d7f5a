import { leftOutOf } from '@/core/judge/units/analysis-sets';
import type { TrialData } from '@/core/trial/model/trial-data';
import { counted } from '@/core/words/plural';
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
export function standingChance(data: TrialData, cv: number): StandingChance | null {
  const planned = chanceSeen(data, cv);
  const left = chanceSeen({ ...data, units: stillCounting(data) }, cv);
  return planned === null || left === null ? null : { planned, left };
}

function stillCounting(data: TrialData): TrialData['units'] {
  const out = new Set(leftOutOf(data, 'planned'));
  return data.units.filter(unit => !out.has(unit.code));
}

/**
 * What is left of a plan, in sentences; none where every unit still counts.
 *
 * @param isOpen of a blind trial nothing is said by treatment
 * @param cv spread of what is weighed (SD over mean); without it the chance is not worked out
 */
export function standingLines(data: TrialData, isOpen: boolean, cv?: number): readonly string[] {
  const standing = standingOf(data);
  if (!standing) return [];
  const chance = cv === undefined || !isOpen ? null : standingChance(data, cv);
  return standingWords(standing, data.trial.unitWord, isOpen, chance);
}

/**
 * In sentences. Which treatment lost what would tell the key, and so would the chance: before it is opened only the sum is said.
 */
function standingWords(
  { planned, left, byTreatment }: Standing,
  unitWord: string,
  isOpen: boolean,
  chance: StandingChance | null,
): readonly string[] {
  const sum = `${left} of ${counted(planned, unitWord)} still count.`;
  if (!isOpen)
    return [
      sum,
      'How they fall to the treatments, and what they can still show, waits for the key.',
    ];
  const shares = byTreatment.map(
    each => `${each.name} ${each.left}${each.left < each.planned ? ` (of ${each.planned})` : ''}`,
  );
  return [
    `${sum} ${shares.join(', ')}.`,
    ...byTreatment
      .filter(each => each.left === 0)
      .map(each => `${each.name} has none left: nothing can be said of it.`),
    ...byTreatment
      .filter(each => each.left === 1)
      .map(
        each =>
          `${each.name} has one left: how much such ${unitWord}s differ can’t be told from it.`,
      ),
    ...(chance ? [chanceWords(chance)] : []),
  ];
}

function chanceWords({ planned, left }: StandingChance): string {
  const percent = (share: number): string => `${Math.round(share * 100)}%`;
  return `The chance to see what is worth having: ${percent(planned)} as planned, ${percent(left)} as it stands.`;
}
