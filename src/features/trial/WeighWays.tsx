'use client';

import { styled } from 'styled-components';
import { Link } from '@/ui/Link';

/** The ways to put down what a unit gave: picks, readings at the desk, a close look, a walk. */
export type WeighWay = 'weigh' | 'readings' | 'inspect';

const WAYS: readonly { readonly way: WeighWay; readonly label: string }[] = [
  { way: 'weigh', label: 'The harvest' },
  { way: 'readings', label: 'Readings' },
  { way: 'inspect', label: 'Photos, soil and taste' },
];

export function WeighWays({
  trialId,
  here,
  canWalk,
}: {
  readonly trialId: string;
  readonly here: WeighWay;
  readonly canWalk: boolean;
}) {
  return (
    <Ways aria-label="Ways to weigh">
      {WAYS.map(({ way, label }) =>
        way === here ? (
          <b key={way}>{label}</b>
        ) : (
          <Link key={way} href={`/trials/${trialId}/${way}`}>
            {label}
          </Link>
        ),
      )}
      {canWalk && <Link href={`/trials/${trialId}/walk`}>Walk round</Link>}
    </Ways>
  );
}

const Ways = styled.nav`
  display: flex; flex-wrap: wrap; gap: 8px 24px;
  @media (pointer: coarse) { & a, & b { padding: 12px 0; } }
`;
