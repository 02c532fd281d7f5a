'use client';

import { styled } from 'styled-components';
import { rulerWords } from '@/core/quantity/ruler-words';
import type { HorticulturalFact } from '@/core/trial/horticultural-facts';
import { useSystem } from '@/features/frame/use-garden-units';
import { Fold } from '@/ui/Fold';

/** What is generally known and bears on this plan, with where it comes from. */
export function Known({ facts }: { readonly facts: readonly HorticulturalFact[] }) {
  const system = useSystem();
  if (facts.length === 0) return null;
  return (
    <Box title={`Worth knowing, ${facts.length}`} isRuled>
      <ul>
        {facts.map(each => (
          <li key={each.id}>
            {rulerWords(each.says, system)} <small>{each.source}</small>
          </li>
        ))}
      </ul>
    </Box>
  );
}

const Box = styled(Fold)`
  & ul { margin: 8px 0 0; padding-left: 18px; display: grid; gap: 6px; max-width: var(--measure); }
  & small { color: var(--ink-soft); }
`;
