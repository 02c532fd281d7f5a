import type { Metadata } from 'next';
import { z } from 'zod';
import { planParts } from '@/core/trial/shared/plan-parts';
import { PlanCodes } from '@/features/gardens/PlanCodes';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { planFile } from '@/service/gardens/plan-files';
import { squareCodes } from '@/service/gardens/square-codes';
import { loadTrial, type TrialPageProps } from '../../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'The plan as square codes' };

const Asked = z.object({
  named: z.enum(['yes', 'no']).catch('no'),
  person: z.string().max(120).catch(''),
});

interface CodesPageProps extends TrialPageProps {
  readonly searchParams: Promise<Readonly<Record<string, string | readonly string[]>>>;
}

export default async function CodesPage(props: CodesPageProps) {
  const { data, frame } = await loadTrial(props);
  const { named, person } = Asked.parse(await props.searchParams);
  const plan = await planFile(data.trial.id, { isNamed: named === 'yes', person });
  return (
    <TrialFrame frame={frame} step={null}>
      <PlanCodes trialId={data.trial.id} codes={plan ? await squareCodes(planParts(plan)) : []} />
    </TrialFrame>
  );
}
