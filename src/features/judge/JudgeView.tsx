'use client';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useState } from 'react';
import type { TrialEfficacy } from '@/core/judge/after/trial-efficacy';
import type { trialGermination } from '@/core/judge/after/trial-germination';
import type { Analysis, AnalysisSpec } from '@/core/judge/units/trial-analysis';
import { isBetter } from '@/core/judge/verdict/call';
import { figurePrinter } from '@/core/judge/verdict/figure-printer';
import { valuePrinter } from '@/core/measure/library/print-measure';
import { MASS_STYLE_FOR } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Measure } from '@/core/trial/model/measure';
import type { Amendment } from '@/core/trial/model/plan-record';
import type { Trial } from '@/core/trial/model/trial';
import { pluralOf } from '@/core/words/plural';
import type { TagView } from '@/features/bench/bench-view';
import { CallsTable } from '@/features/judge/answer/CallsTable';
import { Classes, OVERALL_WORDS } from '@/features/judge/answer/Classes';
import { differencesOf } from '@/features/judge/answer/differences';
import { dotRowsOf } from '@/features/judge/answer/dot-rows';
import { Efficacy } from '@/features/judge/answer/Efficacy';
import { FactorEffects } from '@/features/judge/answer/FactorEffects';
import { GerminationTable } from '@/features/judge/answer/Germination';
import { ShufflePanel } from '@/features/judge/answer/ShufflePanel';
import { VerdictHead } from '@/features/judge/answer/VerdictHead';
import { type GuessesProps, OpenedPredictions } from '@/features/judge/closing/OpenedPredictions';
import type { VerdictActions } from '@/features/judge/closing/verdict-actions';
import { DetailsLoading, OnItsWay } from '@/features/judge/details/DetailsLoading';
import { useVerdictDetails } from '@/features/judge/details/use-verdict-details';
import { printP } from '@/features/judge/print-value';
import { Soft, TwoParts } from '@/ui/Page';
import { addressNow, turnTo, useAddress } from '@/ui/pages/address';
import { PageNav } from '@/ui/pages/PageNav';
import { lookFrom, withLook } from './pages/look-address';
import { VERDICT_PAGES, verdictPage } from './pages/verdict-pages';
import { useJudgement } from './use-judgement';

// Brings the error of a p near 0.05 from 0.0015 down to 0.0002.
const MANY_SHUFFLES = 1_000_000;

// Neither is in the way of the verdict. The chart library is the heaviest part of the page and draws on a canvas only a browser has.
const restView = () =>
  import('@/features/judge/details/VerdictDetails').then(module => module.VerdictDetails);
const RestView = dynamic(restView, { ssr: false, loading: OnItsWay });
const DotsChart = dynamic(
  () => import('@/features/judge/answer/DotsChart').then(module => module.DotsChart),
  {
    ssr: false,
    loading: () => <div style={{ minHeight: 300 }} />,
  },
);

const WaitingCurves = dynamic(
  () => import('@/features/judge/answer/WaitingCurves').then(module => module.WaitingCurves),
  {
    ssr: false,
    loading: () => <div style={{ minHeight: 300 }} />,
  },
);

/** What the page of a verdict comes with, whatever it is judged by. */
export interface VerdictOfTrial extends VerdictActions {
  readonly trial: Trial;
  /** The one that is judged. */
  readonly measure: Measure;
  readonly amendments: readonly Amendment[];
  readonly tags: readonly TagView[];
  readonly frozen: { readonly closedAt: string; readonly headline: string } | null;
  /** On how many days somebody looked while it ran. */
  readonly interimLooks: number;
  readonly guesses: GuessesProps;
}

interface JudgeViewProps extends VerdictOfTrial {
  readonly first: Analysis;
  readonly system: MeasureSystem;
  readonly efficacy: TrialEfficacy | null;
  readonly germination: ReturnType<typeof trialGermination> | null;
}

