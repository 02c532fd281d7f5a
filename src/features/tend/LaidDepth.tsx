'use client';

import { styled } from 'styled-components';
import { figures } from '@/core/materials/amount-words';
import { depthOfBags } from '@/core/materials/mix/depth';
import { printArea } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { readAmount, readNumber } from '@/features/shelf/sums/read-amount';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

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
  const { form, change, field } = useForm({ layer: layers[0]?.id ?? '', bags: '', bag: '' });
  const { trouble, fields, isPending, run } = useTrialAction();
  const treatment = layers.find(each => each.id === form.layer) ?? layers[0];
  if (!treatment) return null;
  const count = readNumber(form.bags, 0.1, 10_000);
  const size = readAmount(form.bag, 'volume', system);
  const called =
    count.base === undefined || size.base === undefined
      ? ''
      : nameWithDepth(treatment.name, depthOfBags(count.base, size.base, areaM2));
  const send = (): void =>
    run(
      () => name({ treatmentId: treatment.id, bags: count.base, bagMl: size.base, name: called }),
      () => change({ bags: '', bag: '' }),
    );
  return (
    <Box title="How deep was it really?">
      <div data-fields>
        <Select
          label="The level"
          {...field('layer')}
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
      {called !== '' && (
        <p>
          On {printArea(areaM2, system)} that is <b>{called}</b>.
        </p>
      )}
      {fields.name && <Trouble>{fields.name}</Trouble>}
      <ActionTrouble trouble={trouble} />
      {called !== '' && called !== treatment.name && (
        <Acts>
          <Button onPress={send} isPending={isPending}>
            Call it “{called}”
          </Button>
        </Acts>
      )}
    </Box>
  );
}

/** A level's name with the depth in it put right, in its own unit. */
function nameWithDepth(name: string, depthMm: number): string {
  return name.replace(DEPTH, (_, __, unit: string) => {
    const mm = MM_IN[unit.toLowerCase()] ?? MM_AN_INCH;
    return `${figures(depthMm / mm)} ${unit === '"' ? 'in' : unit}`;
  });
}

const MM_AN_INCH = 25.4;
const MM_IN: Readonly<Record<string, number>> = { mm: 1, cm: 10 };

const Box = styled(Fold)`
  & > [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start; }
`;
