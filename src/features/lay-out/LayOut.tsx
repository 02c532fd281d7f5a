'use client';

import Link from 'next/link';
import type { Dispatch, SetStateAction, TransitionStartFunction } from 'react';
import { useMemo, useState, useTransition } from 'react';
import { styled } from 'styled-components';
import type { AuditFinding } from '@/core/design/audit/audit-view';
import { type BenchDraft, readBench } from '@/core/design/layouts/bench-form';
import { draftDeal } from '@/core/design/layouts/draft-trial';
import type { MovingRound } from '@/core/design/site/moving-round';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import type { traitLines } from '@/core/trial/forms/trait-form';
import type { Layout } from '@/core/trial/model/layout';
import type { Amendment } from '@/core/trial/model/plan-record';
import type { Treatment } from '@/core/trial/model/treatment';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { AuditList } from '@/features/audit/AuditList';
import { LiveAudit } from '@/features/audit/LiveAudit';
import { Bench } from '@/features/bench/Bench';
import type { BenchView, TagView } from '@/features/bench/bench-view';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Acts, Mind, Soft, TwoParts } from '@/ui/Page';
import { AmendPlan } from './AmendPlan';
import { ArrangeBench } from './ArrangeBench';
import { DealForm } from './DealForm';
import type { Ground } from './ground';
import { dealtWords, LockedPlan } from './LockedPlan';
import { MovePots } from './MovePots';
import { type Planted, PlantList } from './PlantList';
import { SitePanel } from './SitePanel';
import { SizePlanner } from './SizePlanner';
import { TagKey } from './TagKey';
import { TraitPanel } from './TraitPanel';

export interface LayOutProps {
  readonly saved: BenchDraft;
  readonly layout: Layout | null;
  readonly isLocked: boolean;
  readonly unitWord: string;
  readonly tags: readonly TagView[];
  /** Counts, shares, steps or days are asked for: the planner reckons with means. */
  readonly isByKind: boolean;
  /** Of the question: what a plan of it would be judged by. */
  readonly question: Omit<PlannedTrial, 'request' | 'treatments' | 'unitWord'>;
  /** Names and roles only, in a blind trial too: not which unit got which. */
  readonly treatments: readonly Treatment[];
  readonly system: MeasureSystem;
  readonly costEach: number | null;
  /** Who may see the key, as it was agreed. */
  readonly keyRule: string;
  readonly ownCv: { readonly cv: number; readonly trials: number } | null;
  readonly audit: { readonly findings: readonly AuditFinding[]; readonly checks: number };
  /** The trial without its deal: what an audit of a plan being typed begins from. */
  readonly undealt: TrialData;
  readonly traits: ReturnType<typeof traitLines>;
  readonly describeTrait: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly forgetTrait: (name: string) => Promise<Result<unknown, TrialTrouble>>;
  /** Which raised plant goes where; empty where none were measured. */
  readonly planted: readonly Planted[];
  readonly amendments: readonly Amendment[];
  readonly isClosed: boolean;
  /** Without treatments where the trial is blind. */
  readonly bench: BenchView | null;
  readonly weighHref: string;
  readonly deal: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly lock: () => Promise<Result<unknown, TrialTrouble>>;
  readonly showKey: () => Promise<BenchView | null>;
  /** What can be stood elsewhere, and what lies about it; null before the deal. */
  readonly ground: Ground | null;
  readonly arrange: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly describeSite: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly amend: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly printHref: string;
  readonly movedOn: readonly string[];
  /** null where they can't be moved: before the lock, after the end, in a square. */
  readonly move: (() => Promise<Result<MovingRound['walk'], TrialTrouble>>) | null;
}

