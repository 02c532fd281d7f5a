import type { Metadata } from 'next';
import { ReportView } from '@/features/report/ReportView';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { Link } from '@/ui/Link';
import { amendAction } from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Report' };

export default async function ReportPage(props: TrialPageProps) {
  const { data, frame, isOpen } = await loadTrial(props);
  const { id, state } = data.trial;
  return (
    <TrialFrame frame={frame} step="judge">
      {state !== 'planned' && isOpen ? (
        <ReportView
          trialId={id}
          isClosed={state === 'closed'}
          revision={data.amendments.length}
          correct={amendAction.bind(null, id)}
        />
      ) : (
        <>
          <p>
            There is nothing to report before the plan is locked and its key open.{' '}
            <Link href={`/trials/${id}/judge`}>Judge</Link>
          </p>
          {state !== 'planned' && (
            <p>
              What was entered so far can be taken along, by codes alone:{' '}
              <a href={`/api/report/${id}?as=entries&save=yes`}>CSV</a>,{' '}
              <a href={`/api/report/${id}?as=xlsx&save=yes`}>spreadsheet</a>,{' '}
              <a href={`/api/report/${id}?as=package&save=yes`}>all tables</a>.
            </p>
          )}
        </>
      )}
    </TrialFrame>
  );
}
