'use client';

import type { TrialEfficacy } from '@/core/judge/after/trial-efficacy';
import { shortDay } from '@/core/time/days';
import { Soft } from '@/ui/Page';
import { WideTable } from '@/ui/WideTable';
import { shortFigure } from './short-figure';

/** How much of a pest each remedy took away, allowing for what the untreated did. */
export function Efficacy({
  found: { method, beforeOn, afterOn, control, treatments, isUnlikeBefore },
}: {
  readonly found: TrialEfficacy;
}) {
  return (
    <section aria-label="Efficacy">
      <h2>How much it took away</h2>
      <WideTable label="Efficacy of every remedy">
        <thead>
          <tr>
            <th scope="col">Remedy</th>
            {beforeOn && <th scope="col">{shortDay(beforeOn)}</th>}
            <th scope="col">{shortDay(afterOn)}</th>
            <th scope="col">taken away</th>
          </tr>
        </thead>
        <tbody>
          {treatments.map(each => (
            <tr key={each.treatment}>
              <th scope="row">{each.treatment}</th>
              {beforeOn && <td>{each.before === null ? '—' : shortFigure(each.before)}</td>}
              <td>{shortFigure(each.after)}</td>
              <td>{each.percent === null ? '—' : `${Math.round(each.percent)}%`}</td>
            </tr>
          ))}
          <tr>
            <th scope="row">{control.name}</th>
            {beforeOn && <td>{control.before === null ? '—' : shortFigure(control.before)}</td>}
            <td>{shortFigure(control.after)}</td>
            <td>the control</td>
          </tr>
        </tbody>
      </WideTable>
      <Soft>
        {method === 'abbott'
          ? 'By Abbott, from the last count: nothing was counted before the first treatment, so that all are taken to have begun alike.'
          : 'By Henderson and Tilton, from the counts before and after.'}
        {isUnlikeBefore ? ' They began unlike: the count after alone would mislead.' : ''} A
        percentage without their spread is no test; that stands above.
      </Soft>
    </section>
  );
}
