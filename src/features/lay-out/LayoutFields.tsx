'use client';

import { styled } from 'styled-components';
import { type BenchDraft, ON_BENCHES, readSizes } from '@/core/design/layouts/bench-form';
import type { RaisedPlant } from '@/core/design/layouts/choose-plants';
import { choosePlants } from '@/core/design/layouts/choose-plants';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { LayoutKind } from '@/core/trial/model/layout';
import { Choice } from '@/ui/Choice';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';

interface LayoutFieldsProps {
  readonly form: BenchDraft;
  readonly fields: FieldTroubles;
  readonly treatments: number;
  /** Names of the crossed factors; one where nothing is crossed. */
  readonly factors: readonly string[];
  readonly unitWord: string;
  /** How many units the form makes; null while it can't be read. */
  readonly places: number | null;
  readonly onChange: (changes: Partial<BenchDraft>) => void;
}

interface Offer {
  readonly value: LayoutKind;
  readonly label: string;
  readonly hint: string;
  readonly fits: (treatments: number, factors: number) => boolean;
}

const OFFERS: readonly Offer[] = [
  {
    value: 'complete-blocks',
    label: 'within blocks',
    hint: 'Each shelf, bed, strip, variety or size class holds every treatment equally often, so that light and draught can’t decide.',
    fits: () => true,
  },
  {
    value: 'complete-randomisation',
    label: 'over the whole bench',
    hint: 'Where one place is as good as the other.',
    fits: () => true,
  },
  {
    value: 'pairs',
    label: 'in pairs or halves',
    hint: 'Two plants alike, two halves of a bed or lawn: a coin says which gets it.',
    fits: treatments => treatments === 2,
  },
  {
    value: 'latin-square',
    label: 'as a square',
    hint: 'Every treatment once in each row and each column: for light from one side and draught from the other.',
    fits: treatments => treatments >= 3 && treatments <= 8,
  },
  {
    value: 'split-plot',
    label: 'as a split plot',
    hint: 'One thing is done to whole beds, the other to the plots within them.',
    fits: (_, factors) => factors > 1,
  },
  {
    value: 'incomplete-blocks',
    label: 'on shelves too small for all',
    hint: 'Each holds some of the treatments, as balanced as may be.',
    fits: treatments => treatments >= 3,
  },
  {
    value: 'several-gardens',
    label: 'in several gardens',
    hint: 'One protocol; each garden is a block and holds every treatment.',
    fits: () => true,
  },
];

