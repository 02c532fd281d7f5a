'use client';

import type { Dispatch, SetStateAction } from 'react';
import { useState } from 'react';
import { styled } from 'styled-components';
import { figures } from '@/core/materials/amount-words';
import { depthOfBags } from '@/core/materials/mix/depth';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import type { ReadAmount } from '@/features/shelf/sums/read-amount';
import { readAmount, readNumber } from '@/features/shelf/sums/read-amount';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import type { BoundField } from '@/ui/form-fields';
import { Acts } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { Trouble } from '@/ui/Trouble';
import { useForm } from '@/ui/use-form';

interface LaidDepthProps {
  readonly treatments: readonly { readonly id: string; readonly name: string }[];
  readonly areaM2: number;
  readonly unitWord: string;
  readonly system: MeasureSystem;
  readonly name: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

const DEPTH = /(\d+(?:[.,]\d+)?)\s*(cm|mm|in(?:ch(?:es)?)?|")/i;

/** Whole bags give another depth than was meant: the level is called by what was really laid. */
export function LaidDepth({ treatments, areaM2, unitWord, system, name }: LaidDepthProps) {
  const layers = treatments.filter(treatment => DEPTH.test(treatment.name));
  const [chosen, setChosen] = useState(layers[0]?.id ?? '');
  const { form, change, field } = useForm({ bags: '', bag: '' });
  const { bags, bag } = form;
  const { trouble, fields, isPending, run } = useTrialAction();
  if (layers.length === 0) return null;
  const treatment = layers.find(each => each.id === chosen) ?? layers[0];
  const [count, size] = [readNumber(bags, 0.1, 10_000), readAmount(bag, 'volume', system)];
  const depthMm =
    count.base !== undefined && size.base !== undefined
      ? depthOfBags(count.base, size.base, areaM2)
      : undefined;
  const called =
    depthMm === undefined || !treatment
      ? ''
      : treatment.name.replace(
          DEPTH,
          (_, __, unit: string) =>
            `${figures(unit.toLowerCase() === 'mm' ? depthMm : unit.toLowerCase() === 'cm' ? depthMm / 10 : depthMm / 25.4)} ${unit === '"' ? 'in' : unit}`,
        );
  const send = (): void =>
    run(
      () =>
        name({
          treatmentId: treatment?.id,
          bags: count.base,
          bagMl: size.base,
          name: called,
        }),
      () => {
        change({ bags: '' });
        change({ bag: '' });
      },
    );
  return (
    <Box>
      <summary>How deep was it really?</summary>
      <DepthFields
        treatment={treatment}
        setChosen={setChosen}
        layers={layers}
        unitWord={unitWord}
        field={field}
        count={count}
        size={size}
        system={system}
      />
      {called !== '' && (
        <p>
          On {figures(areaM2)} m² that is <b>{called}</b>.
        </p>
      )}
      {fields.name && <Trouble>{fields.name}</Trouble>}
      <ActionTrouble trouble={trouble} />
      {called !== '' && called !== treatment?.name && (
        <Acts>
          <Button onPress={send} isPending={isPending}>
            Call it “{called}”
          </Button>
        </Acts>
      )}
    </Box>
  );
}

interface DepthFieldsProps {
  readonly treatment: { readonly id: string; readonly name: string } | undefined;
  readonly setChosen: Dispatch<SetStateAction<string>>;
  readonly layers: { readonly id: string; readonly name: string }[];
  readonly unitWord: LaidDepthProps['unitWord'];
  readonly field: <Key extends 'bags' | 'bag'>(
    key: Key,
  ) => BoundField<{ bags: string; bag: string }[Key]>;
  readonly count: ReadAmount;
  readonly size: ReadAmount;
  readonly system: LaidDepthProps['system'];
}

function DepthFields({
  treatment,
  setChosen,
  layers,
  unitWord,
  field,
  count,
  size,
  system,
}: DepthFieldsProps) {
  return (
    <div data-fields>
      <Select
        label="The level"
        name="laidLevel"
        value={treatment?.id ?? ''}
        onChange={setChosen}
        options={layers.map(each => ({ value: each.id, label: each.name }))}
      />
      <TextField
        label={`Bags on each ${unitWord}`}
        {...field('bags')}
        trouble={count.trouble}
        inputMode="decimal"
      />
      <TextField
        label="A bag holds"
        {...field('bag')}
        trouble={size.trouble}
        placeholder={system === 'us' ? '1.5 cu ft' : '40 l'}
      />
    </div>
  );
}

const Box = styled.details`
  & > summary { cursor: pointer; font-weight: 600; width: fit-content; padding: 4px 0; }
  &[open] > * + * { margin-top: 10px; }
  & > [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start; }
  @media (pointer: coarse) { & > summary { padding: 12px 0; } }
`;
