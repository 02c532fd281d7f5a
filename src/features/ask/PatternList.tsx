'use client';

import Link from 'next/link';
import { styled } from 'styled-components';
import { QUESTION_PATTERNS } from '@/core/design/question/question-patterns';

/** Kinds of question to begin from, in a gardener's words. */
export function PatternList() {
  return (
    <Kinds>
      {QUESTION_PATTERNS.map(pattern => (
        <li key={pattern.id}>
          <Link href={`/trials/new?from=${pattern.id}`}>
            <b>{pattern.asks}</b>
            <span>{pattern.makes}</span>
          </Link>
        </li>
      ))}
      <li>
        <Link href="/trials/new?from=scratch">
          <b>Something else</b>
          <span>An empty sheet.</span>
        </Link>
      </li>
    </Kinds>
  );
}

const Kinds = styled.ul`
  list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); column-gap: 40px;
  & li { border-top: 1px solid var(--rule); }
  & a { display: grid; gap: 2px; padding: 14px 0; text-decoration: none; min-height: 84px; align-content: start; }
  & b { font-family: var(--font-heading), sans-serif; font-size: 1.125rem; font-weight: 650; line-height: 1.2; }
  & span { color: var(--ink-soft); font-size: 0.9375rem; }
  & a:hover b { color: var(--clay); text-decoration: underline; text-underline-offset: 3px; }
  @media (max-width: 1000px) { grid-template-columns: repeat(2, minmax(0, 1fr)); }
  @media (max-width: 640px) { grid-template-columns: minmax(0, 1fr); & a { min-height: 64px; } }
`;
