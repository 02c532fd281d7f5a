'use client';

import dynamic from 'next/dynamic';
import { useEffect, useMemo, useRef, useState } from 'react';
import { styled } from 'styled-components';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import { isPlainQuestion } from '@/core/judge/planning/plain-question';
import { type PlannedTrial, plannedInput } from '@/core/judge/planning/planned-input';
import type { PlannedTruth } from '@/core/judge/planning/planned-reading';
import { gainWords } from '@/core/judge/planning/planning-guess';
import { type SizeCurve, type SizePoint, sizeOf, sizesFor } from '@/core/judge/planning/size-curve';
import { askedComparisonsOf } from '@/core/judge/question/asked-comparisons';
import { counted, pluralOf } from '@/core/words/plural';
import { readNumber } from '@/features/shelf/sums/read-amount';
import { useForm } from '@/ui/fields/use-form';
import { Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { useSame } from '@/ui/use-same';
import { type Planner, startPlanner } from '@/workers/planner-job';
import { SizeAssumptions } from './SizeAssumptions';
import { axisWords, SizeTable } from './SizeTable';
import { SpentOtherwise } from './SpentOtherwise';
import { assumedOf, guessedForm } from './size-assumptions';
import { Work } from './Work';

// The chart library is heavy and draws on a canvas only a browser has.
const SizeChart = dynamic(() => import('./SizeChart').then(module => module.SizeChart), {
  ssr: false,
  loading: () => <div style={{ height: 190 }} />,
});

interface SizePlannerProps {
  /** null while the layout's form can't be read. */
  readonly plan: PlannedTrial | null;
  /** Spread of this gardener's own closed trials, where there are any. */
  readonly ownCv: { readonly cv: number; readonly trials: number } | null;
  /** What a treatment costs a unit, where the margin was worked out from money. */
  readonly costEach: number | null;
  /** Across and front to back, in m². */
  readonly unitAreaM2: number | null;
  /** What a margin in the measure's own unit is in: `g`. */
  readonly marginUnit: string;
  /** What is read, and what of it would be worth having: known before the layout's form can be read. */
  readonly question: Pick<PlannedTrial, 'reading' | 'margin' | 'better'>;
}

const SEED = 7;
const USUAL_CV = 0.3;

/** How many are enough: the chance to see what is worth having, by the size of the plan, with the work it takes. */
export function SizePlanner({
  plan: given,
  ownCv,
  costEach,
  unitAreaM2,
  marginUnit,
  question,
}: SizePlannerProps) {
  const asked = useSame(given);
  const { form, field } = useForm({ ...guessedForm(question, ownCv), minutes: '2', rounds: '8' });
  const { spread, level, items } = form;
  const [minutes, rounds] = [readNumber(form.minutes, 0, 600), readNumber(form.rounds, 0, 1000)];
  const assumed = useMemo(
    () => assumedOf(asked, { spread, level, items }),
    [asked, spread, level, items],
  );
  const { plan, truth } = assumed;
  const { curve, hasFailed } = useSizeCurve(plan, truth);
  const own = curve.find(point => plan && point.size === sizeOf(plan));
  const unitWords = asked ? pluralOf(asked.unitWord) : 'units';
  const treatedShare = asked ? 1 - 1 / asked.treatments.length : null;
  return (
    <Sizes aria-label="How many?">
      <h2>How many are enough?</h2>
      {hasFailed && <Trouble>The planner stopped. Load the page again to go on.</Trouble>}
      {plan && own && truth && (
        <Words
          plan={plan}
          own={own}
          curve={curve}
          gain={gainWords(plan.reading, plan.margin, truth, marginUnit)}
        />
      )}
      {plan && curve.length > 1 && (
        <SizeChart curve={curve} own={sizeOf(plan)} axis={axisWords(plan)} />
      )}
      {curve.length > 0 && <SizeTable plan={plan} unitWords={unitWords} curve={curve} />}
      {plan && isPlainQuestion(plan) && (
        <SpentOtherwise plan={plan} own={own} cv={truth?.cv ?? USUAL_CV} />
      )}
      {asked && (
        <SizeAssumptions
          plan={asked}
          field={field}
          troubles={{
            ...assumed.troubles,
            minutes: minutes.trouble,
            rounds: rounds.trouble,
          }}
          marginUnit={marginUnit}
        />
      )}
      {own && (
        <Work
          units={own.units}
          minutes={minutes.base ?? 0}
          rounds={rounds.base ?? 0}
          areaM2={unitAreaM2}
          cost={
            costEach === null || treatedShare === null ? null : costEach * own.units * treatedShare
          }
          unitWords={unitWords}
        />
      )}
      <Assumed plan={plan} ownCv={ownCv} own={own} unitWords={unitWords} />
    </Sizes>
  );
}

/** @param truth undefined while it can't be read */
function useSizeCurve(plan: PlannedTrial | null, truth: PlannedTruth | undefined) {
  const [curve, setCurve] = useState<SizeCurve>([]);
  const [hasFailed, setFailed] = useState(false);
  const sizes = useMemo(() => (plan ? sizesFor(plan) : []), [plan]);
  const planner = useRef<Planner>(null);
  useEffect(() => {
    const started = startPlanner(() => setFailed(true));
    planner.current = started;
    return started.end;
  }, []);
  useEffect(() => {
    if (!plan || !truth) {
      setCurve([]);
      return;
    }
    const request = { plan, truth, sizes, own: sizeOf(plan), seed: SEED };
    planner.current?.sizeCurve(request, setCurve);
  }, [plan, truth, sizes]);
  return { curve, hasFailed };
}

interface AssumedProps extends Pick<SizePlannerProps, 'plan' | 'ownCv'> {
  readonly own: SizePoint | undefined;
  readonly unitWords: string;
}

/** Where the figures come from. */
function Assumed({ plan, ownCv, own, unitWords }: AssumedProps) {
  const trials = ownCv?.trials === 1 ? 'closed trial' : `${ownCv?.trials} closed trials`;
  const spread =
    plan?.reading.outcome !== 'continuous'
      ? 'These figures are starting guesses: put your own in their place.'
      : ownCv
        ? `The spread is that of your own ${trials}.`
        : 'The spread is a starting guess (standard deviation over mean), not your own figure.';
  return (
    <Soft>
      {spread}{' '}
      {own?.shares
        ? `${own.shares.trials.toLocaleString('en')} made-up trials judged by the very rule of the verdict.`
        : ''}
      {plan && LAYOUTS[plan.request.kind].hasWholePlots
        ? ` ${capital(pluralOf(plan.request.wholeWord ?? 'bed'))} are taken to differ by half of what ${unitWords} do, a starting guess; the gain is that of what is asked first.`
        : ''}
    </Soft>
  );
}

function Words({
  plan,
  own,
  curve,
  gain,
}: {
  readonly plan: PlannedTrial;
  readonly own: SizePoint;
  readonly curve: SizeCurve;
  readonly gain: string;
}) {
  const units = pluralOf(plan.unitWord);
  if (!own.shares)
    return (
      <p>
        <b>One {plan.unitWord} each can’t decide anything.</b> The gap between two {units} treated
        alike can’t be told from the gap between two treatments. At least two each; four to eight
        tell something.
      </p>
    );
  const enough = curve.find(point => (point.shares?.seen ?? 0) >= 0.8);
  return (
    <p>
      With {counted(own.units, plan.unitWord)} a true gain of {gain}
      {isPlainQuestion(plan) ? '' : ` by ${askedWords(plan)}`} is seen{' '}
      <b>{Math.round(100 * own.shares.seen)} times of 100</b>.
      {own.smallestSeen !== null &&
        ` Likely to be seen (4 in 5): ${Math.round(100 * own.smallestSeen)}% or more.`}{' '}
      {own.shares.seen >= 0.8
        ? 'That is enough.'
        : enough
          ? `Four times in five takes ${counted(enough.units, plan.unitWord)}.`
          : 'No size on this curve is likely to see it (4 in 5): look for a larger gain, or compare fewer.'}{' '}
      {dealWords(own.smallestP)}
    </p>
  );
}

/** What the gain is that of, where it is not one treatment against the control. */
function askedWords(plan: PlannedTrial): string {
  const [asked] = askedComparisonsOf(plannedInput(plan, SEED));
  return `${asked?.name ?? ''}${asked?.isAveraged ? ' averaged over the rest' : ''}`;
}

const RARE_ENOUGH = 0.05;

/** How rare even the largest gap can get among the deals of so many units. */
function dealWords(smallestP: number): string {
  const times = 100 * smallestP;
  return smallestP > RARE_ENOUGH
    ? `Even the largest gap turns up in ${Math.round(times)} of 100 deals of so few: the deals alone could never settle it.`
    : `Among the deals the largest gap can be ${times < 0.1 ? 'rarer than 1 in 1,000' : `as rare as ${Number(times.toPrecision(2))} in 100`}.`;
}

const Sizes = styled.section`
  display: grid; gap: 12px; border-top: 1px solid var(--rule); padding-top: 16px;
  & table { font-size: 0.9375rem; }
  & th, & td { padding-right: 8px; }
`;

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
