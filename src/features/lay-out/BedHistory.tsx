'use client';

import type { Result } from '@/core/result';
import { fullDay } from '@/core/time/days';
import { historyLines, type StoodBefore } from '@/core/trial/bed-history';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { listed } from '@/core/words/listed';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Link } from '@/ui/Link';
import { Acts, Mind } from '@/ui/Page';

interface BedHistoryProps {
  readonly history: readonly StoodBefore[];
  readonly putDown: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

/** What earlier trials grew in the same beds and mixes: it may tell more than the treatments do. */
export function BedHistory({ history, putDown }: BedHistoryProps) {
  const { trouble, isPending, run } = useTrialAction();
  const same = [
    ...new Set(history.flatMap(({ family, place }) => (family ? [`${place} (${family})`] : []))),
  ];
  return (
    <Fold title="What stood there before" isRuled tone="heading" isOpen>
      {same.length > 0 && (
        <Mind>
          The same family again in {listed(same)}: diseases and hunger for the same things may have
          stayed in the ground.
        </Mind>
      )}
      <ul>
        {history.map(({ place, isMedium, trialId, crop, endedOn, treatments, mishaps }) => (
          <li key={`${place} ${trialId}`}>
            {isMedium ? `in “${place}”` : place}:{' '}
            <Link href={`/trials/${trialId}/judge`}>{crop}</Link>, until {fullDay(endedOn)}
            {treatments.length > 0 ? `; ${listed(treatments)}` : ''}
            {mishaps.length > 0 ? `; then: ${listed(mishaps)}` : ''}
          </li>
        ))}
      </ul>
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button
          isPending={isPending}
          onPress={() =>
            run(() => putDown({ name: 'stood there before', lines: historyLines(history) }))
          }
        >
          Note it as a difference between them
        </Button>
      </Acts>
    </Fold>
  );
}
