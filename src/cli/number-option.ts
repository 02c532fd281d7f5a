import { z } from 'zod';
import { option } from './option';

const NUMBER = z
  .string()
  .regex(/^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i)
  .transform(Number);

/** What a number of an option must keep to. */
export interface NumberBounds {
  readonly least?: number;
  readonly most?: number;
  /** Taken where the option is not there. */
  readonly otherwise?: number;
}

/** Reads a number of an option, or refuses it by name with what was expected. */
export function numberOption(
  written: string | undefined,
  name: string,
  {
    least = Number.NEGATIVE_INFINITY,
    most = Number.POSITIVE_INFINITY,
    otherwise,
  }: NumberBounds = {},
): number {
  if (written === undefined && otherwise !== undefined) return otherwise;
  const bounds =
    Number.isFinite(least) && Number.isFinite(most)
      ? ` from ${least} to ${most}`
      : Number.isFinite(least)
        ? ` of at least ${least}`
        : '';
  return option(
    NUMBER.pipe(z.number().min(least).max(most)),
    written ?? '',
    name,
    `a number${bounds}`,
  );
}

/** The same where it may be left out. */
export function maybeNumber(
  written: string | undefined,
  name: string,
  bounds: NumberBounds = {},
): number | undefined {
  return written === undefined ? undefined : numberOption(written, name, bounds);
}

/** Numbers with commas between them. */
export function numberList(
  written: string | undefined,
  name: string,
  bounds: NumberBounds = {},
): readonly number[] {
  return (written ?? '').split(',').map(each => numberOption(each.trim(), name, bounds));
}
