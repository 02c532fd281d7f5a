'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { styled } from 'styled-components';
import { LateFold } from '@/ui/LateFold';
import { loadWorkForm } from './load-work-form';
import type { WorkFormProps } from './WorkForm';
import { type RunningWork, runningWork } from './work-memory';

const WorkForm = dynamic(loadWorkForm, { ssr: false });

type WorkTimerProps = Omit<WorkFormProps, 'running' | 'setRunning'>;

/** A timer for the work at a trial, folded away until it is asked for or runs. */
export function WorkTimer(props: WorkTimerProps) {
  const { trialId } = props;
  const [running, setRunning] = useState<RunningWork | null>(null);
  useEffect(() => setRunning(runningWork(trialId)), [trialId]);
  return (
    <Below>
      <LateFold
        title={running ? 'Work is being timed' : 'Time the work'}
        id="work"
        isOpen={running !== null}
        isRuled
        what="The timer"
      >
        <WorkForm {...props} running={running} setRunning={setRunning} />
      </LateFold>
    </Below>
  );
}

const Below = styled.div`
  margin-top: 16px;
`;
