'use client';
import { useState } from 'react';
import { styled } from 'styled-components';
import { amountWords, figures, strengthWords } from '@/core/materials/amount-words';
import {
  fittingTool,
  MEASURING_TOOLS,
  type MeasuringTool,
  measureOut,
  stockSolution,
} from '@/core/materials/dose/measuring-tool';
import { nutrientsIn } from '@/core/materials/label/analysis';
import { doseFor, fromMadeUp } from '@/core/materials/label/label-rate';
import { circleM2 } from '@/core/materials/mix/container-volume';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { exampleAmounts, quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { strengthOf } from '@/core/schedule/rules/care-form';
import type { LabelRate } from '@/core/trial/model/label-rate';
import type { LooseMeasure, Product } from '@/core/trial/model/product';
import { useAmountWords } from '@/features/frame/use-garden-units';
import { readAmount, readCount } from '@/features/shelf/sums/read-amount';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Soft } from '@/ui/Page';
import { DoseFields } from './DoseFields';
import { type DoseSheetValues, NEEDS, type Per } from './dose-values';

interface DoseSheetProps {
  readonly product: Product;
  readonly system: MeasureSystem;
}

/** What one pot gets of it, in the tool at hand. */
export function DoseSheet({ product, system }: DoseSheetProps) {
  const [first] = product.rates;
  if (first) return <RateSheet product={product} system={system} first={first} />;
  return (
    <section>
      <h2>What a pot gets</h2>
      <Soft>Write a rate of its label to see it.</Soft>
    </section>
  );
}

function RateSheet({ product, system, first }: DoseSheetProps & { readonly first: LabelRate }) {
  const { form, field } = useForm<DoseSheetValues>({
    at: '0',
    choice: 'high',
    strength: '1',
    size: '',
    pots: '8',
  });
  const [toolKey, setTool] = useState('syringe-10');
  const rate = product.rates[Number(form.at)] ?? first;
  const tools = [...MEASURING_TOOLS[system], ...product.looseMeasures.map(looseTool)].filter(
    each => each.of === rate.of,
  );
  const tool = tools.find(each => each.key === toolKey) ?? tools[0];
  const share = strengthOf(form.strength);
  const target = targetOf(rate, form.size, system);
  const count = readCount(form.pots);
  const dose =
    share === undefined || 'trouble' in target
      ? undefined
      : doseFor(rate, form.choice, share, target);
  return (
    <Sheet aria-label="What a pot gets">
      <h2>What a pot gets</h2>
      {product.rates.length > 1 && (
        <Select
          label="By the rate"
          {...field('at')}
          options={product.rates.map((each, i) => ({ value: String(i), label: each.asWritten }))}
        />
      )}
      <DoseFields
        rate={rate}
        field={field}
        share={share}
        target={target}
        size={form.size}
        count={count}
        tool={tool}
        setTool={setTool}
        tools={tools}
      />
      {dose !== undefined && tool && (
        <DoseWords
          product={product}
          rate={rate}
          dose={dose}
          count={count.base ?? 0}
          tool={tool}
          system={system}
        />
      )}
      {rate.per.kind === 'water' && 'waterMl' in target && target.waterMl !== undefined && (
        <MadeUp rate={rate} eachMl={target.waterMl} system={system} />
      )}
      {dose === undefined && (
        <Soft>{NEEDS[rate.per.kind] ? `${ASKS[rate.per.kind] ?? ''}` : ''}</Soft>
      )}
    </Sheet>
  );
}

/** A cap or handful that was weighed, as a tool: it is given whole. */
function looseTool({ name, of, mean }: LooseMeasure): MeasuringTool {
  return { key: `loose ${name}`, name, of, step: mean, largest: mean * 20 };
}

