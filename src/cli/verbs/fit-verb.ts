import { parseArgs } from 'node:util';
import { z } from 'zod';
import { numberColumn } from '@/cli/number-column';
import { option } from '@/cli/option';
import { readTable } from '@/cli/read-table';
import { refuse } from '@/cli/refuse';
import { CURVES } from '@/core/stats/curves/curve-shapes';
import { fitCurve } from '@/core/stats/curves/fit-curve';

export const FIT_HELP = `turnspit fit FILE.csv --x COL --y COL --model MODEL [--json]
Lays a curve through points by least squares.
  linear        y = a + b x
  quadratic     y = b0 + b1 x + b2 x²
  plateau       y = a + b min(x, x0)
  mitscherlich  y = a − b exp(−c x)
  logistic      y = asym / (1 + exp((xmid − x)/scal))
  gompertz      y = asym exp(−b2 b3^x)
  --json        {"parameters":{...},"se":{...},"rss":...,"aicc":...,"converged":true}
AICc is of the whole likelihood and counts the residual variance as a parameter. Rows without x or y are left out.`;

/** `turnspit fit`. */
export async function fitVerb(args: readonly string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      x: { type: 'string' },
      y: { type: 'string' },
      model: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const file = positionals[0];
  if (file === undefined || positionals.length > 1)
    refuse('Name one CSV file: turnspit fit FILE.csv --x COL --y COL --model MODEL');
  const model = option(z.enum(CURVES), values.model ?? '', '--model', CURVES.join(', '));
  const table = await readTable(file);
  const [xs, ys] = [
    numberColumn(table, file, values.x, '--x'),
    numberColumn(table, file, values.y, '--y'),
  ];
  const points = xs.flatMap((x, i) => {
    const y = ys[i];
    return x === null || y == null ? [] : [{ x, y }];
  });
  const fitted = fitCurve(points, model);
  if (!fitted)
    refuse(
      `${file}: ${points.length} points at ${new Set(points.map(point => point.x)).size} different ${values.x}. Expected at least as many as the curve has parameters.`,
    );
  const { parameters, se, rss, aicc, converged } = fitted;
  const words = [
    ...Object.entries(parameters).map(
      ([name, value]) =>
        `${name} ${short(value)}${se[name] == null ? '' : ` (± ${short(se[name])})`}`,
    ),
    `residual sum of squares ${short(rss)}`,
    `AICc ${aicc === null ? 'none' : short(aicc)}`,
    ...(converged ? [] : ['! no minimum was found: these points do not follow such a curve']),
  ];
  process.stdout.write(
    values.json
      ? `${JSON.stringify({ parameters, se, rss, aicc, converged })}\n`
      : `${words.join('\n')}\n`,
  );
}

function short(value: number): string {
  return String(Number(value.toPrecision(6)));
}
