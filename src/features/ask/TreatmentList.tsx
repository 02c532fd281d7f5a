'use client';

import { X } from 'lucide-react';
import { styled } from 'styled-components';
import { Radio, RadioGroup } from 'react-aria-components';
import type { FieldTroubles } from '@/core/trial/field-troubles';
import { Button } from '@/ui/Button';
import { Soft } from '@/ui/Page';
import { PlantLabel } from '@/ui/PlantLabel';
import { TextField } from '@/ui/TextField';

interface TreatmentListProps {
  readonly treatments: readonly { readonly name: string }[];
  /** Index of the control. */
  readonly control: number;
  readonly troubles: FieldTroubles;
  readonly isLocked: boolean;
  readonly onChange: (treatments: readonly { name: string }[], control: number) => void;
}

const MOST = 8;

/** What is compared, each with its label; one of them is what the others are held against. */
export function TreatmentList({ treatments, control, troubles, isLocked, onChange }: TreatmentListProps) {
  const names = treatments.map(({ name }) => ({ name }));
  const remove = (at: number): void => onChange(names.filter((_, i) => i !== at), control > at ? control - 1 : Math.min(control, names.length - 2));
  const general = troubles.treatments ?? troubles.control;
  return (
    <List role="group" aria-label="What is compared">
      <strong>What is compared</strong>
      <RadioGroup aria-label="The control" value={String(control)} onChange={value => onChange(names, Number(value))} isReadOnly={isLocked}>
        {treatments.map(({ name }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a treatment is its place in the list until it is saved
          <div key={i} data-row>
            <PlantLabel look={{ letter: String.fromCharCode(65 + i), index: i === control ? -1 : i - Number(i > control) }} />
            <TextField label={`Treatment ${String.fromCharCode(65 + i)}`} hidesLabel name={`treatment-${i}`} value={name} onChange={changed => onChange(names.map((each, at) => (at === i ? { name: changed } : each)), control)} trouble={troubles[`treatments.${i}.name`]} isReadOnly={isLocked} placeholder={i === control ? 'plain water' : 'seaweed feed'} />
            <Radio value={String(i)}><i aria-hidden /><span>control</span></Radio>
            {treatments.length > 2 && !isLocked && <Button data-tone="quiet" aria-label={`Take out treatment ${String.fromCharCode(65 + i)}`} onPress={() => remove(i)}><X size={18} aria-hidden /></Button>}
          </div>
        ))}
      </RadioGroup>
      {general && <b>{general}</b>}
      {!isLocked && treatments.length < MOST && <Button data-tone="quiet" onPress={() => onChange([...names, { name: '' }], control)}>Add a treatment</Button>}
      <Soft>The control is what you would do otherwise: plain water, no feed, the usual compost.</Soft>
    </List>
  );
}

const List = styled.div`
  display: grid; gap: 8px; justify-items: start;
  & > strong { font-size: 0.9375rem; }
  & > b { color: var(--beet); font-size: 0.9375rem; }
  & > div { display: grid; gap: 10px; width: 100%; }
  & [data-row] { display: grid; grid-template-columns: 22px minmax(0, 1fr) auto 32px; gap: 14px; align-items: end; }
  & [data-row] > svg { margin-bottom: 4px; }
  & .react-aria-Radio { display: flex; gap: 8px; align-items: center; min-height: 40px; cursor: pointer; }
  & .react-aria-Radio i { width: 18px; height: 18px; border: 2px solid var(--rule-strong); border-radius: 50%; background: var(--paper); }
  & .react-aria-Radio[data-selected] i { border: 6px solid var(--clay); }
  & .react-aria-Radio[data-selected] { font-weight: 600; }
  & .react-aria-Radio[data-focus-visible] i { outline: 3px solid var(--clay); outline-offset: 2px; }
  @media (max-width: 640px) { & [data-row] { gap: 8px; grid-template-columns: 22px minmax(0, 1fr) auto auto; } }
`;
