'use client';

import { styled } from 'styled-components';
import type { AlternativeExplanation } from '@/core/judge/after/alternative-explanations';
import { Soft } from '@/ui/Page';

/** What else could have made the gap, each with the test that would tell. */
export function AlternativeExplanations({
  explanations,
}: {
  readonly explanations: readonly AlternativeExplanation[];
}) {
  return (
    <section aria-label="What else could it have been?">
      <h2>What else could it have been?</h2>
      {explanations.length === 0 ? (
        <Soft>
          Nothing that the map, the log or the mishaps point to. What nobody wrote down they can’t.
        </Soft>
      ) : (
        <List>
          {explanations.map(rival => (
            <li key={rival.says}>
              <b>{rival.says}</b> {rival.test}
            </li>
          ))}
        </List>
      )}
    </section>
  );
}

const List = styled.ul`
  margin: 8px 0 0; padding-left: 20px; display: grid; gap: 6px; max-width: var(--measure);
`;
