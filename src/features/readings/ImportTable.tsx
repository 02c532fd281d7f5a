'use client';

import { useRouter } from 'next/navigation';
import papaparse from 'papaparse';
import { useState, useTransition } from 'react';
import { styled } from 'styled-components';
import {
  type ColumnRole,
  matchColumns,
  ROLE_WORDS,
  rolesTrouble,
} from '@/core/measure/reading/match-columns';
import type { Result } from '@/core/result';
import { isTaken } from '@/core/trial/model/scale';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { useSystem } from '@/features/frame/use-garden-units';
import { writerName } from '@/features/frame/writer-name';
import { answerOf } from '@/ui/actions/use-action';
import { usePressId } from '@/ui/actions/use-press-id';
import { Button } from '@/ui/Button';
import { FilePick } from '@/ui/fields/FilePick';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { HowFar } from '@/ui/HowFar';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { WideTable } from '@/ui/WideTable';
import type { DeskView } from './desk-view';
import { readTableFile } from './read-table-file';
import { type ImportAnswer, sendImport } from './send-import';

export interface ImportTableProps {
  readonly view: Pick<DeskView, 'trialId' | 'day' | 'measures' | 'unitWord'>;
  readonly undo: (importId: string) => Promise<Result<number, TrialTrouble>>;
}

interface Opened {
  readonly name: string;
  readonly csv: string;
  readonly heads: readonly string[];
  readonly first: readonly (readonly string[])[];
  readonly roles: readonly ColumnRole[];
}

const PREVIEWED = 5;
const NO_TABLE =
  'That is no table: its first row wants names of columns, with commas or tabs between them.';
const PLAIN = [
  'nothing',
  'unit',
  'day',
  'part',
  'note',
  'by',
  'measure-name',
  'value',
  'unit-of-measure',
  'out-of',
  'weight',
  'tare',
  'pieces',
  'grade',
  'outcome',
  'kind',
] as const satisfies readonly Exclude<ColumnRole['kind'], 'measure'>[];

/** A table from a file: what each column is, a look at it, then all of it or nothing. */
export function ImportTable({ view, undo }: ImportTableProps) {
  const { opened, setOpened, share, answer, trouble, isPending, open, take, send, takeBack } =
    useImport(view, undo);
  const system = useSystem();
  const [pasted, setPasted] = useState('');
  return (
    <Box>
      <Soft>
        A row for each {view.unitWord} and day, its first row the names of the columns. Readings: a
        column for each measure, or one with the measure’s name and one with the value. A harvest:
        columns for weight, pieces and, where there were culls, why. Units stand in the head: height
        ({system === 'us' ? 'in' : 'cm'}). What this garden writes, it reads. All of it is taken, or
        nothing.
      </Soft>
      <FilePick
        label="Choose a file"
        accept=".csv,.tsv,.txt,.xlsx,.ods,text/csv"
        onFile={file => void open(file)}
        isDisabled={isPending}
      />
      {!opened && (
        <>
          <TextField
            label="Or paste a block from a spreadsheet"
            name="pastedTable"
            value={pasted}
            onChange={setPasted}
            isLong
            placeholder={`${view.unitWord}\tdate\tweight (${system === 'us' ? 'oz' : 'g'})\tpieces`}
          />
          <Acts>
            <Button
              onPress={() => take(pasted, 'the pasted block')}
              isDisabled={pasted.trim() === ''}
            >
              Look at it
            </Button>
          </Acts>
        </>
      )}
      {opened && (
        <OpenedFile
          opened={opened}
          change={setOpened}
          view={view}
          send={() => send(opened)}
          isPending={isPending}
        />
      )}
      {share !== null && <HowFar label="Taken in" done={share} of={1} />}
      {answer && 'says' in answer && (
        <div role="alert">
          <b>Nothing was taken.</b>
          <ul>
            {answer.says.slice(0, 12).map(says => (
              <li key={says}>{says}</li>
            ))}
          </ul>
        </div>
      )}
      {answer && 'count' in answer && (
        <p role="status">
          {counted(answer.count, 'value')} taken in.{' '}
          <Button data-tone="quiet" onPress={() => takeBack(answer.importId)} isPending={isPending}>
            Undo all of it
          </Button>
        </p>
      )}
      {trouble && <Trouble>{trouble}</Trouble>}
    </Box>
  );
}

