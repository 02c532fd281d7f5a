'use client';

import { useState } from 'react';
import type { Result } from '@/core/result';
import { fullDay } from '@/core/time/days';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { usePressId } from '@/ui/actions/use-press-id';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { fieldsOf } from '@/ui/fields/form-fields';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import { Box } from './gardens-look';
import { TakeResultsIn } from './TakeResultsIn';

type Door = (input: unknown) => Promise<Result<unknown, TrialTrouble>>;

/** A garden of the list. */
export interface RosterLine {
  readonly id: string;
  readonly name: string;
  readonly person: string;
  readonly givenOn: string | null;
  readonly dueOn: string | null;
  readonly came: {
    readonly gardenId: string;
    readonly on: string;
    readonly units: number;
    readonly missing: number;
  } | null;
  readonly isLate: boolean;
}

interface RosterProps {
  readonly trialId: string;
  readonly rows: readonly RosterLine[];
  readonly unitWord: string;
  readonly ask: Door;
  readonly drop: Door;
  readonly dropResults: Door;
}

/** Who has the plan, and what came back. */
export function Roster({ trialId, rows, unitWord, ask, drop, dropResults }: RosterProps) {
  const { trouble, isPending, run } = useTrialAction();
  const [back, late] = [rows.filter(row => row.came), rows.filter(row => row.isLate)];
  return (
    <Box aria-label="Gardens and their results">
      <h2>Gardens and their results</h2>
      {rows.length === 0 ? (
        <Soft>Nobody is on the list yet. Results can be taken in without it.</Soft>
      ) : (
        <>
          <p>
            {back.length} of {counted(rows.length, 'garden')} sent results
            {late.length > 0 ? `; ${late.length} late` : ''}.
          </p>
          <WideTable label="Gardens and what came back">
            <TableHead of={['garden', 'who', 'given', 'results', '']} />
            <tbody>
              {rows.map(row => (
                <tr key={row.id}>
                  <th scope="row">{row.name}</th>
                  <td>{row.person}</td>
                  <td>{row.givenOn ? fullDay(row.givenOn) : 'not asked'}</td>
                  <td data-long>{stateWords(row, unitWord)}</td>
                  <td>
                    <Button
                      data-tone="quiet"
                      isPending={isPending}
                      aria-label={`${row.came ? 'Take out the results of' : 'Take off the list:'} ${row.name}`}
                      onPress={() =>
                        run(() => (row.came ? dropResults(row.came.gardenId) : drop(row.id)))
                      }
                    >
                      {row.came ? 'Take out' : 'Take off'}
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </WideTable>
        </>
      )}
      <ActionTrouble trouble={trouble} />
      <TakeResultsIn trialId={trialId} />
      <Fold title="Note who was given the plan">
        <AskGarden ask={ask} />
      </Fold>
    </Box>
  );
}

function stateWords({ came, dueOn, isLate }: RosterLine, unitWord: string): string {
  if (!came) {
    if (dueOn === null) return 'nothing yet';
    return isLate ? `late: due ${fullDay(dueOn)}` : `due ${fullDay(dueOn)}`;
  }
  const whole = counted(came.units, unitWord);
  return came.missing === 0
    ? `in since ${fullDay(came.on)}, ${whole}`
    : `in since ${fullDay(came.on)}, not whole: ${came.missing} of ${whole} without a value`;
}

function AskGarden({ ask }: { readonly ask: Door }) {
  const [form, setForm] = useState({ name: '', person: '', dueOn: '' });
  const press = usePressId();
  const { trouble, fields, isPending, run } = useTrialAction();
  const field = fieldsOf({
    form,
    change: changes => setForm(now => ({ ...now, ...changes })),
    troubles: fields,
  });
  const submit = (): void =>
    run(
      () => ask({ ...form, id: press.current() }),
      () => {
        press.renew();
        setForm({ ...form, name: '', person: '' });
      },
    );
  return (
    <div>
      <div data-fields>
        <TextField label="Garden" {...field('name')} />
        <TextField label="Who looks after it (may stay empty)" {...field('person')} />
        <TextField label="Results by" type="date" {...field('dueOn')} />
      </div>
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Put on the list
        </Button>
      </Acts>
    </div>
  );
}
