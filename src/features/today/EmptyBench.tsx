'use client';

import { styled } from 'styled-components';
import { Link } from '@/ui/Link';
import { PlantLabel } from '@/ui/PlantLabel';
import { WayOn } from '@/ui/WayOn';

const POTS = [-1, 0, 1, 0, 1, -1] as const;

/** An empty place that teaches: what belongs here, and the one thing to do. */
export function EmptyBench() {
  return (
    <Empty>
      <svg
        viewBox="0 0 620 100"
        role="img"
        aria-label="Six pots in a row, each with a label: none, A, B, A, B, none"
      >
        {POTS.map((index, place) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a fixed drawing, never reordered
          <g key={place} transform={`translate(${20 + place * 100} 16)`}>
            <circle cx="36" cy="42" r="34" fill="var(--soil)" stroke="var(--pot)" strokeWidth="6" />
            <ellipse
              cx="30"
              cy="40"
              rx="9"
              ry="17"
              fill="var(--crown)"
              transform="rotate(-30 30 40)"
            />
            <ellipse
              cx="44"
              cy="40"
              rx="9"
              ry="17"
              fill="var(--crown)"
              transform="rotate(35 44 40)"
            />
            <PlantLabel
              look={{ letter: index < 0 ? '0' : String.fromCharCode(65 + index), index }}
              x={58}
              y={-6}
              width={24}
            />
          </g>
        ))}
      </svg>
      <h2>No trial yet</h2>
      <p>
        The best first trial is the simplest: one thing beside nothing, say a feed beside plain
        water on sixteen pots. Turnspit deals the pots out fairly, keeps the harvest, and says what
        the pots support, and what they don’t.
      </p>
      <WayOn href="/trials/new?from=does-it-help">Try one thing beside nothing</WayOn>
      <p>
        <Link href="/trials/new">Ask another question</Link>
      </p>
    </Empty>
  );
}

const Empty = styled.section`
  display: grid; gap: 12px;
  & svg { width: min(100%, 620px); }
  & p a { font-weight: 600; color: var(--clay); }
`;
