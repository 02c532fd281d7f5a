import { parseArgs } from 'node:util';
import { z } from 'zod';
import { measured, systemOf } from '@/cli/amount';
import { maybeNumber } from '@/cli/number-option';
import { option } from '@/cli/option';
import { refuse } from '@/cli/refuse';
import { equalAmount, gramsOf, millilitresOf, nutrientsIn } from '@/core/materials/label/analysis';
import { ELEMENT_IN } from '@/core/materials/label/nutrient';
import { analysisOf } from './grade-options';

export const NUTRIENTS_HELP = `turnspit nutrients --grade 12-4-8 --amount "44 ml" [--basis oxide|element] [--density 1.0] [--per w/w|w/v] [--json]
Grams of nitrogen, phosphorus and potassium in an amount of a product.
  --grade N-P-K    the three numbers on the pack
  --basis          oxide: P and K are printed as P2O5 and K2O (as most packs do); element: as P and K
  --per            w/w: grams in 100 g; w/v: grams in 100 ml, as on many bottles (w/w)
  --density D      g per ml, where spoons or millilitres meet a label that counts by weight
  --json           {"nG","p2o5G","k2oG","pG","kG"}`;

/** `turnspit nutrients`. */
export function nutrientsVerb(args: readonly string[]): void {
  const { values } = parseArgs({
    args: [...args],
    options: {
      grade: { type: 'string' },
      basis: { type: 'string' },
      amount: { type: 'string' },
      density: { type: 'string' },
      per: { type: 'string' },
      system: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const analysis = analysisOf(values.grade, '--grade', values.basis, values.per);
  const found = nutrientsIn(
    measured(values.amount, '--amount', systemOf(values.system)),
    analysis,
    densityOf(values.density, '--density'),
  );
  if (!found.ok)
    refuse(
      analysis.per === 'w/w'
        ? 'The label counts by weight and the amount by volume: give --density, in g per ml.'
        : 'The label counts by volume and the amount by weight: give --density, in g per ml.',
    );
  const { n = 0, p = 0, k = 0 } = found.value;
  const grams = { nG: n, p2o5G: p / ELEMENT_IN.p2o5, k2oG: k / ELEMENT_IN.k2o, pG: p, kG: k };
  process.stdout.write(
    values.json
      ? `${JSON.stringify(grams)}\n`
      : `N ${short(n)} g, P2O5 ${short(grams.p2o5G)} g (P ${short(p)} g), K2O ${short(grams.k2oG)} g (K ${short(k)} g)\n`,
  );
}

export const EQUAL_HELP = `turnspit equal --grade-a 12-4-8 --amount-a "3 tbsp" --grade-b 4-6-2 --by n [--density-a 1] [--density-b 1] [--json]
How much of product B holds as much of a nutrient as an amount of product A.
  --by             n, p or k
  --basis-a, --basis-b, --per-a, --per-b   as in turnspit help nutrients
  --density-a, --density-b   g per ml
  --json           {"amountMl","amountG"}; null for what takes a density that was not given`;

/** `turnspit equal`. */
export function equalVerb(args: readonly string[]): void {
  const { values } = parseArgs({
    args: [...args],
    options: {
      'grade-a': { type: 'string' },
      'grade-b': { type: 'string' },
      'amount-a': { type: 'string' },
      by: { type: 'string' },
      'density-a': { type: 'string' },
      'density-b': { type: 'string' },
      'basis-a': { type: 'string' },
      'basis-b': { type: 'string' },
      'per-a': { type: 'string' },
      'per-b': { type: 'string' },
      system: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const by = option(z.enum(['n', 'p', 'k']), values.by ?? '', '--by', 'n, p or k');
  const a = {
    analysis: analysisOf(values['grade-a'], '--grade-a', values['basis-a'], values['per-a']),
    densityGPerMl: densityOf(values['density-a'], '--density-a'),
  };
  const b = {
    analysis: analysisOf(values['grade-b'], '--grade-b', values['basis-b'], values['per-b']),
    densityGPerMl: densityOf(values['density-b'], '--density-b'),
  };
  const found = equalAmount(
    measured(values['amount-a'], '--amount-a', systemOf(values.system)),
    a,
    b,
    by,
  );
  if (!found.ok)
    refuse(
      found.trouble.kind === 'needs-density'
        ? 'Amount and label of A count differently, one by weight, the other by volume: give --density-a.'
        : `${found.trouble.which === 'a' ? 'A' : 'B'} holds no ${by.toUpperCase()}.`,
    );
  const amounts = {
    amountMl: millilitresOf(found.value, b.densityGPerMl) ?? null,
    amountG: gramsOf(found.value, b.densityGPerMl) ?? null,
  };
  process.stdout.write(
    values.json
      ? `${JSON.stringify(amounts)}\n`
      : `${[amounts.amountMl === null ? [] : `${short(amounts.amountMl)} ml`, amounts.amountG === null ? [] : `${short(amounts.amountG)} g`].flat().join(', ')}\n`,
  );
}

function densityOf(written: string | undefined, name: string): number | null {
  return maybeNumber(written, name, { least: 0.01, most: 20 }) ?? null;
}

function short(value: number): string {
  return String(Number(value.toPrecision(4)));
}
