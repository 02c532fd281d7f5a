'use client';

import { type ReactNode, startTransition, useState } from 'react';
import { styled } from 'styled-components';
import { BLANK_PRODUCT, type ProductDraft, readProduct } from '@/core/materials/label/product-form';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { ACTS_WORDS, ModeOfAction } from '@/core/trial/model/mode-of-action';
import {
  FORM_WORDS,
  ProductForm as FormOf,
  Hazard,
  type LooseMeasure,
} from '@/core/trial/model/product';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Acts, Page, Soft, TwoParts } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { Trouble } from '@/ui/Trouble';
import { resultOf, useAction } from '@/ui/use-action';
import { Cautions } from './Cautions';
import { DoseSheet } from './DoseSheet';
import { LabelWorking } from './LabelWorking';

interface ProductFormProps {
  /** null: a new one. */
  readonly saved: ProductDraft | null;
  readonly system: MeasureSystem;
  readonly save: (input: unknown) => Promise<FieldTroubles | undefined>;
  /** Caps and handfuls of it that were weighed; its rates may count by them. */
  readonly looseMeasures?: readonly LooseMeasure[];
  readonly takeOff: (() => Promise<void>) | null;
  /** What stands under it once it is on the shelf. */
  readonly children?: ReactNode;
}

const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  concentrate: 'a concentrate',
  'strong-acid': 'vinegar or another acid',
  peroxide: 'peroxide',
  bleach: 'bleach',
  salt: 'salt',
  weedkiller: 'kills weeds',
  'insect-spray': 'kills insects',
  'fungus-spray': 'against fungus',
  soap: 'soap',
  oil: 'oil',
  sulphur: 'sulphur',
  copper: 'copper',
  'slug-bait': 'slug bait',
  'animal-meal': 'bone, blood or fish meal',
  dust: 'a dust, char or perlite',
  'raw-manure': 'raw manure',
  compost: 'compost',
  lime: 'lime',
  ammonium: 'ammonium feed',
  'home-brew': 'brewed at home',
  mulch: 'mulch or clippings',
};

