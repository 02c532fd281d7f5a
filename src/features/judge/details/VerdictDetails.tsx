'use client';

import { useCallback, useMemo } from 'react';
import { seenTrial } from '@/core/blinding/seen-trial';
import { nextSteps } from '@/core/judge/after/next-step';
import { partProfile } from '@/core/judge/after/part-profile';
import { figureOf, isRead, type JudgeInput } from '@/core/judge/question/judge-input';
import { cutWords } from '@/core/judge/units/analysis-sets';
import type { Analysis, AnalysisSpec } from '@/core/judge/units/trial-analysis';
import { unitsToMention } from '@/core/judge/units/trial-analysis';
import { figurePrinter } from '@/core/judge/verdict/figure-printer';
import { unitWords } from '@/core/judge/verdict/words/unit-words';
import { valuePrinter } from '@/core/measure/library/print-measure';
import { readersWords } from '@/core/measure/reading/two-readers';
import { MASS_STYLE_FOR } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Measure } from '@/core/trial/model/measure';
import { Bench } from '@/features/bench/Bench';
import type { BenchView } from '@/features/bench/bench-view';
import { type BenchUnit, benchViewOf, tagsOf } from '@/features/bench/bench-view';
import { useChosenUnit } from '@/features/bench/ChosenUnit';
import { AskedComparison } from '@/features/judge/answer/AskedComparison';
import { WhatIf } from '@/features/judge/answer/WhatIf';
import { OnRecord } from '@/features/judge/closing/OnRecord';
import type { VerdictActions } from '@/features/judge/closing/verdict-actions';
import { Later } from '@/ui/Later';
import { TwoParts } from '@/ui/Page';
import { brokenRounds } from './broken-rounds';
import { DosePanel, dosesOf } from './DosePanel';
import { GrowthPanel } from './GrowthPanel';
import { NetBenefitPanel } from './NetBenefitPanel';
import { NextSteps } from './NextSteps';
import { NullSimulation } from './NullSimulation';
import { ProfilePanel } from './ProfilePanel';
import { ScorecardPanel } from './ScorecardPanel';
import { SeasonsPanel } from './SeasonsPanel';
import { Sensitivity } from './Sensitivity';
import { Spoiled } from './Spoiled';
import { Tables } from './Tables';
import type { VerdictDetailsData } from './verdict-details';

interface VerdictDetailsProps extends VerdictActions {
  readonly rest: VerdictDetailsData;
  /** What the page came with: the look that was planned. */
  readonly planned: AnalysisSpec;
  readonly spec: AnalysisSpec;
  readonly analysis: Analysis;
  readonly system: MeasureSystem;
  readonly onAnalyse: (spec: AnalysisSpec) => void;
}

/** What stands under a verdict: its question, all that was measured, the money, how firm it is, what may have spoiled it, what next. */
export function VerdictDetails(props: VerdictDetailsProps) {
  const { rest, planned, analysis, system, regret } = props;
  const { data, details, log } = rest;
  const { judgement, input } = analysis;
  const measure = data.measures.find(each => each.id === analysis.spec.measureId);
  const printValue = useCallback(
    (value: number) =>
      figurePrinter(input, measure ? valuePrinter(measure, MASS_STYLE_FOR[system]) : String)(value),
    [input, measure, system],
  );
  const profile = useMemo(() => measure && partProfile(data, measure), [data, measure]);
  const isPlanned = analysis.spec.measureId === planned.measureId;
  const shared: PartProps = { ...props, measure, printValue };
  return (
    <>
      <ComparedParts {...shared} />
      <MoneyParts {...shared} />
      {details.seasons.length > 0 && isPlanned && (
        <Later>
          <SeasonsPanel trialId={data.trial.id} seasons={details.seasons} />
        </Later>
      )}
      {measure && profile && (
        <Later>
          <ProfilePanel name={measure.name} profile={profile} print={printValue} />
        </Later>
      )}
      {measure && input.outcome === 'continuous' && (
        <Later>
          <GrowthPanel key={`growth ${measure.id}`} data={data} measure={measure} />
        </Later>
      )}
      <Later>
        <Sensitivity
          trial={data.trial}
          analysis={analysis}
          position={isPlanned ? details.position : null}
          readerWords={readersWords(data)}
        />
      </Later>
      <Later>
        <BenchAndRecord {...shared} />
      </Later>
      <Later>
        <NextSteps
          trialId={data.trial.id}
          steps={nextSteps(judgement, input)}
          lessons={details.lessons}
          regret={regret}
        />
      </Later>
      <Later>
        <Tables analysis={analysis} log={log} printValue={printValue} />
      </Later>
    </>
  );
}

