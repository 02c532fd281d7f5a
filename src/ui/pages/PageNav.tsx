'use client';

import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { type ReactNode, useMemo } from 'react';
import { styled } from 'styled-components';

/** A page among those that one address shows one at a time, by its `page`. */
export interface SubPage<Key extends string> {
  readonly key: Key;
  readonly label: string;
}

interface PageNavProps<Key extends string> {
  readonly label: string;
  readonly pages: readonly SubPage<Key>[];
  readonly page: Key;
}

/** The pages of one screen. They are all here already: one is turned to without asking the server. */
export function PageNav<Key extends string>({ label, pages, page }: PageNavProps<Key>) {
  return (
    <Nav aria-label={label}>
      {pages.map(({ key, label: name }) => (
        <PageLink key={key} to={key} isHere={key === page}>
          {name}
        </PageLink>
      ))}
    </Nav>
  );
}

interface PageLinkProps {
  readonly to: string;
  readonly isHere?: boolean;
  readonly children: ReactNode;
}

/** Turns to a page of this screen. */
export function PageLink({ to, isHere = false, children }: PageLinkProps) {
  const address = useAddress();
  return (
    <Link
      href={hrefOf(to, address)}
      prefetch={false}
      aria-current={isHere ? 'page' : undefined}
      onNavigate={event => {
        event.preventDefault();
        // What was just asked for stands in the address sooner than in this link.
        window.history.pushState(null, '', hrefOf(to, addressNow()));
      }}
    >
      {children}
    </Link>
  );
}

/** What stands in the address behind its `?`, as the page was last drawn with it. */
export function useAddress(): URLSearchParams {
  const given = useSearchParams();
  return useMemo(() => new URLSearchParams(given ?? ''), [given]);
}

/** What stands in the address this moment. */
export function addressNow(): URLSearchParams {
  return new URLSearchParams(window.location.search);
}

function hrefOf(page: string, address: URLSearchParams): string {
  const next = new URLSearchParams(address);
  next.set('page', page);
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
