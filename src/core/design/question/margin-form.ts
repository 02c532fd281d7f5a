import type { ReadingKind } from '@/core/measure/library/reading-kind';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { exampleAmounts, quantitySentence } from '@/core/quantity/quantity-sentence';
import { soldBy } from '@/core/quantity/sold-by';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { Measure } from '@/core/trial/model/measure';
import type { MarginMoney } from '@/core/trial/model/trial';
import type { QuestionForm } from './question-shape';

export function readMargin(
  form: QuestionForm,
  read: ReadingKind | undefined,
  system: MeasureSystem,
): Result<Measure['margin'], string> {
  switch (form.marginKind) {
    case 'any':
      return success(null);
    case 'percent': {
      const percent = plainNumber(form.margin.replace(/\s*%$/, ''));
      if (percent === undefined || percent <= 0)
        return failure('Write a percentage above zero, such as 15.');
      return percent > 1000
        ? failure('More than 1000% is more than any pot can show.')
        : success({ kind: 'percent', percent });
    }
    case 'amount':
      return read && read.unit !== 'g'
        ? readPlainAmount(form.margin, read)
        : readAmount(form, system);
  }
}

/** In the unit that is read; of shares and yes or no in points of a hundred. */
function readPlainAmount(
  written: string,
  { scale, unit }: ReadingKind,
): Result<Measure['margin'], string> {
  const said = written.trim();
  const amount = plainNumber(
    unit !== '' && said.endsWith(unit) ? said.slice(0, -unit.length).trim() : said,
  );
  if (amount === undefined || amount <= 0)
    return failure(`Write a number above zero${unit === '' ? '' : `, in ${unit}`}.`);
  return success({ kind: 'absolute', amount: isOfShares(scale) ? amount / 100 : amount });
}

export function isOfShares(scale: ReadingKind['scale'] | null): boolean {
  return scale?.kind === 'proportion' || scale?.kind === 'yes-no';
}

export function readMoney(
  form: QuestionForm,
  system: MeasureSystem = 'uk',
): Result<MarginMoney | null, FieldTroubles> {
  const written = Object.entries(form.money);
  if (written.every(([, text]) => text === '')) return success(null);
  const troubles = Object.fromEntries(
    written.flatMap(([key, text]) =>
      (plainNumber(text) ?? 0) > 0
        ? []
        : [[`money.${key}`, 'A number above zero, or leave all three empty.']],
    ),
  );
  if (Object.keys(troubles).length > 0) return failure(troubles);
  const { kg } = soldBy(system);
  return success({
    costEach: plainNumber(form.money.costEach) ?? 0,
    worthPerKg: (plainNumber(form.money.worthPerKg) ?? 0) / kg,
    presentKg: (plainNumber(form.money.presentKg) ?? 0) * kg,
  });
}

/** The gain at which a treatment pays for itself, in % of the present harvest: cost / (worth of the present harvest). */
export function payingPercent(money: MarginMoney): number {
  return (100 * money.costEach) / (money.worthPerKg * money.presentKg);
}

function readAmount(form: QuestionForm, system: MeasureSystem): Result<Measure['margin'], string> {
  if (form.summary === 'sound-count') {
    const amount = plainNumber(form.margin);
    return amount !== undefined && amount > 0
      ? success({ kind: 'absolute', amount })
      : failure('Write a number of pieces above zero.');
  }
  const read = parseQuantity(form.margin, { system, dimension: 'mass' });
  if (!read.ok) return failure(quantitySentence(read.trouble, { system }));
  return read.value.base > 0
    ? success({ kind: 'absolute', amount: read.value.base })
    : failure(`Write an amount above zero, such as ${exampleAmounts('mass', system)}.`);
}

/** A number above or at zero as people write it, with point or comma; undefined where it is none. */
export function plainNumber(written: string): number | undefined {
  const trimmed = written.trim().replace(',', '.');
  return /^\d+(\.\d+)?$/.test(trimmed) ? Number(trimmed) : undefined;
}
