import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result } from '@/core/result';
import { type PickContext, readPick } from '@/core/trial/forms/pick-form';
import type { UnitId } from '@/core/trial/model/ids';
import { CullReason, Outcome, type Pick } from '@/core/trial/model/pick';
import { lookIn } from './looks';

/** A row of a table as far as it is a harvest, as it is written. */
export interface PickCells {
  readonly id: string;
  readonly unitId: UnitId;
  readonly day: string;
  readonly weight: string;
  /** Behind a bare weight, as its head or its own column says. */
  readonly unit: string;
  readonly tare: string;
  readonly pieces: string;
  readonly grade: string;
  readonly outcome: string;
  readonly note: string;
  readonly by: string;
}

const BARE = /^[\d.,\s+]+$/;

/** Reads a pick of a file, by the same rules as one that is typed. A bare weight without a unit is in grams. */
export function readPickRow(
  cells: PickCells,
  context: Omit<PickContext, 'system'> & { readonly system: MeasureSystem },
): Result<Pick, string> {
  const said = cells.outcome.trim().toLowerCase();
  const outcome =
    said === ''
      ? (lookIn(cells.weight, null) ?? lookIn(cells.pieces, null) ?? zeroOf(cells) ?? 'picked')
      : (Outcome.safeParse(said).data ?? lookIn(said, null));
  if (outcome === undefined) return failure(`“${cells.outcome}” is not what can be found.`);
  const grade = gradeOf(cells.grade);
  if (grade === undefined)
    return failure(
      `“${cells.grade}” is neither sound nor a reason: ${CullReason.options.join(', ')}.`,
    );
  const inUnit = (written: string): string =>
    written !== '' && BARE.test(written) ? `${written} ${cells.unit || 'g'}` : written;
  const read = readPick(
    {
      id: cells.id,
      unitId: cells.unitId,
      supersedes: null,
      pickedOn: cells.day,
      outcome,
      gross: outcome === 'picked' ? inUnit(cells.weight) : '',
      tare: outcome === 'picked' ? inUnit(cells.tare) : '',
      pieces: outcome === 'picked' ? cells.pieces : '',
      ...grade,
      note: cells.note,
      by: cells.by,
    },
    context,
  );
  return read.ok ? read : failure(Object.values(read.trouble)[0] ?? 'It can’t be read.');
}

/** A nought for weight or pieces is a look that found nothing. */
function zeroOf({ weight, pieces }: PickCells): 'nothing-there' | undefined {
  const isZero = (written: string): boolean => /^0+([.,]0+)?$/.test(written);
  return isZero(weight) || (weight === '' && isZero(pieces)) ? 'nothing-there' : undefined;
}

function gradeOf(
  written: string,
): { readonly grade: Pick['grade']; readonly cullReason: Pick['cullReason'] } | undefined {
  const said = written.trim().toLowerCase();
  if (said === '' || said === 'sound' || said === 'good')
    return { grade: 'sound', cullReason: null };
  const reason = said.replace(/^culls?[\s:,-]*/, '');
  const known = CullReason.safeParse(reason === '' ? 'other' : reason);
  return known.success ? { grade: 'cull', cullReason: known.data } : undefined;
}
