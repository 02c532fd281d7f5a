import type { Metadata } from 'next';
import { benchViewOf } from '@/features/bench/bench-view';
import { WorkTimer } from '@/features/labour/WorkTimer';
import { Tend } from '@/features/tend/Tend';
import { tendViewOf } from '@/features/tend/tend-view';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { unitGroupsOf } from '@/features/weigh/mishap-view';
import { gardenTimeZone, instantNow, today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { listProducts } from '@/service/garden/shelf';
import { recentWeather } from '@/service/garden/weather';
import { logWorkAction, undoWorkAction } from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';
import {
  actHistoryAction,
  changeCareSettingsAction,
  dateStageAction,
  dropCareRuleAction,
  enterPaperLogAction,
  logCareAction,
  lookIntoBottlesAction,
  nameByDepthAction,
  saveCareRuleAction,
  stateAllAsPlannedAction,
  tickAction,
  untickAction,
} from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Tend' };

export default async function TendPage(props: TrialPageProps) {
  const { data, whole, frame, isOpen } = await loadTrial(props);
  const { id } = data.trial;
  return (
    <TrialFrame frame={frame} step="tend">
      <Tend
        view={tendViewOf(whole, {
          shelf: await listProducts(),
          today: today(),
          now: instantNow(),
          garden: await currentGarden(),
          timeZone: gardenTimeZone(),
          weather: await recentWeather(10),
        })}
        bench={benchViewOf(data, isOpen)}
        tick={tickAction}
        stateAll={stateAllAsPlannedAction.bind(null, id)}
        lookIntoBottles={lookIntoBottlesAction}
        untick={untickAction}
        history={actHistoryAction.bind(null, id)}
        saveRule={saveCareRuleAction.bind(null, id)}
        dropRule={dropCareRuleAction.bind(null, id)}
        log={logCareAction.bind(null, id)}
        enterLog={enterPaperLogAction.bind(null, id)}
        changeSettings={changeCareSettingsAction.bind(null, id)}
        nameByDepth={nameByDepthAction.bind(null, id)}
        dateStage={dateStageAction.bind(null, id)}
        work={
          data.trial.state === 'locked' && (
            <WorkTimer
              trialId={id}
              unitWord={data.trial.unitWord}
              groups={unitGroupsOf(data)}
              today={today()}
              log={logWorkAction.bind(null, id)}
              undo={undoWorkAction.bind(null, id)}
            />
          )
        }
      />
    </TrialFrame>
  );
}
