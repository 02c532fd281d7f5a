'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import {
  Autocomplete,
  Dialog,
  Heading,
  Input,
  Label,
  Menu,
  MenuItem,
  Modal,
  ModalOverlay,
  SearchField,
  Text,
} from 'react-aria-components';
import { styled } from 'styled-components';
import { z } from 'zod';
import { Findable, found, PLACES_TO_FIND } from './findable';

const MOST_SHOWN = 8;

/** Goes to a trial, a product or a page by its words. Loaded when it is first asked for. */
export function FindDialog({ close }: { readonly close: () => void }) {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const own = useOwnFindables();
  const shown = found([...PLACES_TO_FIND, ...own], typed).slice(0, MOST_SHOWN);
  return (
    <Veil isOpen isDismissable onOpenChange={isOpen => !isOpen && close()}>
      <Modal>
        <Dialog>
          <Heading slot="title">Find</Heading>
          <Autocomplete inputValue={typed} onInputChange={setTyped}>
            <SearchField autoFocus>
              <Label>A trial, a product, a page</Label>
              <Input placeholder="beans, feed, weather" />
            </SearchField>
            <Menu
              aria-label="What was found"
              items={shown.map(each => ({ ...each, id: each.href }))}
              renderEmptyState={() => 'Nothing here has that name.'}
              onAction={href => {
                close();
                router.push(String(href));
              }}
            >
              {({ id, label, what }) => (
                <MenuItem id={id} textValue={label}>
                  <Text slot="label">{label}</Text>
                  <Text slot="description">{what}</Text>
                </MenuItem>
              )}
            </Menu>
          </Autocomplete>
        </Dialog>
      </Modal>
    </Veil>
  );
}

/** The garden's own trials and products; none where they can't be had, the pages are found all the same. */
function useOwnFindables(): readonly Findable[] {
  const [own, setOwn] = useState<readonly Findable[]>([]);
  useEffect(() => {
    const wanted = new AbortController();
    fetch('/find', { signal: wanted.signal })
      .then(async answer => {
        const read = z.array(Findable).safeParse(await answer.json());
        if (read.success) setOwn(read.data);
      })
      .catch(() => undefined); // no connection: what is listed already stays
    return () => wanted.abort();
  }, []);
  return own;
}

const Veil = styled(ModalOverlay)`
  position: fixed; inset: 0; background: rgb(10 16 12 / 45%); display: grid; justify-items: center; align-items: start; z-index: 10; padding: 12vh 16px 16px;
  & > div { width: min(560px, 100%); }
  & [role='dialog'] { background: var(--paper); padding: 24px 32px; border-radius: 2px; outline: none; max-height: 80dvh; overflow-y: auto; display: grid; gap: 16px; }
  & .react-aria-SearchField { display: grid; gap: 4px; }
  & label { font-weight: 600; font-size: 0.9375rem; }
  & input { min-height: 48px; padding: 8px 12px; font-size: 1.125rem; background: var(--slate); border: 0; border-bottom: 2px solid var(--rule-strong); border-radius: 2px 2px 0 0; }
  & [role='menu'] { display: grid; outline: none; min-height: 44px; }
  & [role='menuitem'] { display: grid; padding: 8px 12px; min-height: 44px; cursor: pointer; outline: none; border-bottom: 1px solid var(--rule); }
  & [role='menuitem'][data-focused] { background: var(--slate-deep); box-shadow: inset 3px 0 var(--clay); }
  & [slot='label'] { font-weight: 600; }
  & [slot='description'] { color: var(--ink-soft); font-size: 0.9375rem; }
`;
