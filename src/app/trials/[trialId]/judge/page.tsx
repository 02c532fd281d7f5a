import type { Metadata } from 'next';
import Link from 'next/link';
import { z } from 'zod';
import { besideVerdict } from '@/service/beside-verdict';
import { judgeKind } from '@/core/judge/kind-judge';
import { trialEfficacy } from '@/core/judge/trial-efficacy';
import { trialGermination } from '@/core/judge/trial-germination';
import { kindInputOf, kindOf } from '@/core/judge/trial-kind';
import { benchViewOf, tagsOf } from '@/features/bench/bench-view';
import { KindView } from '@/features/judge/KindView';
import { AUDIT_CHECKS, fairnessAudit } from '@/core/design/fairness-audit';
import { judge } from '@/core/judge/judge';
import { STARTING_GUESS_CV } from '@/core/judge/judge-input';
import { judgeUnderLook, mainMeasure, plannedLook } from '@/core/judge/trial-verdict';
import { JudgeView } from '@/features/judge/JudgeView';
import { ShutKey } from '@/features/judge/ShutKey';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { currentGarden } from '@/service/garden';
import { ownSpread } from '@/service/own-spread';
import { frozenVerdictOf, noteInterimLook } from '@/service/judge';
import { trialLog } from '@/service/trials';
import { closeTrialAction, leaveOutAction, openKeyAction, putBackInAction, regretAction } from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Judge' };

interface JudgePageProps extends TrialPageProps {
  readonly searchParams: Promise<{ readonly measure?: string | readonly string[]; readonly by?: string | readonly string[]; readonly class?: string | readonly string[] }>;
}

export default async function JudgePage(props: JudgePageProps) {
  const wish = await props.searchParams;
  const asked = z.uuid().safeParse(wish.measure);
  const by = z.enum(['means', 'ranks']).safeParse(wish.by).data;
  const countedClass = z.coerce.number().int().min(0).max(100).optional().safeParse(wish.class).data;
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
    const own = await ownSpread(mainMeasure(data).summary);
    const planned = plannedLook(data, own ? { cv: own.cv, source: 'own-trials' } : STARTING_GUESS_CV);
    const measure = data.measures.find(each => asked.success && each.id === asked.data);
    const kind = measure && (by !== 'means' || measure.scale?.kind === 'class') ? kindInputOf(data, measure, { ...planned, measureId: measure.id, margin: null }, { isByRanks: by === 'ranks', countedClass }) : undefined;
    if (measure && kind) return <KindView trialId={id} measureId={measure.id} isChosen={by === 'ranks'} name={measure.name} definition={measure.definition} input={kind} judgement={judgeKind(kind)} tags={tagsOf(data)} efficacy={trialEfficacy(data, measure) ?? null} germination={trialGermination(data, measure) ?? null} classes={measure.scale?.kind === 'class' ? measure.scale.classes : []} />;
    const garden = await currentGarden();
    const looked = judgeUnderLook(data, measure ? { ...planned, measureId: measure.id } : planned, judge);
    const frozen = await frozenVerdictOf(id);
    const findings = fairnessAudit(data, own?.cv ?? STARTING_GUESS_CV.cv);
    return (
      <JudgeView
        data={{ ...data, readings: data.readings.filter(reading => reading.measureId === looked.look.measureId), predictions: state === 'closed' ? data.predictions : [] }} first={looked} bench={bench} system={garden.system} isByMeans={by === 'means' && measure !== undefined && kindOf(measure.scale) !== null}
        audit={{ findings, checks: Object.keys(AUDIT_CHECKS).length }}
        beside={await besideVerdict(data, looked, findings)}
        frozen={frozen ? { closedAt: frozen.closedAt, headline: frozen.verdict.headline } : null}
        log={(await trialLog(id)).map(({ at, what }) => ({ at, what }))}
        close={closeTrialAction.bind(null, id)} regret={regretAction.bind(null, id)} leaveOut={leaveOutAction.bind(null, id)} putBackIn={putBackInAction.bind(null, id)}
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
