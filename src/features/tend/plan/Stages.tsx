'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/fields/TextField';
import { Soft } from '@/ui/Page';

interface StagesProps {
  readonly stages: readonly { readonly name: string; readonly day: string }[];
  readonly isClosed: boolean;
  readonly date: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

/** The stages that the plan waits for; dated as they come, and the rest moves. */
export function Stages({ stages, isClosed, date }: StagesProps) {
  if (stages.length === 0) return null;
  return (
    <Box aria-label="Stages">
      <h2>Stages</h2>
      <Soft>
        One rule for all, fixed beforehand: the day on which the first of all shows it, or half of
        them. Don’t date each treatment by itself.
      </Soft>
      {stages.map(stage => (
        <Stage key={`${stage.name} ${stage.day}`} stage={stage} isClosed={isClosed} date={date} />
      ))}
    </Box>
  );
}

function Stage({
  stage,
  isClosed,
  date,
}: Omit<StagesProps, 'stages'> & { readonly stage: StagesProps['stages'][number] }) {
  const [day, setDay] = useState(stage.day);
  const { trouble, fields, isPending, run } = useTrialAction();
  const put = (): void => run(() => date({ stage: stage.name, day }));
  return (
    <div>
      <TextField
        label={stage.name}
        name={`stage ${stage.name}`}
        type="date"
        value={day}
        onChange={setDay}
        isReadOnly={isClosed}
        trouble={fields.day}
      />
      {!isClosed && day !== stage.day && (
        <Button onPress={put} isPending={isPending}>
          {day === '' ? 'Not yet after all' : 'It came'}
        </Button>
      )}
      <ActionTrouble trouble={trouble} />
    </div>
  );
}

const Box = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & > div { display: flex; gap: 12px; align-items: end; flex-wrap: wrap; }
`;
