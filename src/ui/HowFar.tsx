'use client';

import { ProgressBar } from 'react-aria-components';
import { styled } from 'styled-components';

interface HowFarProps {
  /** What is being done, for who doesn't see the bar. */
  readonly label: string;
  readonly done: number;
  readonly of: number;
  /** `soft`: thin, grey, over the whole width. */
  readonly tone?: 'soft';
}

/** How much of something is done. */
export function HowFar({ label, done, of, tone }: HowFarProps) {
  return (
    <Bar data-tone={tone} aria-label={label} value={done} maxValue={Math.max(of, 1e-9)}>
      {({ percentage = 0 }) => <i style={{ inlineSize: `${percentage}%` }} />}
    </Bar>
  );
}

const Bar = styled(ProgressBar)`
  display: inline-block; vertical-align: middle; inline-size: 100%; max-inline-size: 420px; block-size: 8px; background: var(--slate-deep);
  &[data-tone='soft'] { grid-column: 1 / -1; max-inline-size: none; block-size: 6px; background: var(--rule); }
  &[data-tone='soft'] > i { background: var(--ink-soft); }
  & > i { display: block; block-size: 100%; background: var(--clay); }
`;
