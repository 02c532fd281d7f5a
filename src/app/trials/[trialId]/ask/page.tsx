import type { Metadata } from 'next';
import {
  comparisonsToGuess,
  guessedComparisonWords,
} from '@/core/judge/question/comparisons-to-guess';
import { questionOf } from '@/core/judge/units/trial-analysis';
import { AskForm } from '@/features/ask/AskForm';
import { Predictions } from '@/features/ask/Predictions';
import { questionFormOf } from '@/features/ask/question-draft';
import { benchViewOf } from '@/features/bench/bench-view';
import { RunsByPlan } from '@/features/gardens/RunsByPlan';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { currentGarden } from '@/service/garden/garden';
import { changeQuestionAction, predictAction } from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Ask' };

export default async function AskPage(props: TrialPageProps) {
  const { data, frame, isOpen } = await loadTrial(props);
  const canGuess =
    data.trial.state !== 'closed' && data.picks.length === 0 && data.readings.length === 0;
  return (
    <TrialFrame frame={frame} step="ask">
      {data.trial.protocolId !== null && (
        <RunsByPlan
          isLocked={data.trial.state !== 'planned'}
          layOutHref={`/trials/${data.trial.id}/lay-out`}
        />
      )}
      <AskForm
        draftKey={`turnspit-question-${data.trial.id}`}
        saved={questionFormOf(data, (await currentGarden()).system)}
        isLocked={data.trial.state !== 'planned'}
        bench={benchViewOf(data, isOpen)}
        keepsDeal={data.layout?.keptFrom != null}
        save={changeQuestionAction.bind(null, data.trial.id)}
      >
        <Predictions
          sealed={data.predictions
            .filter(each => each.about === '')
            .map(({ by, sealedAt }) => ({ by, sealedAt }))}
          treatments={data.treatments.map(treatment => treatment.name)}
          comparisons={comparisonsToGuess(questionOf(data)).map(guessedComparisonWords)}
          otherMeasures={data.measures
            .filter(measure => !measure.isMain)
            .map(({ id, name }) => ({ id, name }))}
          predict={canGuess ? predictAction.bind(null, data.trial.id) : null}
        />
      </AskForm>
    </TrialFrame>
  );
}
