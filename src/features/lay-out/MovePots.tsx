'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { MovingRound } from '@/core/design/site/moving-round';
import type { Result } from '@/core/result';
import { fullDay } from '@/core/time/days';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

interface MovePotsProps {
  readonly unitWord: string;
  /** Days on which they were moved before, latest first. */
  readonly movedOn: readonly string[];
  readonly move: () => Promise<Result<MovingRound['walk'], TrialTrouble>>;
}

/** New places by lot within each shelf, as a walk that needs no more than one free hand. */
export function MovePots({ unitWord, movedOn, move }: MovePotsProps) {
  const [walk, setWalk] = useState<MovingRound['walk']>();
  const { trouble, isPending, run } = useTrialAction();
  const deal = (): void => run(move, setWalk);
  return (
    <Moving aria-label="Moving round">
      <h2>Moving them round</h2>
      <Soft>
        {movedOn.length === 0
          ? `Not moved yet. Where a place is better than another, new places by lot every week or so even it out. It goes for all ${pluralOf(unitWord)} or for none.`
          : `Moved ${movedOn.length === 1 ? 'once' : `${movedOn.length} times`}, last on ${fullDay(movedOn[0] ?? '')}.`}
      </Soft>
      {walk && (
        <ol aria-label="The walk">
          {walk.map(({ shelf, steps }) => (
            <li key={shelf}>
              <b>{shelf}</b>
              <ol>
                {steps.map((step, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a pot set aside comes up twice
                  <li key={i}>
                    {step.to.kind === 'aside'
                      ? `Set ${step.code} aside.`
                      : `${step.code} goes where ${step.to.of} stood.`}
                  </li>
                ))}
              </ol>
            </li>
          ))}
        </ol>
      )}
      {walk?.length === 0 && <p>The lot left every one where it stood.</p>}
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Acts>
        <Button onPress={deal} isPending={isPending}>
          Deal new places
        </Button>
      </Acts>
    </Moving>
  );
}

const Moving = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & > ol { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(220px, 1fr)); gap: 12px 24px; }
  & ol ol { margin: 0; padding-left: 24px; }
`;
