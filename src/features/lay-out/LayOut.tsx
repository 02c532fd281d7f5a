'use client';

import Link from 'next/link';
import { useMemo, useRef, useState } from 'react';
import { styled } from 'styled-components';
import type { AuditFinding } from '@/core/design/audit/audit-view';
import { type BenchDraft, readBench } from '@/core/design/layouts/bench-form';
import { draftDeal } from '@/core/design/layouts/draft-trial';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import type { MovingRound } from '@/core/design/site/moving-round';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import type { Result } from '@/core/result';
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
import { Acts, Soft, TwoParts } from '@/ui/Page';
import { AmendPlan } from './AmendPlan';
import { ArrangeBench } from './ArrangeBench';
import { DealForm } from './DealForm';
import { KeyLook } from './KeyLook';
import { LockedPlan } from './LockedPlan';
import { MovePots } from './MovePots';
import { type Planted, PlantList } from './PlantList';
import { SiteAndTraits, type SiteAndTraitsProps } from './SiteAndTraits';
import { SizePlanner } from './size/SizePlanner';
import { TagKey } from './TagKey';

export interface LayOutProps extends SiteAndTraitsProps {
  readonly saved: BenchDraft;
  readonly tags: readonly TagView[];
  /** Counts, shares, steps or days are asked for: the planner reckons with means. */
  /** Of the question: what a plan of it would be judged by. */
  readonly question: Omit<PlannedTrial, 'request' | 'treatments' | 'unitWord'>;
  /** What its readings are in, where they have a unit. */
  readonly marginUnit: string;
  /** Names and roles only, in a blind trial too: not which unit got which. */
  readonly treatments: readonly Treatment[];
  readonly costEach: number | null;
  /** Who may see the key, as it was agreed. */
  readonly keyRule: string;
  readonly ownCv: { readonly cv: number; readonly trials: number } | null;
  readonly audit: { readonly findings: readonly AuditFinding[]; readonly checks: number };
  /** The trial without its deal: what an audit of a plan being typed begins from. */
  readonly undealt: TrialData;
  /** Which raised plant goes where; empty where none were measured. */
  readonly planted: readonly Planted[];
  readonly amendments: readonly Amendment[];
  readonly weighHref: string;
  readonly tendHref: string;
  readonly deal: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly lock: () => Promise<Result<unknown, TrialTrouble>>;
  readonly showKey: () => Promise<Result<BenchView | null, TrialTrouble>>;
  readonly arrange: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly amend: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly printHref: string;
  readonly movedOn: readonly string[];
  /** null where they can't be moved: before the lock, after the end, in a square. */
  readonly move: (() => Promise<Result<MovingRound['walk'], TrialTrouble>>) | null;
}

/** How many, which gets what, and where each stands; dealt again until it is locked. */
export function LayOut(props: LayOutProps) {
  const { saved, treatments, system, unitWord, question, undealt, isLocked } = props;
  const [form, setForm] = useState(saved);
  const { trouble, fields, isPending, run } = useTrialAction();
  const [keyBench, setKeyBench] = useState<BenchView | null>(null);
  const request = useMemo(() => readBench(form, system, treatments), [form, system, treatments]);
  const plan = useMemo(
    () => (request.ok ? { ...question, request: request.value, treatments, unitWord } : null),
    [request, question, treatments, unitWord],
  );
  // What was dealt may be put down in other words than it was typed in.
  const [dealt, setDealt] = useState(saved);
  const bench = useRef<HTMLDivElement>(null);
  const isTyping = !isLocked && !isSame(form, dealt) && !isSame(form, saved);
  const draft = useMemo(
    () => (request.ok && isTyping ? draftDeal(undealt, request.value) : null),
    [request, isTyping, undealt],
  );
  return (
    <TwoParts>
      <div ref={bench}>
        <BenchColumn {...props} keyBench={keyBench} setKeyBench={setKeyBench} />
        <SizePlanner
          plan={plan}
          ownCv={props.ownCv}
          marginUnit={props.marginUnit}
          question={question}
          costEach={props.costEach}
          unitAreaM2={
            request.ok ? (request.value.unitWidthMm * request.value.unitDepthMm) / 1e6 : null
          }
        />
      </div>
      <div>
        {isLocked ? (
          <LockedPlan
            layout={props.layout}
            isBlind={saved.isBlind}
            unitWord={unitWord}
            weighHref={props.weighHref}
            tendHref={props.tendHref}
          />
        ) : (
          <DealForm
            {...props}
            form={form}
            fields={fields}
            request={request}
            change={changes => setForm({ ...form, ...changes })}
            trouble={trouble}
            act={work =>
              run(work, () => {
                setKeyBench(null);
                setDealt(form);
                // The button lies far below what it made.
                bench.current?.scrollIntoView?.({ block: 'start' });
              })
            }
            isPending={isPending}
          />
        )}
        <PlanChecks {...props} isTyping={isTyping} draft={draft} />
      </div>
    </TwoParts>
  );
}

