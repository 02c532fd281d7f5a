'use client';

import { useState } from 'react';
import { type BottleStep, isBottle, type SeenDue } from '@/core/blinding/bottle-steps';
import type { Result } from '@/core/result';
import type { DueToday } from '@/core/schedule/tasks/due-today';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { DueSteps, type Untick } from './DueSteps';
import { MixingList } from './MixingList';

interface DueBoardProps {
  readonly due: SeenDue;
  readonly today: string;
  readonly tick: (trialId: string, input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly untick: Untick;
  readonly lookIntoBottles: () => Promise<Result<DueToday, TrialTrouble>>;
  readonly namesTrial?: boolean;
}

/** What is due and what to mix for it. Of a blind trial only bottles, until whoever mixes asks what is in them. */
export function DueBoard({
  due,
  today,
  tick,
  untick,
  lookIntoBottles,
  namesTrial = false,
}: DueBoardProps) {
  const [open, setOpen] = useState<DueToday | null>(null);
  const { trouble, isPending, run } = useTrialAction();
  const hidden = due.steps.filter(isBottle);
  const bottled = contentsOf(hidden, open);
  const labels = new Set(bottled.map(({ bottle }) => bottle));
  const mixing = open
    ? [...due.mixing, ...open.mixing.filter(mix => mix.each.some(part => labels.has(part.forWhom)))]
    : due.mixing;
  return (
    <>
      <DueSteps
        tasks={due.steps}
        today={today}
        tick={tick}
        untick={untick}
        namesTrial={namesTrial}
      />
      {hidden.length > 0 && !open && (
        <Acts>
          <Button onPress={() => run(lookIntoBottles, setOpen)} isPending={isPending}>
            Show what is in the bottles
          </Button>
          <Soft>
            For whoever mixes; who weighs had better not look. Each look is put in the log.
          </Soft>
          <ActionTrouble trouble={trouble} />
        </Acts>
      )}
      <MixingList mixing={mixing} forbidden={open ? open.forbidden : due.forbidden} />
      {open && (
        <ul aria-label="In the bottles">
          {bottled.map(({ bottle, name, trialId }) => (
            <li key={`${trialId} ${bottle} ${name}`}>
              <b>{bottle}</b>: {name}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** What is in each bottle that is due here; another trial's bottles are none of this board's. */
function contentsOf(
  due: readonly BottleStep[],
  open: DueToday | null,
): readonly { readonly trialId: string; readonly bottle: string; readonly name: string }[] {
  const ours = new Set(due.map(({ trial, bottle, dueOn }) => `${trial.id} ${bottle} ${dueOn}`));
  return (open?.tasks ?? []).flatMap(({ trial, rule, task, receivers }) =>
    receivers
      .filter(({ label }) => ours.has(`${trial.id} ${label} ${task.dueOn}`))
      .map(({ label }) => ({ trialId: trial.id, bottle: label, name: rule.name })),
  );
}
