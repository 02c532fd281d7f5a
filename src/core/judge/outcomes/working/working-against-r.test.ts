import { readFileSync } from 'node:fs';
import { parseTable } from '@/cli/parse-table';
import { judge } from '@/core/judge/outcomes/judge';
import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import { ownSpreadOf } from '@/core/judge/outcomes/spread/own-spread';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { judgeInputFromTable } from '@/core/judge/table/table-input';
import type { TableRoles } from '@/core/judge/table/table-roles';
import { workingTrialOf } from './working-trial';

// What R 4.2 says of named open datasets: reference/r/outcomes.R, with MASS, survival, sandwich and mvtnorm.
interface Reference {
  readonly offsets: {
    readonly contrasts: readonly { treatment: string; ratio: number; se: number; p: number }[];
  };
  readonly shares: readonly {
    name: string;
    treatment: string;
    control: string;
    blocks: string | readonly string[];
    contrasts: readonly { treatment: string; odds: number; se: number; df: number }[];
  }[];
  readonly steps: readonly {
    name: string;
    response: string;
    treatment: string;
    control: string;
    block: string;
    contrasts: readonly { treatment: string; t: number; p: number }[];
  }[];
  readonly days: readonly {
    name: string;
    days: string;
    event: string;
    treatment: string;
    control: string;
    difference: number;
    se: number;
    p: number;
  }[];
  readonly welch: readonly {
    treatment: string;
    se: number;
    df: number;
    least: number;
    most: number;
  }[];
  readonly blocked: readonly { treatment: string; se: number; df: number }[];
}
const reference: Reference = JSON.parse(readFileSync('reference/results/outcomes.json', 'utf8'));

function inputOf(
  name: string,
  roles: Partial<TableRoles> & { readonly response: string },
): JudgeInput {
  const table = parseTable(readFileSync(`reference/data/${name}.csv`, 'utf8'));
  if (!table.ok) throw new Error(name);
  const input = judgeInputFromTable(table.value, {
    kind: 'continuous',
    blocks: [],
    factors: [],
    better: 'higher',
    margin: null,
    confidence: 0.95,
    shuffles: 0,
    seed: 1,
    ...roles,
  });
  if (!input.ok) throw new Error(`${name}: ${JSON.stringify(input.trouble)}`);
  return input.value;
}

function contrastOf(input: JudgeInput, treatment: string): EstimableContrast {
  const found = judge(input).contrasts.find(each => each.treatment === treatment);
  if (!found?.estimable) throw new Error(treatment);
  return found;
}

const near = (found: number | null | undefined, expected: number, digits = 6): void =>
  expect(found).toAgree(expected, digits);

test('counts of units that were looked at for longer or shorter: MASS::Insurance, glm with an offset', () => {
  const table = parseTable(readFileSync('reference/data/insurance.csv', 'utf8'));
  if (!table.ok) throw new Error('insurance');
  const holders = table.value.rows.map(row => Number(row.Holders));
  const plain = inputOf('insurance', {
    kind: 'count',
    response: 'Claims',
    treatment: 'Group',
    control: '<1l',
    blocks: ['District', 'Age'],
  });
  const input = {
    ...plain,
    units: plain.units.map((unit, i) => ({ ...unit, effort: holders[i] })),
  };
  for (const { treatment, ratio, se, p } of reference.offsets.contrasts) {
    const found = contrastOf(input, treatment);
    near(found.effect?.value, ratio);
    near(found.se, se);
    near(found.p, p, 5);
  }
});

test.each(reference.shares)(
  'shares: $name, odds by glm of the quasi-binomial family',
  ({ name, treatment, control, blocks, contrasts }) => {
    const input = inputOf(name, {
      kind: 'proportion',
      response: 'k',
      outOf: 'n',
      treatment,
      control,
      blocks: typeof blocks === 'string' ? [blocks] : blocks,
    });
    for (const expected of contrasts) {
      const { effect } = contrastOf(input, expected.treatment);
      near(effect?.value, expected.odds);
      expect(effect?.ci && effect.ci[0] < expected.odds && effect.ci[1] > expected.odds).toBe(true);
    }
  },
);

test.each(reference.steps)(
  'steps: $name, least squares of aligned ranks',
  ({ name, response, treatment, control, block, contrasts }) => {
    const input = inputOf(name, { kind: 'ordinal', response, treatment, control, blocks: [block] });
    for (const expected of contrasts) {
      const found = contrastOf(input, expected.treatment);
      near(found.t, expected.t);
      near(found.p, expected.p, 5);
    }
  },
);

test.each(reference.days)(
  'days: $name, pseudo-observations of the mean wait',
  ({ name, days, event, treatment, control, difference, se, p }) => {
    const input = inputOf(name, { kind: 'time', response: days, event, treatment, control });
    const [found] = judge(input).contrasts;
    if (!found?.estimable) throw new Error(name);
    near(found.difference, difference);
    near(found.se, se);
    near(found.p, p, 5);
  },
);

describe('each treatment’s own spread', () => {
  test('without blocks is Welch’s t, and all of them together the joint t on their own degrees of freedom', () => {
    const input = inputOf('insect-sprays', { response: 'count', treatment: 'spray', control: 'F' });
    const { trial, model } = workingTrialOf(input);
    const own = ownSpreadOf(trial, model);
    const { warnings } = judge(input);
    expect(warnings.map(warning => warning.code)).toContain('unequal-variance');
    for (const { treatment, se, df, least, most } of reference.welch) {
      const difference = trial.differenceOf(model, treatment, 'F');
      if (!difference || !own) throw new Error(treatment);
      near(Math.sqrt(own.covariance(difference, difference)), se);
      near(own.dfOf(difference), df);
      const p = contrastOf(input, treatment).pAdjusted ?? 1;
      const slack = 2e-5 + 0.15 * least;
      expect(p).toBeGreaterThan(Math.min(least, most) - slack);
      expect(p).toBeLessThan(Math.max(least, most) + slack);
    }
  });

  test('in blocks is HC2 with Satterthwaite’s degrees of freedom: MASS::oats', () => {
    const input = inputOf('oats', { response: 'Y', treatment: 'N', control: '0.0', blocks: ['B'] });
    const { trial, model } = workingTrialOf(input);
    const own = ownSpreadOf(trial, model);
    for (const { treatment, se, df } of reference.blocked) {
      const difference = trial.differenceOf(model, treatment, '0.0');
      if (!difference || !own) throw new Error(treatment);
      near(Math.sqrt(own.covariance(difference, difference)), se);
      near(own.dfOf(difference), df);
    }
  });
});
