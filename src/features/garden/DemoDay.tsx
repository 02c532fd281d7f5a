'use client';

import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import { longDay } from '@/core/time/days';
import { AskFirst } from '@/ui/AskFirst';
import { NO_ANSWER } from '@/ui/actions/no-answer';
import { useAction } from '@/ui/actions/use-action';
import { Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

interface DemoDayProps {
  readonly day: string;
  readonly leave: () => Promise<Result<'left', string>>;
}

/** Of a demo garden: where its clock stands, and the way to the real one. */
export function DemoDay({ day, leave }: DemoDayProps) {
  const { trouble, isPending, run } = useAction<string>(NO_ANSWER);
  return (
    <Box>
      <h2>The demo’s day</h2>
      <Soft>
        This garden is a made-up season. Its clock stands at {longDay(day)}, whatever day it is:
        what you put in happens on that day. For a garden of your own, start Turnspit without the
        demo.
      </Soft>
      <AskFirst
        label="Go by the real date"
        title="Go by the real date?"
        does="Go by it"
        isPending={isPending}
        act={() => run(leave)}
      >
        <p>The demo’s trials keep their days, and lie in the past from then on.</p>
        <p>The demo’s day can’t be had back in this garden.</p>
      </AskFirst>
      {trouble && <Trouble>{trouble}</Trouble>}
    </Box>
  );
}

const Box = styled.section`
  display: grid; gap: 12px; justify-items: start; border-top: 1px solid var(--rule); padding-top: 20px; margin-top: 12px;
`;
