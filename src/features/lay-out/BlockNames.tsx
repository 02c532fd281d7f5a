'use client';

import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { BlockAbout } from '@/core/trial/model/unit';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts } from '@/ui/Page';

/** A block as it is called, and what is known of it. */
export interface NamedBlock {
  readonly id: string;
  readonly name: string;
  readonly about: BlockAbout;
}

interface BlockNamesProps {
  readonly blocks: readonly NamedBlock[];
  readonly blockWord: string;
  /** Each is a garden: its place, its soil and who looks after it are asked for. */
  readonly areGardens: boolean;
  readonly put: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

/** What the blocks are called: south bed, by the hedge. */
export function BlockNames({ blocks, blockWord, areGardens, put }: BlockNamesProps) {
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, field } = useForm<Readonly<Record<string, string>>>(
    formOf(blocks, areGardens),
    fields,
  );
  return (
    <Names
      title={
        areGardens ? 'The gardens, and who looks after them' : `Names of the ${pluralOf(blockWord)}`
      }
      isRuled
      tone="heading"
    >
      {blocks.map(({ id }, i) => (
        <div data-fields data-garden={areGardens || undefined} key={id}>
          <TextField label={`Name of ${blockWord} ${i + 1}`} {...field(id)} />
          {areGardens && (
            <>
              <TextField label={`Place of ${blockWord} ${i + 1}`} {...field(`${id}.place`)} />
              <TextField label={`Soil of ${blockWord} ${i + 1}`} {...field(`${id}.soil`)} />
              <TextField
                label={`Who looks after ${blockWord} ${i + 1}`}
                {...field(`${id}.person`)}
              />
            </>
          )}
        </div>
      ))}
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={() => run(() => put(form))} isPending={isPending}>
          {areGardens ? 'Save the gardens' : 'Save the names'}
        </Button>
      </Acts>
    </Names>
  );
}

function formOf(
  blocks: readonly NamedBlock[],
  areGardens: boolean,
): Readonly<Record<string, string>> {
  return Object.fromEntries(
    blocks.flatMap(({ id, name, about }) => [
      [id, name],
      ...(areGardens
        ? [
            [`${id}.place`, about.place],
            [`${id}.soil`, about.soil],
            [`${id}.person`, about.person],
          ]
        : []),
    ]),
  );
}

const Names = styled(Fold)`
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fill, minmax(170px, 1fr)); gap: 12px; align-items: start; }
  & [data-garden] { grid-template-columns: repeat(auto-fill, minmax(min(240px, 100%), 1fr)); padding-bottom: 16px; border-bottom: 1px solid var(--rule); }
`;
