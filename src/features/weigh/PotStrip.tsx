'use client';

import { styled } from 'styled-components';
import type { BenchUnit } from '@/features/bench/bench-view';
import { BareButton } from '@/ui/BareButton';

interface PotStripProps {
  readonly units: readonly BenchUnit[];
  readonly chosen: string;
  readonly isDone: (unit: BenchUnit) => boolean;
  readonly onChoose: (id: string) => void;
}

/** The bench folded to a strip for the phone: every pot as a dot in walking order, the one in hand marked. */
export function PotStrip({ units, chosen, isDone, onChoose }: PotStripProps) {
  return (
    <Strip role="group" aria-label="Pots in walking order">
      {units.map(unit => (
        <BareButton
          key={unit.id}
          aria-label={`${unit.code}${isDone(unit) ? ', done' : ''}`}
          aria-pressed={unit.id === chosen}
          data-done={isDone(unit) || undefined}
          onClick={() => onChoose(unit.id)}
        />
      ))}
    </Strip>
  );
}

const Strip = styled.div`
  display: none; flex-wrap: wrap; gap: 0; border-block: 1px solid var(--rule); padding-block: 4px;
  @media (max-width: 900px) { display: flex; }
  & button { width: 28px; height: 28px; border: 0; background: none; padding: 5px; }
  & button::after { content: ''; display: block; width: 18px; height: 18px; border-radius: 50%; border: 2px solid var(--ink-soft); }
  & button[data-done]::after { background: var(--ink-soft); }
  & button[aria-pressed='true']::after { border-color: var(--clay); background: var(--clay); }
`;
