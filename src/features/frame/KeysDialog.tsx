'use client';

import { useState } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import { styled } from 'styled-components';
import { Button } from '@/ui/Button';
import { Ticks } from '@/ui/fields/Ticks';
import { areSingleKeysOn, keepSingleKeys } from './single-keys';

const LISTED = [
  ['1 … 5', 'Ask, Lay out, Tend, Weigh, Judge of the trial in hand'],
  ['T, L, S', 'Today, the list of trials, the shelf'],
  ['W', 'walks round the trial in hand'],
  ['Arrows', 'from pot to pot on the bench; Enter opens one'],
  ['Enter', 'saves a pick and goes on to the next pot'],
  ['Alt + M, Alt + N', 'a mishap of the pot in hand, its note'],
  ['Ctrl or ⌘ + Z', 'undoes the last pick, outside a field with words in it'],
  ['/', 'finds a trial, a product, a page'],
  ['[ and ]', 'back and on along the season, to the next day on which something happened'],
  ['?', 'this list'],
] as const;

/** The list of keys. Loaded when it is first asked for: a phone in the garden never does. */
export function KeysDialog({ close }: { readonly close: () => void }) {
  const [areOn, setOn] = useState(areSingleKeysOn);
  return (
    <Veil
      isOpen
      isDismissable
      onOpenChange={isOpen => {
        if (!isOpen) close();
      }}
    >
      <Modal>
        <Dialog>
          <Heading slot="title">Keys</Heading>
          <dl>
            {LISTED.map(([key, does]) => (
              <div key={key}>
                <dt>{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Ticks
            legend="Single letters and figures"
            options={[{ value: 'on', label: 'lead where the list says' }]}
            chosen={areOn ? ['on'] : []}
            onChange={chosen => {
              setOn(chosen.length > 0);
              keepSingleKeys(chosen.length > 0);
            }}
          />
          <Button slot="close">Close</Button>
        </Dialog>
      </Modal>
    </Veil>
  );
}

const Veil = styled(ModalOverlay)`
  position: fixed; inset: 0; background: rgb(10 16 12 / 45%); display: grid; place-items: center; z-index: 10; padding: 16px;
  & [role='dialog'] { background: var(--paper); padding: 24px 32px; border-radius: 2px; outline: none; max-width: 560px; max-height: calc(100dvh - 32px); overflow-y: auto; display: grid; gap: 16px; }
  & dl { margin: 0; display: grid; gap: 8px; }
  & dl > div { display: grid; grid-template-columns: 120px 1fr; gap: 16px; }
  & dt { font-weight: 600; }
  & dd { margin: 0; color: var(--ink-soft); }
  @media (max-width: 480px) { & dl > div { grid-template-columns: 1fr; gap: 0; } }
`;
