'use client';
import { styled } from 'styled-components';
import type { LeaveOut } from '@/core/judge/units/trial-analysis';
import type { VerdictInShort } from '@/core/judge/verdict/in-short';
import type { Result } from '@/core/result';
import { fullDay } from '@/core/time/days';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import type { BenchUnit } from '@/features/bench/bench-view';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts, Soft } from '@/ui/Page';

/** Doors to put on record what is left out, and to take it back. */
export interface LeaveOutActions {
  readonly leaveOut: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly putBackIn: (incidentId: string) => Promise<Result<unknown, TrialTrouble>>;
}

type Sentences = Pick<VerdictInShort, 'headline' | 'detail'>;

interface LeftOutProps extends LeaveOutActions {
  readonly current: readonly LeaveOut[];
  readonly unitWord: string;
  /** What it would say with everything back in, and with only those that had no mishap; null where that is the same. */
  readonly allIn: Sentences | null;
  readonly sound: Sentences | null;
  readonly unit: BenchUnit | undefined;
  readonly isClosed: boolean;
  readonly isBlind: boolean;
}

/** What is on record as left out, by whom, when and why, and the verdict with it back in. */
export function LeftOut(props: LeftOutProps) {
  const { current, unitWord, allIn, sound, unit, isClosed, isBlind, leaveOut, putBackIn } = props;
  const canLeaveOut =
    !isClosed && unit !== undefined && !current.some(left => left.code === unit.code);
  return (
    <section aria-label="Left out">
      <h2>Left out</h2>
      {current.length === 0 && <Soft>Nothing: every {unitWord} counts.</Soft>}
      <Rows>
        {current.map(({ code, incident }) => (
          <LeftOutRow
            key={incident.id}
            incident={incident}
            code={code}
            isBlind={isBlind}
            putBackIn={isClosed ? null : putBackIn}
          />
        ))}
      </Rows>
      {allIn && (
        <p>
          With everything back in: <b>{allIn.headline}</b> {allIn.detail}
        </p>
      )}
      {sound && (
        <p>
          With only those that had no mishap: <b>{sound.headline}</b> {sound.detail}
        </p>
      )}
      {canLeaveOut && <LeaveOutForm unit={unit} leaveOut={leaveOut} />}
    </section>
  );
}

interface LeftOutRowProps extends LeaveOut, Pick<LeftOutProps, 'isBlind'> {
  /** null where nothing can be changed any more. */
  readonly putBackIn: LeftOutProps['putBackIn'] | null;
}

function LeftOutRow({ incident, code, isBlind, putBackIn }: LeftOutRowProps) {
  const { trouble, isPending, run } = useTrialAction();
  return (
    <li>
      <b>{code}</b>, {fullDay(incident.happenedOn)}
      {incident.by ? `, by ${incident.by}` : ''}
      {incident.afterKeyOpened
        ? `, after ${isBlind ? 'the key was opened' : 'the first reading'}: it counts all the same. `
        : `, before ${isBlind ? 'anyone knew what it got' : 'anything was read'}: `}
      {incident.why}
      {putBackIn && (
        <Button
          data-tone="quiet"
          isPending={isPending}
          onPress={() => run(() => putBackIn(incident.id))}
        >
          Count it again
        </Button>
      )}
      <ActionTrouble trouble={trouble} />
    </li>
  );
}

interface LeaveOutFormProps {
  readonly unit: BenchUnit;
  readonly leaveOut: LeftOutProps['leaveOut'];
}

function LeaveOutForm({ unit, leaveOut }: LeaveOutFormProps) {
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, change, field } = useForm({ why: '', by: '' }, fields);
  const send = (): void =>
    run(
      () => leaveOut({ unitId: unit.id, ...form }),
      () => change({ why: '' }),
    );
  return (
    <Fold title={`Put on record that ${unit.code} is left out`}>
      <Form>
        <TextField
          label="Why"
          {...field('why')}
          hint="What happened to it, not what it gave: a pot isn’t odd because it disagrees."
        />
        <TextField label="Who says so" {...field('by')} />
        <ActionTrouble trouble={trouble} />
        <Acts>
          <Button isPending={isPending} onPress={send}>
            Leave {unit.code} out
          </Button>
        </Acts>
      </Form>
    </Fold>
  );
}

const Rows = styled.ul`
  margin: 8px 0; padding-left: 20px; max-width: var(--measure);
`;

const Form = styled.div`
  display: grid; gap: 12px; padding-block: 12px;
`;
