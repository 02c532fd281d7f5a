import type { Metadata } from 'next';
import { GardenDay } from '@/core/time/garden-day';
import { benchViewOf } from '@/features/bench/bench-view';
import { deskViewOf } from '@/features/readings/desk-view';
import { Readings } from '@/features/readings/Readings';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { loadTrial, type TrialPageProps } from '../load-trial';
import {
  readAlsoAction,
  readingHistoryAction,
  readNoMoreAction,
  undoImportAction,
} from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Readings' };

interface ReadingsPageProps extends TrialPageProps {
  readonly searchParams: Promise<{ readonly day?: string | readonly string[] }>;
}

export default async function ReadingsPage(props: ReadingsPageProps) {
  const asked = GardenDay.safeParse((await props.searchParams).day);
  const { data, frame, isOpen } = await loadTrial(props);
  const { id } = data.trial;
  const { system } = await currentGarden();
  const bench = benchViewOf(data, isOpen);
  return (
    <TrialFrame frame={frame} step="weigh">
      <Readings
        view={deskViewOf(
          data,
          { bench, isOpen, system },
          asked.success && asked.data <= today() ? asked.data : today(),
          today(),
        )}
        bench={bench}
        season={frame.season}
        add={readAlsoAction.bind(null, id)}
        drop={readNoMoreAction.bind(null, id)}
        undoImport={undoImportAction.bind(null, id)}
        history={readingHistoryAction}
      />
    </TrialFrame>
  );
}
