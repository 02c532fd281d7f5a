'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { PickUnits } from '@/features/bench/PickUnits';
import { writerName } from '@/features/frame/writer-name';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { usePressId } from '@/ui/actions/use-press-id';
import { Button } from '@/ui/Button';
import { TextLine } from '@/ui/fields/TextLine';
import { useForm } from '@/ui/fields/use-form';
import { Acts, Soft } from '@/ui/Page';
import { keepWork, minutesSince, type RunningWork } from './work-memory';

export interface WorkFormProps {
  readonly trialId: string;
  readonly unitWord: string;
  readonly groups: readonly { readonly label: string; readonly codes: readonly string[] }[];
  readonly today: string;
  readonly log: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly undo: (workId: string) => Promise<Result<unknown, TrialTrouble>>;
  readonly running: RunningWork | null;
  readonly setRunning: (work: RunningWork | null) => void;
}

const EMPTY = { minutes: '', people: '1', what: '' };

/** Where work is started, stopped and put down, or minutes are written afterwards. */
export function WorkForm({ running, setRunning, ...props }: WorkFormProps) {
  const { trialId, unitWord, groups, today, log, undo } = props;
  const [codes, setCodes] = useState(running?.codes ?? groups[0]?.codes ?? []);
  const [put, setPut] = useState<{ readonly id: string; readonly words: string } | null>(null);
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, change, field } = useForm(EMPTY, fields);
  const press = usePressId();
  const router = useRouter();
  const keep = (work: RunningWork | null): void => {
    keepWork(trialId, work);
    setRunning(work);
    setPut(null);
  };
  const stop = (): void => {
    if (running) change({ minutes: `${minutesSince(running.startedAt, Date.now())} min` });
    keep(null);
  };
  const send = (): void => {
    const id = press.current();
    run(
      () => log({ ...form, id, codes, on: today, by: writerName() }),
      () => {
        setPut({ id, words: `${form.minutes} put down.` });
        change(EMPTY);
        press.renew();
        router.refresh();
      },
    );
  };
  const takeBack = (id: string): void =>
    run(
      () => undo(id),
      () => {
        setPut(null);
        router.refresh();
      },
    );
  return (
    <Work>
      <PickUnits
        codes={groups[0]?.codes ?? []}
        chosen={codes}
        choose={setCodes}
        trouble={fields.codes}
        groups={groups}
      />
      {running ? (
        <Acts>
          <Elapsed startedAt={running.startedAt} />
          <Button data-tone="main" onPress={stop}>
            Stop
          </Button>
        </Acts>
      ) : (
        <>
          <Acts>
            <Button
              onPress={() => keep({ startedAt: Date.now(), codes })}
              isDisabled={codes.length === 0}
            >
              Start
            </Button>
          </Acts>
          <div data-fields>
            <TextLine label="How long it took" {...field('minutes')} placeholder="25 min" />
            <TextLine label="How many people" {...field('people')} inputMode="numeric" />
            <TextLine label="What was done" {...field('what')} placeholder="weeding" />
          </div>
          <Soft>
            It is shared out evenly to each {unitWord} that is ticked, and counts in money, in the
            harvest of an hour and in hours.
          </Soft>
          <ActionTrouble trouble={trouble} />
          <Acts>
            <Button onPress={send} isPending={isPending} isDisabled={form.minutes.trim() === ''}>
              Put the work down
            </Button>
            <span role="status">{put?.words ?? ''}</span>
            {put && (
              <Button data-tone="quiet" onPress={() => takeBack(put.id)} isPending={isPending}>
                Undo
              </Button>
            )}
          </Acts>
        </>
      )}
    </Work>
  );
}

const TICK_MS = 10_000;

function Elapsed({ startedAt }: { readonly startedAt: number }) {
  const [now, setNow] = useState(startedAt);
  useEffect(() => {
    setNow(Date.now());
    const ticking = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(ticking);
  }, []);
  return <output>{minutesSince(startedAt, now)} min</output>;
}

const Work = styled.div`
  display: grid; gap: 12px;
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start; }
  & output { font-family: var(--font-heading), sans-serif; font-size: 1.5rem; font-weight: 650; }
`;
