'use client';

import { styled } from 'styled-components';
import { Fold } from '@/ui/Fold';

/** A raised plant and the code of its place. */
export interface Planted {
  readonly code: string;
  readonly plant: number;
  readonly size: number;
}

/** Which of the measured plants goes into which pot. */
export function PlantList({
  planted,
  unitWord,
}: {
  readonly planted: readonly Planted[];
  readonly unitWord: string;
}) {
  return (
    <Fold title="Which plant goes where">
      <Plants aria-label={`Plant of each ${unitWord}`}>
        {planted.map(each => (
          <li key={each.code}>
            <b>{each.code}</b> number {each.plant} ({each.size})
          </li>
        ))}
      </Plants>
    </Fold>
  );
}

const Plants = styled.ul`
  list-style: none; margin: 8px 0 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(150px, 1fr)); gap: 4px 16px;
`;
