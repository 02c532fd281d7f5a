'use client';
import { styled } from 'styled-components';
import { shortDay } from '@/core/time/days';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { isPastKeeping, type Product } from '@/core/trial/model/product';
import { useFieldAction } from '@/ui/actions/use-field-action';
import { usePressId } from '@/ui/actions/use-press-id';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

interface OpenedProps {
  readonly product: Product;
  readonly today: string;
  readonly open: (input: unknown) => Promise<FieldTroubles | undefined>;
}

/** Bottles, bags and brews as they were opened. What is given comes from the last one, so that a bad one can be told. */
export function Opened({ product, today, open }: OpenedProps) {
  const { fields, isPending, send } = useFieldAction();
  const press = usePressId();
  const { form, change, field } = useForm({ name: '', openedOn: today }, fields);
  const { name, openedOn } = form;
  const put = (): void =>
    void send(() => open({ id: press.current(), name, openedOn })).then(isOpen => {
      if (!isOpen) return;
      press.renew();
      change({ name: '' });
    });
  return (
    <Box aria-label="Opened packs and batches">
      <h2>Opened packs and batches</h2>
      {product.batches.length === 0 && (
        <Soft>
          No bottle, bag or brew is on record. Put each one down as it is opened: then it is known
          which pots or beds had which.
        </Soft>
      )}
      <ul>
        {product.batches.map(batch => (
          <li key={batch.id}>
            {batch.name}
            {batch.openedOn === null
              ? ''
              : `, opened ${shortDay(batch.openedOn)} ${batch.openedOn.slice(0, 4)}`}
            {isPastKeeping(product, batch, today) && (
              <b> past the {product.keepsMonths} months it keeps: don’t dose a trial from it</b>
            )}
          </li>
        ))}
      </ul>
      <div>
        <TextField label="A new one" {...field('name')} placeholder="bottle 2" />
        <TextField label="Opened on" {...field('openedOn')} type="date" />
        <Button onPress={put} isPending={isPending}>
          Open it
        </Button>
      </div>
      {fields.form && <Trouble>{fields.form}</Trouble>}
    </Box>
  );
}

const Box = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & ul { margin: 0; padding-left: 18px; }
  & li b { color: var(--beet); }
  & > div { display: flex; flex-wrap: wrap; gap: 12px; align-items: end; }
`;
