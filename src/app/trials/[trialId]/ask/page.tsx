import type { Metadata } from 'next';
import { benchViewOf } from '@/features/bench/bench-view';
import { AskForm } from '@/features/ask/AskForm';
import { questionFormOf } from '@/features/ask/question-draft';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { changeQuestionAction } from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Ask' };

export default async function AskPage(props: TrialPageProps) {
  const { data, frame, isOpen } = await loadTrial(props);
  return (
    <TrialFrame frame={frame} step="ask">
      <AskForm draftKey={`turnspit-question-${data.trial.id}`} saved={questionFormOf(data)} isLocked={data.trial.state !== 'planned'} bench={benchViewOf(data, isOpen)} save={changeQuestionAction.bind(null, data.trial.id)} />
    </TrialFrame>
  );
}
