import type { ReadAmount } from '@/features/shelf/sums/read-amount';

/** A sum of money as one writes it: `0.60`, `1,5`, `-2`. Empty is neither a sum nor wrong. */
export function readMoney(written: string, least = 0): ReadAmount {
  const trimmed = written.trim().replace(',', '.').replace('−', '-');
  if (trimmed === '') return { base: undefined, trouble: undefined };
  const value = /^[-+]?\d+(\.\d+)?$/.test(trimmed) ? Number(trimmed) : Number.NaN;
  return value >= least
    ? { base: value, trouble: undefined }
    : { base: undefined, trouble: 'A figure, such as 0.60.' };
}
