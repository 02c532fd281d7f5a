'use client';

import { styled } from 'styled-components';
import { Link } from '@/ui/Link';

const PAGES = [
  { key: 'gardens', label: 'Plan and gardens' },
  { key: 'gardens/together', label: 'All together' },
] as const;

/** The pages of a trial in several gardens. */
export function GardensNav({
  trialId,
  page,
}: {
  readonly trialId: string;
  readonly page: (typeof PAGES)[number]['key'];
}) {
  return (
    <Nav aria-label="Other gardens">
      {PAGES.map(({ key, label }) => (
        <Link
          key={key}
          href={`/trials/${trialId}/${key}`}
          aria-current={key === page ? 'page' : undefined}
        >
          {label}
        </Link>
      ))}
    </Nav>
  );
}

const Nav = styled.nav`
  display: flex; flex-wrap: wrap; gap: 0 20px; margin-block: -8px;
  & a { padding: 8px 0 5px; color: var(--ink-soft); text-decoration: none; border-bottom: 3px solid transparent; }
  & a:hover { color: var(--ink); border-color: var(--rule-strong); }
  & a[aria-current] { color: var(--ink); font-weight: 650; border-color: var(--clay); }
  @media (pointer: coarse) { & a { padding: 12px 0 9px; } }
  @media print { display: none; }
`;
