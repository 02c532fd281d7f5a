'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { type ProductDraft, rateLines } from '@/core/materials/label/product-form';
import { printTemperature } from '@/core/quantity/temperature';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { ACTS_WORDS, ModeOfAction } from '@/core/trial/model/mode-of-action';
import { FORM_WORDS, Hazard, type LooseMeasure, ProductForm } from '@/core/trial/model/product';
import { Choice } from '@/ui/fields/Choice';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Tick } from '@/ui/fields/Tick';
import { Ticks } from '@/ui/fields/Ticks';
import { hazardsAsked, isAsked, kindOf, LABEL_KINDS, type LabelKind } from './label-kind';
import { RateLines } from './RateLines';

interface LabelLinesProps {
  readonly form: ProductDraft;
  readonly change: (changes: Partial<ProductDraft>) => void;
  readonly troubles: FieldTroubles;
  readonly system: MeasureSystem;
  readonly looseMeasures: readonly LooseMeasure[];
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

/** The lines of a label: first those that such a product has, and whatever is filled in already. */
export function LabelLines(given: LabelLinesProps) {
  const [kind, setKind] = useState(kindOf(given.form));
  const [first] = useState(given.form); // a line that is emptied does not go away under the hand
  const props = { ...given, kind, first };
  const { form, change } = props;
  const hazards = hazardsAsked(kind, Hazard.options, form);
  return (
    <Lines>
      <Choice
        label="What is it?"
        name="labelKind"
        value={kind}
        onChange={setKind}
        options={LABEL_KINDS}
        direction="row"
      />
      <WhatItIs {...props} />
      <Analysis {...props} />
      <PackAndRates {...props} />
      <Limits {...props} />
      <Keeping {...props} />
      <Ticks
        legend="Tick what it is or contains"
        options={hazards.map(value => ({ value, label: HAZARD_WORDS[value] }))}
        chosen={form.hazards ?? []}
        onChange={chosen => change({ hazards: [...chosen] })}
        isInColumns
      />
    </Lines>
  );
}

interface KindProps extends LabelLinesProps {
  readonly kind: LabelKind;
  /** What stood in the lines at first. */
  readonly first: ProductDraft;
}

/** How it works, and whether light spoils it. */
function Keeping({ form, change, kind }: KindProps) {
  if (!isAsked('acts', kind, form) && !isAsked('keepDark', kind, form)) return null;
  return (
    <div data-pair>
      <Select
        label="How it works"
        name="acts"
        value={form.acts ?? ''}
        onChange={acts => change({ acts })}
        options={MODES}
      />
      <Tick isOn={form.keepDark ?? false} onChange={keepDark => change({ keepDark })}>
        Light spoils it
      </Tick>
    </div>
  );
}

const MODES = [
  { value: '' as const, label: 'not known' },
  ...ModeOfAction.options.map(value => ({ value, label: ACTS_WORDS[value] })),
];

function WhatItIs(props: KindProps) {
  const { form, change } = props;
  return (
    <div data-pair>
      <Line {...props} of="name" label="Name" />
      <Select
        label="It comes as"
        name="form"
        value={form.form}
        onChange={chosen => change({ form: chosen })}
        options={ProductForm.options.map(value => ({ value, label: FORM_WORDS[value] }))}
      />
    </div>
  );
}

function Analysis(props: KindProps) {
  const { form, change, kind } = props;
  const isUs = props.system === 'us';
  if (!isAsked('grade', kind, form) && !isAsked('others', kind, form)) return null;
  return (
    <>
      <div data-pair>
        <Line
          {...props}
          of="grade"
          label="The three numbers"
          placeholder="12-4-8"
          hint="N, P and K. Nothing for what feeds nothing."
        />
        <Line {...props} of="others" label="Other elements" placeholder="Mg 1.2, Fe 0.05" />
      </div>
      <div data-pair>
        <Choice
          label="Phosphorus and potassium are counted"
          name="basis"
          value={form.basis ?? 'oxide'}
          onChange={basis => change({ basis })}
          options={[
            { value: 'oxide', label: 'as P₂O₅ and K₂O', hint: 'As most packs do.' },
            { value: 'element', label: 'as P and K' },
          ]}
        />
        <Choice
          label="In a hundred"
          name="per"
          value={form.per ?? 'w/w'}
          onChange={per => change({ per })}
          options={[
            { value: 'w/w', label: isUs ? 'ounces, by weight' : 'grams of product' },
            {
              value: 'w/v',
              label: isUs ? 'by volume' : 'millilitres',
              hint: 'As on many bottles: w/v.',
            },
          ]}
        />
      </div>
    </>
  );
}

function PackAndRates(props: KindProps) {
  const { form, system, looseMeasures, troubles } = props;
  const isUs = system === 'us';
  const isUnclear = rateLines(form, system, looseMeasures).some(({ read }) => !read.ok);
  // What is unclear stands under its own line, with what it could mean.
  const rates = isUnclear && troubles.rates ? 'Not every rate can be read yet.' : troubles.rates;
  return (
    <>
      <div data-three>
        <Line {...props} of="packSize" label="A pack holds" placeholder={isUs ? '1 qt' : '1 l'} />
        <Line {...props} of="packPrice" label="and costs" isNumber />
        <Line
          {...props}
          of="density"
          label={isUs ? 'Density, times water' : 'Density, g per ml'}
          isNumber
          hint={isUs ? 'Weigh a pint of each.' : 'Weigh 100 ml.'}
        />
      </div>
      <Line
        {...props}
        troubles={rates === undefined ? {} : { rates }}
        of="rates"
        label="Rates on its label, a line each"
        isLong
        placeholder={
          props.system === 'us'
            ? '1 tbsp per gallon, weekly\n2 lb per 100 sq ft'
            : '20 ml in 4.5 l, weekly\n70 g per square metre'
        }
      />
      <RateLines {...props} />
    </>
  );
}

function Limits(props: KindProps) {
  return (
    <div data-three>
      <Line {...props} of="waitingDays" label="Days to wait before harvest" isNumber />
      <Line {...props} of="reentryHours" label="Keep out for, hours" isNumber />
      <Line {...props} of="mostApplications" label="Most applications in a season" isNumber />
      <Line {...props} of="activePercent" label="Active part, %" isNumber />
      <Line {...props} of="releaseMonths" label="Releases over (months)" isNumber />
      <Line {...props} of="moisture" label="Water in it, %" isNumber />
      <Line {...props} of="keepsMonths" label="Shelf life (months)" isNumber />
      <Line
        {...props}
        of="keepBelow"
        label="Store below"
        placeholder={printTemperature(25, props.system)}
      />
      <Line {...props} of="mixedHours" label="Use within (hours of mixing)" isNumber />
    </div>
  );
}

/** The lines of a label that are written, not chosen. */
type WrittenKey = Exclude<
  keyof ProductDraft,
  'form' | 'basis' | 'per' | 'hazards' | 'keepDark' | 'acts'
>;

interface LineProps extends KindProps {
  readonly of: WrittenKey;
  readonly label: string;
  readonly hint?: string;
  readonly placeholder?: string;
  readonly isLong?: boolean;
  readonly isNumber?: boolean;
}

function Line({ form, first, change, troubles, of, isNumber, kind, ...look }: LineProps) {
  const isShown = isAsked(of, kind, form) || isAsked(of, kind, first);
  if (!isShown && troubles[of] === undefined) return null;
  return (
    <TextField
      name={of}
      value={form[of] ?? ''}
      onChange={value => change({ [of]: value })}
      trouble={troubles[of]}
      inputMode={isNumber ? 'decimal' : undefined}
      {...look}
    />
  );
}

const Lines = styled.div`
  display: grid; gap: 20px;
  & [data-pair] { display: grid; grid-template-columns: 1fr 1fr; gap: 24px; align-items: start; }
  & [data-three] { display: grid; grid-template-columns: 1fr 1fr 1fr; gap: 24px; align-items: start; }
  & [data-tick] { display: flex; gap: 8px; align-items: center; min-height: 32px; align-self: end; padding-bottom: 6px; }
  & [data-tick] input { width: 18px; height: 18px; accent-color: var(--clay); flex: none; }
  @media (max-width: 640px) { & [data-pair], & [data-three] { grid-template-columns: minmax(0, 1fr); gap: 16px; } }
`;
