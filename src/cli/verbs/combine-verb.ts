import { parseArgs } from 'node:util';
import { z } from 'zod';
import { confidenceOption } from '@/cli/confidence-option';
import { numberColumn } from '@/cli/number-column';
import { option } from '@/cli/option';
import { readTable } from '@/cli/read-table';
import { refuse } from '@/cli/refuse';
import { combineSites } from '@/core/stats/meta/random-effects';

export const COMBINE_HELP = `turnspit combine FILE.csv --estimate COL --se COL [--method dl|reml|hk] [--confidence 0.95] [--json]
Several gardens or seasons together, which need not have the same true difference.
  --method dl    DerSimonian-Laird
  --method reml  restricted maximum likelihood
  --method hk    the same with the interval of Hartung and Knapp (the usual here: few gardens)
  --json         {"estimate":...,"ci":[...],"tau2":...,"i2":...,"q":...,"p":...}: i2 in %, p two-sided of the estimate; qP is of q`;

/** `turnspit combine`. */
export async function combineVerb(args: readonly string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      estimate: { type: 'string' },
      se: { type: 'string' },
      method: { type: 'string' },
      confidence: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const file = positionals[0];
  if (file === undefined || positionals.length > 1)
    refuse('Name one CSV file: turnspit combine FILE.csv --estimate COL --se COL');
  const method = option(
    z.enum(['dl', 'reml', 'hk']),
    values.method ?? 'hk',
    '--method',
    'dl, reml or hk',
  );
  const confidence = confidenceOption(values.confidence);
  const table = await readTable(file);
  const [estimates, errors] = [
    numberColumn(table, file, values.estimate, '--estimate'),
    numberColumn(table, file, values.se, '--se'),
  ];
  const sites = estimates.flatMap((estimate, i) => {
    const se = errors[i];
    return estimate === null || se == null ? [] : [{ estimate, se }];
  });
  if (sites.some(site => !(site.se > 0)))
    refuse(`${file}, column ${values.se}: every standard error must be above 0.`);
  if (sites.length < 2)
    refuse(`${file}: ${sites.length} site with an estimate and its error. Expected at least two.`);
  const { estimate, ci, tau2, i2, q, p, qP, se } = combineSites(sites, method, confidence);
  const words = `${short(estimate)} (${short(ci[0])} to ${short(ci[1])}), p ${short(p)}; between sites: variance ${short(tau2)}, ${short(i2)}% of all (Q ${short(q)}, p ${short(qP)})`;
  process.stdout.write(
    values.json ? `${JSON.stringify({ estimate, ci, tau2, i2, q, p, qP, se })}\n` : `${words}\n`,
  );
}

function short(value: number): string {
  return String(Number(value.toPrecision(4)));
}
