import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { z } from 'zod';
import { ChosenUnitProvider } from '@/features/bench/ChosenUnit';
import { questionOfTrial } from '@/service/trial/trials';

interface TrialLayoutProps {
  readonly children: ReactNode;
  readonly params: Promise<{ readonly trialId: string }>;
}

/** Each page is called by its step and by its trial: several may stand open side by side. */
export async function generateMetadata({ params }: TrialLayoutProps): Promise<Metadata> {
  const id = z.uuid().safeParse((await params).trialId);
  const question = id.success ? await questionOfTrial(id.data) : undefined;
  const of = question === undefined ? 'Turnspit' : `${question} · Turnspit`;
  return { title: { default: of, template: `%s · ${of}` } };
}

export default function TrialLayout({ children }: TrialLayoutProps) {
  return <ChosenUnitProvider>{children}</ChosenUnitProvider>;
}