/** How many there are of what, and how they are dealt. Only what the chosen layout needs is asked. */
export function LayoutFields({
  form,
  fields,
  treatments,
  factors,
  unitWord,
  places,
  onChange,
}: LayoutFieldsProps) {
  const { kind } = form;
  const set =
    <Key extends keyof BenchDraft>(key: Key) =>
    (value: BenchDraft[Key]): void =>
      onChange({ [key]: value });
  const text = (
    key: Exclude<keyof BenchDraft, 'isBlind' | 'isTurned' | 'kind' | 'unitShape'>,
    label: string,
    more: {
      readonly inputMode?: 'numeric';
      readonly hint?: string;
      readonly placeholder?: string;
    } = {},
  ) => (
    <TextField
      key={key}
      label={label}
      name={key}
      value={String(form[key] ?? '')}
      onChange={set(key)}
      trouble={fields[key]}
      {...more}
    />
  );
  const has = (...kinds: readonly LayoutKind[]): boolean => kinds.includes(kind);
  const sizes = readSizes(form.startSizes ?? '');
  const aside =
    sizes.ok && places !== null && sizes.value.length > places
      ? choosePlants(sizes.value, places, kind !== 'complete-randomisation').aside
      : [];
  return (
    <>
      <Choice
        label="Dealt"
        name="kind"
        value={kind}
        onChange={chosen =>
          onChange({
            kind: chosen,
            ...(chosen === 'several-gardens' && form.blockWord === 'shelf'
              ? { blockWord: 'garden' }
              : {}),
          })
        }
        trouble={fields.kind}
        options={OFFERS.filter(
          offer => offer.fits(treatments, factors.length) || offer.value === kind,
        )}
      />
      <Fields>
        {has('complete-blocks', 'incomplete-blocks', 'split-plot') &&
          text('blockCount', 'Blocks', { inputMode: 'numeric' })}
        {has('pairs') && text('blockCount', 'Pairs', { inputMode: 'numeric' })}
        {has('several-gardens') && text('blockCount', 'Gardens', { inputMode: 'numeric' })}
        {has('complete-blocks', 'incomplete-blocks', 'split-plot') &&
          text('blockWord', 'A block is a')}
        {has('pairs') && text('blockWord', 'A pair is a')}
        {has('latin-square') && text('blockWord', 'A row is a')}
        {has('latin-square') && text('columnWord', 'A column is a')}
        {has('split-plot') && (
          <Select
            label="Dealt to the larger units"
            name="wholeFactor"
            value={form.wholeFactor ?? ''}
            onChange={set('wholeFactor')}
            trouble={fields.wholeFactor}
            options={[
              ...(factors.includes(form.wholeFactor ?? '') ? [] : [{ value: '', label: 'choose' }]),
              ...factors.map(factor => ({ value: factor, label: factor })),
            ]}
          />
        )}
        {has('split-plot') && text('wholeWord', 'A larger unit is a')}
        {has('incomplete-blocks') && text('perBlock', 'It holds', { inputMode: 'numeric' })}
        {has('complete-randomisation') &&
          text('unitsEach', 'Of each treatment', { inputMode: 'numeric' })}
        {has('complete-blocks') &&
          text('unitsEach', 'Of each, in a block', { inputMode: 'numeric' })}
        {has('several-gardens') &&
          text('unitsEach', 'Of each, in a garden', { inputMode: 'numeric' })}
        {has('complete-randomisation', 'complete-blocks') &&
          text('controlEach', 'Of the control', { inputMode: 'numeric', placeholder: 'as many' })}
        <Select
          label={`A ${unitWord} is`}
          name="unitShape"
          value={form.unitShape ?? 'round'}
          onChange={set('unitShape')}
          options={[
            { value: 'round', label: 'round: a pot, tub, tower' },
            { value: 'square', label: 'square: a plot, trough, bag' },
          ]}
        />
        {has(...ON_BENCHES) && text('benches', 'On so many benches', { inputMode: 'numeric' })}
        {!has('complete-randomisation') && (
          <Select
            label="Blocks stand"
            name="isTurned"
            value={form.isTurned ? 'columns' : 'rows'}
            onChange={way => onChange({ isTurned: way === 'columns' })}
            options={[
              { value: 'rows', label: 'as rows, from left to right' },
              { value: 'columns', label: 'as columns, from far to near' },
            ]}
          />
        )}
        {text('unitWidth', `A ${unitWord} is across`)}
        {form.unitShape === 'square' &&
          text('unitDepth', 'Front to back', { placeholder: 'the same' })}
      </Fields>
      <RaisedSizes form={form} set={set} fields={fields} aside={aside} places={places} />
    </>
  );
}

interface RaisedSizesProps {
  readonly form: LayoutFieldsProps['form'];
  readonly set: <Key extends keyof BenchDraft>(key: Key) => (value: BenchDraft[Key]) => void;
  readonly fields: LayoutFieldsProps['fields'];
  readonly aside: readonly RaisedPlant[];
  readonly places: LayoutFieldsProps['places'];
}

function RaisedSizes({ form, set, fields, aside, places }: RaisedSizesProps) {
  return (
    <Sizes open={(form.startSizes ?? '') !== ''}>
      <summary>Sizes before the start</summary>
      <p>
        Raise more than you need and measure them all. The most alike take part, giants and runts
        are set aside now: later none may go. In blocks each holds one size class. The deal is one
        of the most even, one in twenty; the shuffles are held to the same rule, and size is allowed
        for in the sums.
      </p>
      <TextField
        label="Sizes of all plants raised, numbered as they stand here"
        name="startSizes"
        value={form.startSizes ?? ''}
        onChange={set('startSizes')}
        trouble={fields.startSizes}
        isLong
        placeholder="12 14.5 13 …"
      />
      {aside.length > 0 && (
        <p>
          For {places} places {aside.length === 1 ? 'one is' : `${aside.length} are`} set aside as
          spares: {aside.map(plant => `number ${plant.number} (${plant.size})`).join(', ')}.
        </p>
      )}
    </Sizes>
  );
}

const Fields = styled.div`
  display: grid; grid-template-columns: 1fr 1fr; gap: 16px 24px; align-items: start;
`;

const Sizes = styled.details`
  & > summary { cursor: pointer; padding: 4px 0; text-decoration: underline; text-underline-offset: 3px; text-decoration-color: var(--rule-strong); width: fit-content; }
  &[open] > * + * { margin-top: 8px; }
  & > p { color: var(--ink-soft); font-size: 0.9375rem; }
  @media (pointer: coarse) { & > summary { padding: 12px 0; } }
`;
