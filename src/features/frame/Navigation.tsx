'use client';

import { usePathname } from 'next/navigation';
import { styled } from 'styled-components';
import { longDay } from '@/core/time/days';
import { Link } from '@/ui/Link';
import { KeysHelp } from './KeysHelp';

interface NavigationProps {
  readonly garden: string;
  /** ISO date. */
  readonly today: string;
  /** The day is the demo's own. */
  readonly isDemo: boolean;
}

const PLACES = [
  { href: '/', label: 'Today', isHere: (path: string) => path === '/' },
  { href: '/trials', label: 'Trials', isHere: (path: string) => path.startsWith('/trials') },
  { href: '/shelf', label: 'Shelf', isHere: (path: string) => path.startsWith('/shelf') },
] as const;

/** The thin rail over every page: where one can go, whose garden it is, and the day. At the thumb on a phone. */
export function Navigation({ garden, today, isDemo }: NavigationProps) {
  const path = usePathname();
  return (
    <Bar>
      <Link href="/" data-mark aria-label="Turnspit, to today">
        Turnspit
      </Link>
      <nav aria-label="Places">
        {PLACES.map(place => (
          <Link
            key={place.href}
            href={place.href}
            aria-current={place.isHere(path) ? 'page' : undefined}
          >
            {place.label}
          </Link>
        ))}
      </nav>
      <Link href="/garden" data-garden aria-current={path === '/garden' ? 'page' : undefined}>
        {garden}
      </Link>
      <span data-day>
        {longDay(today)}
        {isDemo && ', the demo’s day'}
      </span>
      <KeysHelp />
    </Bar>
  );
}

const Bar = styled.header`
  display: flex; flex-wrap: wrap; align-items: stretch; gap: 0 32px; min-height: 48px; padding-inline: 32px; border-bottom: 1px solid var(--rule); max-width: 1440px; margin-inline: auto;
  & > * { display: flex; align-items: center; min-height: 48px; }
  & [data-mark] { font-family: var(--font-heading), sans-serif; font-weight: 750; font-size: 1.25rem; text-decoration: none; }
  & nav { gap: 32px; flex: 1; align-items: stretch; }
  & a { text-decoration: none; color: var(--ink-soft); display: flex; align-items: center; border-block: 3px solid transparent; }
  & a[data-mark], & a[aria-current] { color: var(--ink); }
  & a[aria-current] { border-bottom-color: var(--clay); font-weight: 600; }
  & a:hover { color: var(--ink); }
  & [data-day] { color: var(--ink-soft); }
  @media (max-width: 640px) {
    gap: 0 16px; padding-inline: 16px;
    & [data-day] { display: none; }
    & [data-garden] { margin-left: auto; }
    & nav { position: fixed; z-index: 2; inset: auto 0 0 0; height: 56px; background: var(--slate); border-top: 1px solid var(--rule); gap: 0; }
    body:has([data-walk]) & nav { display: none; } /* on a walk the thumb has other work */
    & nav a { flex: 1; justify-content: center; }
    & nav a[aria-current] { border-bottom-color: transparent; border-top-color: var(--clay); }
  }
`;
