import type { Metadata } from 'next';
import { predictAction } from '@/app/trials/[trialId]/actions';
import { loadTrial, type TrialPageProps } from '@/app/trials/[trialId]/load-trial';
import { readAlsoAction } from '@/app/trials/[trialId]/readings/actions';
import { isTaken } from '@/core/trial/model/scale';
import { pluralOf } from '@/core/words/plural';
import { benchViewOf } from '@/features/bench/bench-view';
import { CloseLooks } from '@/features/inspect/CloseLooks';
import { Inspect } from '@/features/inspect/Inspect';
import { inspectViewOf } from '@/features/inspect/inspect-view';
import { Photos } from '@/features/inspect/photos/Photos';
import { photoWalls } from '@/features/inspect/photos/photo-view';
import { Soil } from '@/features/inspect/soil/Soil';
import { soilViewOf } from '@/features/inspect/soil/soil-view';
import { Tastings } from '@/features/inspect/Tastings';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { WeighWays } from '@/features/trial/WeighWays';
import { today } from '@/service/garden/clock';
import { photosOfTrial } from '@/service/inspect/photos';
import { LABORATORY_FACTS, samplesOfTrial } from '@/service/inspect/soil';
import { tastingsOfTrial } from '@/service/inspect/tastings';
import { Link } from '@/ui/Link';
import { Soft } from '@/ui/Page';
import {
  askLaboratoryAction,
  countCupsAction,
  dropPhotoAction,
  fillBagsAction,
  layCupsAction,
  scalePhotoAction,
  takeReportAction,
} from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Photos, soil and taste' };

export default async function CloselyPage(props: TrialPageProps) {
  const { data, frame, isOpen } = await loadTrial(props);
  const { id, state, unitWord } = data.trial;
  const bench = benchViewOf(data, isOpen);
  const units = [...(bench?.units ?? [])].sort((a, b) => a.position - b.position);
  const codes = units.map(unit => unit.code);
  const inspect = inspectViewOf(data, await tastingsOfTrial(id));
  const isClosed = state === 'closed';
  return (
    <TrialFrame frame={frame} step="weigh">
      <WeighWays
        trialId={id}
        here="inspect"
        canWalk={state === 'locked' && data.measures.some(measure => isTaken(measure.scale))}
      />
      {state === 'planned' && (
        <Soft>
          {codes.length === 0
            ? `All of this is put down by the codes of the ${pluralOf(unitWord)}, and they have none yet.`
            : 'Pictures and bags of soil can be put down now; cups, and what is dug up, once the plan is locked.'}{' '}
          <Link href={`/trials/${id}/lay-out`}>Lay it out</Link>
        </Soft>
      )}
      <CloseLooks
        photos={
          <Photos
            trialId={id}
            walls={photoWalls(await photosOfTrial(id), units, today())}
            units={units.map(({ id: unitId, code }) => ({ id: unitId, code }))}
            bench={bench}
            unitWord={unitWord}
            today={today()}
            isClosed={isClosed}
            measure={scalePhotoAction.bind(null, id)}
            drop={dropPhotoAction.bind(null, id)}
          />
        }
        soil={
          <Soil
            view={soilViewOf(data, units, await samplesOfTrial(id))}
            codes={codes}
            unitWord={unitWord}
            today={today()}
            isClosed={isClosed}
            laboratory={LABORATORY_FACTS}
            fill={fillBagsAction.bind(null, id)}
            ask={askLaboratoryAction.bind(null, id)}
            takeReport={takeReportAction.bind(null, id)}
          />
        }
        dug={
          <Inspect
            view={inspect}
            trialId={id}
            unitWord={unitWord}
            isOpen={state === 'locked'}
            readAlso={readAlsoAction.bind(null, id)}
            foretell={predictAction.bind(null, id)}
          />
        }
        taste={
          <Tastings
            tastings={inspect.tastings}
            codes={codes}
            isOpen={state === 'locked'}
            layCups={layCupsAction.bind(null, id)}
            countCups={countCupsAction.bind(null, id)}
          />
        }
      />
    </TrialFrame>
  );
}
