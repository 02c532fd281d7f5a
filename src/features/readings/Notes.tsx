'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { shortDay } from '@/core/time/days';
import { FirstFew } from '@/ui/FirstFew';
import { TextField } from '@/ui/fields/TextField';
import { Soft } from '@/ui/Page';
import { findNotes, type NoteLine } from './note-lines';

/** All that was written down in words, to be found again. */
export function Notes({ notes }: { readonly notes: readonly NoteLine[] }) {
  const [sought, setSought] = useState('');
  const found = findNotes(notes, sought);
  return (
    <Box aria-label="Notes">
      <h2>Notes</h2>
      {notes.length === 0 ? (
        <Soft>None yet. A note hangs on a pick, a reading, a mishap or a task.</Soft>
      ) : (
        <>
          <TextField
            label="Look in the notes"
            name="soughtNote"
            value={sought}
            onChange={setSought}
          />
          {found.length === 0 ? (
            <p role="status">No note holds that.</p>
          ) : (
            <FirstFew of={found} first={8}>
              {shown => (
                <ul>
                  {shown.map(line => (
                    <li key={line.id}>
                      <b>{line.code || 'all'}</b>, {shortDay(line.day)}, {line.about}: {line.says}
                    </li>
                  ))}
                </ul>
              )}
            </FirstFew>
          )}
        </>
      )}
    </Box>
  );
}

const Box = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & > div:first-of-type { max-width: 340px; }
  & ul { list-style: none; margin: 0; padding: 0; display: grid; gap: 6px; max-width: var(--measure); }
`;