interface PartProps extends VerdictDetailsProps {
  readonly measure: Measure | undefined;
  readonly printValue: (value: number) => string;
}

/** What nothing at work would look like, the asked comparison, and all that was measured. */
function ComparedParts({
  rest: { data, details },
  planned,
  analysis,
  printValue,
  measure,
}: PartProps) {
  const { input } = analysis;
  const tags = useMemo(() => tagsOf(data), [data]);
  const doses = useMemo(() => dosesOf(data, analysis), [data, analysis]);
  return (
    <>
      <Later>
        <NullSimulation key={`no effect ${analysis.spec.measureId}`} analysis={analysis} />
      </Later>
      <Later>
        <AskedComparison
          key={`asked ${analysis.spec.measureId}`}
          question={data.trial.question}
          agreed={input.agreed ?? null}
          analysis={analysis}
          printValue={printValue}
        />
      </Later>
      {doses && (
        <Later>
          <DosePanel
            doses={doses}
            printValue={printValue}
            isWeight={measure?.unit === 'g'}
            worthPerKg={data.trial.money?.worthPerKg ?? null}
          />
        </Later>
      )}
      <Later>
        <ScorecardPanel
          trialId={data.trial.id}
          whole={data}
          spec={planned}
          card={details.card}
          tags={tags}
          control={input.control}
          bases={details.bases}
        />
      </Later>
    </>
  );
}

/** Whether it pays, of a weight. */
function MoneyParts({ rest: { data, details }, analysis, measure }: PartProps) {
  const { judgement, input, spec } = analysis;
  if (measure?.unit !== 'g' || input.outcome !== 'continuous') return null;
  return (
    <Later>
      <NetBenefitPanel
        key={`worth ${spec.measureId}`}
        contrasts={judgement.contrasts.flatMap(contrast => (contrast.estimable ? [contrast] : []))}
        control={input.control}
        unitWord={input.unitWord}
        costs={details.costs}
        worthPerKg={data.trial.money?.worthPerKg ?? null}
      />
    </Later>
  );
}

/** The bench with its values, beside what can be looked at otherwise and what is on record. */
function BenchAndRecord({
  rest,
  planned,
  spec,
  analysis,
  onAnalyse,
  printValue,
  ...actions
}: PartProps) {
  const { data } = rest;
  const { input } = analysis;
  const chosen = useChosenUnit();
  const bench = useMemo(() => benchViewOf(seenTrial(data), true), [data]);
  const unit = bench?.units.find(candidate => candidate.id === chosen.unitId);
  return (
    <TwoParts>
      <WhereTheyStood bench={bench} input={input} analysis={analysis} printValue={printValue} />
      <div>
        <WhatIf
          planned={planned}
          spec={spec}
          measures={data.measures}
          unit={unit}
          unitWord={input.unitWord}
          printValue={printValue}
          onAnalyse={onAnalyse}
        />
        <Spoiled
          analysis={analysis}
          mentions={unitsToMention(data, analysis.spec)}
          cuts={cutWords(data)}
          lostChance={spec.measureId === planned.measureId ? rest.details.lostChance : []}
          brokenRounds={brokenRounds(data)}
        />
        <OnRecord
          {...rest}
          allIn={analysis.allIn?.verdict ?? null}
          sound={analysis.sound?.verdict ?? null}
          unit={unit}
          actions={actions}
        />
      </div>
    </TwoParts>
  );
}

interface WhereTheyStoodProps {
  readonly bench: BenchView | null;
  readonly input: JudgeInput;
  readonly analysis: VerdictDetailsProps['analysis'];
  readonly printValue: (value: number) => string;
}

function WhereTheyStood({ bench, input, analysis, printValue }: WhereTheyStoodProps) {
  return (
    <div>
      <h2>Where they stood</h2>
      {bench && (
        <Bench
          view={bench}
          label={`The bench from above: the fuller the crown, the more ${input.response}`}
          lens={lensOf(analysis, printValue)}
        />
      )}
    </div>
  );
}

function lensOf({ input }: Analysis, printValue: (value: number) => string) {
  const values = new Map(input.units.map(unit => [unit.id, unit]));
  const figures = input.units.map(unit => (isRead(unit) ? figureOf(unit) : 0));
  const most = Math.max(1e-9, ...figures.map(Math.abs));
  return (unit: BenchUnit) => {
    const judged = values.get(unit.code);
    const figure = judged && isRead(judged) ? figureOf(judged) : null;
    return {
      state: figure === null ? ('open' as const) : ('done' as const),
      share: figure === null ? null : Math.max(0, figure / most),
      words: judged ? unitWords(judged, input, printValue) : 'no reading',
    };
  };
}
