'use client';

import { useMemo } from 'react';
import { nextSteps } from '@/core/judge/after/next-step';
import type { OutcomeAnalysis } from '@/core/judge/verdict/planned-verdict';
import { readerErrorWords } from '@/core/measure/reading/reader-error';
import { Bench } from '@/features/bench/Bench';
import { type BenchUnit, benchViewOf, tagsOf } from '@/features/bench/bench-view';
import { useChosenUnit } from '@/features/bench/ChosenUnit';
import { OnRecord } from '@/features/judge/closing/OnRecord';
import type { VerdictActions } from '@/features/judge/closing/verdict-actions';
import { NextSteps } from '@/features/judge/details/NextSteps';
import { ScorecardPanel } from '@/features/judge/details/ScorecardPanel';
import { TrialLog } from '@/features/judge/details/Tables';
import type { VerdictDetailsData } from '@/features/judge/details/verdict-details';
import { printFigure } from '@/features/judge/print-value';
import { Later } from '@/ui/Later';
import { TwoParts } from '@/ui/Page';

interface OutcomeDetailsProps extends VerdictActions {
  readonly rest: VerdictDetailsData;
  readonly analysis: OutcomeAnalysis;
}

/** What stands under a verdict that is none of means: all that was measured, what may have spoiled it, what next. */
export function OutcomeDetails({ rest, analysis, ...actions }: OutcomeDetailsProps) {
  const { data, details, log } = rest;
  const chosen = useChosenUnit();
  const { input, judgement, spec } = analysis;
  const tags = useMemo(() => tagsOf(data), [data]);
  const bench = useMemo(() => benchViewOf(data, true), [data]);
  const unit = bench?.units.find(candidate => candidate.id === chosen.unitId);
  const readerWords = readerErrorWords(data);
  return (
    <>
      <Later>
        <ScorecardPanel
          trialId={data.trial.id}
          whole={data}
          spec={spec}
          card={details.card}
          tags={tags}
          control={input.control}
          bases={details.bases}
        />
      </Later>
      <Later>
        <TwoParts>
          <div>
            <h2>Where they stood</h2>
            {bench && (
              <Bench
                view={bench}
                label={`The bench from above: the fuller the crown, the more ${input.response}`}
                lens={lensOf(analysis)}
              />
            )}
            {readerWords && <p>{readerWords}</p>}
          </div>
          <div>
            <OnRecord
              {...rest}
              allIn={analysis.allIn}
              sound={analysis.sound}
              unit={unit}
              actions={actions}
            />
          </div>
        </TwoParts>
      </Later>
      <Later>
        <NextSteps
          trialId={data.trial.id}
          steps={nextSteps(judgement, input)}
          lessons={details.lessons}
          regret={actions.regret}
        />
      </Later>
      <Later>
        <TrialLog log={log} />
      </Later>
    </>
  );
}

function lensOf({ input, spec }: OutcomeAnalysis) {
  const units = new Map(input.units.map(unit => [unit.id, unit]));
  const figureOf = (unit: (typeof input.units)[number] | undefined): number | null =>
    unit?.value == null ? null : unit.outOf === null ? unit.value : unit.value / unit.outOf;
  const most = Math.max(1e-9, ...input.units.map(unit => Math.abs(figureOf(unit) ?? 0)));
  return ({ code }: BenchUnit) => {
    const unit = units.get(code);
    const figure = figureOf(unit);
    const words =
      unit?.value == null
        ? 'no reading'
        : unit.outOf !== null && unit.outOf > 1
          ? `${printFigure(unit.value)} of ${unit.outOf}`
          : input.kind === 'time' && !unit.hasCome
            ? `not yet after ${printFigure(unit.value)} days`
            : printFigure(unit.value);
    return {
      state: figure === null ? ('open' as const) : ('done' as const),
      share: figure === null ? null : Math.max(0, figure / most),
      words: spec.leftOut.includes(code) ? 'left out' : words,
    };
  };
}
