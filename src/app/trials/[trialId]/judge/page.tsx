import type { Metadata } from 'next';
import Link from 'next/link';
import { AUDIT_CHECKS, fairnessAudit } from '@/core/design/fairness-audit';
import { judge } from '@/core/judge/judge';
import { STARTING_GUESS_CV } from '@/core/judge/judge-input';
import { judgeUnderLook, mainMeasure, plannedLook } from '@/core/judge/trial-verdict';
import { benchViewOf } from '@/features/bench/bench-view';
import { JudgeView } from '@/features/judge/JudgeView';
import { ShutKey } from '@/features/judge/ShutKey';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { currentGarden } from '@/service/garden';
import { ownSpread } from '@/service/own-spread';
import { frozenVerdictOf, noteInterimLook } from '@/service/judge';
import { trialLog } from '@/service/trials';
import { closeTrialAction, leaveOutAction, openKeyAction, putBackInAction } from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Judge' };

export default async function JudgePage(props: TrialPageProps) {
  const { data, frame, isOpen } = await loadTrial(props);
  const { id, state, unitWord } = data.trial;
  const bench = benchViewOf(data, isOpen);
  return (
    <TrialFrame frame={frame} step="judge">
      {state === 'planned' || !bench ? <NothingYet id={id} /> : isOpen ? await verdict() : <ShutKey bench={bench} unitWord={unitWord} open={openKeyAction.bind(null, id)} />}
    </TrialFrame>
  );

  async function verdict() {
    if (!bench) return null;
    if (state === 'locked' && data.picks.length > 0) await noteInterimLook(id);
    const garden = await currentGarden();
    const frozen = await frozenVerdictOf(id);
    return (
      <JudgeView
        data={state === 'closed' ? data : { ...data, predictions: [] }} first={judgeUnderLook(data, plannedLook(data, STARTING_GUESS_CV), judge)} bench={bench} system={garden.system}
        audit={{ findings: fairnessAudit(data, (await ownSpread(mainMeasure(data).summary))?.cv ?? STARTING_GUESS_CV.cv), checks: Object.keys(AUDIT_CHECKS).length }}
        frozen={frozen ? { closedAt: frozen.closedAt, headline: frozen.verdict.headline } : null}
        log={(await trialLog(id)).map(({ at, what }) => ({ at, what }))}
        close={closeTrialAction.bind(null, id)} leaveOut={leaveOutAction.bind(null, id)} putBackIn={putBackInAction.bind(null, id)}
      />
    );
  }
}

function NothingYet({ id }: { readonly id: string }) {
  return (
    <div>
      <h2>Nothing to judge yet</h2>
      <p>First the plan is locked and something is weighed. <Link href={`/trials/${id}/lay-out`}>Lay out and lock.</Link></p>
    </div>
  );
}
