'use client';

import { styled } from 'styled-components';
import type { TagView } from '@/features/bench/bench-view';
import { PlantLabel } from '@/ui/PlantLabel';

/** Which label is which treatment; while hidden, only the names. */
export function TagKey({
  tags,
  isHidden,
}: {
  readonly tags: readonly TagView[];
  readonly isHidden: boolean;
}) {
  return (
    <List aria-label="Treatments">
      {tags.map(tag => (
        <li key={tag.letter}>
          <PlantLabel look={isHidden ? undefined : tag} width={18} />
          {tag.name}
          {tag.index < 0 && <small>control</small>}
        </li>
      ))}
    </List>
  );
}

const List = styled.ul`
  list-style: none; padding: 0; margin: 0; display: flex; flex-wrap: wrap; gap: 8px 24px;
  & li { display: flex; gap: 8px; align-items: center; }
  & small { color: var(--ink-soft); }
`;
