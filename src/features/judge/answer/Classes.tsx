'use client';

import type { JudgeInput } from '@/core/judge/question/judge-input';
import { Link } from '@/ui/Link';
import { WideTable } from '@/ui/WideTable';

export const OVERALL_WORDS = {
  friedman: 'Friedman',
  'kruskal-wallis': 'Kruskal-Wallis',
  'chi-square-shuffled': 'chi-square, by shuffles',
} as const;

/** How often each class came under each treatment; a class is chosen by its name. */
export function Classes({
  classes,
  input,
  linkOf,
}: {
  readonly classes: readonly string[];
  readonly input: JudgeInput;
  readonly linkOf: (at: number) => string;
}) {
  const shown = classes
    .map((name, at) => ({ name, at }))
    .filter(({ name }) => input.units.some(unit => unit.className === name));
  return (
    <section aria-label="How often each came">
      <h2>How often each came</h2>
      <WideTable label="Classes by treatment">
        <thead>
          <tr>
            <th scope="col">Treatment</th>
            {shown.map(({ name, at }) => (
              <th key={name} scope="col">
                {input.countedClass === name ? (
                  <b>{name}, counted below</b>
                ) : (
                  <Link href={linkOf(at)}>{name}</Link>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {input.treatments.map(treatment => (
            <tr key={treatment}>
              <th scope="row">{treatment}</th>
              {shown.map(({ name }) => (
                <td key={name}>
                  {
                    input.units.filter(
                      unit => unit.treatment === treatment && unit.className === name,
                    ).length
                  }
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </WideTable>
    </section>
  );
}
