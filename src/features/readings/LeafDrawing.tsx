import { styled } from 'styled-components';
import type { PracticeLeaf } from '@/core/image/practice-leaf';

/** A leaf with its spots, drawn from above. */
export function LeafDrawing({
  leaf,
  label,
}: {
  readonly leaf: PracticeLeaf;
  readonly label: string;
}) {
  const { halfLength: a, halfWidth: b } = leaf;
  return (
    <Leaf viewBox={`${-a - 14} ${-b - 4} ${2 * a + 18} ${2 * b + 8}`} role="img" aria-label={label}>
      <path d={`M${-a - 12} 0H${a}`} data-rib />
      <ellipse rx={a} ry={b} />
      <path d={`M${-a} 0H${a}`} data-rib />
      {leaf.spots.map(({ x, y, r }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={r} />
      ))}
    </Leaf>
  );
}

const Leaf = styled.svg`
  ellipse { fill: var(--crown); }
  circle { fill: var(--soil); }
  [data-rib] { stroke: var(--leaf); stroke-width: 1.5; fill: none; }
`;
