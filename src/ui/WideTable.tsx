'use client';

import type { ReactNode } from 'react';
import { styled } from 'styled-components';

/** A table that may be wider than its place: it scrolls by itself, by keys too. */
export function WideTable({
  label,
  children,
  className,
}: {
  readonly label: string;
  readonly children: ReactNode;
  readonly className?: string;
}) {
  return (
    <Scroller className={className} role="region" aria-label={label} tabIndex={0}>
      <table>{children}</table>
    </Scroller>
  );
}

const Scroller = styled.div`
  overflow-x: auto; max-width: 100%; position: relative; /* what is only read out stays within, too */
  &:focus-visible { outline: 3px solid var(--clay); outline-offset: 2px; }
  & table { border-collapse: collapse; width: 100%; font-variant-numeric: tabular-nums; }
  & th, & td { text-align: left; vertical-align: top; padding: 8px 14px 8px 0; border-bottom: 1px solid var(--rule); font-weight: 400; white-space: nowrap; }
  & td[data-long] { white-space: normal; min-width: 220px; }
  & tbody th { font-size: inherit; color: inherit; font-weight: 600; }
  & thead th { color: var(--ink-soft); font-size: 0.9375rem; }
`;
