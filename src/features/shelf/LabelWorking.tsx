'use client';

import { styled } from 'styled-components';
import { figures } from '@/core/materials/amount-words';
import { elementsOf, oxidesOf } from '@/core/materials/label/analysis';
import { ELEMENT_IN } from '@/core/materials/label/nutrient';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Analysis } from '@/core/trial/model/analysis';
import { NUTRIENT_WORDS } from '@/core/trial/model/nutrient';
import type { Product } from '@/core/trial/model/product';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';

interface LabelWorkingProps {
  readonly product: Product;
  readonly system: MeasureSystem;
}

/** Oxide and element beside each other, with the factors between them. */
export function LabelWorking({ product, system }: LabelWorkingProps) {
  const { analysis } = product;
  if (!analysis) return null;
  const { n = 0, p = 0, k = 0 } = elementsOf(analysis);
  const { p2o5, k2o } = oxidesOf(analysis);
  const others = Object.entries(NUTRIENT_WORDS).flatMap(([key, word]) => {
    const percent = Object.entries(analysis.others).find(([nutrient]) => nutrient === key)?.[1];
    return percent === undefined ? [] : [[word, percent] as const];
  });
  return (
    <Working aria-label="What is in it">
      <h2>What is in it</h2>
      <WorkingTable
        {...wordsOf(analysis.per, system)}
        n={n}
        p2o5={p2o5}
        p={p}
        k2o={k2o}
        k={k}
        others={others}
      />
      {analysis.per === 'w/v' && product.densityGPerMl === null && (
        <Soft>Counted by volume: to weigh it, its density is needed.</Soft>
      )}
      {analysis.per === 'w/w' && product.densityGPerMl === null && (
        <Soft>
          Counted by weight: for spoons and {system === 'us' ? 'fluid ounces' : 'millilitres'} its
          density is needed. {weighIt(system)}
        </Soft>
      )}
    </Working>
  );
}

interface Words {
  readonly head: string;
  readonly unit: string;
}

/** Weight in a volume has the same figure in grams and millilitres only: elsewhere it stays a percentage. */
function wordsOf(per: Analysis['per'], system: MeasureSystem): Words {
  if (system !== 'us') return { head: `in 100 ${per === 'w/w' ? 'g' : 'ml'}`, unit: 'g' };
  return per === 'w/w'
    ? { head: 'in 100 oz', unit: 'oz' }
    : { head: 'weight in volume', unit: '%' };
}

function weighIt(system: MeasureSystem): string {
  return system === 'us'
    ? 'Weigh a pint of it and a pint of water, and divide the one by the other.'
    : 'Weigh 100 ml and divide by 100.';
}

interface WorkingTableProps extends Words {
  readonly n: number;
  readonly p2o5: number;
  readonly p: number;
  readonly k2o: number;
  readonly k: number;
  readonly others: (readonly [string, number])[];
}

function WorkingTable({ head, unit, n, p2o5, p, k2o, k, others }: WorkingTableProps) {
  return (
    <WideTable label="The label, worked out">
      <TableHead of={[head, 'as printed by some', 'as element']} />
      <tbody>
        <tr>
          <th scope="row">nitrogen</th>
          <td />
          <td>
            {figures(n)} {unit} N
          </td>
        </tr>
        <tr>
          <th scope="row">phosphorus</th>
          <td>
            {figures(p2o5)} {unit} P₂O₅
          </td>
          <td>
            × {ELEMENT_IN.p2o5.toFixed(4)} = {figures(p)} {unit} P
          </td>
        </tr>
        <tr>
          <th scope="row">potassium</th>
          <td>
            {figures(k2o)} {unit} K₂O
          </td>
          <td>
            × {ELEMENT_IN.k2o.toFixed(4)} = {figures(k)} {unit} K
          </td>
        </tr>
        {others.map(([word, percent]) => (
          <tr key={word}>
            <th scope="row">{word}</th>
            <td />
            <td>
              {figures(percent)} {unit}
            </td>
          </tr>
        ))}
      </tbody>
    </WideTable>
  );
}

const Working = styled.section`
  display: grid; gap: 8px;
  & table { border-collapse: collapse; width: 100%; font-variant-numeric: tabular-nums; }
  & th, & td { text-align: left; padding: 6px 12px 6px 0; border-bottom: 1px solid var(--rule); font-weight: 400; }
  & tbody th { font-size: inherit; color: inherit; }
  & thead th { color: var(--ink-soft); font-size: 0.9375rem; }
  & td:last-child { font-weight: 600; }
`;
