'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { NextStep } from '@/core/judge/after/next-step';
import { sentenceCase } from '@/core/words/sentence-case';
import { RegretForm } from '@/features/judge/closing/RegretForm';
import { Fold } from '@/ui/Fold';
import { Link } from '@/ui/Link';
import { Soft } from '@/ui/Page';
import { WayOn } from '@/ui/WayOn';
import { LeftInGround } from './LeftInGround';

const STEP_WORDS: Readonly<Record<NextStep['step'], string>> = {
  keep: 'Keep',
  drop: 'Drop',
  again: 'Test again',
  cheapest: 'Take the cheaper',
};

interface NextStepsProps {
  readonly trialId: string;
  readonly steps: readonly NextStep[];
  /** What this trial teaches the next: its spread, its mishaps, what was missed. */
  readonly lessons: readonly string[];
  readonly unitWord: string;
  /** null while the trial runs, or where nothing stands anywhere. */
  readonly askWhatIsLeft: Parameters<typeof LeftInGround>[0]['ask'] | null;
  readonly regret: Parameters<typeof RegretForm>[0]['keep'];
}

/** What next: keep, drop, or again with so many; and the next trial from this one. */
export function NextSteps({ trialId, steps, lessons, regret, ...props }: NextStepsProps) {
  const [before] = useState(lessons.length);
  return (
    <Box aria-label="What next?">
      <h2>What next?</h2>
      <ul>
        {steps.map(step => (
          <li key={step.treatment}>
            <b>
              {sentenceCase(step.treatment)}: {STEP_WORDS[step.step].toLowerCase()}.
            </b>{' '}
            {step.says}
          </li>
        ))}
      </ul>
      {lessons.length > 0 && (
        <Fold
          title="What it teaches the next one"
          tone="heading"
          isOpen={lessons.length > before} // what was just kept is seen
        >
          <ul>
            {lessons.map(lesson => (
              <li key={lesson}>{lesson}</li>
            ))}
          </ul>
        </Fold>
      )}
      <WayOn href={`/trials/new?after=${trialId}`}>Make the next trial from this one</WayOn>
      {props.askWhatIsLeft && <LeftInGround unitWord={props.unitWord} ask={props.askWhatIsLeft} />}
      <RegretForm keep={regret} />
      <p>
        <Link href={`/trials/${trialId}/report`}>The report</Link>
      </p>
      <Soft>
        Agree now how many rounds there will be: repeating until one likes the answer is choosing
        it.
      </Soft>
    </Box>
  );
}

const Box = styled.section`
  display: grid; gap: 10px;
  & ul { margin: 0; padding-left: 20px; display: grid; gap: 6px; max-width: var(--measure); }
  & p a { display: inline-block; padding-block: 6px; }
`;
