'use client';

import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { Reminder } from '@/core/schedule/tasks/reminders';
import { withShortDays } from '@/core/time/days';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Trouble } from '@/ui/Trouble';

interface RemindersProps {
  readonly reminders: readonly Reminder[];
  readonly isLocked: boolean;
  readonly plan: (draft: Reminder['draft'], why: string) => Promise<Result<unknown, TrialTrouble>>;
}

/** What such a trial usually needs and nobody has planned yet, each put into the plan by one press. */
export function Reminders({ reminders, isLocked, plan }: RemindersProps) {
  const { trouble, isPending, run } = useTrialAction();
  if (reminders.length === 0) return null;
  const take = ({ draft, why }: Reminder): void =>
    run(() => plan(draft, isLocked ? `Often forgotten: ${why}` : ''));
  return (
    <Box title={`Often forgotten, ${reminders.length}`}>
      <ul>
        {reminders.map(reminder => (
          <li key={reminder.key}>
            <div>
              <strong>{reminder.draft.name}</strong>
              <small>{withShortDays(reminder.why)}</small>
            </div>
            <Button
              aria-label={`Plan it: ${reminder.draft.name}`}
              onPress={() => take(reminder)}
              isPending={isPending}
            >
              Plan it
            </Button>
          </li>
        ))}
      </ul>
      {trouble && (
        <Trouble>
          {trouble.kind === 'invalid' ? Object.values(trouble.fields)[0] : trialSentence(trouble)}
        </Trouble>
      )}
    </Box>
  );
}

const Box = styled(Fold)`
  & ul { list-style: none; margin: 8px 0 0; padding: 0; }
  & li { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 12px; align-items: start; padding: 10px 0; border-bottom: 1px solid var(--rule); }
  & strong { display: block; font-weight: 600; }
  & small { color: var(--ink-soft); font-size: 0.9375rem; }
`;
