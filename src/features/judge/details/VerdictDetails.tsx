'use client';

import { type ReactNode, useCallback, useMemo } from 'react';
import { nextSteps } from '@/core/judge/after/next-step';
import { partProfile } from '@/core/judge/after/part-profile';
import { isRead } from '@/core/judge/question/judge-input';
import { cutWords } from '@/core/judge/units/analysis-sets';
import type { Analysis, AnalysisSpec } from '@/core/judge/units/trial-analysis';
import { unitsToMention } from '@/core/judge/units/trial-analysis';
import { figurePrinter } from '@/core/judge/verdict/figure-printer';
import { roundUnit, valuePrinter } from '@/core/measure/library/print-measure';
import { readersWords } from '@/core/measure/reading/two-readers';
import { MASS_STYLE_FOR } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Measure } from '@/core/trial/model/measure';
import { tagsOf } from '@/features/bench/bench-view';
import { AskedComparison } from '@/features/judge/answer/AskedComparison';
import { OtherWay } from '@/features/judge/answer/MeasureNote';
import { WhatIf } from '@/features/judge/answer/WhatIf';
import { Closing } from '@/features/judge/closing/Closing';
import { OnRecord } from '@/features/judge/closing/OnRecord';
import type { VerdictActions } from '@/features/judge/closing/verdict-actions';
import type { VerdictPage } from '@/features/judge/pages/verdict-pages';
import { Later } from '@/ui/Later';
import { Soft } from '@/ui/Page';
import { BesideTheBench } from './BesideTheBench';
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
import { TimeByPerson } from './TimeByPerson';
import type { VerdictDetailsData } from './verdict-details';

interface VerdictDetailsProps extends VerdictActions {
  readonly page: VerdictPage;
  readonly rest: VerdictDetailsData;
  /** What the page came with: the look that was planned. */
  readonly planned: AnalysisSpec;
  readonly spec: AnalysisSpec;
  readonly analysis: Analysis;
  readonly system: MeasureSystem;
  readonly onAnalyse: (spec: AnalysisSpec) => void;
}

/** What a page of a verdict shows beside its sentence, once the trial's own data are there. */
export function VerdictDetails(props: VerdictDetailsProps) {
  const { rest, page, analysis, system } = props;
  const { data } = rest;
  const { input } = analysis;
  const measure = data.measures.find(each => each.id === analysis.spec.measureId);
  const printValue = useCallback(
    (value: number) =>
      figurePrinter(input, measure ? valuePrinter(measure, MASS_STYLE_FOR[system]) : String)(value),
    [input, measure, system],
  );
  const roundUnitOf = useCallback(
    (most: number) => (measure ? roundUnit(measure, MASS_STYLE_FOR[system], most) : 1),
    [measure, system],
  );
  const Part = PARTS[page];
  return <Part {...props} measure={measure} printValue={printValue} roundUnit={roundUnitOf} />;
}

interface PartProps extends VerdictDetailsProps {
  readonly measure: Measure | undefined;
  readonly printValue: (value: number) => string;
  readonly roundUnit: (most: number) => number;
}

/** Of a dose series its curve; any two against each other; and the way to close it. */
function BesideTheAnswer(props: PartProps) {
  const { analysis, printValue, roundUnit, measure, close } = props;
  const { data } = props.rest;
  const doses = useMemo(() => dosesOf(data, analysis), [data, analysis]);
  return (
    <>
      {doses && (
        <Later>
          <DosePanel
            doses={doses}
            unitWord={data.trial.unitWord}
            printValue={printValue}
            roundUnit={roundUnit}
            isWeight={measure?.unit === 'g'}
            worthPerKg={data.trial.money?.worthPerKg ?? null}
          />
        </Later>
      )}
      <Later>
        <AskedComparison
          key={`asked ${analysis.spec.measureId}`}
          question={data.trial.question}
          agreed={analysis.input.agreed ?? null}
          analysis={analysis}
          printValue={printValue}
        />
      </Later>
      {data.trial.state !== 'closed' && (
        <Later>
          <Closing
            unitWord={data.trial.unitWord}
            unread={analysis.input.units.filter(unit => !isRead(unit) && !unit.isLeftOut).length}
            close={close}
          />
        </Later>
      )}
    </>
  );
}

