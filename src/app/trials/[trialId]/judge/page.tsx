import type { Metadata } from 'next';
import { z } from 'zod';
import { trialEfficacy } from '@/core/judge/after/trial-efficacy';
import { trialGermination } from '@/core/judge/after/trial-germination';
import { mainMeasure } from '@/core/judge/units/trial-analysis';
import { interimLookDays } from '@/core/trial/interim-look';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { benchViewOf, tagsOf } from '@/features/bench/bench-view';
import { KeyClosed } from '@/features/judge/closing/KeyClosed';
import { JudgeView, type VerdictOfTrial } from '@/features/judge/JudgeView';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { currentGarden } from '@/service/garden/garden';
import { frozenVerdictOf, noteInterimLook } from '@/service/judge/close-trial';
import { openedPredictions } from '@/service/judge/opened-predictions';
import { analysisSpecOf, verdictUnder } from '@/service/judge/verdict';
import { findTrialFor, trialLog } from '@/service/trial/trials';
import { Link } from '@/ui/Link';
import {
  askWhatIsLeftAction,
  closeTrialAction,
  leaveOutAction,
  openKeyAction,
  putBackInAction,
  regretAction,
} from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Judge' };

interface JudgePageProps extends TrialPageProps {
  readonly searchParams: Promise<{
    readonly measure?: string | readonly string[];
    readonly by?: string | readonly string[];
    readonly class?: string | readonly string[];
  }>;
}

export default async function JudgePage(props: JudgePageProps) {
  const request = judgeRequestOf(await props.searchParams);
  const { data, frame, isOpen } = await loadTrial(props, id => findTrialFor(id, request.measureId));
  const { id, state, unitWord } = data.trial;
  const bench = benchViewOf(data, isOpen);
  return (
    <TrialFrame frame={frame} step="judge">
      {state === 'planned' || !bench ? (
        <NothingYet id={id} />
      ) : isOpen ? (
        await verdictFor(data, request)
      ) : (
        <KeyClosed bench={bench} unitWord={unitWord} open={openKeyAction.bind(null, id)} />
      )}
    </TrialFrame>
  );
}

/** Which measure is asked for, by which method; of classes, which is counted. */
interface JudgeRequest {
  readonly measureId: string | undefined;
  readonly by: 'means' | 'ranks' | undefined;
  readonly countedClass: number | undefined;
}

function judgeRequestOf(asked: Awaited<JudgePageProps['searchParams']>): JudgeRequest {
  return {
    measureId: z.uuid().safeParse(asked.measure).data,
    by: z.enum(['means', 'ranks']).safeParse(asked.by).data,
    countedClass: z.coerce.number().int().min(0).max(100).optional().safeParse(asked.class).data,
  };
}

async function verdictFor(data: TrialData, { measureId, by, countedClass }: JudgeRequest) {
  const { id, state } = data.trial;
  const measure = data.measures.find(each => each.id === measureId) ?? mainMeasure(data);
  if (state === 'locked' && (data.picks.length > 0 || data.readings.length > 0))
    await noteInterimLook(id);
  const spec = { ...(await analysisSpecOf(data, measure.id)), by, countedClass };
  const { system } = await currentGarden();
  return (
    <JudgeView
      key={`${measure.id} ${by ?? ''} ${countedClass ?? ''}`}
      {...(await verdictOfTrial(data, measure))}
      first={verdictUnder(data, spec)}
      system={system}
      efficacy={trialEfficacy(data, measure) ?? null}
      germination={trialGermination(data, measure) ?? null}
    />
  );
}

async function verdictOfTrial(data: TrialData, measure: Measure): Promise<VerdictOfTrial> {
  const { trial, amendments } = data;
  const frozen = await frozenVerdictOf(trial.id);
  const log = await trialLog(trial.id);
  return {
    trial,
    measure,
    amendments,
    tags: tagsOf(data),
    guesses: { ...(await openedPredictions(data)), measures: data.measures },
    frozen: frozen ? { closedAt: frozen.closedAt, headline: frozen.verdict.headline } : null,
    interimLooks: interimLookDays(log, trial.endsOn).length,
    close: closeTrialAction.bind(null, trial.id),
    askWhatIsLeft: askWhatIsLeftAction.bind(null, trial.id),
    regret: regretAction.bind(null, trial.id),
    leaveOut: leaveOutAction.bind(null, trial.id),
    putBackIn: putBackInAction.bind(null, trial.id),
  };
}

function NothingYet({ id }: { readonly id: string }) {
  return (
    <div>
      <h2>Nothing to judge yet</h2>
      <p>
        First the plan is locked and something is weighed.{' '}
        <Link href={`/trials/${id}/lay-out`}>Lay out and lock.</Link>
      </p>
    </div>
  );
}
