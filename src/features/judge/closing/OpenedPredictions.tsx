'use client';

import { styled } from 'styled-components';
import { outcomeOf, type PredictionScore } from '@/core/judge/after/prediction-scores';
import type { Call } from '@/core/judge/outcomes/judgement';
import type { Prediction } from '@/core/trial/model/plan-record';
import { counted } from '@/core/words/plural';
import { fullDay } from '@/features/frame/days';
import { Soft } from '@/ui/Page';

interface GuessesProps {
  readonly predictions: readonly Prediction[];
  readonly best: string | null;
  readonly call: Call;
  /** Of all who guessed here, over all closed trials. */
  readonly records: readonly PredictionScore[];
}

/** What was expected, opened with the verdict, each beside what came. */
export function OpenedPredictions({ predictions, best, call, records }: GuessesProps) {
  return (
    <section aria-label="What was expected">
      <h2>What was expected</h2>
      <List>
        {predictions.map(each =>
          each.about !== '' ? (
            <li key={each.id}>
              <b>
                {each.by}, of {each.about}: {each.expects ?? 'no difference that matters'}
              </b>{' '}
              {each.why}{' '}
              <small>
                foretold {fullDay(each.sealedAt.slice(0, 10))}, before anything was dug up
              </small>
            </li>
          ) : (
            <li key={each.id}>
              <b>
                {each.by}: {each.expects ?? 'no difference that matters'}
              </b>{' '}
              {each.why}{' '}
              <small>
                sealed {fullDay(each.sealedAt.slice(0, 10))} ·{' '}
                {OUTCOME_WORDS[outcomeOf(each.expects, best, call)]}
              </small>
            </li>
          ),
        )}
      </List>
      {records.length > 0 && (
        <Soft>Over all closed trials: {records.map(recordWords).join('; ')}.</Soft>
      )}
    </section>
  );
}

const OUTCOME_WORDS = {
  came: 'so it came',
  otherwise: 'it came otherwise',
  open: 'not settled',
} as const;

/** How somebody has guessed over all closed trials, beside a die. */
function recordWords({ by, settled, came, open, byChance }: PredictionScore): string {
  const luck = Number(byChance.toFixed(1));
  return settled === 0
    ? `${by}: none of ${counted(open, 'guess')} was settled`
    : `${by}: ${came} of ${settled} settled ${settled === 1 ? 'guess' : 'guesses'} came (a die: ${luck})${open > 0 ? `, ${open} not settled` : ''}`;
}

const List = styled.ul`
  margin: 8px 0 0; padding-left: 20px; display: grid; gap: 6px; max-width: var(--measure);
  & small { color: var(--ink-soft); }
`;
