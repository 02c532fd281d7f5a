'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { fieldsOf } from '@/ui/fields/form-fields';
import { TextField } from '@/ui/fields/TextField';
import { Tick } from '@/ui/fields/Tick';
import { Acts, Soft } from '@/ui/Page';

interface ReportViewProps {
  readonly trialId: string;
  readonly isClosed: boolean;
  /** Grows with every correction, so that the report in view is the one that holds it. */
  readonly revision: number;
  readonly correct: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

/** The report: to read, to print, to hand on with its data, and to put right in sight. */
export function ReportView({ trialId, isClosed, revision, correct }: ReportViewProps) {
  const [hasNames, setNames] = useState(false);
  const at = (as: string, save: boolean): string =>
    `/api/report/${trialId}?as=${as}${hasNames ? '&names=yes' : ''}${save ? '&save=yes' : ''}`;
  return (
    <Reported>
      <div>
        <h2>The report</h2>
        <Soft>
          One page that a neighbour understands, and behind it all details. It is one file that
          needs no other.
        </Soft>
        <Tick isOn={hasNames} onChange={setNames}>
          With the names of people
        </Tick>
        <ul>
          <li>
            <a href={at('html', false)} target="_blank" rel="noreferrer">
              Open it to read or print
            </a>
          </li>
          <li>
            <a href={at('html', true)}>Save it as one file (HTML)</a>
          </li>
          <li>
            <a href={at('csv', true)}>What was judged, one line each (CSV)</a>
          </li>
          <li>
            <a href={at('entries', true)}>Every pick and reading (CSV)</a> or{' '}
            <a href={at('xlsx', true)}>as a spreadsheet (XLSX)</a>
          </li>
          <li>
            <a href={at('package', true)}>All tables, described (data package, ZIP)</a>
          </li>
          <li>
            <a href={at('json', true)}>The whole trial: plan, seed, picks, readings (JSON)</a>
          </li>
          {isClosed && (
            <li>
              <a href={at('frozen', true)}>The frozen verdict (JSON)</a>, for{' '}
              <code>turnspit check</code>
            </li>
          )}
        </ul>
        {isClosed && <Correct correct={correct} />}
      </div>
      <iframe title="The report" src={`${at('html', false)}&revision=${revision}`} sandbox="" />
    </Reported>
  );
}

function Correct({ correct }: { readonly correct: ReportViewProps['correct'] }) {
  const [form, setForm] = useState({ to: '', why: '', by: '' });
  const { trouble, fields, isPending, run } = useTrialAction();
  const submit = (): void =>
    run(
      () => correct({ what: 'other', ...form }),
      () => {
        setForm({ to: '', why: '', by: '' });
      },
    );
  const field = fieldsOf({
    form,
    change: changes => setForm(now => ({ ...now, ...changes })),
    troubles: fields,
  });
  return (
    <Fold title="Something in it was wrong">
      <Soft>The verdict stays as it was frozen; the report begins with what you say here.</Soft>
      <TextField label="What is right" {...field('to')} isLong />
      <TextField label="How it came" {...field('why')} />
      <TextField label="Who says so" {...field('by')} />
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Put it right in sight
        </Button>
      </Acts>
    </Fold>
  );
}

const Reported = styled.div`
  display: grid; grid-template-columns: minmax(260px, 1fr) minmax(0, 3fr); gap: 32px; align-items: start;
  & > div { display: grid; gap: 12px; }
  & label { display: flex; gap: 8px; align-items: center; min-height: 32px; }
  & input[type='checkbox'] { width: 18px; height: 18px; accent-color: var(--clay); }
  & ul { list-style: none; margin: 0; padding: 0; display: grid; gap: 4px; }
  & li > a { display: inline-block; padding-block: 4px; }
  & iframe { width: 100%; height: 80vh; border: 1px solid var(--rule); background: #fff; }
  @media (max-width: 900px) { grid-template-columns: minmax(0, 1fr); & iframe { height: 60vh; } }
  @media (pointer: coarse) { & li > a { padding-block: 12px; } & label { min-height: 48px; } }
`;
