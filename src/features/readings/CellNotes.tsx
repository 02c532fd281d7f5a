import { styled } from 'styled-components';
import type { CellNote } from './cell-notes';

/** What was not taken, and what is asked about. Read out when it appears; on a narrow screen it stays in sight beside a wide table. */
export function CellNotes({ notes }: { readonly notes: readonly CellNote[] }) {
  return notes.map(({ says, kind }) => (
    <Note key={says} role="alert" data-kind={kind}>
      {says}
    </Note>
  ));
}

const Note = styled.p`
  position: sticky; left: 0; width: fit-content; max-width: min(100%, 100vw - 56px); margin: 2px 0 6px; padding-left: 10px; white-space: normal; border-left: 3px solid currentColor; font-weight: 600;
  &[data-kind='bad'] { color: var(--beet); }
  &[data-kind='odd'] { color: var(--straw); }
`;
