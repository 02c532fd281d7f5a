'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { v7 } from 'uuid';
import type { Result } from '@/core/result';
import { shortDay } from '@/core/time/days';
import { addDays, GardenDay } from '@/core/time/garden-day';
import { DECISION_WORDS } from '@/core/trial/decision-words';
import type { HistoryLine } from '@/core/trial/history-line';
import {
  type ByTreatment,
  type Decision,
  MISHAP_WORDS,
  type MishapCause,
} from '@/core/trial/model/incident';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { PickUnits } from '@/features/bench/PickUnits';
import { writerName } from '@/features/frame/writer-name';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { EntryHistory } from '@/features/trial/EntryHistory';
import { useTrialAction } from '@/features/trial/use-trial-action';
import type { Action } from '@/ui/actions/use-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts, Soft } from '@/ui/Page';
import type { MishapView, UnitGroup } from './mishap-view';

interface MishapsProps {
  readonly mishaps: readonly MishapView[];
  /** What is left of the plan, in sentences. */
  readonly standing: readonly string[];
  readonly codes: readonly string[];
  /** The pot in hand: offered, never ticked by itself. */
  readonly code: string;
  readonly groups: readonly UnitGroup[];
  readonly today: string;
  readonly isClosed: boolean;
  readonly isKeyOpen: boolean;
  readonly history: () => Promise<readonly HistoryLine[]>;
  readonly record: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly takeBack: (incidentId: string) => Promise<Result<unknown, TrialTrouble>>;
}

const CAUSES = Object.entries(MISHAP_WORDS).flatMap(([value, label]) =>
  isCause(value) ? [{ value, label }] : [],
);
function isCause(value: string): value is MishapCause {
  return value in MISHAP_WORDS;
}
const DONE_BY: readonly { readonly value: ByTreatment; readonly label: string }[] = [
  { value: 'no', label: 'no' },
  { value: 'unknown', label: 'not known' },
  { value: 'yes', label: 'yes: then it is a result' },
];
const DECISIONS: readonly Decision[] = [
  'keep',
  'leave-out-from',
  'leave-out',
  'replace',
  'start-anew',
];
const DECIDED = DECISIONS.map(value => ({ value, label: DECISION_WORDS[value] }));

/** What went wrong, with which pots, whether the treatment did it, what is decided, and why. */
export function Mishaps({ mishaps, standing, isClosed, takeBack, history, ...form }: MishapsProps) {
  const { trouble, isPending, run } = useTrialAction();
  return (
    <Box aria-label="Mishaps">
      <h2>Mishaps</h2>
      {mishaps.length === 0 && (
        <Soft>
          None on record. What happens to one of them is written down on the day, whatever is
          decided.
        </Soft>
      )}
      <ul>
        {mishaps.map(mishap => (
          <MishapLine
            key={mishap.id}
            mishap={mishap}
            isClosed={isClosed}
            run={run}
            takeBack={takeBack}
            isPending={isPending}
          />
        ))}
      </ul>
      {standing.map(line => (
        <p key={line}>{line}</p>
      ))}
      <ActionTrouble trouble={trouble} />
      {!isClosed && <MishapForm {...form} />}
      <EntryHistory of="the mishaps" load={history} />
    </Box>
  );
}

interface MishapValues {
  readonly cause: MishapCause;
  readonly happenedOn: string;
  readonly byTreatment: ByTreatment;
  readonly decision: Decision;
  readonly why: string;
  readonly who: string;
}

function dayBefore(day: string): string {
  return addDays(GardenDay.parse(day), -1);
}

type MishapFormProps = Pick<
  MishapsProps,
  'codes' | 'code' | 'groups' | 'today' | 'isKeyOpen' | 'record'
>;

/** One mishap, of the pot in hand or of several. */
function MishapForm({ codes, code, groups, today, isKeyOpen, record }: MishapFormProps) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, change, field } = useForm<MishapValues>(
    { cause: 'other', happenedOn: '', byTreatment: 'no', decision: 'keep', why: '', who: '' },
    fields,
  );
  const { who, ...rest } = form;
  const [id, setId] = useState(() => v7()); // the same press sent twice is one mishap
  const submit = (): void =>
    run(
      () => record({ ...rest, id, by: who.trim() === '' ? writerName() : who, codes: chosen }),
      () => {
        change({ why: '' });
        setChosen([]);
        setId(v7());
      },
    );
  return (
    <Fold title="Something happened">
      <PickUnits
        codes={codes}
        chosen={chosen}
        choose={setChosen}
        trouble={fields.codes}
        groups={[{ label: `${code}, in hand`, codes: [code] }, ...groups]}
      />
      <div data-fields>
        <Select label="It was" {...field('cause')} options={CAUSES} />
        <div>
          <TextField label="When it happened" {...field('happenedOn')} type="date" />
          <Button data-tone="quiet" onPress={() => change({ happenedOn: today })}>
            Today
          </Button>
          <Button data-tone="quiet" onPress={() => change({ happenedOn: dayBefore(today) })}>
            Yesterday
          </Button>
        </div>
        <Select label="Did the treatment do it?" {...field('byTreatment')} options={DONE_BY} />
        <Select label="Decided" {...field('decision')} options={DECIDED} />
      </div>
      <TextField label="What happened, and why so" {...field('why')} isLong />
      <TextField label="Who says so" {...field('who')} trouble={fields.by} />
      {isKeyOpen && (
        <Soft>
          The key is open: what is decided now is marked so, since it is known whom it helps.
        </Soft>
      )}
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Put it on record
        </Button>
      </Acts>
    </Fold>
  );
}

interface MishapLineProps {
  readonly mishap: MishapView;
  readonly isClosed: MishapsProps['isClosed'];
  readonly run: Action<TrialTrouble>['run'];
  readonly takeBack: MishapsProps['takeBack'];
  readonly isPending: boolean;
}

function MishapLine({ mishap, isClosed, run, takeBack, isPending }: MishapLineProps) {
  return (
    <li>
      <span>
        <b>{mishap.code}</b>, {shortDay(mishap.on)}: {mishap.what}.{' '}
        {DECISION_WORDS[mishap.decision]}
        {mishap.isByTreatment ? ', the treatment did it' : ''}
        {mishap.isAfterKey ? ', decided after the key was open' : ''}. {mishap.why}
        {mishap.by === '' ? '' : ` (${mishap.by})`}
      </span>
      {!isClosed && (
        <Button
          data-tone="quiet"
          aria-label={`Undo the mishap of ${mishap.code}`}
          onPress={() => run(() => takeBack(mishap.id))}
          isPending={isPending}
        >
          Undo
        </Button>
      )}
    </li>
  );
}

const Box = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & ul { list-style: none; margin: 0; padding: 0; }
  & li { display: flex; justify-content: space-between; gap: 12px; align-items: baseline; padding: 6px 0; border-bottom: 1px solid var(--rule); }
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start; }
`;
