import type { Metadata } from 'next';
import { mainMeasure } from '@/core/judge/trial-verdict';
import { benchViewOf, tagsOf } from '@/features/bench/bench-view';
import { LayOut } from '@/features/lay-out/LayOut';
import { savedBenchDraft } from '@/features/lay-out/bench-draft';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { currentGarden } from '@/service/garden';
import { dealAction, lockAction } from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';
import { showKeyAction } from './show-key';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Lay out' };

export default async function LayOutPage(props: TrialPageProps) {
  const { data, frame, isOpen } = await loadTrial(props);
  const { id } = data.trial;
  const { margin } = mainMeasure(data);
  const garden = await currentGarden();
  return (
    <TrialFrame frame={frame} step="lay-out">
      <LayOut
        saved={savedBenchDraft(data, garden.system)} layout={data.layout} isLocked={data.trial.state !== 'planned'} unitWord={data.trial.unitWord}
        tags={tagsOf(data)} marginPercent={margin?.kind === 'percent' ? margin.percent : null} bench={benchViewOf(data, isOpen)} weighHref={`/trials/${id}/weigh`}
        deal={dealAction.bind(null, id)} lock={lockAction.bind(null, id)} showKey={showKeyAction.bind(null, id)}
      />
    </TrialFrame>
  );
}
