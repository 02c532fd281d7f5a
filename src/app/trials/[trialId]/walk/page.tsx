import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { z } from 'zod';
import { benchViewOf } from '@/features/bench/bench-view';
import { WorkTimer } from '@/features/labour/WorkTimer';
import { Walk } from '@/features/walk/Walk';
import { walkViewOf } from '@/features/walk/walk-view';
import { unitGroupsOf } from '@/features/weigh/mishap-view';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { findWalk } from '@/service/weigh/walk';
import { logWorkAction, undoWorkAction } from '../actions';
import type { TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Walk round' };

const Id = z.uuid();

export default async function WalkPage({ params }: TrialPageProps) {
  const id = Id.safeParse((await params).trialId);
  const data = id.success ? await findWalk(id.data) : undefined;
  if (!data) notFound();
  return (
    <Walk
      view={walkViewOf(data, benchViewOf(data, false), today(), (await currentGarden()).system)}
    >
      {data.trial.state === 'locked' && (
        <WorkTimer
          trialId={data.trial.id}
          unitWord={data.trial.unitWord}
          groups={unitGroupsOf(data)}
          today={today()}
          log={logWorkAction.bind(null, data.trial.id)}
          undo={undoWorkAction.bind(null, data.trial.id)}
        />
      )}
    </Walk>
  );
}
