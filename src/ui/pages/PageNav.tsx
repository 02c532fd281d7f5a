'use client';

import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import { Link } from '@/ui/Link';
import { addressNow, turnTo, useAddress } from './address';

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
      href={`?${withPage(to, address)}`}
      prefetch={false}
      aria-current={isHere ? 'page' : undefined}
      onNavigate={event => {
        event.preventDefault();
        // What was just asked for stands in the address sooner than in this link.
        turnTo(withPage(to, addressNow()), 'new-entry');
      }}
    >
      {children}
    </Link>
  );
}

function withPage(page: string, address: URLSearchParams): URLSearchParams {
  const next = new URLSearchParams(address);
  next.set('page', page);
  return next;
}

const Nav = styled.nav`
  display: flex; flex-wrap: wrap; gap: 0 20px; margin-block: -8px;
  & a { padding: 8px 0 5px; color: var(--ink-soft); text-decoration: none; border-bottom: 3px solid transparent; white-space: nowrap; }
  & a:hover { color: var(--ink); border-color: var(--rule-strong); }
  & a[aria-current] { color: var(--ink); font-weight: 650; border-color: var(--clay); }
  @media (max-width: 640px) { & a { white-space: normal; } }
  @media (pointer: coarse) { & a { padding: 12px 0 9px; } }
  @media print { display: none; }
`;
