'use client';

import type { Dispatch, SetStateAction } from 'react';
import { useState } from 'react';
import { styled } from 'styled-components';
import { type NetBenefit, netBenefitOf } from '@/core/judge/after/net-benefit';
import type { TreatmentCost } from '@/core/judge/after/treatment-cost';
import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import { type SoldBy, soldBy } from '@/core/quantity/sold-by';
import { useSystem } from '@/features/frame/use-garden-units';
import type { ReadAmount } from '@/features/shelf/sums/read-amount';
import { BareInput } from '@/ui/fields/BareInput';
import { TextField } from '@/ui/fields/TextField';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import { readMoney } from './written-money';

interface NetBenefitPanelProps {
  readonly contrasts: readonly EstimableContrast[];
  readonly control: string;
  readonly unitWord: string;
  readonly costs: readonly TreatmentCost[];
  readonly worthPerKg: number | null;
}

/** Is it worth it? Cost and minutes against what came of it, with how sure that is. */
export function NetBenefitPanel({
  contrasts,
  control,
  unitWord,
  costs,
  worthPerKg,
}: NetBenefitPanelProps) {
  const sold = soldBy(useSystem());
  const [price, setPrice] = useState(
    worthPerKg === null ? '' : String(Number((worthPerKg * sold.kg).toFixed(2))),
  );
  const costOf = (name: string): TreatmentCost | undefined =>
    costs.find(cost => cost.treatment === name);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(
      contrasts.map(({ treatment }) => {
        const own = costOf(treatment)?.total ?? null;
        return [treatment, own === null ? '' : (own - (costOf(control)?.total ?? 0)).toFixed(2)];
      }),
    ),
  );
  const typedWorth = readMoney(price);
  const worth = typedWorth.base === undefined ? null : typedWorth.base / sold.kg;
  return (
    <Box aria-label="Is it worth it?">
      <h2>Is it worth it?</h2>
      <div data-fields>
        <TextField
          label={`A ${sold.name} is worth`}
          name="worthPerKg"
          value={price}
          onChange={setPrice}
          trouble={typedWorth.trouble}
          inputMode="decimal"
        />
      </div>
      <BenefitTable
        unitWord={unitWord}
        contrasts={contrasts}
        typed={typed}
        worth={worth}
        setTyped={setTyped}
        costOf={costOf}
        control={control}
      />
      <Soft>
        A {unitWord} against a {unitWord} of {control}, materials and, where an hour has a worth,
        hours. The chance takes these readings alone for all that is known.
      </Soft>
    </Box>
  );
}

interface BenefitTableProps {
  readonly unitWord: NetBenefitPanelProps['unitWord'];
  readonly contrasts: NetBenefitPanelProps['contrasts'];
  readonly typed: Readonly<Record<string, string>>;
  readonly worth: number | null;
  readonly setTyped: Dispatch<SetStateAction<Readonly<Record<string, string>>>>;
  readonly costOf: (name: string) => TreatmentCost | undefined;
  readonly control: NetBenefitPanelProps['control'];
}

function BenefitTable({
  unitWord,
  contrasts,
  typed,
  worth,
  setTyped,
  costOf,
  control,
}: BenefitTableProps) {
  const sold = soldBy(useSystem());
  return (
    <WideTable label="Costs and gains of every treatment">
      <TableHead
        of={[
          'Treatment',
          `costs more, a ${unitWord}`,
          'minutes more',
          `gives more, ${sold.short}`,
          'leaves',
          'pays in',
        ]}
      />
      <tbody>
        {contrasts.map(contrast => {
          const cost = readMoney(typed[contrast.treatment] ?? '', Number.NEGATIVE_INFINITY);
          const found = netBenefitOf(contrast, {
            extraCost: cost.base ?? 0,
            worthPerKg: worth ?? 0,
          });
          return (
            <BenefitRow
              key={contrast.treatment}
              contrast={contrast}
              typed={typed}
              setTyped={setTyped}
              costOf={costOf}
              control={control}
              found={found}
              worth={cost.base === undefined ? null : worth}
              cost={cost}
            />
          );
        })}
      </tbody>
    </WideTable>
  );
}

interface BenefitRowProps {
  readonly contrast: EstimableContrast;
  readonly typed: Readonly<Record<string, string>>;
  readonly setTyped: Dispatch<SetStateAction<Readonly<Record<string, string>>>>;
  readonly costOf: (name: string) => TreatmentCost | undefined;
  readonly control: NetBenefitPanelProps['control'];
  readonly found: NetBenefit;
  /** null where it, or the cost, is not known: then nothing is said of what is left. */
  readonly worth: number | null;
  readonly cost: ReadAmount;
}

function BenefitRow({
  contrast,
  typed,
  setTyped,
  costOf,
  control,
  found,
  worth,
  cost,
}: BenefitRowProps) {
  const sold = soldBy(useSystem());
  return (
    <tr>
      <th scope="row">{contrast.treatment}</th>
      <td>
        <BareInput
          aria-label={`${contrast.treatment} costs more`}
          value={typed[contrast.treatment] ?? ''}
          onChange={written => setTyped({ ...typed, [contrast.treatment]: written })}
          inputMode="decimal"
          maxLength={12}
          aria-invalid={cost.trouble !== undefined || undefined}
        />
      </td>
      <td>
        {Math.round((costOf(contrast.treatment)?.minutes ?? 0) - (costOf(control)?.minutes ?? 0))}
      </td>
      <td>
        {signed(found.gainKg / sold.kg, 3)}
        {found.gainKgCi && (
          <small>
            {signed(found.gainKgCi[0] / sold.kg, 3)} to {signed(found.gainKgCi[1] / sold.kg, 3)}
          </small>
        )}
      </td>
      <td>
        {worth === null ? '—' : signed(found.net, 2)}
        {worth !== null && found.netCi && (
          <small>
            {signed(found.netCi[0], 2)} to {signed(found.netCi[1], 2)}
          </small>
        )}
      </td>
      <td>
        {worth === null || found.chanceItPays === null
          ? '—'
          : `${Math.round(100 * found.chanceItPays)} of 100`}
        <small>
          {cost.base === undefined
            ? (cost.trouble ?? 'what it costs more is not known: write it')
            : breakEvenWords(found, sold)}
        </small>
      </td>
    </tr>
  );
}

function breakEvenWords({ costPerExtraKg }: NetBenefit, { name, kg }: SoldBy): string {
  if (costPerExtraKg === null) return `no extra ${name} to pay for`;
  return costPerExtraKg === 0
    ? 'costs nothing more'
    : `an extra ${name} costs ${(costPerExtraKg * kg).toFixed(2)}; it pays from that worth on`;
}

function signed(value: number, digits: number): string {
  return `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`;
}

const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr);
  & small { display: block; color: var(--ink-soft); }
  & [data-fields] { max-width: 200px; }
  & input { min-height: 32px; width: 90px; background: var(--paper); border: 0; border-bottom: 2px solid var(--rule-strong); padding: 2px 6px; }
  @media (pointer: coarse) { & td input { min-height: 48px; } }
`;