/** All that was measured, part by part and from day to day. */
function AllMeasures({
  rest: { data, details },
  planned,
  analysis,
  printValue,
  roundUnit,
  measure,
}: PartProps) {
  const tags = useMemo(() => tagsOf(data), [data]);
  const profile = useMemo(() => measure && partProfile(data, measure), [data, measure]);
  return (
    <>
      <ScorecardPanel
        trialId={data.trial.id}
        whole={data}
        spec={planned}
        card={details.card}
        tags={tags}
        control={analysis.input.control}
        bases={details.bases}
      />
      {measure && profile && (
        <Later>
          <ProfilePanel
            name={measure.name}
            profile={profile}
            print={printValue}
            roundUnit={roundUnit}
          />
        </Later>
      )}
      {measure && analysis.input.outcome === 'continuous' && (
        <Later>
          <GrowthPanel key={`growth ${measure.id}`} data={data} measure={measure} />
        </Later>
      )}
    </>
  );
}

/** How far the answer hangs on single pots, on the method and on places; and the tables behind it. */
function HowFirm(props: PartProps) {
  const { rest, planned, spec, analysis, onAnalyse, measure, printValue } = props;
  const { data, details, log } = rest;
  const { input } = analysis;
  const isPlanned = analysis.spec.measureId === planned.measureId;
  return (
    <>
      <Sensitivity
        trial={data.trial}
        analysis={analysis}
        position={isPlanned ? details.position : null}
        readerWords={readersWords(data)}
      />
      {measure && (
        <OtherWay trialId={data.trial.id} measure={measure} input={input} spec={analysis.spec} />
      )}
      <BesideTheBench data={data} analysis={analysis} printValue={props.printValue}>
        {unit => (
          <WhatIf
            planned={planned}
            spec={spec}
            measures={data.measures}
            unit={unit}
            unitWord={input.unitWord}
            printValue={printValue}
            onAnalyse={onAnalyse}
          />
        )}
      </BesideTheBench>
      <Later>
        <NullSimulation key={`no effect ${analysis.spec.measureId}`} analysis={analysis} />
      </Later>
      <Later>
        <Tables analysis={analysis} log={log} printValue={printValue} />
      </Later>
    </>
  );
}

/** What happened to the pots, what was left out, what else could have done it, and how fair it was. */
function WhatSpoiledIt(props: PartProps) {
  const { rest, planned, spec, analysis, ...actions } = props;
  const { data, details } = rest;
  return (
    <BesideTheBench data={data} analysis={analysis} printValue={props.printValue}>
      {unit => (
        <>
          <Spoiled
            analysis={analysis}
            mentions={unitsToMention(data, analysis.spec)}
            cuts={cutWords(data)}
            lostChance={spec.measureId === planned.measureId ? details.lostChance : []}
            brokenRounds={brokenRounds(data)}
          />
          <OnRecord
            {...rest}
            allIn={analysis.allIn?.verdict ?? null}
            sound={analysis.sound?.verdict ?? null}
            unit={unit}
            actions={actions}
          />
        </>
      )}
    </BesideTheBench>
  );
}

/** Whether it pays, of a weight, and whose time went into it. */
function MoneyAndTime({ rest: { data, details }, analysis, measure }: PartProps) {
  const { judgement, input, spec } = analysis;
  const isWeight = measure?.unit === 'g' && input.outcome === 'continuous';
  return (
    <>
      {isWeight ? (
        <NetBenefitPanel
          key={`worth ${spec.measureId}`}
          contrasts={judgement.contrasts.flatMap(each => (each.estimable ? [each] : []))}
          control={input.control}
          unitWord={input.unitWord}
          costs={details.costs}
          worthPerKg={data.trial.money?.worthPerKg ?? null}
        />
      ) : (
        <Soft>
          Costs are set against a weight that was harvested. {measure?.name ?? 'This measure'} is
          none: look at a weight under All measures.
        </Soft>
      )}
      <TimeByPerson people={details.people} />
    </>
  );
}

/** What to do with each treatment, what it teaches the next trial, and what it says with other seasons. */
function WhatNext({ rest: { data, details }, planned, analysis, regret, ...actions }: PartProps) {
  const isPlanned = analysis.spec.measureId === planned.measureId;
  return (
    <>
      <NextSteps
        trialId={data.trial.id}
        steps={nextSteps(analysis.judgement, analysis.input)}
        lessons={details.lessons}
        regret={regret}
        unitWord={data.trial.unitWord}
        askWhatIsLeft={data.trial.state === 'closed' && data.layout ? actions.askWhatIsLeft : null}
      />
      {details.seasons.length > 0 && isPlanned && (
        <Later>
          <SeasonsPanel trialId={data.trial.id} seasons={details.seasons} />
        </Later>
      )}
    </>
  );
}

const PARTS: Readonly<Record<VerdictPage, (props: PartProps) => ReactNode>> = {
  answer: BesideTheAnswer,
  measures: AllMeasures,
  firm: HowFirm,
  spoiled: WhatSpoiledIt,
  money: MoneyAndTime,
  next: WhatNext,
};
