'use client';

import { useState } from 'react';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { writerName } from '@/features/frame/writer-name';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Soft } from '@/ui/Page';

interface PaperLogProps {
  /** The plan's own names: the log goes by them. */
  readonly steps: readonly string[];
  readonly enter: (input: unknown) => Promise<Result<number, TrialTrouble>>;
}

/** A log kept on paper, pasted as a table: each line ticks the step that it means, with its true day. */
export function PaperLog({ steps, enter }: PaperLogProps) {
  const [table, setTable] = useState('');
  const [said, setSaid] = useState('');
  const { trouble, fields, isPending, run } = useTrialAction();
  const submit = (): void => {
    setSaid('');
    run(
      () => enter({ table, by: writerName() }),
      count => {
        setTable('');
        setSaid(`${counted(count, 'task')} put on record.`);
      },
    );
  };
  return (
    <Fold title="Put in a log kept on paper">
      <Soft>
        One line a time, pasted from a spreadsheet or with commas between. The first line names the
        columns: day, task, and, where there is more to say, to, amount, note, who. “Not given”
        under amount leaves a task out. The tasks are called: {steps.join(', ')}.
      </Soft>
      <TextField
        label="The log"
        name="paperLog"
        value={table}
        onChange={setTable}
        isLong
        trouble={fields.table}
        placeholder={`day,task,amount\n2026-06-03,${steps[0] ?? 'weekly feed'},`}
      />
      <ActionTrouble trouble={trouble} />
      <p role="status">{said}</p>
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Put the log on record
        </Button>
      </Acts>
    </Fold>
  );
}