/** The verdict, in pages: its sentence on all of them. What is beside the answer follows once that takes input. */
export function JudgeView(props: JudgeViewProps) {
  const { trial, measure: shown, first, system } = props;
  const fetched = useVerdictDetails(trial.id, first.spec.measureId, first);
  const state = useJudgement(fetched.rest?.data ?? null, first);
  useEffect(() => void restView(), []); // its code comes while its data are on their way
  const [requested, setRequested] = useState<{
    readonly of: Analysis;
    readonly spec: AnalysisSpec;
  }>();
  const spec = requested?.of === first ? requested.spec : first.spec; // what went on record meanwhile is in the page's own look
  const address = useAddress();
  const page = verdictPage(address.get('page'));
  const { analysis } = state;
  const measures = fetched.rest?.data.measures ?? [shown];
  const measure = measures.find(candidate => candidate.id === analysis.spec.measureId) ?? shown;
  const { outcome } = analysis.input;
  const printValue = useMemo(
    () => figurePrinter({ outcome }, valuePrinter(measure, MASS_STYLE_FOR[system])),
    [outcome, measure, system],
  );
  const lookAgain = (next: AnalysisSpec): void => {
    setRequested({ of: first, spec: next });
    state.judge(next);
    turnTo(withLook(addressNow(), next, first.spec), 'same-entry');
  };
  const asked = lookFrom(address, first.spec);
  const isAskedOtherwise =
    `${withLook(address, asked, first.spec)}` !== `${withLook(address, spec, first.spec)}`;
  // A reload, the way back and a shared link bring a look with them.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the address alone says what is to be looked at
  useEffect(() => {
    if (!isAskedOtherwise) return;
    setRequested({ of: first, spec: asked });
    state.judge(asked);
  }, [address, first]);
  return (
    <>
      <PageNav label="The verdict’s pages" pages={VERDICT_PAGES} page={page} />
      <VerdictHead
        {...props}
        isInShort={page !== 'answer'}
        measure={measure}
        analysis={analysis}
        differs={differencesOf(first.spec, analysis.spec, measures, printValue)}
      />
      {page === 'answer' && (
        <AnswerPage
          {...props}
          measure={measure}
          printValue={printValue}
          state={state}
          spec={spec}
        />
      )}
      <DetailsLoading state={fetched} />
      {fetched.rest && (
        <RestView
          {...props}
          page={page}
          rest={fetched.rest}
          planned={first.spec}
          spec={spec}
          analysis={analysis}
          onAnalyse={lookAgain}
        />
      )}
    </>
  );
}

interface AnswerPageProps extends JudgeViewProps, Omit<EveryUnitProps, 'tags'> {}

/** Every pot, the shuffles, and how each treatment did. */
function AnswerPage({ trial, tags, measure, state, spec, printValue, ...props }: AnswerPageProps) {
  const { analysis } = state;
  return (
    <>
      {measure.scale?.kind === 'class' && (
        <Classes
          classes={measure.scale.classes}
          input={analysis.input}
          linkOf={i => `/trials/${trial.id}/judge?measure=${measure.id}&class=${i}`}
        />
      )}
      <EveryUnit measure={measure} tags={tags} printValue={printValue} state={state} spec={spec} />
      <CallsTable analysis={analysis} tags={tags} printValue={printValue} />
      <OverallTest judgement={analysis.judgement} />
      <FactorEffects analysis={analysis} printValue={printValue} />
      {props.efficacy && <Efficacy found={props.efficacy} />}
      {props.germination && <GerminationTable germination={props.germination} />}
      <OpenedPredictions {...props.guesses} />
    </>
  );
}

/** Of steps and classes: whether the treatments differ at all. */
function OverallTest({ judgement: { overall } }: Pick<Analysis, 'judgement'>) {
  return overall ? (
    <Soft>
      Whether they differ at all: {OVERALL_WORDS[overall.method]}, p {printP(overall.p)}.
    </Soft>
  ) : null;
}

interface EveryUnitProps extends Pick<JudgeViewProps, 'tags'> {
  readonly measure: Measure;
  readonly printValue: (value: number) => string;
  readonly state: ReturnType<typeof useJudgement>;
  readonly spec: AnalysisSpec;
}

/** Every unit as a dot, beside the shuffles. */
function EveryUnit({ measure, tags, printValue, state, spec }: EveryUnitProps) {
  const { analysis } = state;
  const { input } = analysis;
  return (
    <TwoParts>
      <section aria-label="Every pot">
        <h2>
          Every {input.unitWord}, against {input.control}
        </h2>
        {input.outcome === 'time' ? (
          <WaitingCurves input={input} />
        ) : (
          <>
            <Soft>
              {measure.name.toLowerCase()}, {input.unitWord} by {input.unitWord} · line: 95%
              interval, all together · band: less than is worth having
            </Soft>
            <DotsChart
              dots={dotRowsOf(analysis, tags, printValue)}
              unitWord={input.unitWord}
              title={`${measure.name}: every ${input.unitWord}, against ${input.control}`}
              printValue={printValue}
              summary={dotsSummary(analysis)}
            />
          </>
        )}
      </section>
      <ShufflePanel
        state={state}
        tags={tags}
        onCancel={state.cancel}
        onRunAgain={() => state.judge(spec)}
        onRunMore={() => state.judge({ ...spec, shuffles: MANY_SHUFFLES })}
      />
    </TwoParts>
  );
}

function dotsSummary({ judgement, input }: Analysis): string {
  const better = judgement.contrasts
    .filter(contrast => isBetter(contrast.call))
    .map(contrast => contrast.treatment);
  return `Dots of ${judgement.design.units} ${pluralOf(input.unitWord)} in ${judgement.design.treatments} rows, with intervals. ${better.length > 0 ? `${better.join(' and ')} off the control’s line.` : 'No interval lies off the control’s line on the good side.'} The table below holds every figure.`;
}
