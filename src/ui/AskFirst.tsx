'use client';

import { type ReactNode, useState } from 'react';
import { Button } from './Button';
import { ConfirmDialog, useConfirmDialogSoon } from './ConfirmDialog';
import { useGoOn } from './use-go-on';

interface AskFirstProps {
  /** What stands on the button. */
  readonly label: string;
  /** The question of the dialog. */
  readonly title: string;
  /** What the dialog's own button does: a verb. */
  readonly does: string;
  /** What follows, and that it can't be taken back. */
  readonly children: ReactNode;
  readonly tone?: 'main';
  readonly isPending: boolean;
  readonly act: () => void;
}

/**
 * A button for what can't be taken back: it says what follows, and asks. Where the act takes the button away, the page's heading
 * with `data-goes-on` has the focus.
 */
export function AskFirst({ label, title, does, children, tone, isPending, act }: AskFirstProps) {
  const [isAsking, setAsking] = useState(false);
  const goOn = useGoOn();
  useConfirmDialogSoon();
  return (
    <>
      <Button data-tone={tone} isPending={isPending} onPress={() => setAsking(true)}>
        {label}
      </Button>
      {isAsking && (
        <ConfirmDialog
          title={title}
          does={does}
          close={() => setAsking(false)}
          confirm={() => {
            goOn();
            setAsking(false);
            act();
          }}
        >
          {children}
        </ConfirmDialog>
      )}
    </>
  );
}
