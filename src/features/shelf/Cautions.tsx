'use client';

import { TriangleAlert } from 'lucide-react';
import { styled } from 'styled-components';
import { cautionsFor, LABEL_DECIDES } from '@/core/materials/safety/cautions';
import type { Hazard } from '@/core/trial/model/product';

/** What to mind, beside the act it belongs to. */
export function Cautions({
  hazards,
  extra = [],
}: {
  readonly hazards: readonly Hazard[];
  readonly extra?: readonly string[];
}) {
  const cautions = [...extra, ...cautionsFor(hazards).map(caution => caution.says)];
  if (cautions.length === 0) return null;
  return (
    <Box aria-label="Take care">
      <h3>
        <TriangleAlert size={18} aria-hidden /> Take care
      </h3>
      <ul>
        {cautions.map(says => (
          <li key={says}>{says}</li>
        ))}
      </ul>
      <p>{LABEL_DECIDES}</p>
    </Box>
  );
}

const Box = styled.aside`
  border-left: 3px solid var(--straw); padding-left: 14px; display: grid; gap: 6px; max-width: var(--measure);
  & h3 { display: flex; gap: 8px; align-items: center; margin: 0; }
  & ul { margin: 0; padding-left: 18px; display: grid; gap: 4px; }
  & p { color: var(--ink-soft); font-size: 0.9375rem; }
`;
