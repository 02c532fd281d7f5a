import type { Metadata } from 'next';
import { GardensNav } from '@/features/gardens/GardensNav';
import { Together } from '@/features/gardens/Together';
import { togetherViewOf } from '@/features/gardens/together-view';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { takenTogether } from '@/service/gardens/together';
import { loadTrial, type TrialPageProps } from '../../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'All gardens together' };

interface TogetherPageProps extends TrialPageProps {
  readonly searchParams: Promise<{
    readonly out?: string | readonly string[];
    readonly in?: string | readonly string[];
  }>;
}

export default async function TogetherPage(props: TogetherPageProps) {
  const { data, whole, frame } = await loadTrial(props);
  const { id, state } = data.trial;
  const asked = await props.searchParams;
  return (
    <TrialFrame frame={frame} step={null}>
      <GardensNav trialId={id} page="gardens/together" />
      {state === 'closed' ? (
        <Together
          view={togetherViewOf(
            await takenTogether(whole, { out: idsOf(asked.out), in: idsOf(asked.in) }),
            data.trial,
          )}
        />
      ) : (
        <p>
          You see what other gardens found once this trial is closed, so that it can’t sway how you
          measure. Their results are taken in all the same.
        </p>
      )}
    </TrialFrame>
  );
}

const MOST = 500;

function idsOf(asked: string | readonly string[] | undefined): ReadonlySet<string> {
  return new Set([asked ?? []].flat().slice(0, MOST));
}
