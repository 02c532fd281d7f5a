'use client';

import type { trialGermination } from '@/core/judge/after/trial-germination';
import { printFigure } from '@/features/judge/print-value';
import { WideTable } from '@/ui/WideTable';

export function GerminationTable({
  germination,
}: {
  readonly germination: NonNullable<ReturnType<typeof trialGermination>>;
}) {
  return (
    <WideTable label="How many, and how fast">
      <thead>
        <tr>
          <th scope="col">Treatment</th>
          <th scope="col">of</th>
          <th scope="col">came up</th>
          <th scope="col">half of those by day</th>
          <th scope="col">on average on day</th>
        </tr>
      </thead>
      <tbody>
        {germination.map(each => (
          <tr key={each.treatment}>
            <th scope="row">{each.treatment}</th>
            <td>{each.sown}</td>
            <td>{Math.round(each.percent)}%</td>
            <td>{each.t50Days === null ? '—' : printFigure(each.t50Days)}</td>
            <td>{each.meanDays === null ? '—' : printFigure(each.meanDays)}</td>
          </tr>
        ))}
      </tbody>
    </WideTable>
  );
}
