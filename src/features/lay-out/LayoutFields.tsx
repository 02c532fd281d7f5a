'use client';

import { styled } from 'styled-components';
import { type BenchDraft, readSizes } from '@/core/design/layouts/bench-form';
import type { RaisedPlant } from '@/core/design/layouts/choose-plants';
import { choosePlants } from '@/core/design/layouts/choose-plants';
import type { LayoutDefinition } from '@/core/design/layouts/layout-definition';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { LayoutKind } from '@/core/trial/model/layout';
import { Fold } from '@/ui/Fold';
import { Choice } from '@/ui/fields/Choice';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';

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

/** How many there are of what, and how they are dealt. Only what the chosen layout needs is asked. */
export function LayoutFields(props: LayoutFieldsProps) {
  const { form, fields, treatments, factors, places, onChange } = props;
  const layout = LAYOUTS[form.kind];
  const sizes = readSizes(form.startSizes ?? '');
  const aside =
    sizes.ok && places !== null && sizes.value.length > places
      ? choosePlants(sizes.value, places, layout.hasBlocks).aside
      : [];
  const choose = (kind: LayoutKind): void =>
    onChange({
      kind,
      ...(kind === 'several-gardens' && form.blockWord === 'shelf' ? { blockWord: 'garden' } : {}),
    });
  const offers = LayoutKind.options.filter(
    kind => kind === form.kind || LAYOUTS[kind].fits(treatments, factors.length),
  );
  return (
    <>
      <Choice
        label="Dealt"
        name="kind"
        value={form.kind}
        onChange={choose}
        trouble={fields.kind}
        options={offers.map(kind => ({
          value: kind,
          label: LAYOUTS[kind].label,
          hint: LAYOUTS[kind].hint,
        }))}
      />
      <Fields>
        {layout.fields.map(({ key, label }) => (
          <LayoutLine key={key} {...props} of={key} label={label} />
        ))}
        <UnitFields {...props} layout={layout} />
      </Fields>
      <RaisedSizes
        form={form}
        set={key => value => onChange({ [key]: value })}
        fields={fields}
        aside={aside}
        places={places}
      />
    </>
  );
}

interface LayoutLineProps extends LayoutFieldsProps {
  readonly of: Exclude<keyof BenchDraft, 'isBlind' | 'isTurned' | 'kind' | 'unitShape'>;
  readonly label: string;
}

const NUMBERS: readonly (keyof BenchDraft)[] = [
  'blockCount',
  'perBlock',
  'unitsEach',
  'controlEach',
  'benches',
];
const PLACEHOLDERS: Readonly<Partial<Record<keyof BenchDraft, string>>> = {
  controlEach: 'as many',
  unitDepth: 'the same',
};

/** One line of a layout; which factor goes to the larger units is chosen among those there are. */
function LayoutLine({ of, label, form, fields, factors, onChange }: LayoutLineProps) {
  if (of === 'wholeFactor')
    return (
      <Select
        label={label}
        name={of}
        value={form.wholeFactor ?? ''}
        onChange={wholeFactor => onChange({ wholeFactor })}
        trouble={fields.wholeFactor}
        options={[
          ...(factors.includes(form.wholeFactor ?? '') ? [] : [{ value: '', label: 'choose' }]),
          ...factors.map(factor => ({ value: factor, label: factor })),
        ]}
      />
    );
  return (
    <TextField
      label={label}
      name={of}
      value={String(form[of] ?? '')}
      onChange={value => onChange({ [of]: value })}
      trouble={fields[of]}
      inputMode={NUMBERS.includes(of) ? 'numeric' : undefined}
      placeholder={PLACEHOLDERS[of]}
    />
  );
}

const SHAPES = [
  { value: 'round', label: 'round: a pot, tub, tower' },
  { value: 'square', label: 'square: a plot, trough, bag' },
] as const;
const WAYS = [
  { value: 'rows', label: 'as rows, from left to right' },
  { value: 'columns', label: 'as columns, from far to near' },
] as const;

/** What each unit is, and how blocks stand. */
function UnitFields(props: LayoutFieldsProps & { readonly layout: LayoutDefinition }) {
  const { form, unitWord, layout, onChange } = props;
  return (
    <>
      <Select
        label={`A ${unitWord} is`}
        name="unitShape"
        value={form.unitShape ?? 'round'}
        onChange={unitShape => onChange({ unitShape })}
        options={SHAPES}
      />
      {layout.goesOnBenches && <LayoutLine {...props} of="benches" label="On so many benches" />}
      {layout.hasBlocks && (
        <Select
          label="Blocks stand"
          name="isTurned"
          value={form.isTurned ? 'columns' : 'rows'}
          onChange={way => onChange({ isTurned: way === 'columns' })}
          options={WAYS}
        />
      )}
      <LayoutLine {...props} of="unitWidth" label={`A ${unitWord} is across`} />
      {form.unitShape === 'square' && (
        <LayoutLine {...props} of="unitDepth" label="Front to back" />
      )}
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
    <Sizes title="Sizes before the start" isOpen={(form.startSizes ?? '') !== ''} tone="soft">
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

const Sizes = styled(Fold)`
  & > p { color: var(--ink-soft); font-size: 0.9375rem; }
`;
