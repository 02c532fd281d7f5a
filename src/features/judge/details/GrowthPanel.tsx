'use client';

import { useMemo, useState } from 'react';
import { type TreatmentGrowth, trialGrowth } from '@/core/judge/after/trial-growth';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { printFigure } from '@/features/judge/print-value';
import { Fold } from '@/ui/Fold';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';

const CURVES = {
  linear: 'a straight line',
  logistic: 'an S',
  gompertz: 'a lopsided S',
  quadratic: 'a curve with a peak',
  plateau: 'a plateau',
  mitscherlich: 'levels off',
} as const;

/** How each treatment's plants grew, with the curve that fits; only where there were looks enough. */
export function GrowthPanel({
  data,
  measure,
}: {
  readonly data: TrialData;
  readonly measure: Measure;
}) {
  const [isOpen, setOpen] = useState(false);
  // Laying curves takes a moment: only for whoever asks.
  const grown = useMemo(
    () => (isOpen ? trialGrowth(data, measure) : undefined),
    [isOpen, data, measure],
  );
  return (
    <Fold title="How they grew" onOpenChange={setOpen}>
      {grown === undefined ? (
        <Soft>Growth curves want at least five days of readings.</Soft>
      ) : (
        <>
          <WideTable label="Growth of every treatment">
            <TableHead of={['Treatment', 'fits best', 'full size', 'fastest on day']} />
            <tbody>
              {grown.map(each => (
                <tr key={each.treatment}>
                  <th scope="row">{each.treatment}</th>
                  {cellsOf(each)}
                </tr>
              ))}
            </tbody>
          </WideTable>
          <Soft>
            Curves through the means of each day. They describe; they don’t test whether treatments
            differ.
          </Soft>
        </>
      )}
    </Fold>
  );
}

function cellsOf({ fits: [best] }: TreatmentGrowth) {
  if (!best) return <td colSpan={3}>no curve fits</td>;
  const { asym, xmid, b2, b3 } = best.parameters;
  // A Gompertz curve is steepest where b2 · b3^x = 1.
  const fastest =
    best.curve === 'logistic'
      ? xmid
      : best.curve === 'gompertz' && b2 !== undefined && b3 !== undefined
        ? -Math.log(b2) / Math.log(b3)
        : undefined;
  return (
    <>
      <td>{CURVES[best.curve]}</td>
      <td>{asym === undefined ? 'not reached' : printFigure(asym)}</td>
      <td>{fastest === undefined ? '—' : printFigure(fastest)}</td>
    </>
  );
}
