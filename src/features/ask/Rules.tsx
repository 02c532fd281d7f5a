'use client';

import { styled } from 'styled-components';
import type { QuestionForm } from '@/core/design/question/question-form';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { Choice } from '@/ui/Choice';
import { Soft } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';

interface RulesProps {
  readonly form: Pick<QuestionForm, 'rules' | 'interest'>;
  /** Of the treatments as they stand in the form. */
  readonly treatments: readonly string[];
  readonly troubles: FieldTroubles;
  readonly isLocked: boolean;
  readonly onChange: (changes: Partial<QuestionForm>) => void;
}

/** What is agreed before the start, so that nobody decides it after a look at the results. */
export function Rules({ form, treatments, troubles, isLocked, onChange }: RulesProps) {
  const { rules } = form;
  const set = (changes: Partial<QuestionForm['rules']>): void =>
    onChange({ rules: { ...rules, ...changes } });
  return (
    <Agreed>
      <summary>Agreed before the start</summary>
      <Soft>
        Usual rules stand here already. Change what does not fit; after the lock they stand.
      </Soft>
      <Choice
        label="It ends"
        name="end"
        value={rules.end}
        onChange={end => set({ end })}
        isReadOnly={isLocked}
        direction="row"
        options={[
          { value: 'date', label: 'on the day above, for all' },
          { value: 'stage', label: 'at a stage' },
        ]}
      />
      {rules.end === 'stage' && (
        <TextField
          label="Which stage"
          name="endStage"
          value={rules.endStage}
          onChange={endStage => set({ endStage })}
          trouble={troubles['rules.endStage']}
          isReadOnly={isLocked}
          placeholder="half the plants yellow"
        />
      )}
      <TextField
        label="A unit is left out"
        name="leaveOut"
        value={rules.leaveOut}
        onChange={leaveOut => set({ leaveOut })}
        trouble={troubles['rules.leaveOut']}
        isLong
        isReadOnly={isLocked}
      />
      <TextField
        label="A unit is replaced"
        name="replace"
        value={rules.replace}
        onChange={replace => set({ replace })}
        trouble={troubles['rules.replace']}
        isLong
        isReadOnly={isLocked}
      />
      <TextField
        label="… at the latest on"
        name="replaceUntil"
        type="date"
        value={rules.replaceUntil}
        onChange={replaceUntil => set({ replaceUntil })}
        trouble={troubles['rules.replaceUntil']}
        isReadOnly={isLocked}
        hint={
          isLocked
            ? undefined
            : 'A spare that comes later is younger than the others all season. Empty: no day set.'
        }
      />
      <TextField
        label="A piece is ripe"
        name="ripe"
        value={rules.ripe}
        onChange={ripe => set({ ripe })}
        trouble={troubles['rules.ripe']}
        isLong
        isReadOnly={isLocked}
        placeholder="when half its skin has its colour, in the shade"
      />
      <TextField
        label="A cull is"
        name="cull"
        value={rules.cull}
        onChange={cull => set({ cull })}
        trouble={troubles['rules.cull']}
        isLong
        isReadOnly={isLocked}
      />
      <TextField
        label="An untreated one is saved"
        name="rescue"
        value={rules.rescue}
        onChange={rescue => set({ rescue })}
        trouble={troubles['rules.rescue']}
        isLong
        isReadOnly={isLocked}
      />
      {treatments.length > 2 && (
        <Two>
          <Select
            label="It asks about"
            name="askedOne"
            value={rules.askedOne}
            onChange={askedOne => set({ askedOne, ...(askedOne === '' ? { askedOther: '' } : {}) })}
            trouble={troubles['rules.askedOne']}
            isReadOnly={isLocked}
            options={[
              { value: '', label: 'all against the control' },
              ...treatments.map(name => ({ value: name, label: name })),
            ]}
          />
          {rules.askedOne !== '' && (
            <Select
              label="against"
              name="askedOther"
              value={rules.askedOther}
              onChange={askedOther => set({ askedOther })}
              isReadOnly={isLocked}
              options={[
                { value: '', label: '…' },
                ...treatments
                  .filter(name => name !== rules.askedOne)
                  .map(name => ({ value: name, label: name })),
              ]}
            />
          )}
        </Two>
      )}
      <TextField
        label="It runs over so many seasons"
        name="seasons"
        value={String(rules.seasons)}
        onChange={seasons => set({ seasons: Number(seasons.replace(/\D/g, '').slice(0, 2)) })}
        trouble={troubles['rules.seasons']}
        inputMode="numeric"
        isReadOnly={isLocked}
      />
      <TextField
        label="The key may be seen by"
        name="key"
        value={rules.key}
        onChange={key => set({ key })}
        trouble={troubles['rules.key']}
        isReadOnly={isLocked}
      />
      <TextField
        label="Interests"
        name="interest"
        value={form.interest}
        onChange={interest => onChange({ interest })}
        trouble={troubles.interest}
        isLong
        isReadOnly={isLocked}
        hint={
          isLocked
            ? undefined
            : 'A gift, an own recipe, something to sell. It stands on the verdict.'
        }
        placeholder="none"
      />
    </Agreed>
  );
}

const Two = styled.div`
  display: grid; grid-template-columns: repeat(auto-fit, minmax(160px, 1fr)); gap: 12px;
`;

const Agreed = styled.details`
  border-top: 1px solid var(--rule); border-bottom: 1px solid var(--rule); padding: 8px 0;
  & > summary { font-weight: 600; cursor: pointer; padding: 4px 0; }
  &[open] > * + * { margin-top: 12px; }
  @media (pointer: coarse) { & > summary { padding: 12px 0; } }
`;
