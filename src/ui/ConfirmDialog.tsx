'use client';

import type { ReactNode } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import { styled } from 'styled-components';
import { Button } from './Button';
import { Acts } from './Page';

interface ConfirmDialogProps {
  readonly title: string;
  /** What follows. */
  readonly children: ReactNode;
  /** What the button does: a verb. */
  readonly does: string;
  readonly isPending?: boolean;
  readonly confirm: () => void;
  readonly close: () => void;
}

/** Asks before something that can't be taken back. */
export function ConfirmDialog({
  title,
  children,
  does,
  isPending = false,
  confirm,
  close,
}: ConfirmDialogProps) {
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