/** A product as its pack prints it; what is typed is worked out beside it as one types. */
export function ProductForm({
  saved,
  system,
  save,
  takeOff,
  looseMeasures = [],
  children,
}: ProductFormProps) {
  const [form, setForm] = useState<ProductDraft>(saved ?? BLANK_PRODUCT);
  const [isSaved, setSaved] = useState(false);
  const { trouble: fields = {}, isPending, tryOut } = useAction<FieldTroubles>();
  const set =
    <Key extends keyof ProductDraft>(key: Key) =>
    (value: ProductDraft[Key]): void => {
      setForm({ ...form, [key]: value });
      setSaved(false);
    };
  type TextKey = Exclude<
    keyof ProductDraft,
    'form' | 'basis' | 'per' | 'hazards' | 'keepDark' | 'acts'
  >;
  const text = (
    key: TextKey,
    label: string,
    more: {
      readonly hint?: string;
      readonly placeholder?: string;
      readonly isLong?: boolean;
      readonly inputMode?: 'decimal';
    } = {},
  ) => (
    <TextField
      key={key}
      label={label}
      name={key}
      value={form[key] ?? ''}
      onChange={set(key)}
      trouble={fields[key]}
      {...more}
    />
  );
  const submit = (): void => void tryOut(async () => resultOf(await save(form))).then(setSaved);
  const read = readProduct(
    { ...form, name: form.name || 'x' },
    system,
    '019ed9be-7c4e-735c-aa18-b308639083f2',
    { batches: [], stepUp: null, isKnownHere: false, looseMeasures },
  );
  const product = read.ok ? read.value : null;
  return (
    <Page>
      <h1>{saved?.name ?? 'A product, as its pack prints it'}</h1>
      <TwoParts>
        <Sheet>
          <div data-pair>
            {text('name', 'Name')}
            <Select
              label="It is"
              name="form"
              value={form.form}
              onChange={set('form')}
              options={FormOf.options.map(value => ({ value, label: FORM_WORDS[value] }))}
            />
          </div>
          <div data-pair>
            {text('grade', 'The three numbers', {
              placeholder: '12-4-8',
              hint: 'N, P and K. Nothing for what feeds nothing.',
            })}
            {text('others', 'Other elements', { placeholder: 'Mg 1.2, Fe 0.05' })}
          </div>
          <div data-pair>
            <Choice
              label="Phosphorus and potassium are counted"
              name="basis"
              value={form.basis ?? 'oxide'}
              onChange={set('basis')}
              options={[
                { value: 'oxide', label: 'as P₂O₅ and K₂O', hint: 'As most packs do.' },
                { value: 'element', label: 'as P and K' },
              ]}
            />
            <Choice
              label="In a hundred"
              name="per"
              value={form.per ?? 'w/w'}
              onChange={set('per')}
              options={[
                { value: 'w/w', label: 'grams of product' },
                { value: 'w/v', label: 'millilitres', hint: 'As on many bottles: w/v.' },
              ]}
            />
          </div>
          <div data-three>
            {text('packSize', 'A pack holds', { placeholder: '1 l' })}
            {text('packPrice', 'and costs', { inputMode: 'decimal' })}
            {text('density', 'g in a millilitre', { inputMode: 'decimal', hint: 'Weigh 100 ml.' })}
          </div>
          {text('rates', 'Rates on its label, a line each', {
            isLong: true,
            placeholder: '20 ml in 4.5 l\n70 g per square metre',
          })}
          <div data-three>
            {text('waitingDays', 'Days before harvest', { inputMode: 'decimal' })}
            {text('reentryHours', 'Hours off the bed', { inputMode: 'decimal' })}
            {text('mostApplications', 'At most so often', { inputMode: 'decimal' })}
          </div>
          <div data-three>
            {text('activePercent', 'Active part, %', { inputMode: 'decimal' })}
            {text('releaseMonths', 'Feeds for, months', { inputMode: 'decimal' })}
            {text('moisture', 'Water in it, %', { inputMode: 'decimal' })}
          </div>
          <div data-three>
            {text('keepsMonths', 'Keeps, months', { inputMode: 'decimal' })}
            {text('keepBelow', 'below, °C', { inputMode: 'decimal' })}
            {text('mixedHours', 'Once mixed, hours', { inputMode: 'decimal' })}
          </div>
          <div data-pair>
            <Select
              label="It acts"
              name="acts"
              value={form.acts ?? ''}
              onChange={set('acts')}
              options={[
                { value: '', label: 'not known' },
                ...ModeOfAction.options.map(value => ({ value, label: ACTS_WORDS[value] })),
              ]}
            />
            <label data-tick>
              <input
                type="checkbox"
                checked={form.keepDark ?? false}
                onChange={event => set('keepDark')(event.target.checked)}
              />{' '}
              Light spoils it
            </label>
          </div>
          <fieldset>
            <legend>It is, or holds</legend>
            <div>
              {Hazard.options.map(hazard => (
                <label key={hazard}>
                  <input
                    type="checkbox"
                    checked={(form.hazards ?? []).includes(hazard)}
                    onChange={event =>
                      set('hazards')(
                        event.target.checked
                          ? [...(form.hazards ?? []), hazard]
                          : (form.hazards ?? []).filter(each => each !== hazard),
                      )
                    }
                  />{' '}
                  {HAZARD_WORDS[hazard]}
                </label>
              ))}
            </div>
          </fieldset>
          {Object.keys(fields).length > 0 && (
            <Trouble>Not saved: look at the marked lines.</Trouble>
          )}
          <Acts>
            <Button data-tone="main" onPress={submit} isPending={isPending}>
              Save
            </Button>
            {takeOff && (
              <Button onPress={() => startTransition(takeOff)}>Take it off the shelf</Button>
            )}
            <span role="status">{isSaved ? 'Saved.' : ''}</span>
          </Acts>
        </Sheet>
        <div>
          {product ? (
            <>
              <LabelWorking product={product} />
              <DoseSheet product={product} system={system} />
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

const Sheet = styled.div`
  && { gap: 20px; }
  & [data-pair] { display: grid; grid-template-columns: 1fr 1fr; gap: 24px; align-items: start; }
  & [data-three] { display: grid; grid-template-columns: 1fr 1fr 1fr; gap: 24px; align-items: start; }
  & fieldset { border: 0; padding: 0; margin: 0; }
  & legend { font-weight: 600; font-size: 0.9375rem; padding: 0; margin-bottom: 4px; }
  & fieldset > div { display: grid; grid-template-columns: repeat(auto-fill, minmax(190px, 1fr)); gap: 4px 16px; }
  & fieldset label { display: flex; gap: 8px; align-items: center; min-height: 32px; }
  & [data-tick] { display: flex; gap: 8px; align-items: center; min-height: 32px; align-self: end; padding-bottom: 6px; }
  & input[type='checkbox'] { width: 18px; height: 18px; accent-color: var(--clay); flex: none; }
  @media (pointer: coarse) { & fieldset label { min-height: 48px; } }
  @media (max-width: 640px) { & [data-pair], & [data-three] { grid-template-columns: minmax(0, 1fr); gap: 16px; } }
`;
