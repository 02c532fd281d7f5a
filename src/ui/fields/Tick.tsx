'use client';

import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import { useDoneBefore } from './use-done-before';

interface TickProps {
  readonly isOn: boolean;
  readonly onChange: (isOn: boolean) => void;
  readonly isDisabled?: boolean;
  /** What is read out where the words beside it don't say it all. */
  readonly label?: string;
  readonly children?: ReactNode;
}

/** One thing that is so or not, with a box to tick. */
export function Tick({ isOn, onChange, isDisabled, label, children }: TickProps) {
  const box = useDoneBefore<HTMLInputElement, boolean>(each => each.checked, isOn, onChange);
  return (
    <Box>
      <input
        ref={box}
        autoComplete="off"
        type="checkbox"
        checked={isOn}
        disabled={isDisabled}
        aria-label={label}
        onChange={event => onChange(event.target.checked)}
      />
      {children !== undefined && <span>{children}</span>}
    </Box>
  );
}

const Box = styled.label`
  display: inline-flex; gap: 8px; align-items: center; min-height: 32px; width: fit-content;
  & input { width: 18px; height: 18px; accent-color: var(--clay); flex: none; }
  @media (pointer: coarse) { min-height: 48px; }
`;
