import type { Metadata } from 'next';
import { PrintSheets } from '@/features/print/PrintSheets';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { currentGarden } from '@/service/garden/garden';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Print' };

export default async function PrintPage(props: TrialPageProps) {
  const { data, frame, isOpen } = await loadTrial(props);
  const garden = await currentGarden();
  return (
    <TrialFrame frame={frame} step="lay-out">
      <PrintSheets
        base={`/trials/${data.trial.id}/print`}
        isDealt={data.layout !== null}
        isKeyShut={!isOpen}
        paper={garden.system === 'us' ? 'letter' : 'a4'}
        unitWord={data.trial.unitWord}
        layOutHref={`/trials/${data.trial.id}/lay-out`}
        sharedAt={process.env.TURNSPIT_ADDRESS ?? null}
      />
    </TrialFrame>
  );
}
