'use client';

import type { trialGermination } from '@/core/judge/after/trial-germination';
import { printFigure } from '@/features/judge/print-value';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';

export function GerminationTable({
  germination,
}: {
  readonly germination: NonNullable<ReturnType<typeof trialGermination>>;
}) {
  return (
    <WideTable label="How many, and how fast">
      <TableHead of={['Treatment', 'of', 'came up', 'half of those by day', 'on average on day']} />
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
