'use client';

import type { ReactNode } from 'react';
import { styled } from 'styled-components';

/** One piece of arithmetic: what is asked, and its answer under it. */
export function Sum({
  title,
  lead,
  children,
}: {
  readonly title: string;
  readonly lead: string;
  readonly children: ReactNode;
}) {
  return (
    <Box aria-label={title} id={anchorOf(title)}>
      <h2>{title}</h2>
      <p>{lead}</p>
      {children}
    </Box>
  );
}

/** Where a sum stands on its page: `a-drip-line`. */
function anchorOf(title: string): string {
  return title.toLowerCase().replace(/ /g, '-');
}

const Box = styled.section`
  display: grid; gap: 10px; align-content: start; border-top: 1px solid var(--ink); padding-top: 14px;
  & > p { color: var(--ink-soft); font-size: 0.9375rem; }
  & > [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(136px, 1fr)); gap: 12px; align-items: start; }
  & output { font-family: var(--font-heading), sans-serif; font-size: 1.5rem; font-weight: 650; line-height: 1.2; }
  & table { border-collapse: collapse; width: 100%; font-variant-numeric: tabular-nums; }
  & th, & td { text-align: left; padding: 5px 12px 5px 0; border-bottom: 1px solid var(--rule); font-weight: 400; }
  & tbody th { font-size: inherit; color: inherit; }
  & thead th { color: var(--ink-soft); font-size: 0.9375rem; }
`;
