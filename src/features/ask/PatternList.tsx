'use client';

import { QUESTION_PATTERNS } from '@/core/design/question/question-patterns';
import { Link } from '@/ui/Link';
import { WaysList } from '@/ui/WaysList';

/** Kinds of question to begin from, in a gardener's words. */
export function PatternList() {
  return (
    <WaysList>
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
    </WaysList>
  );
}
