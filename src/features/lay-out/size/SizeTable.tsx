'use client';

import { LAYOUTS } from '@/core/design/layouts/layouts';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import type { SizeCurve } from '@/core/judge/planning/size-curve';
import { pluralOf } from '@/core/words/plural';
import { Fold } from '@/ui/Fold';
import { WideTable } from '@/ui/WideTable';

interface SizeTableProps {
  readonly plan: PlannedTrial | null;
  readonly unitWords: string;
  readonly curve: SizeCurve;
}

export function SizeTable({ plan, unitWords, curve }: SizeTableProps) {
  return (
    <Fold title="As a table">
      <WideTable label="What so many show">
        <thead>
          <tr>
            <th scope="col">{plan ? axisWords(plan) : ''}</th>
            <th scope="col">{unitWords}</th>
            <th scope="col">seen, of 100</th>
            <th scope="col">in closed form</th>
            <th scope="col">smallest gain seen 4 times in 5</th>
          </tr>
        </thead>
        <tbody>
          {curve.map(point => (
            <tr key={point.size}>
              <td>{point.size}</td>
              <td>{point.units}</td>
              <td>{point.shares ? Math.round(100 * point.shares.seen) : '–'}</td>
              <td>{point.closed === null ? '–' : Math.round(100 * point.closed)}</td>
              <td>
                {point.smallestSeen === null ? '–' : `${Math.round(100 * point.smallestSeen)}%`}
              </td>
            </tr>
          ))}
        </tbody>
      </WideTable>
    </Fold>
  );
}

export function axisWords({ request }: PlannedTrial): string {
  return LAYOUTS[request.kind].growsBy === 'each' ? 'of each' : `${pluralOf(request.blockWord)}`;
}
