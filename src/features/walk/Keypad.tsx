'use client';

import { styled } from 'styled-components';
import { BareButton } from '@/ui/BareButton';

interface KeypadProps {
  readonly value: string;
  readonly onType: (value: string) => void;
  /** The key beside the nought: a point, a stroke between so many and of so many, nothing. */
  readonly extra: '.' | '/' | '½' | null;
}

/** Figures large enough for a wet thumb. */
export function Keypad({ value, onType, extra }: KeypadProps) {
  const key = (label: string) => (
    <BareButton key={label} onClick={() => onType(value + (label === '½' ? '.5' : label))}>
      {label}
    </BareButton>
  );
  return (
    <Pad role="group" aria-label="Keypad">
      {['7', '8', '9', '4', '5', '6', '1', '2', '3'].map(key)}
      {extra === null ? <span /> : key(extra)}
      {key('0')}
      <BareButton aria-label="Rub out" onClick={() => onType(value.slice(0, -1))}>
        ⌫
      </BareButton>
    </Pad>
  );
}

const Pad = styled.div`
  display: grid; grid-template-columns: repeat(3, 1fr); gap: 6px; touch-action: manipulation;
  & button { min-height: 52px; border: 1px solid var(--rule); border-radius: 2px; background: var(--paper); color: var(--ink); font: inherit; font-size: 1.5rem; font-variant-numeric: tabular-nums; cursor: pointer; }
  & button:active { background: var(--slate-deep); }
  & button:focus-visible { outline: 3px solid var(--clay); outline-offset: 2px; }
`;
