import type { LevelsOff } from '@/core/judge/outcomes/judgement';
import { figureOf, isRead, type JudgeInput } from '@/core/judge/question/judge-input';
import { type DosedUnit, doseResponse, levelsOffAt, withoutBlocks } from './dose-response';

/** So much behind the best is nearly as good: Burnham & Anderson (2002), Model Selection and Multimodel Inference, 2.6. */
const NEARLY = 2;

/** What each unit of a series got and gave. */
export function dosedUnitsOf({ doses, units }: JudgeInput): readonly DosedUnit[] {
  return units.flatMap(unit => {
    const dose = doses?.[unit.treatment];
    return isRead(unit) && dose !== undefined
      ? [{ dose, value: figureOf(unit), block: JSON.stringify(unit.blocks) }]
      : [];
  });
}

/**
 * Between which doses it levels off, by all curves that fit nearly as well as the best; null of days, whose waiting is in no
 * curve, and where nothing bends for sure: a straight line, or a curve that still rises, fits nearly as well, too.
 */
export function levelsOffOf(input: JudgeInput): LevelsOff | null {
  if (!input.doses || input.outcome === 'time') return null;
  const units = dosedUnitsOf(input);
  const { fits } = doseResponse(units);
  const [best] = fits;
  if (best?.aicc == null) return null;
  const points = withoutBlocks(units);
  const near = fits.filter(fit => fit.aicc !== null && fit.aicc - best.aicc! < NEARLY);
  const ends = near.map(fit => levelsOffAt(fit, points));
  const known = ends.filter(end => end !== null);
  return known.length < ends.length ? null : { from: Math.min(...known), to: Math.max(...known) };
}
