'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { BareButton } from '@/ui/BareButton';
import { Keypad } from './Keypad';

interface TapCounterProps {
  readonly value: string;
  readonly onCount: (value: string) => void;
}

/** Counts by tapping, with a way back, and a second count to hold against the first. Or the figure is typed. */
export function TapCounter({ value, onCount }: TapCounterProps) {
  const [first, setFirst] = useState<number | null>(null);
  const [isTyping, setTyping] = useState(false);
  const count = Number(value === '' ? 0 : value);
  if (isTyping)
    return (
      <>
        <Keypad value={value} onType={onCount} extra={null} />
        <Small onClick={() => setTyping(false)}>Tap instead</Small>
      </>
    );
  return (
    <Counter>
      <BareButton data-tap onClick={() => onCount(String(count + 1))}>
        Tap for one
      </BareButton>
      <div>
        <Small onClick={() => onCount(String(Math.max(0, count - 1)))} disabled={count === 0}>
          One back
        </Small>
        <Small
          onClick={() => {
            setFirst(count);
            onCount('0');
          }}
        >
          Count again
        </Small>
        <Small onClick={() => setTyping(true)}>Type it</Small>
      </div>
      {first !== null && (
        <p role="status">
          First count {first}
          {count === first
            ? ': the same.'
            : count === 0
              ? '. Now once more.'
              : `, now ${count}: they differ by ${Math.abs(count - first)}.`}
        </p>
      )}
    </Counter>
  );
}

const Small = styled(BareButton)`
  min-height: 48px; padding: 4px 12px; border: 1px solid var(--rule); border-radius: 2px; background: none; color: var(--ink); font: inherit; cursor: pointer; touch-action: manipulation;
  &:disabled { color: var(--ink-soft); }
  &:focus-visible { outline: 3px solid var(--clay); outline-offset: 2px; }
`;

const Counter = styled.div`
  display: grid; gap: 8px;
  & [data-tap] { min-height: 150px; border: 2px solid var(--ink); border-radius: 2px; background: var(--paper); color: var(--ink); font: inherit; font-size: 1.25rem; font-weight: 600; cursor: pointer; touch-action: manipulation; }
  & [data-tap]:active { background: var(--slate-deep); }
  & [data-tap]:focus-visible { outline: 3px solid var(--clay); outline-offset: 2px; }
  & > div { display: grid; grid-template-columns: repeat(3, 1fr); gap: 8px; }
`;
