'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { withShortDays } from '@/core/time/days';
import type { HistoryLine } from '@/core/trial/history-line';
import { Fold } from '@/ui/Fold';
import { useHistory } from './use-history';

interface EntryHistoryProps {
  /** Of what: every step, the mishaps. */
  readonly of: string;
  readonly load: () => Promise<readonly HistoryLine[]>;
}

/** Every entry with what was changed or taken back, when and by whom: nothing is written over. Asked for when it is opened. */
export function EntryHistory({ of, load }: EntryHistoryProps) {
  const [isOpen, setOpen] = useState(false);
  const lines = useHistory(isOpen, load);
  return (
    <Box title={`History of ${of}`} onOpenChange={setOpen} tone="soft">
      {lines?.length === 0 && <p>Nothing was put down yet.</p>}
      <ol>
        {lines?.map(({ id, at, by, says }) => (
          <li key={id}>
            {at.slice(0, 16).replace('T', ' ')} UTC{by === '' ? '' : `, ${by}`}:{' '}
            {withShortDays(says)}
          </li>
        ))}
      </ol>
    </Box>
  );
}

const Box = styled(Fold)`
  & > ol { padding-left: 22px; display: grid; gap: 4px; max-width: var(--measure); }
`;
