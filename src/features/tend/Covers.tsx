import { styled } from 'styled-components';
import type { CoverLine } from '@/core/schedule/adherence/covers';
import { counted } from '@/core/words/plural';
import { shortDay } from '@/features/frame/days';

interface CoversProps {
  readonly lines: readonly CoverLine[];
  readonly unitWord: string;
  readonly units: number;
}

/** Who has which cover, net or band, and from when to when. */
export function Covers({ lines, unitWord, units }: CoversProps) {
  if (lines.length === 0) return null;
  return (
    <Box aria-label="Covers, nets and bands">
      <h2>Covers, nets and bands</h2>
      <ul>
        {lines.map(({ name, on, off, codes }) => (
          <li key={`${name} ${on} ${off}`}>
            <b>{name}</b>,{' '}
            {off === null ? `on since ${shortDay(on)}` : `${shortDay(on)} to ${shortDay(off)}`}:{' '}
            {codes.length === units ? `all ${counted(units, unitWord)}` : codes.join(' ')}
          </li>
        ))}
      </ul>
    </Box>
  );
}

const Box = styled.section`
  h2 {
    margin-bottom: 8px;
  }
`;
