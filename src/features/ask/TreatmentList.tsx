'use client';

import { X } from 'lucide-react';
import { styled } from 'styled-components';
import { CONTROL_WORDS } from '@/core/design/question/control-advice';
import type { QuestionForm } from '@/core/design/question/question-shape';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { ControlKind } from '@/core/trial/model/treatment';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { PlantLabel } from '@/ui/PlantLabel';

type Listed = QuestionForm['treatments'][number];

/** What is compared, and the index of the control. */
type Listing = Pick<QuestionForm, 'treatments' | 'control'>;

interface TreatmentListProps extends Readonly<Listing> {
  readonly troubles: FieldTroubles;
  readonly isLocked: boolean;
  /** By what stands then: two names may come at once, as typed before the page's scripts were there. */
  readonly onChange: (change: (now: Listing) => Listing) => void;
}

const MOST = 12;
const KINDS = [
  { value: '', label: 'put to the test' },
  // Several references together are said as what the question is about.
  ...ControlKind.options
    .filter(kind => kind !== 'pooled')
    .map(kind => ({ value: kind, label: CONTROL_WORDS[kind] })),
] as const;

/** What is compared, each with its label; one of them is what the others are held against. */
export function TreatmentList({
  treatments,
  control,
  troubles,
  isLocked,
  onChange,
}: TreatmentListProps) {
  const change = (at: number, changes: Partial<Listed>): void =>
    onChange(now => ({
      ...now,
      treatments: now.treatments.map((each, i) => (i === at ? { ...each, ...changes } : each)),
    }));
  const remove = (at: number): void =>
    onChange(now => ({
      treatments: now.treatments.filter((_, i) => i !== at),
      control:
        now.control > at ? now.control - 1 : Math.min(now.control, now.treatments.length - 2),
    }));
  const general = troubles.treatments ?? troubles.control;
  return (
    <List role="group" aria-labelledby="compared">
      <span id="compared">What is compared</span>
      <div>
        {treatments.map((treatment, i) => (
          <TreatmentRow
            // biome-ignore lint/suspicious/noArrayIndexKey: a treatment is its place in the list until it is saved
            key={i}
            i={i}
            control={control}
            treatment={treatment}
            change={change}
            troubles={troubles}
            isLocked={isLocked}
            treatments={treatments}
            remove={remove}
          />
        ))}
      </div>
      {general && <b>{general}</b>}
      {!isLocked && treatments.length < MOST && (
        <Button
          data-tone="quiet"
          onPress={() =>
            onChange(now => ({
              ...now,
              treatments: [...now.treatments, { name: '', detail: '', controlKind: '' }],
            }))
          }
        >
          Add a treatment
        </Button>
      )}
    </List>
  );
}

type TreatmentLine = TreatmentListProps['treatments'][number];

interface TreatmentRowProps {
  readonly i: number;
  readonly control: TreatmentListProps['control'];
  readonly treatment: TreatmentLine;
  readonly change: (at: number, changes: Partial<TreatmentLine>) => void;
  readonly troubles: TreatmentListProps['troubles'];
  readonly isLocked: TreatmentListProps['isLocked'];
  readonly treatments: TreatmentListProps['treatments'];
  readonly remove: (at: number) => void;
}

function TreatmentRow({
  i,
  control,
  treatment,
  change,
  troubles,
  isLocked,
  treatments,
  remove,
}: TreatmentRowProps) {
  return (
    <div data-row>
      <PlantLabel
        look={{
          letter: String.fromCharCode(65 + i),
          index: i === control ? -1 : i - Number(i > control),
        }}
      />
      <TextField
        label={`Treatment ${String.fromCharCode(65 + i)}`}
        hidesLabel
        name={`treatment-${i}`}
        value={treatment.name}
        onChange={name => change(i, { name })}
        trouble={troubles[`treatments.${i}.name`]}
        isReadOnly={isLocked}
        placeholder={i === control ? 'plain water' : 'seaweed feed'}
      />
      <span data-control>{i === control ? 'the control' : ''}</span>
      {treatments.length > 2 && !isLocked ? (
        <Button
          data-tone="quiet"
          aria-label={`Take out treatment ${String.fromCharCode(65 + i)}`}
          onPress={() => remove(i)}
        >
          <X size={18} aria-hidden />
        </Button>
      ) : (
        <span />
      )}
      <TreatmentMore
        treatment={treatment}
        i={i}
        control={control}
        change={change}
        isLocked={isLocked}
        troubles={troubles}
      />
    </div>
  );
}

type TreatmentMoreProps = Omit<TreatmentRowProps, 'treatments' | 'remove'>;

/** What it is where it is the control, and its stages. */
function TreatmentMore({ treatment, i, control, change, isLocked, troubles }: TreatmentMoreProps) {
  return (
    <Fold
      title={i === control ? 'What kind of control?' : 'A reference, or done in stages?'}
      tone="soft"
      isOpen={treatment.detail !== '' || (treatment.controlKind !== '' && i !== control)}
    >
      <Select
        label={`What ${String.fromCharCode(65 + i)} is`}
        name={`controlKind-${i}`}
        value={treatment.controlKind}
        onChange={controlKind => change(i, { controlKind })}
        options={i === control ? [{ value: '', label: 'not said' }, ...KINDS.slice(1)] : KINDS}
        isReadOnly={isLocked}
      />
      <TextField
        label="Done in stages: what, when, how much"
        name={`detail-${i}`}
        value={treatment.detail}
        onChange={detail => change(i, { detail })}
        trouble={troubles[`treatments.${i}.detail`]}
        isLong
        isReadOnly={isLocked}
        placeholder="Half strength until first flower, then full strength each week."
      />
    </Fold>
  );
}

const List = styled.div`
  display: grid; gap: 8px; justify-items: start;
  & > span { font-weight: 600; font-size: 0.9375rem; }
  & > b { color: var(--beet); font-size: 0.9375rem; }
  & > div { display: grid; gap: 10px; width: 100%; }
  & [data-row] { display: grid; grid-template-columns: 22px minmax(0, 1fr) auto 32px; gap: 4px 14px; align-items: end; }
  & [data-row] > svg { margin-bottom: 4px; }
  & [data-fold] { grid-column: 2 / -1; font-size: 0.9375rem; }
  & [data-control] { color: var(--ink-soft); padding-bottom: 8px; min-width: 76px; }
  @media (max-width: 640px) { & [data-row] { gap: 8px; grid-template-columns: 22px minmax(0, 1fr) auto auto; } }
`;
