'use client';

import { X } from 'lucide-react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { traitLines } from '@/core/trial/forms/trait-form';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import type { Action } from '@/ui/actions/use-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts, Soft } from '@/ui/Page';

interface TraitPanelProps {
  readonly traits: ReturnType<typeof traitLines>;
  readonly example: string;
  readonly putDown: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly forget: (name: string) => Promise<Result<unknown, TrialTrouble>>;
}

/** What else differs between units, so that the audit can say where it goes together with a treatment. */
export function TraitPanel({ traits, example, putDown, forget }: TraitPanelProps) {
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, change, field } = useForm({ name: '', lines: '' }, fields);
  const { name, lines } = form;
  const write = (): void =>
    run(
      () => putDown({ name, lines }),
      () => {
        change({ name: '' });
        change({ lines: '' });
      },
    );
  return (
    <Traits
      title="Other differences between them"
      isOpen={traits.length > 0}
      isRuled
      tone="heading"
    >
      <Soft>
        Two varieties, old and new tubs, two batches of mix, two people planting: said here, it is
        held against the treatments.
      </Soft>
      {traits.length > 0 && (
        <ul>
          {traits.map(trait => (
            <TraitLine key={trait.name} trait={trait} run={run} forget={forget} />
          ))}
        </ul>
      )}
      <TextField label="It is" {...field('name')} placeholder="container" />
      <TextField
        label="Which have what, a line each"
        {...field('lines')}
        isLong
        placeholder={example}
      />
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={write} isPending={isPending}>
          Put it down
        </Button>
      </Acts>
    </Traits>
  );
}

interface TraitLineProps {
  readonly trait: {
    readonly name: string;
    readonly values: readonly { readonly value: string; readonly codes: readonly string[] }[];
  };
  readonly run: Action<TrialTrouble>['run'];
  readonly forget: TraitPanelProps['forget'];
}

function TraitLine({ trait, run, forget }: TraitLineProps) {
  return (
    <li>
      <span>
        <b>{trait.name}</b>:{' '}
        {trait.values
          .map(
            ({ value, codes }) =>
              `${value} (${codes.length > 6 ? `${codes.length} of them` : codes.join(' ')})`,
          )
          .join(', ')}
      </span>
      <Button
        data-tone="quiet"
        aria-label={`Take out ${trait.name}`}
        onPress={() => run(() => forget(trait.name))}
      >
        <X size={18} aria-hidden />
      </Button>
    </li>
  );
}

const Traits = styled(Fold)`
  & ul { list-style: none; padding: 0; display: grid; gap: 6px; }
  & li { display: flex; gap: 8px; justify-content: space-between; align-items: start; }
`;
