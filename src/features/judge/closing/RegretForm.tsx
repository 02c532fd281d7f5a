'use client';

import { useState } from 'react';
import type { Result } from '@/core/result';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/fields/TextField';
import { Acts } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

/** What one would do otherwise next time, in one's own words: it goes with the next trial. */
export function RegretForm({
  keep,
}: {
  readonly keep: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}) {
  const [text, setText] = useState('');
  const { trouble, isPending, run } = useTrialAction();
  const send = (): void =>
    run(
      () => keep({ text }),
      () => {
        setText('');
      },
    );
  const own = trouble?.kind === 'invalid' ? trouble.fields.text : undefined;
  return (
    <section aria-label="What you would do otherwise">
      <TextField
        label="What would you do otherwise?"
        name="regret"
        value={text}
        onChange={setText}
        trouble={own}
        isLong
        placeholder="start two weeks earlier; label both ends of the row"
      />
      {trouble && own === undefined && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Acts>
        <Button data-tone="quiet" onPress={send} isPending={isPending}>
          Keep it for the next one
        </Button>
      </Acts>
    </section>
  );
}
