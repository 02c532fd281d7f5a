'use client';
import { styled } from 'styled-components';
import { unitOfMeasure } from '@/core/quantity/unit-of-measure';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { LooseMeasure } from '@/core/trial/model/product';
import { useAmountWords, useSystem } from '@/features/frame/use-garden-units';
import { useFieldAction } from '@/ui/actions/use-field-action';
import { Button } from '@/ui/Button';
import type { FieldOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

interface LooseMeasuresProps {
  readonly measures: readonly LooseMeasure[];
  readonly isLiquid: boolean;
  readonly weigh: (input: unknown) => Promise<FieldTroubles | undefined>;
}

interface LooseMeasuresValues {
  readonly name: string;
  readonly of: LooseMeasure['of'];
  readonly written: string;
}

// What the tries are written in: what the garden's own scale and spoons show.
const TRIED_IN = {
  uk: { mass: { key: 'g', word: 'grams' }, volume: { key: 'ml', word: 'millilitres' } },
  us: { mass: { key: 'oz', word: 'ounces' }, volume: { key: 'us-tsp', word: 'teaspoons' } },
} as const;

/** Caps, handfuls and squirts of a product: weighed some times, its rates may count by them. */
export function LooseMeasures({ measures, isLiquid, weigh }: LooseMeasuresProps) {
  const inUnits = useAmountWords();
  const triedIn = TRIED_IN[useSystem()];
  const { fields, isPending, send } = useFieldAction();
  const { form, change, field } = useForm<LooseMeasuresValues>(
    { name: '', of: isLiquid ? 'volume' : 'mass', written: '' },
    fields,
  );
  const { name, of, written } = form;
  const put = async (): Promise<FieldTroubles | undefined> => {
    const tries = written
      .split(/[\s;]+/)
      .filter(each => each !== '')
      .map(each => Number(each.replace(',', '.')));
    if (tries.some(each => !(each > 0)))
      return { tries: 'Numbers above 0, with spaces between them.' };
    const { perBase } = unitOfMeasure(triedIn[of].key);
    return weigh({ name, of, tries: tries.map(each => each * perBase) });
  };
  const submit = (): void =>
    void send(put).then(isKept => {
      if (isKept) change({ name: '', written: '' });
    });
  return (
    <Box aria-label="Your own measures">
      <h2>Your own measures: caps, scoops, handfuls</h2>
      {measures.length === 0 && (
        <Soft>
          Weigh five caps or handfuls: then a rate may say “a handful per plant”, and it is known
          how far they differ.
        </Soft>
      )}
      <ul>
        {measures.map(({ name: called, of: kind, mean, sd, tries }) => (
          <li key={called}>
            a {called}: {inUnits(mean, kind)}, give or take {inUnits(sd, kind)} over {tries}
            {sd > mean / 10 && <b> too uneven to dose by</b>}
          </li>
        ))}
      </ul>
      <LooseFields field={field} fields={fields} submit={submit} isPending={isPending} />
      {fields.form && <Trouble>{fields.form}</Trouble>}
    </Box>
  );
}

interface LooseFieldsProps {
  readonly field: FieldOf<LooseMeasuresValues>;
  readonly fields: Readonly<Record<string, string>>;
  readonly submit: () => void;
  readonly isPending: boolean;
}

function LooseFields({ field, fields, submit, isPending }: LooseFieldsProps) {
  const system = useSystem();
  const triedIn = TRIED_IN[system];
  return (
    <div>
      <TextField label="A" {...field('name')} placeholder="handful" />
      <Select
        label="in"
        {...field('of')}
        options={[
          { value: 'mass', label: triedIn.mass.word },
          { value: 'volume', label: triedIn.volume.word },
        ]}
      />
      <TextField
        label="Five tries"
        {...field('written')}
        trouble={fields.tries}
        placeholder={system === 'us' ? '1 1.2 1.4 1.1 1.3' : '28 35 40 31 36'}
      />
      <Button onPress={submit} isPending={isPending}>
        Keep it
      </Button>
    </div>
  );
}

const Box = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & ul { margin: 0; padding-left: 18px; }
  & li b { color: var(--beet); }
  & > div { display: flex; flex-wrap: wrap; gap: 12px; align-items: end; }
`;
