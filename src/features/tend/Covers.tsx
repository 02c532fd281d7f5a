import { styled } from 'styled-components';
import type { CoverLine } from '@/core/schedule/adherence/covers';
import { shortDay } from '@/core/time/days';
import { counted } from '@/core/words/plural';

interface CoversProps {
  readonly lines: readonly CoverLine[];
  readonly unitWord: string;
  /** Of all units, in walking order. */
  readonly codes: readonly string[];
}

/** Who has which cover, net or band, and from when to when. */
export function Covers({ lines, unitWord, codes: all }: CoversProps) {
  if (lines.length === 0) return null;
  return (
    <Box aria-label="Covers, nets and bands">
      <h2>Covers, nets and bands</h2>
      <ul>
        {lines.map(({ name, on, off, codes }) => (
          <li key={`${name} ${on} ${off}`}>
            <b>{name}</b>,{' '}
            {off === null ? `on since ${shortDay(on)}` : `${shortDay(on)} to ${shortDay(off)}`}:{' '}
            {whoWords(codes, all, unitWord)}
          </li>
        ))}
      </ul>
    </Box>
  );
}

/** Of most of them it is shorter to say who has not. */
function whoWords(codes: readonly string[], all: readonly string[], unitWord: string): string {
  if (codes.length === all.length) return `all ${counted(all.length, unitWord)}`;
  const without = all.filter(code => !codes.includes(code));
  return 2 * codes.length > all.length ? `all but ${without.join(' ')}` : codes.join(' ');
}

const Box = styled.section`
  h2 {
    margin-bottom: 8px;
  }
`;
