import { useMemo } from 'react';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import { type SizePoint, splitsOf } from '@/core/judge/planning/size-curve';
import { pluralOf } from '@/core/words/plural';
import { Fold } from '@/ui/Fold';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';

/** The same units spent on fewer treatments show more: the smallest gain seen with 8 × 1, 4 × 2, 2 × 4. */
export function SpentOtherwise({
  plan,
  own,
  cv,
}: {
  readonly plan: PlannedTrial;
  readonly own: SizePoint | undefined;
  readonly cv: number;
}) {
  const rows = useMemo(() => (own ? splitsOf(own.units, cv) : []), [own, cv]);
  if (rows.length < 2) return null;
  return (
    <Fold title={`The same ${pluralOf(plan.unitWord)} on fewer treatments`}>
      <WideTable label="Fewer treatments">
        <TableHead
          of={[`treatments × ${pluralOf(plan.unitWord)}`, 'smallest gain seen 4 times in 5']}
        />
        <tbody>
          {rows.map(row => (
            <tr key={row.treatments}>
              <td>
                {row.treatments} × {row.each}
              </td>
              <td>
                {row.smallest === null
                  ? 'nothing: one each is a story'
                  : `${Math.round(100 * row.smallest)}%`}
              </td>
            </tr>
          ))}
        </tbody>
      </WideTable>
      {plan.treatments.length > 2 && plan.treatments.length < 9 && (
        <Soft>
          The control stands in every comparison: about{' '}
          {Math.sqrt(plan.treatments.length - 1).toFixed(1)} times as many of it as of each other
          serve all of them best.
        </Soft>
      )}
    </Fold>
  );
}
