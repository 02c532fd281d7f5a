'use client';

import { useRef, useState } from 'react';
import { styled } from 'styled-components';
import { v7 } from 'uuid';
import type { Result } from '@/core/result';
import type { DueTask } from '@/core/schedule/tasks/due-today';
import { daysBetween } from '@/core/time/garden-day';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { PickUnits } from '@/features/bench/PickUnits';
import { shortDay } from '@/features/frame/days';
import { writerName } from '@/features/frame/writer-name';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { FirstFew } from '@/ui/FirstFew';
import { Acts } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { Trouble } from '@/ui/Trouble';
import { useForm } from '@/ui/use-form';
import { dueWords } from './due-words';

interface DueStepsProps {
  readonly tasks: readonly DueTask[];
  readonly today: string;
  readonly tick: (trialId: string, input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  /** Over several trials each step says whose it is. */
  readonly namesTrial?: boolean;
  /** Only written down late: then the day it was due is the day it was done, unless another is said. */
  readonly isLate?: boolean;
}

/** What is due and what is late, each ticked off with one press, or left out with a reason. */
export function DueSteps({
  tasks,
  today,
  tick,
  namesTrial = false,
  isLate = false,
}: DueStepsProps) {
  return (
    <FirstFew of={tasks} first={FIRST}>
      {shown => (
        <Steps>
          {shown.map(due => (
            <Step
              // What is left of a step is a step of its own: another tick, with nothing of the first in its fields.
              key={`${due.rule.id} ${due.task.nth} ${due.task.doneUnitIds?.length ?? ''}`}
              due={due}
              today={today}
              tick={tick}
              namesTrial={namesTrial}
              isLate={isLate}
            />
          ))}
        </Steps>
      )}
    </FirstFew>
  );
}

const FOUND = [
  { value: 'as-it-should-be', label: 'as it should be' },
  { value: 'not-as-it-should-be', label: 'not so: bridged, or off' },
] as const;

const FIRST = 25; // more than a morning’s work; the rest on demand

interface StepValues {
  readonly on: string;
  readonly really: string;
  readonly outcome: (typeof FOUND)[number]['value'];
  readonly why: string;
  readonly isSome: boolean;
  readonly some: readonly string[];
}

type StepProps = Omit<DueStepsProps, 'tasks'> & { readonly due: DueTask };

function Step({ due, today, tick, namesTrial, isLate }: StepProps) {
  const [isOpen, setOpen] = useState(false);
  const step = useStep({ due, today, tick, isLate });
  const { trouble, fields, isPending, send } = step;
  const late = due.task.dueOn === null ? 0 : daysBetween(due.task.dueOn, today);
  return (
    <li>
      <div>
        <strong>
          {due.rule.name}
          {late > 0 && !isLate && <em> {counted(late, 'day')} late</em>}
          {isLate && due.task.dueOn !== null && <em> of {shortDay(due.task.dueOn)}</em>}
          {due.task.doneUnitIds !== null && <em> for the rest</em>}
        </strong>
        <span>{dueWords(due)}</span>
        {namesTrial && <small>{due.trial.question}</small>}
        {(due.isHidden || due.rule.treatmentIds.length > 0 || due.task.doneUnitIds !== null) && (
          <Receivers>
            {due.receivers.map(receiver => (
              <li key={receiver.label}>
                <b>{receiver.label}</b> {receiver.codes.join(' ')}
              </li>
            ))}
          </Receivers>
        )}
        <details onToggle={event => setOpen(event.currentTarget.open)}>
          <summary>Otherwise</summary>
          {isOpen && <OtherwiseFields due={due} step={step} />}
        </details>
        {!isOpen && Object.values(fields).map(says => <Trouble key={says}>{says}</Trouble>)}
        <ActionTrouble trouble={trouble} />
      </div>
      <Button
        data-tone="main"
        onPress={() => send(false)}
        isPending={isPending}
        aria-label={`${due.rule.name}${isLate && due.task.dueOn !== null ? ` of ${shortDay(due.task.dueOn)}` : ''}: done`}
      >
        Done
      </Button>
    </li>
  );
}

/** A step as it is to be ticked off, and the tick. */
function useStep({ due, today, tick, isLate }: StepProps) {
  const { form, field, change } = useForm<StepValues>({
    on: isLate ? (due.task.dueOn ?? today) : today,
    really: '',
    outcome: 'as-it-should-be',
    why: '',
    isSome: false,
    some: [],
  });
  const action = useTrialAction();
  const id = useRef(v7()); // the same press sent twice is one act
  const isLook = due.rule.kind === 'barrier' || due.rule.kind === 'check';
  const send = (isSkipped: boolean): void =>
    action.run(() =>
      tick(due.trial.id, {
        id: id.current,
        ruleId: due.rule.id,
        nth: due.task.nth,
        doneOn: form.on,
        isSkipped,
        amount: isSkipped ? null : writtenAmount(form.really),
        codes: form.isSome && form.some.length > 0 ? form.some : restCodes(due),
        outcome: isLook && !isSkipped ? form.outcome : null,
        note: form.why,
        by: writerName(),
      }),
    );
  return { ...action, id: id.current, form, field, change, isLook, send };
}

/** Where some had it before, it is done for the rest alone. */
function restCodes({ task, receivers }: DueTask): readonly string[] | null {
  return task.doneUnitIds === null ? null : receivers.flatMap(receiver => receiver.codes);
}

function writtenAmount(written: string): number | null {
  const said = written.trim();
  return /^\d+([.,]\d+)?$/.test(said) ? Number(said.replace(',', '.')) : null;
}

interface OtherwiseFieldsProps {
  readonly due: DueTask;
  readonly step: ReturnType<typeof useStep>;
}

/** What was done otherwise, to which units, or why not at all. */
function OtherwiseFields({ due, step }: OtherwiseFieldsProps) {
  const { field, fields, form, change, id, isLook, isPending, send } = step;
  const codes = due.receivers.flatMap(receiver => receiver.codes).sort();
  return (
    <>
      <TextField label="Done on" {...field('on')} type="date" trouble={fields.doneOn} />
      {(due.each || due.rule.kind === 'water' || due.rule.kind === 'fill') && (
        <TextField
          label={`Really given to each, ${due.each?.kind === 'mass' ? 'g' : 'ml'}`}
          {...field('really')}
          inputMode="decimal"
          placeholder={due.each ? 'as planned' : ''}
        />
      )}
      {isLook && <Select label="Found" {...field('outcome')} options={FOUND} />}
      {codes.length > 0 && (
        <Choice
          label="To"
          name={`to ${id}`}
          value={form.isSome ? 'some' : 'all'}
          onChange={to => change({ isSome: to === 'some' })}
          direction="row"
          options={[
            { value: 'all', label: `all ${codes.length}` },
            { value: 'some', label: 'only some' },
          ]}
        />
      )}
      {form.isSome && (
        <PickUnits
          codes={codes}
          chosen={form.some}
          choose={some => change({ some })}
          trouble={fields.codes}
        />
      )}
      <TextField label="A note, or why it is left out" {...field('why')} trouble={fields.note} />
      <Acts>
        <Button onPress={() => send(true)} isPending={isPending}>
          Leave it out
        </Button>
      </Acts>
    </>
  );
}

const Steps = styled.ul`
  list-style: none; margin: 8px 0 0; padding: 0; border-top: 1px solid var(--ink); max-width: 860px;
  & > li { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 16px; align-items: start; padding: 14px 0; border-bottom: 1px solid var(--rule); }
  & > li > div { display: grid; gap: 4px; }
  & strong { font-size: 1.125rem; }
  & em { font-style: normal; color: var(--beet); font-weight: 600; }
  & small { color: var(--ink-soft); font-size: 0.9375rem; }
  & summary { cursor: pointer; width: fit-content; color: var(--ink-soft); font-size: 0.9375rem; }
  & details[open] { display: grid; gap: 8px; max-width: 420px; }
  & details[open] > * + * { margin-top: 8px; }
  @media (pointer: coarse) { & summary { padding: 10px 0; } }
`;

const Receivers = styled.ul`
  list-style: none; margin: 0; padding: 0; font-variant-numeric: tabular-nums;
  & b { margin-right: 6px; }
`;
