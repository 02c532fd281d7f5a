'use client';

import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Acts } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { useForm } from '@/ui/use-form';

interface BlockNamesProps {
  readonly blocks: readonly { readonly id: string; readonly name: string }[];
  readonly blockWord: string;
  readonly put: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

/** What the blocks are called: south bed, by the hedge. */
export function BlockNames({ blocks, blockWord, put }: BlockNamesProps) {
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, field } = useForm<Readonly<Record<string, string>>>(
    Object.fromEntries(blocks.map(({ id, name }) => [id, name])),
    fields,
  );
  return (
    <Names title={`Names of the ${pluralOf(blockWord)}`} isRuled tone="heading">
      <div data-fields>
        {blocks.map(({ id }, i) => (
          <TextField key={id} label={`Name of ${blockWord} ${i + 1}`} {...field(id)} />
        ))}
      </div>
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={() => run(() => put(form))} isPending={isPending}>
          Save the names
        </Button>
      </Acts>
    </Names>
  );
}

const Names = styled(Fold)`
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fill, minmax(170px, 1fr)); gap: 12px; align-items: start; }
`;
