'use client';

import { type ReactNode, useState } from 'react';
import { styled } from 'styled-components';
import { BLANK_PRODUCT, ProductDraft, readProduct } from '@/core/materials/label/product-form';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { LooseMeasure } from '@/core/trial/model/product';
import { useFieldAction } from '@/ui/actions/use-field-action';
import { usePressId } from '@/ui/actions/use-press-id';
import { Button } from '@/ui/Button';
import { useDraft } from '@/ui/fields/use-draft';
import { Acts, Page, Soft, TwoParts } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { Cautions } from './Cautions';
import { DoseSheet } from './DoseSheet';
import { LabelLines } from './LabelLines';
import { LabelWorking } from './LabelWorking';

interface ProductFormProps {
  /** Where this browser keeps what was typed and not saved. */
  readonly draftKey: string;
  /** null: a new one. */
  readonly saved: ProductDraft | null;
  readonly system: MeasureSystem;
  readonly save: (input: unknown) => Promise<FieldTroubles | undefined>;
  /** Caps and handfuls of it that were weighed; its rates may count by them. */
  readonly looseMeasures?: readonly LooseMeasure[];
  readonly takeOff: (() => Promise<FieldTroubles | undefined>) | null;
  /** What stands under it once it is on the shelf. */
  readonly children?: ReactNode;
}

/** A product as its pack prints it; what is typed is worked out beside it as one types. */
export function ProductForm({
  draftKey,
  saved,
  system,
  save,
  takeOff,
  looseMeasures = [],
  children,
}: ProductFormProps) {
  const [form, keepForm, forget] = useDraft<ProductDraft>(
    draftKey,
    saved ?? BLANK_PRODUCT,
    readDraft,
  );
  const [isSaved, setSaved] = useState(false);
  const { fields, isPending, send } = useFieldAction();
  const press = usePressId();
  const change = (changes: Partial<ProductDraft>): void => {
    keepForm(now => ({ ...now, ...changes }));
    setSaved(false);
  };
  const submit = (): void =>
    void send(() => save({ ...form, id: press.current() })).then(isKept => {
      setSaved(isKept);
      if (isKept) forget();
    });
  const isChanged = !isSaved && JSON.stringify(form) !== JSON.stringify(saved ?? BLANK_PRODUCT);
  const read = readProduct({ ...form, name: form.name || 'x' }, system, UNSAVED_ID, {
    batches: [],
    stepUp: null,
    isKnownHere: false,
    looseMeasures,
  });
  return (
    <Page>
      <h1>{saved?.name ?? 'A product, as its pack prints it'}</h1>
      <TwoParts>
        <Sheet>
          <LabelLines
            form={form}
            change={change}
            troubles={fields}
            system={system}
            looseMeasures={looseMeasures}
          />
          {Object.keys(fields).length > 0 && (
            <Trouble>{fields.form ?? 'Not saved: look at the marked lines.'}</Trouble>
          )}
          <Acts>
            <Button data-tone="main" onPress={submit} isPending={isPending}>
              Save
            </Button>
            {takeOff && (
              <Button onPress={() => void send(takeOff)} isPending={isPending}>
                Take it off the shelf
              </Button>
            )}
            {isChanged && (
              <Button
                data-tone="quiet"
                onPress={() => {
                  keepForm(saved ?? BLANK_PRODUCT);
                  forget();
                }}
              >
                {saved ? 'Undo the changes' : 'Empty it'}
              </Button>
            )}
            <span role="status">{isSaved ? 'Saved.' : isChanged ? 'Not saved yet.' : ''}</span>
          </Acts>
        </Sheet>
        <div>
          {read.ok ? (
            <>
              <LabelWorking product={read.value} system={system} />
              <DoseSheet product={read.value} system={system} />
            </>
          ) : (
            <Soft>
              What is in it, and what a pot gets, is worked out here as soon as the lines can be
              read.
            </Soft>
          )}
          <Cautions hazards={form.hazards ?? []} />
          {children}
        </div>
      </TwoParts>
    </Page>
  );
}

function readDraft(stored: unknown): ProductDraft | undefined {
  return ProductDraft.safeParse(stored).data;
}

// What is worked out while one types has no id of its own yet.
const UNSAVED_ID = '019ed9be-7c4e-735c-aa18-b308639083f2';

const Sheet = styled.div`
  && { gap: 20px; }
`;
