'use client';

import { useEffect } from 'react';
import {
  Text,
  UNSTABLE_Toast as Toast,
  UNSTABLE_ToastContent as ToastContent,
  UNSTABLE_ToastQueue as ToastQueue,
  UNSTABLE_ToastRegion as ToastRegion,
} from 'react-aria-components';
import { styled } from 'styled-components';
import { Button } from '@/ui/Button';
import { hear, type Told } from './tell';

/** Long enough to read it with wet hands; it waits while it has the pointer or the focus, and the way back stands elsewhere, too. */
const SHOWN_MS = 20_000;

const queue = new ToastQueue<Told | { readonly words: string }>({ maxVisibleToasts: 1 });

/** What was done last, at the foot of the page, with its way back. Fetched when the first thing is told. */
export function Toasts() {
  useEffect(
    () =>
      hear(told => {
        queue.clear();
        queue.add(told, { timeout: SHOWN_MS });
      }),
    [],
  );
  return (
    <Region queue={queue} aria-label="Done just now">
      {({ toast }) => (
        <Toast toast={toast} data-told>
          <ToastContent>
            <Text slot="title">{toast.content.words}</Text>
          </ToastContent>
          {'undo' in toast.content && (
            <Button onPress={() => void takenBack(toast.key, toast.content as Told)}>Undo</Button>
          )}
          <Button data-tone="quiet" slot="close" aria-label="Close">
            ×
          </Button>
        </Toast>
      )}
    </Region>
  );
}

async function takenBack(key: string, { undo }: Told): Promise<void> {
  queue.close(key);
  const trouble = await undo();
  queue.add({ words: trouble ?? 'Undone.' }, { timeout: SHOWN_MS });
}

const Region = styled(ToastRegion)`
  position: fixed; z-index: 9; bottom: 24px; left: 50%; translate: -50% 0; width: min(520px, calc(100vw - 32px)); outline: none;
  & [role='alertdialog'] { display: flex; gap: 8px 16px; align-items: center; background: var(--ink); color: var(--paper); padding: 10px 10px 10px 18px; border-radius: 2px; box-shadow: 0 8px 24px rgb(10 16 12 / 28%); }
  & [role='alertdialog']:focus-visible { outline: 3px solid var(--clay); outline-offset: 2px; }
  & [role='alertdialog'] > :first-child { flex: 1; }
  & button { flex: none; }
  & button[data-tone='quiet'] { color: inherit; min-width: 40px; }
  @media (max-width: 640px) { bottom: 72px; }
` as typeof ToastRegion;
