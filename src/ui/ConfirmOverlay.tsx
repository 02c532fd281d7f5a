'use client';

import type { ReactNode } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import { styled } from 'styled-components';
import { Button } from './Button';
import { Acts } from './Page';

export interface ConfirmProps {
  readonly title: string;
  /** What follows. */
  readonly children: ReactNode;
  /** What the button does: a verb. */
  readonly does: string;
  readonly isPending?: boolean;
  readonly confirm: () => void;
  readonly close: () => void;
}

/** The dialog itself. Loaded when something is asked: what dialogs take is a tenth of a page. */
export function ConfirmOverlay({
  title,
  children,
  does,
  isPending = false,
  confirm,
  close,
}: ConfirmProps) {
  return (
    <Veil
      isOpen
      onOpenChange={isOpen => {
        if (!isOpen) close();
      }}
    >
      <Modal>
        <Dialog role="alertdialog">
          <Heading slot="title">{title}</Heading>
          {children}
          <Acts>
            <Button data-tone="main" onPress={confirm} isPending={isPending}>
              {does}
            </Button>
            <Button onPress={close}>Leave it as it is</Button>
          </Acts>
        </Dialog>
      </Modal>
    </Veil>
  );
}

const Veil = styled(ModalOverlay)`
  position: fixed; inset: 0; background: rgb(10 16 12 / 45%); display: grid; place-items: center; z-index: 10; padding: 16px;
  & [role='alertdialog'] { background: var(--paper); padding: 24px 32px; border-radius: 2px; outline: none; max-width: 520px; display: grid; gap: 14px; }
  & h2, & p { margin: 0; }
`;
