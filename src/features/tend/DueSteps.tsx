'use client';

import { useRef, useState } from 'react';
import { styled } from 'styled-components';
import { v7 } from 'uuid';
import { dueCodesOf, dueDay, isBottle, type SeenStep } from '@/core/blinding/bottle-steps';
import type { Result } from '@/core/result';
import { shortDay } from '@/core/time/days';
import { daysBetween } from '@/core/time/garden-day';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import { PickUnits } from '@/features/bench/PickUnits';
import { useSystem } from '@/features/frame/use-garden-units';
import { writerName } from '@/features/frame/writer-name';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { NO_ANSWER, useTrialAction } from '@/features/trial/use-trial-action';
import { answerOf } from '@/ui/actions/use-action';
import { Button } from '@/ui/Button';
import { FirstFew } from '@/ui/FirstFew';
import { Fold } from '@/ui/Fold';
import { Choice } from '@/ui/fields/Choice';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { tell } from '@/ui/toasts/tell';
import { AmountField } from './AmountField';
import { dueWords, eachWords } from './due-words';
import { NOTHING_WRITTEN, readReally } from './really-given';

/** Undoes a tick. @param by who says so */
export type Untick = (
  trialId: string,
  actId: string,
  by: string,
) => Promise<Result<unknown, TrialTrouble>>;

