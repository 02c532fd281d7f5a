import { useMemo } from 'react';
import { styled } from 'styled-components';
import { cardLeaves } from '@/core/image/practice-leaf';
import { LeafDrawing } from '@/features/readings/LeafDrawing';
import { Fold } from '@/ui/Fold';

/** Five drawn leaves, each with what its spots cover: to hold a leaf against. */
export function PictureCard() {
  const leaves = useMemo(cardLeaves, []);
  return (
    <Card title="The card to hold it against" tone="soft">
      <ul>
        {leaves.map(leaf => {
          const percent = `${Math.round(leaf.percent)}%`;
          return (
            <li key={percent}>
              <LeafDrawing leaf={leaf} label={`A leaf with ${percent} spots`} />
              <span>{percent}</span>
            </li>
          );
        })}
      </ul>
    </Card>
  );
}

const Card = styled(Fold)`
  & ul { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: 1fr 1fr; gap: 12px; }
  & li { display: grid; gap: 2px; justify-items: center; }
  & svg { width: 100%; }
`;
