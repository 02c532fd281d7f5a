'use client';

import dynamic from 'next/dynamic';
import { useEffect, useMemo, useRef, useState } from 'react';
import { styled } from 'styled-components';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import {
  type SizeCurve,
  type SizePoint,
  sizeOf,
  sizesFor,
  splitsOf,
} from '@/core/judge/planning/size-curve';
import { counted, pluralOf } from '@/core/words/plural';
import type { BoundField } from '@/ui/form-fields';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { TextField } from '@/ui/TextField';
import { Trouble } from '@/ui/Trouble';
import { useForm } from '@/ui/use-form';
import { useSame } from '@/ui/use-same';
import { type Planner, startPlanner } from '@/workers/planner-job';
import { axisWords, SizeTable } from './SizeTable';

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
}

const STARTING_GUESS = 30;
const SEED = 7;

/** How many are enough: the chance to see what is worth having, by the size of the plan, with the work it takes. */
export function SizePlanner({ plan: given, ownCv, costEach, unitAreaM2 }: SizePlannerProps) {
  const plan = useSame(given);
  const { form, field } = useForm({
    spread: String(ownCv ? Math.round(100 * ownCv.cv) : STARTING_GUESS),
    minutes: '2',
    rounds: '8',
  });
  const cv = Number(form.spread.replace(',', '.')) / 100;
  const isSpread = cv >= 0.01 && cv <= 2;
  const effect = plan?.margin?.kind === 'percent' ? plan.margin.percent / 100 : 0.25;
  const { curve, hasFailed } = useSizeCurve(plan, isSpread ? cv : null, effect);
  const own = curve.find(point => plan && point.size === sizeOf(plan));
  const unitWords = plan ? pluralOf(plan.unitWord) : 'units';
  const treatedShare = plan ? 1 - 1 / plan.treatments.length : null;
  return (
    <Sizes aria-label="How many?">
      <h2>How many are enough?</h2>
      {hasFailed && <Trouble>The planner stopped. Load the page again to go on.</Trouble>}
      {plan && own && <Words plan={plan} own={own} curve={curve} effect={effect} />}
      {plan && curve.length > 1 && (
        <SizeChart curve={curve} own={sizeOf(plan)} axis={axisWords(plan)} />
      )}
      {curve.length > 0 && <SizeTable plan={plan} unitWords={unitWords} curve={curve} />}
      {plan && <SpentOtherwise plan={plan} own={own} cv={isSpread ? cv : 0.3} />}
      <SizeAssumptions unitWords={unitWords} field={field} isSpread={isSpread} plan={plan} />
      {own && (
        <Work
          units={own.units}
          minutes={Number(form.minutes.replace(',', '.'))}
          rounds={Number(form.rounds)}
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

/** @param cv null while it can't be read */
function useSizeCurve(plan: PlannedTrial | null, cv: number | null, effect: number) {
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
    if (!plan || cv === null) {
      setCurve([]);
      return;
    }
    const request = { plan, cv, effect, sizes, own: sizeOf(plan), seed: SEED };
    planner.current?.sizeCurve(request, setCurve);
  }, [plan, cv, effect, sizes]);
  return { curve, hasFailed };
}

interface AssumedProps extends Pick<SizePlannerProps, 'plan' | 'ownCv'> {
  readonly own: SizePoint | undefined;
  readonly unitWords: string;
}

/** Where the figures come from. */
function Assumed({ plan, ownCv, own, unitWords }: AssumedProps) {
  const trials = ownCv?.trials === 1 ? 'closed trial' : `${ownCv?.trials} closed trials`;
  const spread = ownCv
    ? `The spread is that of your own ${trials}.`
    : 'The spread is a starting guess (standard deviation over mean), not your own figure.';
  return (
    <Soft>
      {spread}{' '}
      {own?.shares
        ? `${own.shares.trials.toLocaleString('en')} made-up trials judged by the very rule of the verdict.`
        : ''}
      {plan && LAYOUTS[plan.request.kind].hasWholePlots
        ? ` ${capital(pluralOf(plan.request.wholeWord ?? 'bed'))} are taken to differ by half of what ${unitWords} do, a starting guess; the gain is that of ${plan.treatments.find(treatment => treatment.role === 'test')?.name ?? 'the first'}.`
        : ''}
    </Soft>
  );
}

interface SizeAssumptionsProps {
  readonly unitWords: string;
  readonly field: <Key extends 'spread' | 'minutes' | 'rounds'>(
    key: Key,
  ) => BoundField<{ spread: string; minutes: string; rounds: string }[Key]>;
  readonly isSpread: boolean;
  readonly plan: PlannedTrial | null;
}

/** What the curve is reckoned from. */
function SizeAssumptions({ unitWords, field, isSpread, plan }: SizeAssumptionsProps) {
  return (
    <Fields>
      <TextField
        label={`Two ${unitWords} treated alike usually differ by, %`}
        {...field('spread')}
        inputMode="decimal"
        trouble={isSpread ? undefined : 'Between 1 and 200.'}
      />
      <TextField
        label={`Minutes a ${plan?.unitWord ?? 'unit'} and round`}
        {...field('minutes')}
        inputMode="decimal"
      />
      <TextField label="Rounds in the season" {...field('rounds')} inputMode="numeric" />
    </Fields>
  );
}

function Words({
  plan,
  own,
  curve,
  effect,
}: {
  readonly plan: PlannedTrial;
  readonly own: SizePoint;
  readonly curve: SizeCurve;
  readonly effect: number;
}) {
  const units = pluralOf(plan.unitWord);
  const gain = `${Math.round(100 * effect)}%`;
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
      With {counted(own.units, plan.unitWord)} a true gain of {gain} is seen{' '}
      <b>{Math.round(100 * own.shares.seen)} times of 100</b>.
      {own.smallestSeen !== null &&
        ` Seen four times in five: ${Math.round(100 * own.smallestSeen)}% or more.`}{' '}
      {own.shares.seen >= 0.8
        ? 'That is enough.'
        : enough
          ? `Four times in five takes ${counted(enough.units, plan.unitWord)}.`
          : 'No size on this curve sees it four times in five: look for a larger gain, or compare fewer.'}
    </p>
  );
}

/** The same units spent on fewer treatments show more: the smallest gain seen with 8 × 1, 4 × 2, 2 × 4. */
function SpentOtherwise({
  plan,
  own,
  cv,
}: {
  readonly plan: PlannedTrial;
  readonly own: SizePoint | undefined;
  readonly cv: number;
}) {
  const rows = useMemo(() => (own ? splitsOf(own.units, cv) : []), [own, cv]);
  if (rows.length < 2) return null;
  return (
    <details>
      <summary>The same {pluralOf(plan.unitWord)} on fewer treatments</summary>
      <table>
        <TableHead
          of={[`treatments × ${pluralOf(plan.unitWord)}`, 'smallest gain seen 4 times in 5']}
        />
        <tbody>
          {rows.map(row => (
            <tr key={row.treatments}>
              <td>
                {row.treatments} × {row.each}
              </td>
              <td>
                {row.smallest === null
                  ? 'nothing: one each is a story'
                  : `${Math.round(100 * row.smallest)}%`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {plan.treatments.length > 2 && plan.treatments.length < 9 && (
        <Soft>
          The control stands in every comparison: about{' '}
          {Math.sqrt(plan.treatments.length - 1).toFixed(1)} times as many of it as of each other
          serve all of them best.
        </Soft>
      )}
    </details>
  );
}

function Work({
  units,
  minutes,
  rounds,
  areaM2,
  cost,
  unitWords,
}: {
  readonly cost: number | null;
  readonly units: number;
  readonly minutes: number;
  readonly rounds: number;
  readonly areaM2: number | null;
  readonly unitWords: string;
}) {
  const hours = (units * minutes * rounds) / 60;
  return (
    <p>
      {Number.isFinite(hours) && hours > 0 ? (
        <>
          <b>{hours < 10 ? hours.toFixed(1) : Math.round(hours)} hours</b> of going round in the
          season.{' '}
        </>
      ) : (
        ''
      )}
      {areaM2 !== null && areaM2 > 0
        ? `The ${unitWords} alone take ${(units * areaM2).toFixed(units * areaM2 < 10 ? 1 : 0)} m².`
        : ''}
      {cost === null ? '' : ` Treating them costs about ${cost.toFixed(2)}.`}
    </p>
  );
}

const Sizes = styled.section`
  display: grid; gap: 12px; border-top: 1px solid var(--rule); padding-top: 16px;
  & table { font-size: 0.9375rem; }
  & th, & td { padding-right: 8px; }
  & details > summary { cursor: pointer; padding: 4px 0; width: fit-content; }
  @media (pointer: coarse) { & details > summary { padding: 12px 0; } }
`;

const Fields = styled.div`
  display: grid; grid-template-columns: 2fr 1fr 1fr; gap: 16px; align-items: end;
  @media (max-width: 640px) { grid-template-columns: 1fr; }
`;

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
