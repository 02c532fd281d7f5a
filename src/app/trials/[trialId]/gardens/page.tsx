import type { Metadata } from 'next';
import { liesInGardens } from '@/core/trial/garden-word';
import { GardensNav } from '@/features/gardens/GardensNav';
import { HandOut } from '@/features/gardens/HandOut';
import { Roster } from '@/features/gardens/Roster';
import { SendBack } from '@/features/gardens/SendBack';
import { ToldByOthers } from '@/features/gardens/ToldByOthers';
import { toldByOthers } from '@/features/gardens/told-view';
import { WhoDoesWhat } from '@/features/gardens/WhoDoesWhat';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { currentGarden } from '@/service/garden/garden';
import { receivedPlan } from '@/service/gardens/plan-files';
import { rosterOf, toldOf } from '@/service/gardens/roster';
import { tasksAhead } from '@/service/gardens/tasks-ahead';
import { Soft } from '@/ui/Page';
import { loadTrial, type TrialPageProps } from '../load-trial';
import {
  askGardenAction,
  dropFindingAction,
  dropGardenAction,
  dropResultsAction,
  keepHeardAction,
  typeFindingAction,
} from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Other gardens' };

export default async function GardensPage(props: TrialPageProps) {
  const { data, whole, frame } = await loadTrial(props);
  const { id, state, protocolId, unitWord } = data.trial;
  const { name, system } = await currentGarden();
  const plan = protocolId === null ? undefined : await receivedPlan(id);
  const treatments = data.treatments.map(treatment => treatment.name);
  const control = data.treatments.find(({ role }) => role === 'control')?.name ?? '';
  return (
    <TrialFrame frame={frame} step={null}>
      <GardensNav trialId={id} page="gardens" />
      {liesInGardens(whole.layout) && (
        <WhoDoesWhat
          trialId={id}
          unitWord={unitWord}
          gardens={data.blocks.map(({ id: blockId, name: garden, about }) => ({
            name: garden,
            ...about,
            units: data.units.filter(unit => unit.blockId === blockId).length,
          }))}
          tasks={tasksAhead(whole)}
        />
      )}
      {protocolId !== null && (
        <SendBack
          trialId={id}
          from={[plan?.from.person, plan?.from.garden].filter(Boolean).join(', ')}
          gardenName={name}
          isClosed={state === 'closed'}
        />
      )}
      {data.layout?.keptFrom && (
        <Soft>
          It asks what this ground holds, and no other garden was given the same: its plan goes
          nowhere. Other gardens that ran the trial before it can ask the same of theirs.
        </Soft>
      )}
      {protocolId === null && !data.layout?.keptFrom && (
        <>
          <HandOut trialId={id} gardenName={name} isLocked={state !== 'planned'} />
          <Roster
            trialId={id}
            rows={await rosterOf(id)}
            unitWord={unitWord}
            ask={askGardenAction.bind(null, id)}
            drop={dropGardenAction.bind(null, id)}
            dropResults={dropResultsAction.bind(null, id)}
          />
        </>
      )}
      <ToldByOthers
        treatments={treatments.filter(each => each !== control)}
        control={control}
        {...toldByOthers(whole, system, await toldOf(id))}
        type={typeFindingAction.bind(null, id)}
        hear={keepHeardAction.bind(null, id)}
        drop={dropFindingAction.bind(null, id)}
      />
    </TrialFrame>
  );
}
