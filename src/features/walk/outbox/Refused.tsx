'use client';

import { styled } from 'styled-components';
import { v7 } from 'uuid';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { trialSentence } from '@/core/trial/trial-trouble';
import type { WalkView } from '@/features/walk/walk-view';
import { Button } from '@/ui/Button';
import { MendEntry } from './MendEntry';
import type { WaitingEntry } from './outbox';
import type { OutboxState } from './use-outbox';

/** Entries that the server did not take: what stands there, and what to do. None goes away by itself. */
export function Refused({
  view,
  outbox,
}: {
  readonly view: WalkView;
  readonly outbox: OutboxState;
}) {
  return (
    <Box role="alert" aria-label="Not taken">
      {outbox.refused.map(kept => (
        <One key={kept.seq} kept={kept} view={view} outbox={outbox} />
      ))}
    </Box>
  );
}

function One({
  kept,
  view,
  outbox,
}: {
  readonly kept: WaitingEntry;
  readonly view: WalkView;
  readonly outbox: OutboxState;
}) {
  const trouble = troubleOf(kept.refusal);
  const code = view.units.find(unit => unit.id === kept.entry.unitId)?.code ?? 'an earlier value';
  const again = async (changes: Readonly<Record<string, unknown>>): Promise<void> => {
    await outbox.add({ ...kept.entry, ...changes, id: v7() });
    await outbox.drop(kept.seq);
  };
  return (
    <div>
      <p>
        <b>
          {code}: you put down {String(kept.entry.value ?? '') || 'no value'}.
        </b>{' '}
        {trialSentence(trouble)}
      </p>
      <div>
        {trouble.kind === 'already-read' && (
          <Button onPress={() => void again({ supersedes: trouble.standing.id })}>Take mine</Button>
        )}
        {trouble.kind === 'already-read' && (
          <Button onPress={() => void again({ isRepeat: true })}>
            Keep both, mine as a second reading
          </Button>
        )}
        {trouble.kind === 'invalid' && (
          <MendEntry
            entry={kept.entry}
            troubles={trouble.fields}
            send={changes => void again(changes)}
          />
        )}
        <Button onPress={() => void outbox.drop(kept.seq)}>
          {trouble.kind === 'already-read' ? 'Keep what stands' : 'Give mine up'}
        </Button>
      </div>
    </div>
  );
}

function troubleOf(refusal: unknown): TrialTrouble {
  return isTrouble(refusal) ? refusal : { kind: 'changed-meanwhile' };
}

/** What came from our own door; the kinds without facts of their own need no more than their name. */
function isTrouble(refusal: unknown): refusal is TrialTrouble {
  return (
    typeof refusal === 'object' &&
    refusal !== null &&
    'kind' in refusal &&
    typeof refusal.kind === 'string'
  );
}

const Box = styled.section`
  display: grid; gap: 12px; border-left: 3px solid var(--beet); padding-left: 12px;
  & > div, & > div > div { display: flex; flex-wrap: wrap; gap: 8px; }
`;
