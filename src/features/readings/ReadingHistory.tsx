'use client';

import { useCallback, useState } from 'react';
import { styled } from 'styled-components';
import { valueWords } from '@/core/measure/reading/read-value';
import { shortDay } from '@/core/time/days';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import { useSystem } from '@/features/frame/use-garden-units';
import { useHistory } from '@/features/trial/use-history';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import type { DeskView } from './desk-view';

interface ReadingHistoryProps {
  readonly units: DeskView['units'];
  readonly unitWord: string;
  readonly measures: readonly Pick<Measure, 'id' | 'name' | 'scale' | 'unit'>[];
  readonly history: (unitId: string) => Promise<readonly Reading[]>;
}

/** Every entry of a pot with what was changed, when, and on what: nothing is written over. */
export function ReadingHistory({ units, unitWord, measures, history }: ReadingHistoryProps) {
  const [isOpen, setOpen] = useState(false);
  const system = useSystem();
  const [unitId, setUnit] = useState(units[0]?.id ?? '');
  const load = useCallback(() => history(unitId), [history, unitId]);
  const revisions = useHistory(isOpen, load);
  return (
    <Box title="History of every reading" onOpenChange={setOpen}>
      <Select
        label={`The ${unitWord}`}
        name="historyOf"
        value={unitId}
        onChange={setUnit}
        options={units.map(unit => ({ value: unit.id, label: unit.code }))}
      />
      {revisions?.length === 0 && <p>Nothing was read of it yet.</p>}
      <ol>
        {revisions?.map(revision => {
          const measure = measures.find(each => each.id === revision.measureId);
          return (
            <li key={revision.id}>
              {revision.takenAt.slice(0, 16).replace('T', ' ')} UTC, {deviceWords(revision.device)}
              {revision.by === '' ? '' : `, ${revision.by}`}: {measure?.name ?? 'a measure'}
              {revision.subsample === '' ? '' : ` ${revision.subsample}`} of{' '}
              {shortDay(revision.takenOn)},{' '}
              {revision.isRemoval
                ? 'taken out'
                : measure
                  ? valueWords(measure, revision, system)
                  : ''}
              {revision.supersedes && !revision.isRemoval ? ' in place of an earlier reading' : ''}
              {revision.isRepeat ? ', a second reading' : ''}
              {revision.note === '' ? '' : `. ${revision.note}`}
            </li>
          );
        })}
      </ol>
    </Box>
  );
}

function deviceWords(device: string): string {
  return device === '' ? 'somewhere' : device.startsWith('import ') ? 'from a file' : device;
}

const Box = styled(Fold)`
  & > ol { padding-left: 22px; display: grid; gap: 4px; max-width: var(--measure); }
`;
