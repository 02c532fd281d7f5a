import type { Metadata } from 'next';
import { standingLines } from '@/core/judge/planning/standing';
import { mainMeasure } from '@/core/judge/units/trial-analysis';
import { isTaken } from '@/core/trial/model/scale';
import { benchViewOf } from '@/features/bench/bench-view';
import { WorkTimer } from '@/features/labour/WorkTimer';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { mishapsOf, unitGroupsOf } from '@/features/weigh/mishap-view';
import { Weigh } from '@/features/weigh/Weigh';
import { topsOf, yieldMeasuresOf } from '@/features/weigh/yield-measures';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { Link } from '@/ui/Link';
import { Mind } from '@/ui/Page';
import {
  historyAction,
  logWorkAction,
  mishapHistoryAction,
  putBackInAction,
  recordMishapAction,
  removePickAction,
  takePickAction,
  undoRevisionAction,
  undoWorkAction,
} from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Weigh' };

interface WeighPageProps extends TrialPageProps {
  readonly searchParams: Promise<{ readonly pot?: string | readonly string[] }>;
}

export default async function WeighPage(props: WeighPageProps) {
  const { pot } = await props.searchParams;
  const { data, frame, isOpen } = await loadTrial(props);
  const garden = await currentGarden();
  const { id, state, unitWord } = data.trial;
  const main = mainMeasure(data);
  const harvest = data.measures.find(measure => measure.scale === null) ?? main;
  return (
    <TrialFrame frame={frame} step="weigh">
      {main.scale?.kind === 'derived' && (
        <Mind>
          The question is about {main.response}: it is worked out. {main.definition}
        </Mind>
      )}
      {isTaken(main.scale) && (
        <Mind>
          The question is about {main.response}: it is read on the{' '}
          <Link href={`/trials/${id}/walk`}>walk round</Link>. What is weighed here stands beside
          it.
        </Mind>
      )}
      <Weigh
        trialId={id}
        state={state}
        unitWord={unitWord}
        measure={main.scale === null ? main : harvest}
        system={garden.system}
        today={today()}
        asked={typeof pot === 'string' ? pot : undefined}
        bench={benchViewOf(data, isOpen)}
        picks={data.picks}
        take={takePickAction.bind(null, id)}
        remove={removePickAction.bind(null, id)}
        undoRevision={undoRevisionAction.bind(null, id)}
        history={historyAction}
        groups={unitGroupsOf(data)}
        yieldMeasures={yieldMeasuresOf(data)}
        topsG={topsOf(data)}
        ripeRule={data.trial.rules.ripe}
        mishaps={mishapsOf(data)}
        standing={standingLines(data, isOpen)}
        isKeyOpen={isOpen && data.trial.isBlind}
        mishapHistory={mishapHistoryAction.bind(null, id)}
        recordMishap={recordMishapAction.bind(null, id)}
        takeBackMishap={putBackInAction.bind(null, id)}
      />
      {state === 'locked' && (
        <WorkTimer
          trialId={id}
          unitWord={unitWord}
          groups={unitGroupsOf(data)}
          today={today()}
          log={logWorkAction.bind(null, id)}
          undo={undoWorkAction.bind(null, id)}
        />
      )}
    </TrialFrame>
  );
}
