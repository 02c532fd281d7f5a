import { notFound } from 'next/navigation';
import { z } from 'zod';
import { type SeenTrial, seenTrial } from '@/core/blinding/seen-trial';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialData } from '@/core/trial/model/trial-data';
import { callCounts } from '@/features/judge/call-words';
import { type TrialFrameView, trialFrameOf } from '@/features/trial/trial-view';
import { today } from '@/service/garden/clock';
import { weatherOf } from '@/service/garden/weather';
import { frozenVerdictOf } from '@/service/judge/close-trial';
import { findTrial } from '@/service/trial/trials';

/** What a step's page gets from Next. */
export interface TrialPageProps {
  readonly params: Promise<{ readonly trialId: string }>;
}

/** What a page is made of. */
interface LoadedTrial {
  /** As it may be seen. */
  readonly data: SeenTrial;
  /** With the key in it: for what `core/blinding` takes it out of again. */
  readonly whole: TrialData;
  readonly frame: TrialFrameView;
  readonly isOpen: boolean;
}

/** A trial and its frame, or the page that says there is no such trial. */
export async function loadTrial(
  { params }: TrialPageProps,
  find = findTrial,
): Promise<LoadedTrial> {
  const { trialId } = await params;
  const data = z.uuid().safeParse(trialId).success ? await find(trialId) : undefined;
  if (!data) notFound();
  const isOpen = isKeyOpen(data.trial);
  const frozen = data.trial.state === 'closed' ? await frozenVerdictOf(trialId) : undefined;
  const judged = frozen
    ? callCounts(frozen.contrasts.map(contrast => contrast.call))
    : isOpen
      ? null
      : data.trial.state === 'planned'
        ? null
        : 'the key is shut';
  return {
    data: seenTrial(data),
    whole: data,
    isOpen,
    frame: trialFrameOf(
      data,
      today(),
      judged,
      await weatherOf(data.trial.startsOn, [data.trial.endsOn, today()].sort()[0] ?? today()),
    ),
  };
}
