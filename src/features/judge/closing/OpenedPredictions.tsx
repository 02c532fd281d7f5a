'use client';

import { styled } from 'styled-components';
import { expectedWords, guessSubject } from '@/core/judge/after/guess-words';
import type { PredictionScore, SettledGuess } from '@/core/judge/after/prediction-scores';
import { fullDay } from '@/core/time/days';
import type { Measure } from '@/core/trial/model/measure';
import { counted } from '@/core/words/plural';
import { Fold } from '@/ui/Fold';
import { Soft } from '@/ui/Page';

export interface GuessesProps {
  /** Each beside what came of it by the frozen verdict. */
  readonly guesses: readonly SettledGuess[];
  /** Of all who guessed here, over all closed trials. */
  readonly records: readonly PredictionScore[];
  /** The trial's, by which a guess of another measure is named. */
  readonly measures: readonly Pick<Measure, 'id' | 'name'>[];
}

/** What was expected, opened with the verdict, each beside what came. */
export function OpenedPredictions({ guesses, records, measures }: GuessesProps) {
  if (guesses.length === 0) return null;
  return (
    <section aria-label="What was expected">
      <Fold title="What was expected" tone="heading">
        <List>
          {guesses.map(guess => (
            <OpenedGuess key={guess.prediction.id} guess={guess} measures={measures} />
          ))}
        </List>
        {records.length > 0 && (
          <Soft>Over all closed trials: {records.map(recordWords).join('; ')}.</Soft>
        )}
      </Fold>
    </section>
  );
}

interface OpenedGuessProps extends Pick<GuessesProps, 'measures'> {
  readonly guess: SettledGuess;
}

function OpenedGuess({ guess: { prediction, outcome }, measures }: OpenedGuessProps) {
  const { by, why, about, sealedAt } = prediction;
  const subject = guessSubject(prediction, measures);
  const day = fullDay(sealedAt.slice(0, 10));
  return (
    <li>
      <b>
        {by}
        {subject === '' ? '' : `, of ${subject}`}: {expectedWords(prediction)}
      </b>{' '}
      {why}{' '}
      <small>
        {about === ''
          ? `sealed ${day} · ${OUTCOME_WORDS[outcome]}`
          : `said ${day}, before anything was dug up`}
      </small>
    </li>
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
    : `${by}: ${came} of ${settled} settled ${settled === 1 ? 'guess' : 'guesses'} came (guessing at random: ${luck})${open > 0 ? `, ${open} not settled` : ''}`;
}

const List = styled.ul`
  margin: 8px 0 0; padding-left: 20px; display: grid; gap: 6px; max-width: var(--measure);
  & small { color: var(--ink-soft); }
`;
