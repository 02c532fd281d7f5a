'use client';

import { currentLeaveOuts } from '@/core/judge/units/trial-analysis';
import type { VerdictInShort } from '@/core/judge/verdict/in-short';
import { AuditList } from '@/features/audit/AuditList';
import type { BenchUnit } from '@/features/bench/bench-view';
import { AlternativeExplanations } from '@/features/judge/details/AlternativeExplanations';
import type { VerdictDetailsData } from '@/features/judge/details/verdict-details';
import { type LeaveOutActions, LeftOut } from './LeftOut';

interface OnRecordProps extends Pick<VerdictDetailsData, 'data' | 'details' | 'audit'> {
  readonly allIn: VerdictInShort | null;
  readonly sound: VerdictInShort | null;
  readonly unit: BenchUnit | undefined;
  readonly actions: LeaveOutActions;
}

/** What else may have done it, what was left out, and how fair it was. */
export function OnRecord({ data, details, audit, allIn, sound, unit, actions }: OnRecordProps) {
  const isClosed = data.trial.state === 'closed';
  return (
    <>
      <AlternativeExplanations explanations={details.explanations} />
      <LeftOut
        current={currentLeaveOuts(data)}
        unitWord={data.trial.unitWord}
        allIn={allIn}
        sound={sound}
        unit={unit}
        isClosed={isClosed}
        isBlind={data.trial.isBlind}
        leaveOut={actions.leaveOut}
        putBackIn={actions.putBackIn}
      />
      <AuditList {...audit} />
    </>
  );
}
