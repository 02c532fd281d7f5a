'use client';

import { styled } from 'styled-components';
import type { CareDraft } from '@/core/schedule/rules/care-draft';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { LabelRate } from '@/core/trial/model/label-rate';
import type { Product } from '@/core/trial/model/product';
import { useAmountWords, useSystem } from '@/features/frame/use-garden-units';
import { fieldsOf } from '@/ui/fields/form-fields';
import { LongSelect } from '@/ui/fields/LongSelect';
import { Select } from '@/ui/fields/Select';
import { Ticks } from '@/ui/fields/Ticks';
import { Soft } from '@/ui/Page';
import { CareText } from './CareText';
import type { CareDraftState } from './care-draft-state';

interface CareFieldsProps {
  readonly draft: CareDraftState;
}

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].map((label, i) => ({
  value: i + 1,
  label,
}));

const BEGINNINGS = [
  { value: 'start', label: 'days from the start' },
  { value: 'day', label: 'on a day' },
  { value: 'stage', label: 'at a stage' },
  { value: 'after', label: 'after another' },
] as const;

/** From when a rule runs. */
export function CareBegins({
  draft,
  rules,
}: CareFieldsProps & { readonly rules: readonly CareRule[] }) {
  const { form, change, troubles } = draft;
  return (
    <Fields>
      <Select label="Begins" {...fieldsOf(draft)('from')} name="careFrom" options={BEGINNINGS} />
      {form.from === 'day' && <CareText draft={draft} of="fromDay" label="The day" type="date" />}
      {form.from === 'stage' && (
        <CareText draft={draft} of="fromStage" label="The stage" placeholder="first flower" />
      )}
      {form.from === 'after' && (
        <Select
          label="After the last"
          name="fromRule"
          value={form.fromRule ?? ''}
          onChange={fromRule => change({ fromRule })}
          trouble={troubles.fromRule}
          options={[
            { value: '', label: '—' },
            ...rules.map(rule => ({ value: rule.id, label: rule.name })),
          ]}
        />
      )}
      {form.from !== 'day' && (
        <CareText
          draft={draft}
          of="fromDays"
          label={form.from === 'start' ? 'Days; below 0: before it' : 'Days after it'}
          inputMode="numeric"
        />
      )}
    </Fields>
  );
}

const REPEATS = [
  { value: 'once', label: 'once' },
  { value: 'every', label: 'every so many days' },
  { value: 'times', label: 'a number of times' },
  { value: 'weekdays', label: 'on days of the week' },
] as const;

/** How often it is done, and on which days of the week. */
export function CareRepeats({ draft }: CareFieldsProps) {
  const { form, change, troubles } = draft;
  return (
    <>
      <Fields>
        <Select
          label="How often"
          {...fieldsOf(draft)('repeat')}
          name="careRepeat"
          options={REPEATS}
        />
        {form.repeat === 'times' && (
          <CareText draft={draft} of="times" label="Times" inputMode="numeric" />
        )}
        {(form.repeat === 'every' || form.repeat === 'times') && (
          <CareText
            draft={draft}
            of="everyDays"
            label={form.repeat === 'times' ? 'Days between, from when it was done' : 'Days'}
            inputMode="numeric"
          />
        )}
        {form.repeat !== 'once' && <CareEnds draft={draft} />}
      </Fields>
      {form.repeat === 'weekdays' && (
        <Ticks
          legend="On"
          options={DAYS}
          chosen={form.weekdays ?? []}
          onChange={weekdays => change({ weekdays: [...weekdays] })}
          trouble={troubles.weekdays}
        />
      )}
    </>
  );
}

const ENDS = [
  { value: 'end', label: 'the end' },
  { value: 'day', label: 'a day' },
  { value: 'stage', label: 'a stage' },
] as const;

function CareEnds({ draft }: CareFieldsProps) {
  const { form } = draft;
  return (
    <>
      {form.repeat !== 'times' && (
        <Select label="Until" {...fieldsOf(draft)('until')} name="careUntil" options={ENDS} />
      )}
      {form.until === 'day' && (
        <CareText draft={draft} of="untilDay" label="The last day" type="date" />
      )}
      {form.until === 'stage' && (
        <CareText draft={draft} of="untilStage" label="The stage" placeholder="first flower" />
      )}
    </>
  );
}

/** With what, how strong, and how long it takes. */
export function CareMaterialFields({
  draft,
  shelf,
}: CareFieldsProps & { readonly shelf: readonly Product[] }) {
  const { form, change, troubles } = draft;
  const product = shelf.find(each => each.id === form.productId);
  return (
    <>
      <Fields>
        <LongSelect
          label="With"
          name="productId"
          value={form.productId ?? ''}
          onChange={productId =>
            change({
              productId,
              rate: '0',
              ...oftenOf(shelf.find(each => each.id === productId)?.rates[0]),
            })
          }
          trouble={troubles.productId}
          options={[
            { value: '', label: 'nothing from the shelf' },
            ...shelf.map(each => ({ value: each.id, label: each.name })),
          ]}
        />
        {product && <CareRate draft={draft} product={product} />}
        {form.kind === 'spray' && (
          <CareText draft={draft} of="washedOffByMm" label="Rain that washes it off" />
        )}
        <CareText draft={draft} of="minutesEach" label="Minutes each" inputMode="decimal" />
      </Fields>
      <Ticks
        legend="Who does it"
        options={[{ value: 'itself', label: 'a timer or a drip: it counts as done by itself' }]}
        chosen={form.runsByItself ? ['itself'] : []}
        onChange={chosen => change({ runsByItself: chosen.length > 0 })}
      />
      {product && product.rates.length === 0 && (
        <Soft>{product.name} has no rate yet: write its label’s rate on the shelf.</Soft>
      )}
    </>
  );
}

const CHOICES = [
  { value: 'low', label: 'the least' },
  { value: 'middle', label: 'the middle' },
  { value: 'high', label: 'the most' },
] as const;

/** “Weekly” on a label goes into the plan. */
function oftenOf(rate: LabelRate | undefined): Partial<CareDraft> {
  return rate?.everyDays === undefined
    ? {}
    : { repeat: 'every', everyDays: String(Math.round(rate.everyDays)) };
}

function CareRate({ draft, product }: CareFieldsProps & { readonly product: Product }) {
  const inUnits = useAmountWords();
  const system = useSystem();
  const { form, change, troubles } = draft;
  const rate = product.rates[Number(form.rate ?? '0')];
  return (
    <>
      {product.rates.length > 0 && (
        <Select
          label="By the rate"
          name="careRate"
          value={form.rate ?? '0'}
          onChange={chosen => change({ rate: chosen, ...oftenOf(product.rates[Number(chosen)]) })}
          trouble={troubles.rate}
          options={product.rates.map((each, i) => ({ value: String(i), label: each.asWritten }))}
        />
      )}
      {rate && rate.low < rate.high && (
        <Select
          label="Of the range"
          name="careChoice"
          value={form.choice ?? 'high'}
          onChange={choice => change({ choice })}
          options={CHOICES}
        />
      )}
      <CareText draft={draft} of="strength" label="Strength" placeholder="1, 1/2, 50%" />
      <CareText
        draft={draft}
        of="water"
        label="Water to each"
        placeholder={
          rate?.per.kind === 'water' && rate.per.plants !== undefined
            ? `${inUnits(rate.per.ml / rate.per.plants, 'volume')}, as on the label`
            : system === 'us'
              ? '1 qt'
              : '1.5 l'
        }
      />
    </>
  );
}

const Fields = styled.div`
  display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start;
`;
