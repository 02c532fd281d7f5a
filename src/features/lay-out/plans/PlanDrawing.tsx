import { styled } from 'styled-components';
import type { TagView } from '@/features/bench/bench-view';
import { PlantLabel } from '@/ui/PlantLabel';

const MOST_DRAWN = 12;

/** A row of pots for each treatment, no more of them than can be counted at a glance. */
export function PlanDrawing({
  tags,
  each,
}: {
  readonly tags: readonly TagView[];
  readonly each: number;
}) {
  const drawn = Array.from({ length: Math.min(each, MOST_DRAWN) }, (_, i) => i);
  return (
    <Rows aria-hidden>
      {tags.map(tag => (
        <div key={tag.name}>
          <PlantLabel look={tag} width={14} />
          {drawn.map(i => (
            <i key={i} />
          ))}
          {each > MOST_DRAWN && <span>… {each}</span>}
        </div>
      ))}
    </Rows>
  );
}

const Rows = styled.div`
  display: grid; gap: 6px; margin-block: 8px;
  & > div { display: flex; flex-wrap: wrap; gap: 4px; align-items: center; }
  & i { width: 20px; height: 20px; border-radius: 50%; background: var(--soil); border: 2px solid var(--pot); }
`;
