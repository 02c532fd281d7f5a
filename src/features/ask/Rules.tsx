'use client';

import { styled } from 'styled-components';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { costOfLooks, lookDays, MOST_LOOKS } from '@/core/judge/question/planned-looks';
import { shortDay } from '@/core/time/days';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { TrialRules } from '@/core/trial/model/trial';
import { listed } from '@/core/words/listed';
import { pluralOf } from '@/core/words/plural';
import { Fold } from '@/ui/Fold';
import { Choice } from '@/ui/fields/Choice';
import { type FieldOf, fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Soft } from '@/ui/Page';
import { AskedFor } from './AskedFor';

interface RulesProps {
  readonly form: QuestionForm;
  /** Of the treatments as they stand in the form. */
  readonly treatments: readonly string[];
  readonly troubles: FieldTroubles;
  readonly isLocked: boolean;
  readonly onChange: (changes: Partial<QuestionForm>) => void;
}

/** What is agreed before the start, so that nobody decides it after a look at the results. */
export function Rules({ form, treatments, troubles, isLocked, onChange }: RulesProps) {
  const { rules } = form;
  const set = (changes: Partial<TrialRules>): void => onChange({ rules: { ...rules, ...changes } });
  const field = fieldsOf({
    form: rules,
    change: set,
    troubles,
    path: 'rules.',
    isReadOnly: isLocked,
  });
  return (
    <Agreed title="Agreed before the start" isRuled>
      <Soft>
        Usual rules stand here already. Change what does not fit; after the lock they stand.
      </Soft>
      <Choice label="It ends" {...field('end')} direction="row" options={ENDS} />
      {rules.end === 'stage' && (
        <TextField
          label="Which stage"
          {...field('endStage')}
          placeholder="half the plants yellow"
        />
      )}
      <UnitRules
        field={field}
        isLocked={isLocked}
        things={pluralOf(form.unitWord.trim() || 'pot')}
      />
      {treatments.length > 2 && (
        <AskedFor rules={rules} treatments={treatments} field={field} change={set} />
      )}
      <TextField
        label="It runs over so many seasons"
        {...field('seasons')}
        value={String(rules.seasons)}
        onChange={seasons => set({ seasons: Number(seasons.replace(/\D/g, '').slice(0, 2)) })}
        inputMode="numeric"
      />
      <Select
        label="The answer is looked at"
        {...field('looks')}
        value={String(rules.looks)}
        onChange={looks => set({ looks: Number(looks) })}
        options={LOOKS}
      />
      {rules.looks > 1 && (
        <Soft>
          Evenly over the season:{' '}
          {listed(lookDays(form.startsOn, form.endsOn, rules.looks).map(shortDay))}. A look at a
          blind trial opens its key.
        </Soft>
      )}
      <TextField label="The key may be seen by" {...field('key')} />
      <TextField
        label="Interests"
        {...fieldsOf({ form, change: onChange, troubles, isReadOnly: isLocked })('interest')}
        isLong
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

interface UnitRulesProps {
  readonly field: FieldOf<TrialRules>;
  readonly isLocked: boolean;
  /** What gets a treatment apart from the others: pots, beds. */
  readonly things: string;
}

/** What becomes of a unit, and what counts of its harvest. */
function UnitRules({ field, isLocked, things }: UnitRulesProps) {
  return (
    <>
      <TextField label={`Which ${things} are left out`} {...field('leaveOut')} isLong />
      <TextField label={`Which ${things} are replaced`} {...field('replace')} isLong />
      <TextField
        label="… at the latest on"
        {...field('replaceUntil')}
        type="date"
        hint={
          isLocked
            ? undefined
            : 'A spare that comes later is younger than the others all season. Empty: no day set.'
        }
      />
      <TextField
        label="A piece is ripe"
        {...field('ripe')}
        isLong
        placeholder="when half its skin has its colour, in the shade"
      />
      <TextField label="A cull is" {...field('cull')} isLong />
      <TextField label="An untreated one is saved" {...field('rescue')} isLong />
    </>
  );
}

/** Each with what it costs. */
const LOOKS = Array.from({ length: MOST_LOOKS }, (_, i) => ({
  value: String(i + 1),
  label:
    i === 0
      ? 'once, at the end'
      : `${i + 1} times, the last at the end: a gap must be ${costOfLooks(i + 1)}% larger to be told`,
}));

const ENDS = [
  { value: 'date', label: 'on the day above, for all' },
  { value: 'stage', label: 'at a stage' },
] as const;

const Agreed = styled(Fold)`
  border-top: 1px solid var(--rule); border-bottom: 1px solid var(--rule); padding: 8px 0;
`;
