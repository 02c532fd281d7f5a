'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useCallback, useMemo, useState, useTransition } from 'react';
import { styled } from 'styled-components';
import { isBetter } from '@/core/judge/call';
import { type Look, type LookedJudgement, standingLeaveOuts, unitsToMention } from '@/core/judge/trial-verdict';
import { counted } from '@/core/words/plural';
import { MASS_STYLE_FOR } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import type { AuditFinding } from '@/core/design/fairness-audit';
import type { TrialData } from '@/core/trial/trial-data';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { kindOf } from '@/core/judge/trial-kind';
import { INTERIM_LOOK } from '@/core/trial/interim-look';
import { Bench } from '@/features/bench/Bench';
import { type BenchUnit, type BenchView, tagsOf } from '@/features/bench/bench-view';
import { useChosenUnit } from '@/features/bench/ChosenUnit';
import { fullDay } from '@/features/frame/days';
import { Button } from '@/ui/Button';
import { Later } from '@/ui/Later';
import { Acts, Soft, TwoParts } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { AuditList } from '@/features/audit/AuditList';
import { brokenRounds } from './broken-rounds';
import { CallsTable } from './CallsTable';
import { dotRowsOf } from './dot-rows';
import { Guesses } from './Guesses';
import { LeftOut, type LeaveOutDoors } from './LeftOut';
import { isGainOrLoss } from '@/core/measure/reading-library';
import { valuePrinter } from '@/core/measure/print-measure';
import { ShufflePanel } from './ShufflePanel';
import { Spoiled } from './Spoiled';
import { type LogLine, Tables } from './Tables';
import { useJudgement } from './use-judgement';
import { useWholeTrial } from './use-whole-trial';
import { differencesOf, WhatIf } from './WhatIf';
import { AskedComparison } from './AskedComparison';
import { DosePanel, dosesOf } from './DosePanel';
import { Firmness } from './Firmness';
import { GrowthPanel } from './GrowthPanel';
import { NextSteps } from './NextSteps';
import { Rivals } from './Rivals';
import { SeasonsPanel } from './SeasonsPanel';
import type { SeasonsTogether } from '@/core/judge/combine-seasons';
import type { TrackRecord } from '@/core/judge/track-record';
import type { Rival } from '@/core/judge/rivals';
import { NoEffect } from './NoEffect';
import { ScorecardPanel } from './ScorecardPanel';
import { WorthPanel } from './WorthPanel';
import type { PositionCheck } from '@/core/judge/position-check';
import type { Scorecard } from '@/core/judge/scorecard';
import type { TreatmentCost } from '@/core/judge/treatment-cost';
import { nextSteps } from '@/core/judge/next-step';
import { pluralOf } from '@/core/words/plural';

// Brings the error of a p near 0.05 from 0.0015 down to 0.0002.
const MANY_SHUFFLES = 1_000_000;

// The chart library is the heaviest part of the page and draws on a canvas only a browser has.
const DotsChart = dynamic(() => import('./DotsChart').then(module => module.DotsChart), { ssr: false, loading: () => <div style={{ minHeight: 300 }} /> });

interface JudgeViewProps extends LeaveOutDoors {
  /** Of the readings those of the measure that is shown. */
  readonly data: TrialData;
  readonly first: LookedJudgement;
  readonly bench: BenchView;
  readonly system: MeasureSystem;
  readonly audit: { readonly findings: readonly AuditFinding[]; readonly checks: number };
  readonly frozen: { readonly closedAt: string; readonly headline: string } | null;
  /** What was done to the trial, newest first. */
  readonly log: readonly LogLine[];
  readonly regret: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly close: () => Promise<Result<unknown, TrialTrouble>>;
  /** Its mean was wanted of what is no mean: counts, shares, steps, days. */
  readonly isByMeans: boolean;
  /** What the server sums up beside the verdict on the main measure. */
  readonly beside: Beside;
}

/** What stands beside the verdict, as it was planned. */
export interface Beside {
  readonly card: Scorecard;
  readonly bases: Parameters<typeof ScorecardPanel>[0]['bases'];
  readonly costs: readonly TreatmentCost[];
  readonly position: PositionCheck | null;
  readonly lessons: readonly string[];
  /** The reader's own error in the main measure, where some were read twice. */
  readonly readerWords: string | null;
  readonly seasons: readonly SeasonsTogether[];
  readonly rivals: readonly Rival[];
  readonly records: readonly TrackRecord[];
}

