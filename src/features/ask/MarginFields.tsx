'use client';

import { styled } from 'styled-components';
import { isOfShares, payingPercent, plainNumber } from '@/core/design/question/margin-form';
import { askedReading } from '@/core/design/question/question-form';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { soldBy } from '@/core/quantity/sold-by';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { useAmountWords, useSystem } from '@/features/frame/use-garden-units';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Soft } from '@/ui/Page';

interface MarginFieldsProps {
  readonly form: QuestionForm;
  readonly troubles: FieldTroubles;
  readonly isLocked: boolean;
  readonly onChange: (changes: Partial<QuestionForm>) => void;
}

/** The smallest difference that matters, said outright or worked out from money. */
export function MarginFields({ form, troubles, isLocked, onChange }: MarginFieldsProps) {
  const system = useSystem();
  const isPercent = form.marginKind === 'percent';
  const field = fieldsOf({ form, change: onChange, troubles, isReadOnly: isLocked });
  return (
    <Margin>
      <div data-pair>
        <Select
          label="Smallest difference worth having"
          {...field('marginKind')}
          options={[
            { value: 'percent', label: '% of the control' },
            { value: 'amount', label: 'an amount' },
            { value: 'any', label: 'any difference' },
          ]}
        />
        {form.marginKind !== 'any' && (
          <TextField
            label={isPercent ? 'At least, %' : 'At least'}
            {...field('margin')}
            inputMode={isPercent ? 'decimal' : 'text'}
            hint={isPercent ? undefined : amountHint(form, system)}
          />
        )}
      </div>
      {form.summary !== 'read' && (
        <MarginFromMoney form={form} onChange={onChange} troubles={troubles} isLocked={isLocked} />
      )}
    </Margin>
  );
}

interface MarginFromMoneyProps {
  readonly form: MarginFieldsProps['form'];
  readonly onChange: MarginFieldsProps['onChange'];
  readonly troubles: MarginFieldsProps['troubles'];
  readonly isLocked: MarginFieldsProps['isLocked'];
}

/** What it must bring to pay, from what it costs. */
function MarginFromMoney({ form, onChange, troubles, isLocked }: MarginFromMoneyProps) {
  const sold = soldBy(useSystem());
  return (
    <Fold
      title="Work it out from money"
      tone="soft"
      isOpen={Object.values(form.money).some(text => text !== '')}
    >
      <div>
        <TextField
          label={`It costs, a ${form.unitWord || 'unit'}`}
          name="costEach"
          value={form.money.costEach}
          onChange={costEach => onChange({ money: { ...form.money, costEach } })}
          trouble={troubles['money.costEach'] ?? moneyTrouble(form.money.costEach)}
          isReadOnly={isLocked}
          inputMode="decimal"
          placeholder="0.60"
        />
        <TextField
          label={`The crop is worth, a ${sold.name}`}
          name="worthPerKg"
          value={form.money.worthPerKg}
          onChange={worthPerKg => onChange({ money: { ...form.money, worthPerKg } })}
          trouble={troubles['money.worthPerKg'] ?? moneyTrouble(form.money.worthPerKg)}
          isReadOnly={isLocked}
          inputMode="decimal"
          placeholder="5"
        />
        <TextField
          label={`A ${form.unitWord || 'unit'} gives now, ${sold.short}`}
          name="presentKg"
          value={form.money.presentKg}
          onChange={presentKg => onChange({ money: { ...form.money, presentKg } })}
          trouble={troubles['money.presentKg'] ?? moneyTrouble(form.money.presentKg)}
          isReadOnly={isLocked}
          inputMode="decimal"
          placeholder="0.8"
        />
      </div>
      <Worth form={form} isLocked={isLocked} onChange={onChange} />
    </Fold>
  );
}

/** What is no figure would be passed over in silence otherwise. */
function moneyTrouble(written: string): string | undefined {
  return written.trim() === '' || plainNumber(written) !== undefined
    ? undefined
    : 'A figure, such as 0.60.';
}

/** In what an amount is written. */
function amountHint(form: QuestionForm, system: MeasureSystem): string | undefined {
  const { summary } = form;
  if (summary === 'sound-count') return undefined;
  const kind = askedReading(form);
  if (summary !== 'read' || kind?.unit === 'g')
    return system === 'us' ? 'With its unit: 2 oz, 1 lb.' : 'With its unit: 50 g, 1.5 kg.';
  if (!kind) return undefined;
  return isOfShares(kind.scale)
    ? 'In points of a hundred: 10 means from 40% to 50%.'
    : kind.scale.kind === 'date'
      ? 'In days.'
      : kind.scale.kind === 'ordinal'
        ? 'In steps.'
        : kind.unit === ''
          ? undefined
          : `In ${kind.unit}.`;
}

function Worth({
  form,
  isLocked,
  onChange,
}: Pick<MarginFieldsProps, 'form' | 'isLocked' | 'onChange'>) {
  const sold = soldBy(useSystem());
  const inUnits = useAmountWords();
  const [costEach = 0, worthPerKg = 0, presentKg = 0] = [
    form.money.costEach,
    form.money.worthPerKg,
    form.money.presentKg,
  ].map(plainNumber);
  if (!(costEach > 0 && worthPerKg > 0 && presentKg > 0))
    return (
      <Soft>
        All in your own money. It pays where the extra harvest is worth more than the treatment
        costs.
      </Soft>
    );
  const percent = payingPercent({ costEach, worthPerKg, presentKg });
  const shown = Number(percent.toPrecision(3));
  return (
    <>
      <p>
        It pays from <b>{shown}%</b> more: {costEach} ÷ ({worthPerKg} × {presentKg}) = {shown}%,{' '}
        {inUnits((1000 * costEach * sold.kg) / worthPerKg, 'mass')} more a {form.unitWord}.
      </p>
      {!isLocked && shown <= 1000 && (
        <Button
          onPress={() =>
            onChange({ marginKind: 'percent', margin: String(Math.max(1, Math.ceil(percent))) })
          }
        >
          Take {Math.max(1, Math.ceil(percent))}% as worth having
        </Button>
      )}
    </>
  );
}

const Margin = styled.div`
  display: grid; gap: 8px;
  & [data-folded] > div { display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 12px; align-items: end; }
  @media (max-width: 640px) { & [data-folded] > div { grid-template-columns: minmax(0, 1fr); } }
`;
