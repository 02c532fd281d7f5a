'use client';

import { styled } from 'styled-components';
import type { CheckSums } from '@/core/measure/reading/check-sums';
import { type MassStyle, printMass } from '@/core/quantity/print-quantity';
import { shortDay } from '@/core/time/days';

/** Whether it all adds up. */
export function Checked({
  checks: { picks, byUnitG, byDayG, mismatches },
  style,
}: {
  readonly checks: CheckSums;
  readonly style: MassStyle;
}) {
  if (picks === 0) return null;
  const isSame = Math.abs(byUnitG - byDayG) < 0.5;
  return (
    <Line data-bad={mismatches.length > 0 || !isSame || undefined}>
      {picks === 1 ? '1 pick' : `${picks} picks`}, {printMass(byUnitG, style)} sound:{' '}
      {isSame
        ? 'pot by pot and day by day the same'
        : `${printMass(byDayG, style)} by days, which differs`}
      ,{' '}
      {mismatches.length === 0
        ? 'each net is its gross less tare.'
        : `but ${mismatches.map(({ pick, says }) => `on ${shortDay(pick.pickedOn)} ${says}`).join('; ')}.`}
    </Line>
  );
}

const Line = styled.p`
  color: var(--ink-soft); max-width: var(--measure);
  &[data-bad] { color: var(--beet); }
`;
