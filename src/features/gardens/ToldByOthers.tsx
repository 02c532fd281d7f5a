'use client';

import { useState } from 'react';
import type { Result } from '@/core/result';
import { fullDay } from '@/core/time/days';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { usePressId } from '@/ui/actions/use-press-id';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Soft } from '@/ui/Page';
import { Box } from './gardens-look';

type Door = (input: unknown) => Promise<Result<unknown, TrialTrouble>>;

interface ToldByOthersProps {
  readonly treatments: readonly string[];
  readonly control: string;
  readonly typed: readonly {
    readonly id: string;
    readonly from: string;
    /** What it found, in words. */
    readonly says: string;
  }[];
  /** What differences are told in here: `% of the control`, `days`. */
  readonly toldIn: string;
  readonly heard: readonly {
    readonly id: string;
    readonly saidOn: string;
    readonly by: string;
    readonly text: string;
  }[];
  readonly type: Door;
  readonly hear: Door;
  readonly drop: Door;
}

/** What others found: with figures it counts, without it is only kept. */
export function ToldByOthers(props: ToldByOthersProps) {
  const { typed, heard, drop } = props;
  const { trouble, isPending, run } = useTrialAction();
  const takeOut = (id: string, what: string) => (
    <Button
      data-tone="quiet"
      isPending={isPending}
      aria-label={`Take out: ${what}`}
      onPress={() => run(() => drop(id))}
    >
      Take out
    </Button>
  );
  return (
    <Box aria-label="What others found">
      <h2>What others found</h2>
      <Soft>
        A difference with its standard error, from a paper or a neighbour, counts beside the gardens
        and is marked as typed in. What somebody only says is kept here and never counts.
      </Soft>
      {typed.length > 0 && (
        <ul>
          {typed.map(({ id, from, says }) => (
            <li key={id}>
              {from}: {says} {takeOut(id, from)}
            </li>
          ))}
        </ul>
      )}
      {heard.length > 0 && (
        <ul>
          {heard.map(({ id, saidOn, by, text }) => (
            <li key={id}>
              {fullDay(saidOn)}
              {by === '' ? '' : `, ${by}`}: {text} {takeOut(id, text.slice(0, 30))}
            </li>
          ))}
        </ul>
      )}
      <ActionTrouble trouble={trouble} />
      <Fold title="Type in figures">
        <TypeFinding {...props} />
      </Fold>
      <Fold title="Keep what somebody said">
        <HearFinding {...props} />
      </Fold>
    </Box>
  );
}

function TypeFinding({ treatments, control, toldIn, type }: ToldByOthersProps) {
  const [form, setForm] = useState({
    from: '',
    treatment: treatments[0] ?? '',
    size: '',
    se: '',
    season: '',
  });
  const press = usePressId();
  const { trouble, fields, isPending, run } = useTrialAction();
  const field = fieldsOf({
    form,
    change: changes => setForm(now => ({ ...now, ...changes })),
    troubles: fields,
  });
  const submit = (): void =>
    run(
      () => type({ ...form, control, id: press.current() }),
      () => {
        press.renew();
        setForm({ ...form, from: '', size: '', se: '' });
      },
    );
  return (
    <div>
      <div data-fields>
        <TextField label="Where from" {...field('from')} />
        <Select
          label={`Treatment, against ${control}`}
          {...field('treatment')}
          options={treatments.map(name => ({ value: name, label: name }))}
        />
        <TextField
          label={`Difference, ${toldIn}; with − where it was less`}
          {...field('size')}
          inputMode="text"
        />
        <TextField label="Its standard error, in the same" {...field('se')} inputMode="decimal" />
        <TextField label="Year (may stay empty)" {...field('season')} inputMode="numeric" />
      </div>
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Take it in
        </Button>
      </Acts>
    </div>
  );
}

function HearFinding({ hear }: ToldByOthersProps) {
  const [form, setForm] = useState({ by: '', text: '' });
  const press = usePressId();
  const { trouble, fields, isPending, run } = useTrialAction();
  const field = fieldsOf({
    form,
    change: changes => setForm(now => ({ ...now, ...changes })),
    troubles: fields,
  });
  const submit = (): void =>
    run(
      () => hear({ ...form, id: press.current() }),
      () => {
        press.renew();
        setForm({ by: '', text: '' });
      },
    );
  return (
    <div>
      <div data-fields>
        <TextField label="Who said it (may stay empty)" {...field('by')} />
        <TextField label="What they found" {...field('text')} />
      </div>
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Keep it
        </Button>
      </Acts>
    </div>
  );
}
