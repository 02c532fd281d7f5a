'use client';

import type { ComponentProps, RefObject } from 'react';
import { Dialog, Popover } from 'react-aria-components';
import { MonthPage } from './MonthPage';

interface MonthPopoverProps extends ComponentProps<typeof MonthPage> {
  readonly opener: RefObject<HTMLButtonElement | null>;
  readonly label: string;
  readonly close: () => void;
}

/** A month to choose a day on, beside the button that opened it; closed by a choice. */
export function MonthPopover({ opener, label, day, choose, close }: MonthPopoverProps) {
  return (
    <Popover
      triggerRef={opener}
      isOpen
      onOpenChange={isOpen => !isOpen && close()}
      placement="bottom end"
    >
      <Dialog aria-label={label}>
        <MonthPage
          day={day}
          choose={chosen => {
            choose(chosen);
            close();
          }}
        />
      </Dialog>
    </Popover>
  );
}