/** A file on its way in: opened, sent, undone. */
function useImport(view: ImportTableProps['view'], undo: ImportTableProps['undo']) {
  const [opened, setOpened] = useState<Opened | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [answer, setAnswer] = useState<ImportAnswer | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isPending, startTransition] = useTransition();
  const press = usePressId();
  const router = useRouter();
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const read = await readTableFile(file);
    if (read.ok) take(read.value, file.name);
    else {
      setOpened(null);
      setTrouble(read.trouble);
    }
  };
  const take = (csv: string, name: string): void => {
    const found = openedTable(csv, name, view);
    setAnswer(null);
    setTrouble(found === null ? NO_TABLE : null);
    setOpened(found);
  };
  const send = ({ csv, roles }: Opened): void =>
    startTransition(async () => {
      setShare(0);
      const found = await sendImport(
        view.trialId,
        { id: press.current(), csv, roles, day: view.day, by: writerName() },
        setShare,
      );
      setShare(null);
      setAnswer(found);
      if (!('count' in found)) return;
      press.renew();
      setOpened(null);
      router.refresh();
    });
  const takeBack = (importId: string): void =>
    startTransition(async () => {
      const lost = { kind: 'no-answer' as const };
      const done = await answerOf(() => undo(importId), lost);
      if (!done) return;
      setTrouble(done.ok ? null : trialSentence(done.trouble));
      if (done.ok) setAnswer(null);
    });
  return { opened, setOpened, share, answer, trouble, isPending, open, take, send, takeBack };
}

/** The first rows of a file with a guess at each column; null where it is no table. */
function openedTable(
  csv: string,
  name: string,
  { measures, unitWord }: ImportTableProps['view'],
): Opened | null {
  const [heads = [], ...first] = papaparse.parse<string[]>(csv, {
    preview: PREVIEWED + 1,
    skipEmptyLines: 'greedy',
  }).data;
  if (heads.length < 2) return null;
  const taken = measures.filter(measure => isTaken(measure.scale));
  return { name, csv, heads, first, roles: matchColumns(heads, taken, unitWord) };
}

interface OpenedFileProps {
  readonly opened: Opened;
  readonly change: (opened: Opened | null) => void;
  readonly view: ImportTableProps['view'];
  readonly send: () => void;
  readonly isPending: boolean;
}

function OpenedFile({ opened, change, view, send, isPending }: OpenedFileProps) {
  const misfit = rolesTrouble(opened.roles);
  return (
    <>
      <ColumnRoles opened={opened} change={change} view={view} />
      {misfit !== undefined && <Soft>{misfit}</Soft>}
      <Acts>
        <Button
          data-tone="main"
          onPress={send}
          isPending={isPending}
          isDisabled={misfit !== undefined}
        >
          Take it in
        </Button>
        <Button onPress={() => change(null)}>Not now</Button>
      </Acts>
    </>
  );
}

type ColumnRolesProps = Pick<OpenedFileProps, 'opened' | 'change' | 'view'>;

/** The first rows of the file, and what each of its columns is. */
function ColumnRoles({ opened, change, view }: ColumnRolesProps) {
  return (
    <WideTable label={`The first rows of ${opened.name}`}>
      <thead>
        <tr>
          {opened.heads.map((head, column) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: two columns may have one head
            <th key={column} scope="col">
              <Select
                label={head || `column ${column + 1}`}
                name={`role ${column}`}
                value={valueOfRole(opened.roles[column])}
                onChange={value =>
                  change({
                    ...opened,
                    roles: opened.roles.map((role, i) =>
                      i === column ? roleOfValue(value, role) : role,
                    ),
                  })
                }
                options={[
                  ...PLAIN.map(kind => ({ value: kind, label: ROLE_WORDS[kind] })),
                  ...view.measures
                    .filter(measure => isTaken(measure.scale))
                    .map(measure => ({
                      value: measure.id,
                      label: measure.name,
                    })),
                ]}
              />
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {opened.first.map((row, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: rows of a file have no name of their own
          <tr key={i}>
            {opened.heads.map((_, column) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: two columns may have the same head
              <td key={column}>{row[column] ?? ''}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </WideTable>
  );
}

function valueOfRole(role: ColumnRole | undefined): string {
  return role?.kind === 'measure' ? role.measureId : (role?.kind ?? 'nothing');
}

function roleOfValue(value: string, before: ColumnRole): ColumnRole {
  const unit = 'unit' in before ? before.unit : '';
  const kind = PLAIN.find(each => each === value);
  if (kind === 'weight') return { kind, unit };
  return kind ? { kind } : { kind: 'measure', measureId: value, unit };
}

const Box = styled.div`
  display: grid; gap: 12px;
  & [role='alert'] { border-left: 3px solid var(--beet); padding-left: 12px; }
  & ul { margin: 4px 0 0; padding-left: 18px; }
`;
