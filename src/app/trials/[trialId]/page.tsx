import { redirect } from 'next/navigation';
import { loadTrial, type TrialPageProps } from './load-trial';

export const dynamic = 'force-dynamic';

/** A trial without a step goes to the one it stands at. */
export default async function TrialPage(props: TrialPageProps) {
  const { data } = await loadTrial(props);
  redirect(
    `/trials/${data.trial.id}/${{ planned: 'lay-out', locked: 'weigh', closed: 'judge' }[data.trial.state]}`,
  );
}