interface DueStepsProps {
  readonly tasks: readonly SeenStep[];
  readonly today: string;
  readonly tick: (trialId: string, input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly untick: Untick;
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
  untick,
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
              key={`${due.trial.id} ${stepKey(due)}`}
              due={due}
              today={today}
              tick={tick}
              untick={untick}
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

type StepProps = Omit<DueStepsProps, 'tasks'> & { readonly due: SeenStep };

function stepKey(due: SeenStep): string {
  return isBottle(due)
    ? `${due.bottle} ${due.dueOn} ${due.codes.length}`
    : `${due.rule.id} ${due.task.nth} ${due.task.doneUnitIds?.length ?? ''}`;
}

/** What a step is called: a bottle by its code alone. */
function stepName(due: SeenStep): string {
  return isBottle(due) ? `Give ${due.bottle}` : due.rule.name;
}

/** Whether some had it before. */
function isRest(due: SeenStep): boolean {
  return isBottle(due) ? due.isRest : due.task.doneUnitIds !== null;
}

function Step({ due, today, tick, untick, namesTrial, isLate }: StepProps) {
  const [isOpen, setOpen] = useState(false);
  const system = useSystem();
  const step = useStep({ due, today, tick, untick, isLate });
  const { trouble, fields, isPending, send } = step;
  const dueOn = dueDay(due);
  const late = dueOn === null ? 0 : daysBetween(dueOn, today);
  return (
    <li>
      <div>
        <strong>
          {stepName(due)}
          {late > 0 && !isLate && <em> {counted(late, 'day')} late</em>}
          {isLate && dueOn !== null && <em> of {shortDay(dueOn)}</em>}
          {isRest(due) && <em> for the rest</em>}
        </strong>
        <span>
          {isBottle(due) ? counted(due.codes.length, due.trial.unitWord) : dueWords(due, system)}
        </span>
        <ReceiverList due={due} />
        {namesTrial && <small>{due.trial.question}</small>}
        <Fold title="Done differently, or not at all" onOpenChange={setOpen}>
          {isOpen && <OtherwiseFields due={due} step={step} />}
        </Fold>
        {!isOpen && Object.values(fields).map(says => <Trouble key={says}>{says}</Trouble>)}
        <ActionTrouble trouble={trouble} />
      </div>
      <Button
        data-tone="main"
        onPress={() => send(false)}
        isPending={isPending}
        aria-label={`${stepName(due)}${isLate && dueOn !== null ? ` of ${shortDay(dueOn)}` : ''}: done`}
      >
        Done
      </Button>
    </li>
  );
}

function ReceiverList({ due }: { readonly due: SeenStep }) {
  const system = useSystem();
  if (isBottle(due)) return <Codes>{due.codes.join(' ')}</Codes>;
  const isBySize = due.receivers.some(receiver => receiver.each);
  if (due.rule.treatmentIds.length === 0 && due.task.doneUnitIds === null && !isBySize) return null;
  return (
    <Receivers>
      {due.receivers.map(receiver => (
        <li key={receiver.codes.join()}>
          <b>{receiver.label}</b> {receiver.codes.join(' ')}
          {receiver.each && <span>: {eachWords(receiver.each, system)} each</span>}
        </li>
      ))}
    </Receivers>
  );
}

/** A step as it is to be ticked off, and the tick. */
function useStep({ due, today, tick, untick, isLate }: StepProps) {
  const { form, field, change } = useForm<StepValues>({
    on: isLate ? (dueDay(due) ?? today) : today,
    really: '',
    outcome: 'as-it-should-be',
    why: '',
    isSome: false,
    some: [],
  });
  const action = useTrialAction();
  const id = useRef(v7()); // the same press sent twice is one act
  const isLook = !isBottle(due) && (due.rule.kind === 'barrier' || due.rule.kind === 'check');
  const system = useSystem();
  const really = isBottle(due) ? NOTHING_WRITTEN : readReally(form.really, due, system);
  const send = (isSkipped: boolean): void => {
    const sent = id.current;
    const told = {
      words: `${sentenceCase(stepName(due))}: ${isSkipped ? 'left out' : 'done'}.`,
      undo: () => undoing(() => untick(due.trial.id, sent, writerName())),
    };
    action.run(
      () => {
        if (!isSkipped && really.trouble !== undefined) return undefined;
        return tick(due.trial.id, {
          id: sent,
          ...(isBottle(due)
            ? { bottle: due.bottle, dueOn: due.dueOn }
            : {
                ruleId: due.rule.id,
                nth: due.task.nth,
                amount: isSkipped ? null : (really.base ?? null),
                outcome: isLook && !isSkipped ? form.outcome : null,
              }),
          doneOn: form.on,
          isSkipped,
          codes: form.isSome && form.some.length > 0 ? form.some : restCodes(due),
          note: form.why,
          by: writerName(),
        });
      },
      () => tell(told),
    );
  };
  return {
    ...action,
    reallyTrouble: really.trouble,
    id: id.current,
    form,
    field,
    change,
    isLook,
    send,
  };
}

/** @returns what stood in the way */
async function undoing(
  undo: () => Promise<Result<unknown, TrialTrouble>>,
): Promise<string | undefined> {
  const undone = await answerOf(undo, NO_ANSWER);
  return undone && !undone.ok ? trialSentence(undone.trouble) : undefined;
}

/** Where some had it before, it is done for the rest alone. */
function restCodes(due: SeenStep): readonly string[] | null {
  return isRest(due) ? dueCodesOf(due) : null;
}

interface OtherwiseFieldsProps {
  readonly due: SeenStep;
  readonly step: ReturnType<typeof useStep>;
}

/** What was done otherwise, to which units, or why not at all. */
function OtherwiseFields({ due, step }: OtherwiseFieldsProps) {
  const { field, fields, form, change, id, isLook, isPending, send } = step;
  const codes = [...dueCodesOf(due)].sort();
  return (
    <>
      <TextField label="Done on" {...field('on')} type="date" trouble={fields.doneOn} />
      {!isBottle(due) && (
        <AmountField
          due={due}
          field={field('really')}
          trouble={step.reallyTrouble ?? fields.amount}
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
  & [data-folded] { max-width: 420px; }
`;

const Codes = styled.span`
  font-variant-numeric: tabular-nums; overflow-wrap: anywhere;
`;

const Receivers = styled.ul`
  list-style: none; margin: 0; padding: 0; font-variant-numeric: tabular-nums;
  & b { margin-right: 6px; }
`;