const isSame = (a: BenchDraft, b: BenchDraft): boolean => JSON.stringify(a) === JSON.stringify(b);

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
        <LiveAudit draft={draft} cv={ownCv?.cv ?? STARTING_GUESS_CV.cv} checks={audit.checks} />
      ) : (
        <AuditList {...audit} />
      )}
      {move && <MovePots unitWord={unitWord} movedOn={movedOn} move={move} />}
      {isLocked && <AmendPlan amendments={amendments} amend={isClosed ? null : amend} />}
    </>
  );
}

interface BenchColumnProps extends LayOutProps {
  readonly keyBench: BenchView | null;
  readonly setKeyBench: (bench: BenchView | null) => void;
}

/** The bench with all that can be said and done about it. */
function BenchColumn({ keyBench, setKeyBench, ...props }: BenchColumnProps) {
  const { layout, bench, ground, unitWord, planted, isLocked } = props;
  const [isArranging, setArranging] = useState(false);
  const shownBench = keyBench ?? bench;
  return (
    <>
      {ground && isArranging ? (
        <ArrangeBench
          {...ground}
          blockWord={layout?.blockWord ?? 'block'}
          unitWord={unitWord}
          move={props.arrange}
          drawSite={site => props.describeSite({ site, hasGuards: layout?.hasGuards ?? false })}
        />
      ) : (
        <BenchShown bench={shownBench} unitWord={unitWord} />
      )}
      {planted.length > 0 && <PlantList planted={planted} unitWord={unitWord} />}
      {shownBench && !isArranging && (
        <TagKey tags={props.tags} isHidden={shownBench.units.every(unit => unit.tag === null)} />
      )}
      {layout && (
        <>
          <Soft>
            Dealt {layout.deals === 1 ? 'once' : `${layout.deals} times`},{' '}
            {LAYOUTS[layout.kind].dealtWords(layout)}.{' '}
            {layout.seed === null
              ? 'The seed of the deal is shown when the key is open: with it anybody could deal again.'
              : `Seed ${layout.seed}: the same plan and seed give this bench again.`}
          </Soft>
          <Acts>
            {!isLocked && ground && (
              <Button onPress={() => setArranging(!isArranging)}>
                {isArranging ? 'Done arranging' : 'Arrange it as it stands'}
              </Button>
            )}
            <Link href={props.printHref}>Print labels, plan, sheets and protocol</Link>
          </Acts>
        </>
      )}
      {bench?.units.every(unit => unit.tag === null) && (
        <KeyLook {...props} keyBench={keyBench} setKeyBench={setKeyBench} />
      )}
      <SiteAndTraits {...props} />
    </>
  );
}

function BenchShown({
  bench,
  unitWord,
}: {
  readonly bench: BenchView | null;
  readonly unitWord: string;
}) {
  if (bench)
    return (
      <Bench
        view={bench}
        label="The bench from above"
        lens={unit => ({
          state: 'done',
          share: null,
          words: unit.tag ? unit.tag.name : 'what it gets is hidden',
        })}
      />
    );
  return (
    <Blank>
      <p>Nothing stands here yet.</p>
      <p>
        Say how many {pluralOf(unitWord)} each treatment gets, and deal. Every {unitWord} gets a
        code and a place by lot, not by hand: a hand always finds the better light for its
        favourite.
      </p>
    </Blank>
  );
}

const Blank = styled.div`
  background: var(--slate-deep); padding: 48px 32px; display: grid; gap: 8px; min-height: 260px; align-content: center;
  & p:first-child { font-family: var(--font-heading), sans-serif; font-size: 1.25rem; font-weight: 650; }
  & p { color: var(--ink-soft); }
  & p:first-child { color: var(--ink); }
`;
