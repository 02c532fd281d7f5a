'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { writerName } from '@/features/frame/writer-name';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts, Soft } from '@/ui/Page';
import { DueSteps, type Untick } from './DueSteps';
import type { TendView } from './tend-scene';

interface MissedProps {
  readonly view: TendView;
  readonly tick: (trialId: string, input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly untick: Untick;
  readonly stateAll: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

/** Steps that nobody ticked in time: each can be ticked with its true day, or all by one statement. */
export function Missed({ view, tick, untick, stateAll }: MissedProps) {
  const [isOpen, setOpen] = useState(false);
  const { missed, today } = view;
  if (missed.length === 0) return null;
  return (
    <Fold title={`Not ticked in time: ${counted(missed.length, 'task')}`} onOpenChange={setOpen}>
      {isOpen && (
        <Late>
          <Soft>
            Was it given, and only not written down here? Tick it with its true day. What stays
            unticked stands on the verdict as not given.
          </Soft>
          <DueSteps tasks={missed} today={today} tick={tick} untick={untick} isLate />
          <Statement stateAll={stateAll} count={missed.length} />
        </Late>
      )}
    </Fold>
  );
}

interface StatementProps extends Pick<MissedProps, 'stateAll'> {
  readonly count: number;
}

function Statement({ stateAll, count }: StatementProps) {
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, field } = useForm({ by: '' }, fields);
  return (
    <>
      <TextField label="Who says that all was given" {...field('by')} />
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button
          isPending={isPending}
          onPress={() =>
            run(() => stateAll({ by: form.by.trim() === '' ? writerName() : form.by }))
          }
        >
          {count === 1 ? 'It was given as planned' : `All ${count} were given as planned`}
        </Button>
      </Acts>
    </>
  );
}

const Late = styled.div`
  display: grid; gap: 12px; padding-block: 12px;
`;
