'use client';

import { X } from 'lucide-react';
import { useState, useTransition } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { traitLines } from '@/core/trial/forms/trait-form';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { Trouble } from '@/ui/Trouble';

interface TraitPanelProps {
  readonly traits: ReturnType<typeof traitLines>;
  readonly example: string;
  readonly putDown: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly forget: (name: string) => Promise<Result<unknown, TrialTrouble>>;
}

/** What else differs between units, so that the audit can say where it goes together with a treatment. */
export function TraitPanel({ traits, example, putDown, forget }: TraitPanelProps) {
  const [name, setName] = useState('');
  const [lines, setLines] = useState('');
  const [trouble, setTrouble] = useState<TrialTrouble>();
  const [isPending, startTransition] = useTransition();
  const fields: FieldTroubles = trouble?.kind === 'invalid' ? trouble.fields : {};
  const act = (work: () => Promise<Result<unknown, TrialTrouble>>, then?: () => void): void =>
    startTransition(async () => {
      const done = await work();
      setTrouble(done.ok ? undefined : done.trouble);
      if (done.ok) then?.();
    });
  const write = (): void =>
    act(
      () => putDown({ name, lines }),
      () => {
        setName('');
        setLines('');
      },
    );
  return (
    <Traits open={traits.length > 0}>
      <summary>What else differs between them</summary>
      <Soft>
        Two varieties, old and new tubs, two batches of mix, two people planting: said here, it is
        held against the treatments.
      </Soft>
      {traits.length > 0 && (
        <ul>
          {traits.map(trait => (
            <li key={trait.name}>
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
                onPress={() => act(() => forget(trait.name))}
              >
                <X size={18} aria-hidden />
              </Button>
            </li>
          ))}
        </ul>
      )}
      <TextField
        label="It is"
        name="traitName"
        value={name}
        onChange={setName}
        trouble={fields.name}
        placeholder="container"
      />
      <TextField
        label="Which have what, a line each"
        name="traitLines"
        value={lines}
        onChange={setLines}
        trouble={fields.lines}
        isLong
        placeholder={example}
      />
      {trouble && trouble.kind !== 'invalid' && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Acts>
        <Button onPress={write} isPending={isPending}>
          Put it down
        </Button>
      </Acts>
    </Traits>
  );
}

const Traits = styled.details`
  border-top: 1px solid var(--rule); padding-top: 12px;
  & > summary { cursor: pointer; padding: 4px 0; width: fit-content; font-family: var(--font-heading), sans-serif; font-weight: 650; font-size: 1.125rem; }
  &[open] > * + * { margin-top: 10px; }
  & ul { list-style: none; padding: 0; display: grid; gap: 6px; }
  & li { display: flex; gap: 8px; justify-content: space-between; align-items: start; }
  @media (pointer: coarse) { & > summary { padding: 12px 0; } }
`;
