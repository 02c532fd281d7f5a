'use client';

import { useState } from 'react';
import type { BenchDraft } from '@/core/design/layouts/bench-form';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { FilePick } from '@/ui/fields/FilePick';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Soft } from '@/ui/Page';

interface LayoutTableProps {
  readonly unitWord: string;
  readonly form: BenchDraft;
  readonly trouble: string | undefined;
  readonly isPending: boolean;
  readonly act: (work: () => Promise<Result<unknown, TrialTrouble>>) => void;
  readonly take: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

/** A layout that was made elsewhere, as a table. */
export function LayoutTable({ unitWord, form, trouble, isPending, act, take }: LayoutTableProps) {
  const [csv, setCsv] = useState('');
  return (
    <Fold title="It is laid out already: bring it in as a table" isOpen={trouble !== undefined}>
      <Soft>
        A row for each {unitWord}: code, treatment and, where there are any, block. Further columns
        are kept as what else differs. How it was dealt can’t be told from a table: the verdict says
        so.
      </Soft>
      <FilePick
        label="Choose a file"
        accept=".csv,.tsv,.txt,text/csv"
        onFile={file => void file.text().then(setCsv)}
        isDisabled={isPending}
      />
      <TextField
        label="Or paste it"
        name="layoutTable"
        value={csv}
        onChange={setCsv}
        trouble={trouble}
        isLong
        placeholder={'code,treatment,block\nKA3,plain water,shelf 1'}
      />
      <Acts>
        <Button
          onPress={() => act(() => take({ csv, form }))}
          isPending={isPending}
          isDisabled={csv.trim() === ''}
        >
          Take the layout in
        </Button>
      </Acts>
    </Fold>
  );
}
