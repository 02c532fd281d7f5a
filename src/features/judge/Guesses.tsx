'use client';

import { styled } from 'styled-components';
import type { Call } from '@/core/judge/judgement';
import type { Prediction } from '@/core/trial/trial-data';
import { fullDay } from '@/features/frame/days';

interface GuessesProps {
  readonly predictions: readonly Prediction[];
  readonly best: string | null;
  readonly call: Call;
}

/** What was expected, opened with the verdict, each beside what came. */
export function Guesses({ predictions, best, call }: GuessesProps) {
  return (
    <section aria-label="What was expected">
      <h2>What was expected</h2>
      <List>
        {predictions.map(each => (each.about !== '' ? (
          <li key={each.id}><b>{each.by}, of {each.about}: {each.expects ?? 'no difference that matters'}</b> {each.why} <small>foretold {fullDay(each.sealedAt.slice(0, 10))}, before anything was dug up</small></li>
        ) : (
          <li key={each.id}><b>{each.by}: {each.expects ?? 'no difference that matters'}</b> {each.why} <small>sealed {fullDay(each.sealedAt.slice(0, 10))} · {outcomeOf(each.expects, best, call)}</small></li>
        )))}
      </List>
    </section>
  );
}

/** Right, not right, or not settled: a verdict that can't tell makes nobody wrong. */
export function outcomeOf(expects: string | null, best: string | null, call: Call): string {
  if (best !== null) return expects === best ? 'so it came' : 'it came otherwise';
  if (call === 'no-difference-that-matters') return expects === null ? 'so it came' : 'it came otherwise';
  return 'not settled';
}

const List = styled.ul`
  margin: 8px 0 0; padding-left: 20px; display: grid; gap: 6px; max-width: var(--measure);
  & small { color: var(--ink-soft); }
`;