/** The verdict: one sentence, how sure, every pot, the shuffles, what may have spoiled it. */
export function JudgeView({ data, first, bench, system, audit, frozen, log, close, beside, isByMeans, leaveOut, putBackIn, regret }: JudgeViewProps) {
  const whole = useWholeTrial(data);
  const state = useJudgement(whole ?? data, first);
  const [look, setLook] = useState<Look>(first.look);
  const chosen = useChosenUnit();
  const { looked } = state;
  const { judgement, input } = looked;
  const measure = data.measures.find(candidate => candidate.id === looked.look.measureId) ?? data.measures[0];
  const printValue = useCallback((value: number) => (measure ? valuePrinter(measure, MASS_STYLE_FOR[system])(value) : String(value)), [measure, system]);
  const tags = tagsOf(data);
  const unit = bench.units.find(candidate => candidate.id === chosen.unitId);
  const isClosed = data.trial.state === 'closed';
  const looks = new Set(log.filter(each => each.what === INTERIM_LOOK).map(each => each.at.slice(0, 10))).size;
  const differs = differencesOf(first.look, looked.look, data.measures, printValue);
  const doses = useMemo(() => dosesOf(data, looked), [data, looked]);
  const lookAgain = (next: Look): void => {
    setLook(next);
    state.judge(next);
  };
  return (
    <>
      <Verdict>
        <h2><Headline words={judgement.verdict.headline} best={judgement.verdict.best} /></h2>
        <p>{judgement.verdict.detail}</p>
        {isByMeans && <p data-differs>By its mean, because you chose so: the method of its kind is another.</p>}
        {measure && !isGainOrLoss(measure) && <p data-soft>Of {measure.response} neither way is a gain by itself: read “better” as “more”, “worse” as “less”.</p>}
        {input.covariateName && isAllowedFor(looked) && <p data-soft>Each {input.unitWord} is held against {input.covariateName}: that much of the difference is no treatment’s doing.</p>}
        {differs.length > 0 && <p data-differs>Not as planned: {differs.join('; ')}.</p>}
        {data.amendments.map(amendment => <p key={amendment.id} data-differs>Changed after the lock{amendment.afterKeyOpened ? ', and after the key was open' : ''}: {amendment.from ? `${amendment.from} → ` : ''}{amendment.to}. {amendment.why}</p>)}
        {data.trial.interest !== '' && <p data-soft>Interest declared: {data.trial.interest}</p>}
        {!isClosed && <p data-soft>The trial is still open: this is how it stands today.</p>}
        {looks > 0 && <p data-soft>Looked at on {counted(looks, 'day')} before the end. A lead in the middle often turns: no rule may change for it.</p>}
        {frozen && <p data-soft>Closed and frozen on {fullDay(frozen.closedAt.slice(0, 10))}.{frozen.headline === first.judgement.verdict.headline ? '' : ` It said then: ${frozen.headline}`} Counted were the units as decided before the key was known.</p>}
        {beside.readerWords && <p data-soft>{beside.readerWords}</p>}
      </Verdict>
      <TwoParts>
        <section aria-label="Every pot">
          <h2>Every {input.unitWord}, against {input.control}</h2>
          <Soft>{measure?.name.toLowerCase()}, {input.unitWord} by {input.unitWord} · line: 95% interval, all together · band: not worth having</Soft>
          <DotsChart dots={dotRowsOf(looked, tags)} unitWord={input.unitWord} printValue={printValue} summary={dotsSummary(looked)} />
        </section>
        <ShufflePanel state={state} tags={tags} onCancel={state.cancel} onRunAgain={() => state.judge(look)} onRunMore={() => state.judge({ ...look, shuffles: MANY_SHUFFLES })} />
      </TwoParts>
      {data.predictions.length > 0 && <Guesses predictions={data.predictions} best={judgement.verdict.best} call={judgement.verdict.call} records={beside.records} />}
      <CallsTable looked={looked} tags={tags} printValue={printValue} />
      {measure && kindOf(measure.scale) === null && <Soft>Judged by means: a weight or a length has one. <Link href={`/trials/${data.trial.id}/judge?measure=${measure.id}&by=ranks`}>Judge it by ranks instead</Link></Soft>}
      <Later><NoEffect key={`no effect ${looked.look.measureId}`} looked={looked} /></Later>
      <Later><AskedComparison key={`asked ${looked.look.measureId}`} question={data.trial.question} agreed={agreedPair(data.trial.rules, input.treatments)} looked={looked} printValue={printValue} /></Later>
      {doses && <Later><DosePanel doses={doses} printValue={printValue} isWeight={measure?.unit === 'g'} worthPerKg={data.trial.money?.worthPerKg ?? null} /></Later>}
      <Later><ScorecardPanel trialId={data.trial.id} whole={whole} look={first.look} card={beside.card} tags={tags} control={input.control} bases={beside.bases} /></Later>
      {measure?.unit === 'g' && <Later><WorthPanel key={`worth ${looked.look.measureId}`} contrasts={judgement.contrasts.flatMap(contrast => (contrast.estimable ? [contrast] : []))} control={input.control} unitWord={input.unitWord} costs={beside.costs} worthPerKg={data.trial.money?.worthPerKg ?? null} /></Later>}
      {beside.seasons.length > 0 && looked.look.measureId === first.look.measureId && <Later><SeasonsPanel seasons={beside.seasons} /></Later>}
      {measure && <Later><GrowthPanel key={`growth ${measure.id}`} data={whole ?? data} measure={measure} /></Later>}
      <Later><Firmness looked={looked} position={looked.look.measureId === first.look.measureId ? beside.position : null} /></Later>
      <Later><TwoParts>
        <div>
          <h2>Where they stood</h2>
          <Bench view={bench} label={`The bench from above: the fuller the crown, the more ${input.response}`} lens={lensOf(looked, printValue)} />
        </div>
        <div>
          <WhatIf planned={first.look} look={look} measures={data.measures.filter(each => each.id === looked.look.measureId || (whole !== null && kindOf(each.scale) === null))} unit={unit} unitWord={input.unitWord} printValue={printValue} onLook={lookAgain} />
          <Spoiled looked={looked} mentions={unitsToMention(whole ?? data, looked.look)} brokenRounds={brokenRounds(data)} />
          <Rivals rivals={beside.rivals} />
          <LeftOut standing={standingLeaveOuts(data)} looked={looked} unit={unit} isClosed={isClosed} leaveOut={leaveOut} putBackIn={putBackIn} />
          <AuditList {...audit} />
          {!isClosed && <Closing close={close} />}
        </div>
      </TwoParts></Later>
      <Later><NextSteps trialId={data.trial.id} steps={nextSteps(judgement, input)} lessons={beside.lessons} regret={regret} /></Later>
      <Later><Tables looked={looked} log={log} printValue={printValue} /></Later>
    </>
  );
}

