import type { Metadata } from 'next';
import { seenLayout } from '@/core/blinding/seen-layout';
import { AUDIT_CHECKS, fairnessAudit } from '@/core/design/audit/fairness-audit';
import { undealtTrial } from '@/core/design/layouts/draft-trial';
import { canMove } from '@/core/design/site/moving-round';
import { plannedReadingOf } from '@/core/judge/planning/planning-guess';
import { standingLines } from '@/core/judge/planning/standing';
import { agreedComparisonOf } from '@/core/judge/question/agreed-comparison';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { mainMeasure } from '@/core/judge/units/trial-analysis';
import { daysBetween } from '@/core/time/garden-day';
import { traitLines } from '@/core/trial/forms/trait-form';
import type { TrialData } from '@/core/trial/model/trial-data';
import { benchViewOf, tagsOf } from '@/features/bench/bench-view';
import { savedBenchDraft } from '@/features/lay-out/bench-draft';
import { builtViewOf } from '@/features/lay-out/built-view';
import { groundOf } from '@/features/lay-out/ground';
import { LayOut } from '@/features/lay-out/LayOut';
import type { LayOutProps } from '@/features/lay-out/lay-out-props';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { blockCalled } from '@/features/weigh/mishap-view';
import { currentGarden } from '@/service/garden/garden';
import { receivedPlan } from '@/service/gardens/plan-files';
import { rememberedChance } from '@/service/judge/remembered-chance';
import { stoodBefore } from '@/service/layout/stood-before';
import { pooledCv } from '@/service/trial/pooled-cv';
import { trialLog } from '@/service/trial/trials';
import {
  amendAction,
  arrangeAction,
  dealAction,
  describeSiteAction,
  describeTraitAction,
  forgetTraitAction,
  lockAction,
  movePotsAction,
  nameBlocksAction,
  putAsBuiltAction,
  takeLayoutAction,
} from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';
import { showKeyAction } from './show-key';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Lay out' };

export default async function LayOutPage(props: TrialPageProps) {
  const { data, whole, frame, isOpen } = await loadTrial(props);
  const { id } = data.trial;
  const main = mainMeasure(data);
  const garden = await currentGarden();
  const proposed = (await receivedPlan(id))?.layout;
  const ownCv = await pooledCv(main);
  const cv = ownCv?.cv ?? STARTING_GUESS_CV.cv;
  const standing = standingLines(whole, isOpen, cv, rememberedChance);
  return (
    <TrialFrame frame={frame} step="lay-out">
      <LayOut
        saved={savedBenchDraft(data, garden.system, proposed)}
        isProposed={proposed !== undefined}
        layout={seenLayout(whole)}
        isLocked={data.trial.state !== 'planned'}
        unitWord={data.trial.unitWord}
        tags={tagsOf(data)}
        treatments={data.treatments}
        question={questionToPlan(data)}
        marginUnit={main.unit}
        system={garden.system}
        costEach={data.trial.money?.costEach ?? null}
        keyRule={data.trial.rules.key}
        ownCv={ownCv}
        audit={auditOf(whole, cv)}
        amendments={data.amendments}
        planted={plantedOf(data)}
        isClosed={data.trial.state === 'closed'}
        bench={benchViewOf(data, isOpen)}
        askHref={`/trials/${id}/ask`}
        trialHref={`/trials/${id}`}
        tendHref={`/trials/${id}/tend`}
        printHref={`/trials/${id}/print`}
        takeLayout={takeLayoutAction.bind(null, id)}
        deal={dealAction.bind(null, id)}
        lock={lockAction.bind(null, id)}
        showKey={showKeyAction.bind(null, id)}
        amend={amendAction.bind(null, id)}
        movedOn={(await trialLog(id))
          .filter(({ what }) => what === 'pots moved')
          .map(({ at }) => at.slice(0, 10))}
        move={
          data.trial.state === 'locked' && data.layout && canMove(data.layout)
            ? movePotsAction.bind(null, id)
            : null
        }
        undealt={undealtTrial(data)}
        traits={traitLines(whole)}
        describeTrait={describeTraitAction.bind(null, id)}
        forgetTrait={forgetTraitAction.bind(null, id)}
        built={builtViewOf(data, isOpen, garden.system, standing)}
        blocks={namedBlocks(data)}
        history={await stoodBefore(whole)}
        nameBlocks={nameBlocksAction.bind(null, id)}
        putAsBuilt={putAsBuiltAction.bind(null, id)}
        ground={groundOf(whole, isOpen)}
        arrange={arrangeAction.bind(null, id)}
        describeSite={describeSiteAction.bind(null, id)}
      />
    </TrialFrame>
  );
}

function namedBlocks({
  blocks,
  layout,
}: Pick<TrialData, 'blocks' | 'layout'>): LayOutProps['blocks'] {
  return blocks.map(({ id, name, about }) => ({ id, about, name: blockCalled(name, layout) }));
}

function plantedOf({ units }: Pick<TrialData, 'units'>): LayOutProps['planted'] {
  return units.flatMap(({ code, plant, startSize }) =>
    plant !== null && startSize !== null ? [{ code, plant, size: startSize }] : [],
  );
}

function auditOf(data: TrialData, cv: number): LayOutProps['audit'] {
  return {
    findings: fairnessAudit(data, rememberedChance(data, cv)),
    checks: Object.keys(AUDIT_CHECKS).length,
  };
}

/** What the planner takes of the question. */
function questionToPlan(data: TrialData): LayOutProps['question'] {
  const { response, better, margin, scale } = mainMeasure(data);
  const { startsOn, endsOn, rules } = data.trial;
  return {
    response,
    better,
    margin,
    agreed: agreedComparisonOf(rules, data.treatments),
    looks: rules.looks,
    reading: plannedReadingOf(scale, daysBetween(startsOn, endsOn)),
  };
}
