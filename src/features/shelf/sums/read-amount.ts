import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { Dimension, MeasureSystem } from '@/core/quantity/unit-of-measure';

/** An amount above nothing, or why it is none. Empty is neither. */
export interface ReadAmount {
  readonly base: number | undefined;
  readonly trouble: string | undefined;
}

export function readAmount(
  written: string,
  dimension: Dimension,
  system: MeasureSystem,
  bareUnit?: string,
): ReadAmount {
  if (written.trim() === '') return { base: undefined, trouble: undefined };
  const read = parseQuantity(written, {
    dimension,
    system,
    ...(bareUnit === undefined ? {} : { bareUnit }),
  });
  if (!read.ok)
    return {
      base: undefined,
      trouble: quantitySentence(read.trouble, { system, wanted: dimension }),
    };
  return read.value.base > 0
    ? { base: read.value.base, trouble: undefined }
    : { base: undefined, trouble: 'More than none.' };
}

/** A plain number of at least `least`, or why it is none. */
export function readNumber(written: string, least: number, most: number): ReadAmount {
  if (written.trim() === '') return { base: undefined, trouble: undefined };
  const value = /^\d+([.,]\d+)?$/.test(written.trim())
    ? Number(written.trim().replace(',', '.'))
    : Number.NaN;
  return value >= least && value <= most
    ? { base: value, trouble: undefined }
    : { base: undefined, trouble: `From ${least} to ${most}.` };
}

/** How many of something, up to 9999, or why it is no count. */
export function readCount(written: string): ReadAmount {
  if (written.trim() === '') return { base: undefined, trouble: undefined };
  return /^\d{1,4}$/.test(written.trim())
    ? { base: Number(written), trouble: undefined }
    : { base: undefined, trouble: 'A whole number.' };
}
