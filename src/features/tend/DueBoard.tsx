'use client';

import { useState, useTransition } from 'react';
import type { Result } from '@/core/result';
import type { DueTask, DueToday } from '@/core/schedule/tasks/due-today';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { DueSteps } from './DueSteps';
import { MixingList } from './MixingList';

interface DueBoardProps {
  readonly due: DueToday;
  readonly today: string;
  readonly tick: (trialId: string, input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly lookIntoBottles: () => Promise<DueToday>;
  readonly namesTrial?: boolean;
}

/** What is due and what to mix for it. Of a blind trial only bottles, until whoever mixes asks what is in them. */
export function DueBoard({ due, today, tick, lookIntoBottles, namesTrial = false }: DueBoardProps) {
  const [open, setOpen] = useState<DueToday | null>(null);
  const [isPending, startTransition] = useTransition();
  const isHidden = due.tasks.some(task => task.isHidden);
  // Another trial's bottles are none of this board's.
  const ours = new Set(due.tasks.map(stepOf));
  const bottled = open?.tasks.filter(task => ours.has(stepOf(task))) ?? [];
  const labels = new Set(bottled.flatMap(task => task.receivers.map(receiver => receiver.label)));
  const mixing = open
    ? open.mixing.filter(mix => mix.each.some(part => labels.has(part.forWhom)))
    : due.mixing;
  return (
    <>
      <DueSteps tasks={due.tasks} today={today} tick={tick} namesTrial={namesTrial} />
      {isHidden && !open && (
        <Acts>
          <Button
            onPress={() => startTransition(async () => setOpen(await lookIntoBottles()))}
            isPending={isPending}
          >
            Show what is in the bottles
          </Button>
          <Soft>
            For whoever mixes; who weighs had better not look. Each look is put in the log.
          </Soft>
        </Acts>
      )}
      <MixingList mixing={mixing} forbidden={open ? open.forbidden : due.forbidden} />
      {open && (
        <ul aria-label="In the bottles">
          {bottled
            .filter(task => task.rule.treatmentIds.length > 0)
            .flatMap(task =>
              task.receivers.map(receiver => (
                <li key={task.rule.id + receiver.label}>
                  <b>{receiver.label}</b>: {task.rule.name}
                </li>
              )),
            )}
        </ul>
      )}
    </>
  );
}

/** A step by its trial, its day and who gets it: of a blind trial's steps the board knows no more. */
function stepOf({ trial, task, receivers }: DueTask): string {
  return [trial.id, task.dueOn, ...receivers.map(receiver => receiver.label).sort()].join(' ');
}