/** How many, which gets what, and where each stands; dealt again until it is locked. */
export function LayOut({
  saved,
  layout,
  isLocked,
  unitWord,
  tags,
  isByKind,
  question,
  treatments,
  system,
  costEach,
  keyRule,
  ownCv,
  audit,
  undealt,
  traits,
  describeTrait,
  forgetTrait,
  planted,
  amendments,
  isClosed,
  bench,
  weighHref,
  printHref,
  deal,
  lock,
  showKey,
  ground,
  arrange,
  describeSite,
  movedOn,
  move,
  amend,
}: LayOutProps) {
  const [form, setForm] = useState(saved);
  const { trouble, fields, isPending, run } = useTrialAction();
  const [isLooking, startLooking] = useTransition();
  const [keyBench, setKeyBench] = useState<BenchView | null>(null);
  const change = (changes: Partial<BenchDraft>): void => setForm({ ...form, ...changes });
  const act = (work: () => Promise<Result<unknown, TrialTrouble>>): void =>
    run(work, () => setKeyBench(null));
  const request = useMemo(() => readBench(form, system, treatments), [form, system, treatments]);
  const plan = useMemo(
    () => (request.ok ? { ...question, request: request.value, treatments, unitWord } : null),
    [request, question, treatments, unitWord],
  );
  const isTyping = !isLocked && JSON.stringify(form) !== JSON.stringify(saved);
  const draft = useMemo(
    () => (request.ok && isTyping ? draftDeal(undealt, request.value) : null),
    [request, isTyping, undealt],
  );
  const shownBench = keyBench ?? bench;
  const [isArranging, setArranging] = useState(false);
  return (
    <TwoParts>
      <div>
        {ground && isArranging ? (
          <ArrangeBench
            {...ground}
            blockWord={layout?.blockWord ?? 'block'}
            unitWord={unitWord}
            move={arrange}
            drawSite={site => describeSite({ site, hasGuards: layout?.hasGuards ?? false })}
          />
        ) : shownBench ? (
          <Bench
            view={shownBench}
            label="The bench from above"
            lens={unit => ({
              state: 'done',
              share: null,
              words: unit.tag ? unit.tag.name : 'what it gets is hidden',
            })}
          />
        ) : (
          <Blank>
            <p>Nothing stands here yet.</p>
            <p>
              Say how many {pluralOf(unitWord)} each treatment gets, and deal. Every {unitWord} gets
              a code and a place by lot, not by hand: a hand always finds the better light for its
              favourite.
            </p>
          </Blank>
        )}
        {planted.length > 0 && <PlantList planted={planted} unitWord={unitWord} />}
        {shownBench && !isArranging && (
          <TagKey tags={tags} isHidden={shownBench.units.every(unit => unit.tag === null)} />
        )}
        {layout && (
          <Soft>
            Dealt {layout.deals === 1 ? 'once' : `${layout.deals} times`}, seed {layout.seed},{' '}
            {dealtWords(layout)}. The same plan and seed give this bench again.
          </Soft>
        )}
        {layout && (
          <Acts>
            {!isLocked && ground && (
              <Button onPress={() => setArranging(!isArranging)}>
                {isArranging ? 'Done arranging' : 'Arrange it as it stands'}
              </Button>
            )}
            <Link href={printHref}>Print labels, plan, sheets and protocol</Link>
          </Acts>
        )}
        {bench?.units.every(unit => unit.tag === null) && (
          <KeyLook
            isLooking={isLooking}
            keyBench={keyBench}
            setKeyBench={setKeyBench}
            startLooking={startLooking}
            showKey={showKey}
            keyRule={keyRule}
          />
        )}
        {ground && (
          <SitePanel
            site={ground.site}
            hasGuards={layout?.hasGuards ?? false}
            biases={ground.biases}
            blockWord={layout?.blockWord ?? 'block'}
            isTurned={layout?.isTurned ?? false}
            hasBlocks={(layout?.blockCount ?? 0) > 1}
            isLocked={isLocked}
            draw={describeSite}
          />
        )}
        {layout && (
          <TraitPanel
            traits={traits}
            example={`terracotta: ${bench?.units[0]?.code ?? 'KA3'} ${bench?.units[1]?.code ?? 'KB7'}\nplastic: the rest`}
            putDown={describeTrait}
            forget={forgetTrait}
          />
        )}
        {isByKind && (
          <Mind>
            How many are enough is reckoned here as for a weight. Counts, shares, steps and days are
            judged by methods of their own, which see less in few {pluralOf(unitWord)}: take the
            next size up.
          </Mind>
        )}
        <SizePlanner
          plan={plan}
          ownCv={ownCv}
          costEach={costEach}
          unitAreaM2={
            request.ok ? (request.value.unitWidthMm * request.value.unitDepthMm) / 1e6 : null
          }
        />
      </div>
      <div>
        {isLocked ? (
          <LockedPlan
            layout={layout}
            isBlind={saved.isBlind}
            unitWord={unitWord}
            weighHref={weighHref}
          />
        ) : (
          <DealForm
            form={form}
            fields={fields}
            tags={tags}
            treatments={treatments}
            unitWord={unitWord}
            request={request}
            change={change}
            trouble={trouble}
            layout={layout}
            act={act}
            deal={deal}
            isPending={isPending}
            lock={lock}
          />
        )}
        {isTyping ? (
          <LiveAudit draft={draft} cv={ownCv?.cv ?? STARTING_GUESS_CV.cv} checks={audit.checks} />
        ) : (
          <AuditList {...audit} />
        )}
        {move && <MovePots unitWord={unitWord} movedOn={movedOn} move={move} />}
        {isLocked && <AmendPlan amendments={amendments} amend={isClosed ? null : amend} />}
      </div>
    </TwoParts>
  );
}

interface KeyLookProps {
  readonly isLooking: boolean;
  readonly keyBench: BenchView | null;
  readonly setKeyBench: Dispatch<SetStateAction<BenchView | null>>;
  readonly startLooking: TransitionStartFunction;
  readonly showKey: LayOutProps['showKey'];
  readonly keyRule: LayOutProps['keyRule'];
}

/** The way to the key of a blind trial, for whoever feeds. */
function KeyLook({
  isLooking,
  keyBench,
  setKeyBench,
  startLooking,
  showKey,
  keyRule,
}: KeyLookProps) {
  return (
    <Acts>
      <Button
        isPending={isLooking}
        onPress={() => {
          if (keyBench) setKeyBench(null);
          else startLooking(async () => setKeyBench(await showKey()));
        }}
      >
        {keyBench ? 'Hide the key' : 'Show the key'}
      </Button>
      <Soft>
        {keyRule || 'For whoever feeds. Who weighs had better not look.'} Each look is put in the
        log.
      </Soft>
    </Acts>
  );
}

const Blank = styled.div`
  background: var(--slate-deep); padding: 48px 32px; display: grid; gap: 8px; min-height: 260px; align-content: center;
  & p:first-child { font-family: var(--font-heading), sans-serif; font-size: 1.25rem; font-weight: 650; }
  & p { color: var(--ink-soft); }
  & p:first-child { color: var(--ink); }
`;
