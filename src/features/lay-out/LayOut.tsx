'use client';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { unitCount } from '@/core/design/layouts/bench-form';
import { isPlainQuestion } from '@/core/judge/planning/plain-question';
import type { ProposedPlan } from '@/core/judge/planning/proposed-plans';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import type { TrialData } from '@/core/trial/model/trial-data';
import { trialSentence } from '@/core/trial/trial-trouble';
import { AuditList } from '@/features/audit/AuditList';
import { Fold } from '@/ui/Fold';
import { Soft, TwoParts } from '@/ui/Page';
import { AmendPlan } from './AmendPlan';
import { BenchColumn } from './BenchColumn';
import { DealForm } from './DealForm';
import { LockedPlan } from './LockedPlan';
import type { LayOutProps } from './lay-out-props';
import { MovePots } from './MovePots';
import { planDraft } from './plans/plan-draft';
import { useDealing } from './use-dealing';

// What is typed is audited once somebody types: the saved plan was audited before the page came.
const LiveAudit = dynamic(() => import('@/features/audit/LiveAudit').then(file => file.LiveAudit), {
  ssr: false,
});
// Both compute chances: what they take is fetched while the rest can be read and pressed already.
const ThreePlans = dynamic(() => import('./plans/ThreePlans').then(file => file.ThreePlans), {
  ssr: false,
  loading: () => <Soft>Three plans are being worked out.</Soft>,
});
const SizePlanner = dynamic(() => import('./size/SizePlanner').then(file => file.SizePlanner), {
  ssr: false,
  loading: () => <div style={{ minHeight: 420 }} />,
});

/** How many, which gets what, and where each stands; dealt again until it is locked. */
export function LayOut(props: LayOutProps) {
  const [isByHand, setByHand] = useState(props.isProposed);
  const dealing = useDealing(props);
  const { plan, form, trouble, isPending, dealIt } = dealing;
  if (isByHand || props.isLocked || props.layout || !plan || !isPlainQuestion(plan))
    return <BenchAndDeal {...props} dealing={dealing} />;
  const take = (proposed: ProposedPlan): void => {
    const next = planDraft(proposed, form);
    if (proposed.kind === 'matched') {
      dealing.setForm(next);
      setByHand(true);
    } else dealIt(next);
  };
  return (
    <ThreePlans
      tags={props.tags}
      unitWord={props.unitWord}
      margin={props.question.margin}
      ownCv={props.ownCv}
      costEach={props.costEach}
      usualUnits={unitCount(plan.request, props.treatments)}
      askHref={props.askHref}
      trouble={trouble && trialSentence(trouble)}
      isPending={isPending}
      take={take}
      setUpMyself={() => setByHand(true)}
    />
  );
}

interface BenchAndDealProps extends LayOutProps {
  readonly dealing: ReturnType<typeof useDealing>;
}

/** The bench, and beside it how it is dealt and locked. */
function BenchAndDeal({ dealing, ...props }: BenchAndDealProps) {
  const { question, unitWord } = props;
  const { setForm, request, plan, bench, keyLook } = dealing;
  const [isAsked, setAsked] = useState(false);
  const planner = (
    <SizePlanner
      plan={plan}
      ownCv={props.ownCv}
      marginUnit={props.marginUnit}
      question={question}
      costEach={props.costEach}
      unitAreaM2={request.ok ? (request.value.unitWidthMm * request.value.unitDepthMm) / 1e6 : null}
    />
  );
  return (
    <TwoParts>
      <div ref={bench}>
        <BenchColumn {...props} {...keyLook} />
        {props.isLocked ? (
          <Fold title="What so many can show" tone="heading" onOpenChange={setAsked} isRuled>
            {isAsked && planner}
          </Fold>
        ) : (
          planner
        )}
      </div>
      <div>
        {props.isLocked ? (
          <LockedPlan
            layout={props.layout}
            isBlind={props.saved.isBlind}
            unitWord={unitWord}
            isClosed={props.isClosed}
            weighHref={`${props.trialHref}/weigh`}
            judgeHref={`${props.trialHref}/judge`}
            tendHref={props.tendHref}
          />
        ) : (
          <DealForm
            {...props}
            {...dealing}
            change={changes => setForm(now => ({ ...now, ...changes }))}
            act={work => dealing.act(work)}
          />
        )}
        <PlanChecks {...props} isTyping={dealing.isTyping} draft={dealing.draft} />
      </div>
    </TwoParts>
  );
}

interface PlanChecksProps extends LayOutProps {
  readonly isTyping: boolean;
  /** The trial as it would be dealt by what is typed. */
  readonly draft: TrialData | null;
}

/** Whether it is a fair test, and what can still be changed once it is locked. */
function PlanChecks({ isTyping, draft, ownCv, audit, ...props }: PlanChecksProps) {
  const { move, movedOn, unitWord, isLocked, isClosed, amendments, amend } = props;
  return (
    <>
      {isTyping ? (
        <LiveAudit draft={draft} cv={ownCv?.cv ?? STARTING_GUESS_CV.cv} />
      ) : (
        <AuditList {...audit} />
      )}
      {move && <MovePots unitWord={unitWord} movedOn={movedOn} move={move} />}
      {isLocked && <AmendPlan amendments={amendments} amend={isClosed ? null : amend} />}
    </>
  );
}
