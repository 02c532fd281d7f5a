'use client';

import { useState } from 'react';
import { figures } from '@/core/materials/amount-words';
import { equalShares, gradeFractions } from '@/core/materials/mix/sieve';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { printLength } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { useAmountWords } from '@/features/frame/use-garden-units';
import { TextField } from '@/ui/fields/TextField';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import { readAmount } from './read-amount';
import { Sum } from './Sum';

/** What stayed on each sieve, in percent; and the most that can be put together again with all sizes alike. */
export function SieveSum({ system }: { readonly system: MeasureSystem }) {
  const inUnits = useAmountWords();
  const [lines, setLines] = useState(
    system === 'us'
      ? '1/2 in 4.2 oz\n1/4 in 12 oz\n1/8 in 9.2 oz\npan 6.3 oz'
      : '8 mm 120\n4 mm 340\n2 mm 260\npan 180',
  );
  const fractions = lines
    .split('\n')
    .map(line => line.trim())
    .filter(line => line !== '')
    .map(line => {
      const found = /^(.+?)\s+(\d+(?:[.,]\d+)?\s*(?:g|oz|lb)?)$/.exec(line);
      const mass = readAmount(found?.[2] ?? '', 'mass', system, system === 'us' ? 'oz' : 'g');
      const massG = mass.trouble === 'More than none.' ? 0 : (mass.base ?? Number.NaN);
      const opening = found?.[1] ?? '';
      const read = /^pan$/i.test(opening) ? 0 : openingOf(opening, system);
      return read === undefined || !(massG >= 0) ? undefined : { openingMm: read, massG };
    });
  const read = fractions.flatMap(fraction => fraction ?? []);
  const isRead = read.length === fractions.length && read.some(fraction => fraction.massG > 0);
  const alike = isRead ? equalShares(read) : undefined;
  return (
    <Sum
      title="Sieves"
      lead={`A line for each: its opening and the ${system === 'us' ? 'ounces' : 'grams'} that stayed on it; the pan last. Wash every fraction equally long.`}
    >
      <TextField
        label="On the sieves"
        name="sieves"
        value={lines}
        onChange={setLines}
        isLong
        trouble={
          isRead
            ? undefined
            : `An opening and a weight in each line: ${system === 'us' ? '1/4 in 12 oz' : '4 mm 340 g'}.`
        }
      />
      {alike && (
        <output>
          {inUnits(alike.totalG, 'mass')} with all sizes alike, {inUnits(alike.eachG, 'mass')} of
          each
        </output>
      )}
      {isRead && <FractionTable read={read} system={system} />}
    </Sum>
  );
}

function FractionTable({
  read,
  system,
}: {
  readonly read: { openingMm: number; massG: number }[];
  readonly system: MeasureSystem;
}) {
  const inUnits = useAmountWords();
  return (
    <WideTable label="The sieves">
      <TableHead of={['stayed on', 'mass', 'of all', 'fell through']} />
      <tbody>
        {gradeFractions(read).map(each => (
          <tr key={each.openingMm}>
            <th scope="row">
              {each.openingMm === 0 ? 'pan' : printLength(each.openingMm, system)}
            </th>
            <td>{inUnits(each.massG, 'mass')}</td>
            <td>{figures(each.percent)}%</td>
            <td>{figures(each.passingPercent)}%</td>
          </tr>
        ))}
      </tbody>
    </WideTable>
  );
}

function openingOf(written: string, system: MeasureSystem): number | undefined {
  const read = parseQuantity(written, {
    dimension: 'length',
    system,
    bareUnit: system === 'us' ? 'in' : 'mm',
  });
  return read.ok && read.value.base > 0 ? read.value.base : undefined;
}
