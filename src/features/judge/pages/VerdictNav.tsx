'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import { VERDICT_PAGES, type VerdictPage } from './verdict-pages';

interface VerdictNavProps {
  readonly page: VerdictPage;
  /** What the page's address says beside the page. */
  readonly address: URLSearchParams;
}

/** The pages of a verdict. They are all here already: one is turned to without asking the server. */
export function VerdictNav({ page, address }: VerdictNavProps) {
  return (
    <Nav aria-label="The verdict’s pages">
      {VERDICT_PAGES.map(({ key, label }) => (
        <PageLink key={key} to={key} address={address} isHere={key === page}>
          {label}
        </PageLink>
      ))}
    </Nav>
  );
}

interface PageLinkProps {
  readonly to: VerdictPage;
  readonly address: URLSearchParams;
  readonly isHere?: boolean;
  readonly children: ReactNode;
}

/** Turns to a page of the verdict. */
export function PageLink({ to, address, isHere = false, children }: PageLinkProps) {
  const href = hrefOf(to, address);
  return (
    <Link
      href={href}
      prefetch={false}
      aria-current={isHere ? 'page' : undefined}
      onNavigate={event => {
        event.preventDefault();
        window.history.pushState(null, '', href);
      }}
    >
      {children}
    </Link>
  );
}

function hrefOf(page: VerdictPage, address: URLSearchParams): string {
  const next = new URLSearchParams(address);
  if (page === 'answer') next.delete('page');
  else next.set('page', page);
  return `?${next}`;
}

const Nav = styled.nav`
  display: flex; flex-wrap: wrap; gap: 0 20px; margin-block: -8px;
  & a { padding: 8px 0 5px; color: var(--ink-soft); text-decoration: none; border-bottom: 3px solid transparent; white-space: nowrap; }
  & a:hover { color: var(--ink); border-color: var(--rule-strong); }
  & a[aria-current] { color: var(--ink); font-weight: 650; border-color: var(--clay); }
  @media (pointer: coarse) { & a { padding: 12px 0 9px; } }
  @media print { display: none; }
`;
