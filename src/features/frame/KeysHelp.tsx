'use client';

import { useRouter, usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Dialog, DialogTrigger, Heading, Modal, ModalOverlay } from 'react-aria-components';
import { styled } from 'styled-components';
import { Button } from '@/ui/Button';

const STEPS = ['ask', 'lay-out', 'tend', 'weigh', 'judge'] as const;
const PLACES: Readonly<Record<string, string>> = { t: '/', l: '/trials', s: '/shelf' };

const LISTED = [
  ['1 … 5', 'Ask, Lay out, Tend, Weigh, Judge of the trial in hand'],
  ['T, L, S', 'Today, the list of trials, the shelf'],
  ['Arrows', 'from pot to pot on the bench; Enter opens one'],
  ['Enter', 'saves a pick and goes on to the next pot'],
  ['Ctrl or ⌘ + Z', 'undoes the last pick, outside a field with words in it'],
  ['?', 'this list'],
] as const;

/** The keys for what is done often. They work everywhere but in a field one writes in. */
export function KeysHelp() {
  const [isOpen, setOpen] = useState(false);
  const router = useRouter();
  const trial = /^\/trials\/[^/]+(?=\/)/.exec(usePathname())?.[0];
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isWriting(event.target)) return;
      const step = STEPS[Number(event.key) - 1];
      const place = PLACES[event.key.toLowerCase()];
      if (event.key === '?') setOpen(true);
      else if (step && trial) router.push(`${trial}/${step}`);
      else if (place) router.push(place);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router, trial]);
  return (
    <DialogTrigger isOpen={isOpen} onOpenChange={setOpen}>
      <Button data-tone="quiet" aria-label="Keys">?</Button>
      <Veil isDismissable>
        <Modal>
          <Dialog>
            <Heading slot="title">Keys</Heading>
            <dl>{LISTED.map(([key, does]) => <div key={key}><dt>{key}</dt><dd>{does}</dd></div>)}</dl>
            <Button slot="close">Close</Button>
          </Dialog>
        </Modal>
      </Veil>
    </DialogTrigger>
  );
}

function isWriting(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) || target.closest('[role="dialog"]') !== null);
}

const Veil = styled(ModalOverlay)`
  position: fixed; inset: 0; background: rgb(10 16 12 / 45%); display: grid; place-items: center; z-index: 10; padding: 16px;
  & [role='dialog'] { background: var(--paper); padding: 24px 32px; border-radius: 2px; outline: none; max-width: 560px; display: grid; gap: 16px; }
  & dl { margin: 0; display: grid; gap: 8px; }
  & dl > div { display: grid; grid-template-columns: 120px 1fr; gap: 16px; }
  & dt { font-weight: 600; }
  & dd { margin: 0; color: var(--ink-soft); }
  @media (max-width: 480px) { & dl > div { grid-template-columns: 1fr; gap: 0; } }
`;