function DoseWords({
  product,
  rate,
  dose,
  count,
  tool,
  system,
}: {
  readonly product: Product;
  readonly rate: LabelRate;
  readonly dose: number;
  readonly count: number;
  readonly tool: MeasuringTool;
  readonly system: MeasureSystem;
}) {
  const inUnits = useAmountWords();
  const out = measureOut(dose, tool);
  const finer = out.isTooCoarse
    ? fittingTool(
        dose,
        MEASURING_TOOLS[system].filter(({ of }) => of === tool.of),
      )
    : undefined;
  const stock = out.isTooCoarse ? stockSolution(dose, Math.max(1, count), tool, system) : undefined;
  const held = product.analysis
    ? nutrientsIn(
        rate.of === 'mass' ? { kind: 'mass', g: dose } : { kind: 'volume', ml: dose },
        product.analysis,
        product.densityGPerMl,
      )
    : undefined;
  return (
    <>
      <output>
        {inUnits(dose, rate.of)} each
        {count > 1 ? `, ${inUnits(dose * count, rate.of)} for ${count}` : ''}
      </output>
      <p>
        {out.isTooCoarse
          ? `A ${tool.name} is too coarse for that: its nearest is ${inUnits(out.given, rate.of)}, ${signed(out.errorPercent)}, and half a step is ${figures(out.stepPercent)}% of it.`
          : `With a ${tool.name}: ${inUnits(out.given, rate.of)}, ${Math.abs(out.errorPercent) < 0.5 ? 'just right' : signed(out.errorPercent)}, to within ${figures(out.stepPercent)}%.`}
      </p>
      {finer && (
        <p>
          <b>Use a finer tool:</b> a {finer.name} measures it.
        </p>
      )}
      {stock && (
        <p>
          <b>{finer ? 'Or make a stock:' : 'Make a stock instead:'}</b>{' '}
          {inUnits(stock.product, rate.of)} made up with water to{' '}
          {inUnits(stock.madeUpToMl, 'volume')}, and {inUnits(stock.eachMl, 'volume')} of that to
          each; {inUnits(stock.leftMl, 'volume')} is left over.
        </p>
      )}
      {out.isTooCoarse && !finer && !stock && (
        <p>Too little to measure: make a weaker stock of it first, and take the dose from that.</p>
      )}
      {held?.ok && (
        <Soft>
          It holds {heldWords(held.value.n, system)} nitrogen, {heldWords(held.value.p, system)}{' '}
          phosphorus, {heldWords(held.value.k, system)} potassium.
        </Soft>
      )}
    </>
  );
}

/** So little that grams are cut to thousandths. */
function heldWords(g: number | undefined, system: MeasureSystem): string {
  return system === 'us' ? amountWords(g ?? 0, 'mass', system) : `${figures(1000 * (g ?? 0))} mg`;
}

/** The reverse question: so much is made up already, with so much in it. */
function MadeUp({
  rate,
  eachMl,
  system,
}: {
  readonly rate: LabelRate;
  readonly eachMl: number;
  readonly system: MeasureSystem;
}) {
  const inUnits = useAmountWords();
  const { form, field } = useForm({ made: '', holds: '' });
  const { made, holds } = form;
  const [m, h] = [readAmount(made, 'volume', system), readAmount(holds, rate.of, system)];
  const found =
    m.base !== undefined && h.base !== undefined
      ? fromMadeUp(m.base, eachMl, h.base, rate)
      : undefined;
  return (
    <Fold title="A can is made up already">
      <div data-fields>
        <TextField
          label="So much"
          {...field('made')}
          trouble={m.trouble}
          placeholder={system === 'us' ? '1 gal' : '5 l'}
        />
        <TextField
          label="holding"
          {...field('holds')}
          trouble={h.trouble}
          placeholder={amountWords(rate.high, rate.of, system)}
        />
      </div>
      {found && (
        <p>
          Enough for {found.units}, {inUnits(found.leftMl, 'volume')} left;{' '}
          {found.strength === undefined ? '' : strengthWords(found.strength)}.
        </p>
      )}
    </Fold>
  );
}

function signed(percent: number): string {
  return `${figures(Math.abs(percent))}% too ${percent < 0 ? 'little' : 'much'}`;
}

const ASKS: Readonly<Partial<Record<Per, string>>> = {
  water: 'How much water does each get?',
  area: 'How wide is each, or how large its bed?',
  mix: 'How much mix is in each?',
  row: 'How long is the row of each?',
};

function targetOf(
  rate: LabelRate,
  written: string,
  system: MeasureSystem,
): Parameters<typeof doseFor>[3] | { readonly trouble: string } {
  const { kind } = rate.per;
  if (kind === 'plant' || kind === 'container') return { plants: 1 };
  const read = parseQuantity(written, { system });
  if (!read.ok)
    return {
      trouble: quantitySentence(read.trouble, {
        system,
        wanted: kind === 'area' || kind === 'row' ? 'length' : 'volume',
      }),
    };
  const { dimension, base } = read.value;
  if (base <= 0) return { trouble: 'More than none.' };
  if (kind === 'area')
    return dimension === 'length'
      ? { areaM2: circleM2(base) }
      : dimension === 'area'
        ? { areaM2: base }
        : { trouble: `A width such as ${exampleAmounts('length', system)}, or an area.` };
  if (kind === 'row')
    return dimension === 'length'
      ? { rowMm: base }
      : { trouble: `A length such as ${exampleAmounts('length', system)}.` };
  if (dimension !== 'volume')
    return { trouble: `A volume such as ${exampleAmounts('volume', system)}.` };
  return kind === 'water' ? { waterMl: base } : { mixMl: base };
}

const Sheet = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start; }
  & output { font-family: var(--font-heading), sans-serif; font-size: 1.75rem; font-weight: 650; line-height: 1.15; }
`;
