import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { z } from 'zod';
import { benchViewOf } from '@/features/bench/bench-view';
import { Walk } from '@/features/walk/Walk';
import { walkViewOf } from '@/features/walk/walk-view';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { findWalk } from '@/service/weigh/walk';
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
    />
  );
}