/** The two the question is about; null where it is about the control, or one of them has another name now. */
function agreedPair({ askedOne, askedOther }: TrialData['trial']['rules'], treatments: readonly string[]): readonly [string, string] | null {
  return treatments.includes(askedOne) && treatments.includes(askedOther) ? [askedOne, askedOther] : null;
}

function isAllowedFor({ input }: LookedJudgement): boolean {
  return input.units.every(unit => unit.value === null || unit.covariate !== undefined);
}

function Headline({ words, best }: { readonly words: string; readonly best: string | null }) {
  if (best === null || !words.startsWith(best)) return words;
  return <><em>{best}</em>{words.slice(best.length)}</>;
}

function lensOf({ input }: LookedJudgement, printValue: (value: number) => string) {
  const values = new Map(input.units.map(unit => [unit.id, unit]));
  const most = Math.max(1e-9, ...input.units.map(unit => Math.abs(unit.value ?? 0)));
  return (unit: BenchUnit) => {
    const judged = values.get(unit.code);
    const value = judged?.value;
    return { state: value == null ? 'open' as const : 'done' as const, share: value == null ? null : Math.max(0, value / most), words: judged?.isLeftOut ? 'left out' : value == null ? 'no reading' : printValue(value) };
  };
}

function dotsSummary({ judgement, input }: LookedJudgement): string {
  const better = judgement.contrasts.filter(contrast => isBetter(contrast.call)).map(contrast => contrast.treatment);
  return `Dots of ${judgement.design.units} ${pluralOf(input.unitWord)} in ${judgement.design.treatments} rows, with intervals. ${better.length > 0 ? `${better.join(' and ')} off the control’s line.` : 'No interval lies off the control’s line on the good side.'} The table below holds every figure.`;
}

function Closing({ close }: { readonly close: () => Promise<Result<unknown, TrialTrouble>> }) {
  const [trouble, setTrouble] = useState<TrialTrouble>();
  const [isPending, startTransition] = useTransition();
  return (
    <section aria-label="Close the trial">
      <h2>When the season is over</h2>
      <Soft>Closing freezes the verdict on the planned measure and margin. Picks can’t be changed afterwards.</Soft>
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Acts><Button isPending={isPending} onPress={() => startTransition(async () => { const done = await close(); setTrouble(done.ok ? undefined : done.trouble); })}>Close the trial</Button></Acts>
    </section>
  );
}

const Verdict = styled.section`
  display: grid; gap: 12px; padding-bottom: 20px; border-bottom: 1px solid var(--ink);
  & h2 { font-size: clamp(1.75rem, 4vw, 2.625rem); max-width: 22ch; font-weight: 650; letter-spacing: -0.01em; }
  & h2 em { font-style: normal; text-decoration: underline; text-decoration-color: var(--leaf); text-decoration-thickness: 5px; text-underline-offset: 5px; text-decoration-skip-ink: none; }
  & > p { font-size: 1.0625rem; }
  & > p[data-soft] { color: var(--ink-soft); font-size: 0.9375rem; }
  & > p[data-differs] { border-left: 3px solid var(--straw); padding-left: 10px; font-weight: 600; }
`;
