'use client';

import { styled } from 'styled-components';
import type { ProposedPlan } from '@/core/judge/planning/proposed-plans';
import { proposedPlans, unitsForGain } from '@/core/judge/planning/proposed-plans';
import type { Margin } from '@/core/judge/question/judge-input';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { counted, pluralOf } from '@/core/words/plural';
import type { TagView } from '@/features/bench/bench-view';
import { readNumber } from '@/features/shelf/sums/read-amount';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Link } from '@/ui/Link';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { useGoOn } from '@/ui/use-go-on';
import { PlanDrawing } from './PlanDrawing';

interface ThreePlansProps {
  readonly tags: readonly TagView[];
  readonly unitWord: string;
  readonly margin: Margin | null;
  readonly ownCv: { readonly cv: number; readonly trials: number } | null;
  /** What a treatment costs a unit, where the margin was worked out from money. */
  readonly costEach: number | null;
  /** Units that the question's pattern begins with. */
  readonly usualUnits: number;
  readonly askHref: string;
  readonly trouble: string | undefined;
  readonly isPending: boolean;
  readonly take: (plan: ProposedPlan) => void;
  readonly setUpMyself: () => void;
}

/** What can be seen with so many pots: three plans side by side, one press for each. */
export function ThreePlans(props: ThreePlansProps) {
  const { tags, unitWord, margin, ownCv, usualUnits, setUpMyself, trouble } = props;
  const { form, field } = useForm({
    units: String(usualUnits),
    spread: String(Math.round(100 * (ownCv?.cv ?? STARTING_GUESS_CV.cv))),
  });
  const units = readNumber(form.units, 1, 240);
  const spread = readNumber(form.spread, 1, 200);
  const means = {
    units: Math.floor(units.base ?? 0),
    treatments: tags.length,
    cv: (spread.base ?? 0) / 100,
  };
  const isRead = units.base !== undefined && spread.base !== undefined;
  const plans = isRead ? proposedPlans(means) : [];
  const wanted = margin?.kind === 'percent' ? margin.percent / 100 : null;
  return (
    <Plans aria-label="Three plans">
      <h2>How big a gain can you see with what you have?</h2>
      <Fields>
        <TextField
          label={`${pluralOf(unitWord)} you have`.replace(/^./, letter => letter.toUpperCase())}
          {...field('units')}
          trouble={units.trouble}
          inputMode="numeric"
        />
        <TextField
          label={`Two ${pluralOf(unitWord)} treated alike differ by, %`}
          {...field('spread')}
          trouble={spread.trouble}
          inputMode="decimal"
        />
        <Soft>
          {ownCv === null
            ? 'A usual guess: after your first trial, your own figure.'
            : `From ${ownCv.trials === 1 ? 'your own closed trial' : `your own ${ownCv.trials} closed trials`}.`}
        </Soft>
      </Fields>
      {isRead && plans.length === 0 && (
        <Trouble>
          {counted(means.units, unitWord)} can’t give {tags.length} treatments two each, and one
          each is a story, not a result.
        </Trouble>
      )}
      {trouble && <Trouble>{trouble}</Trouble>}
      <ul>
        {plans.map((plan, i) => (
          <PlanCard key={plan.kind} {...props} plan={plan} wanted={wanted} isFirst={i === 0} />
        ))}
      </ul>
      <Soft>
        “Likely to be seen” means in four of five such trials.{' '}
        {wanted !== null && plans.length > 0 && enoughWords(plans, wanted, unitWord, means)}
      </Soft>
      <Acts>
        <Button onPress={setUpMyself}>Set it up myself</Button>
      </Acts>
    </Plans>
  );
}

function enoughWords(
  plans: readonly ProposedPlan[],
  wanted: number,
  unitWord: string,
  means: Parameters<typeof unitsForGain>[0],
): string {
  const asked = `${Math.round(100 * wanted)}%`;
  if (plans.some(plan => plan.kind === 'one-season' && plan.smallestSeen <= wanted))
    return `A gain of ${asked}, which is what you want to see, is likely to be seen.`;
  const enough = unitsForGain(means, wanted);
  return enough === null
    ? `No number of ${pluralOf(unitWord)} that anybody has makes a gain of ${asked} likely to be seen in one season.`
    : `In one season a gain of ${asked} would take about ${counted(enough, unitWord)}.`;
}

interface PlanCardProps extends ThreePlansProps {
  readonly plan: ProposedPlan;
  /** The smallest gain worth having, as a share; null where any is, or it is no percentage. */
  readonly wanted: number | null;
  readonly isFirst: boolean;
}

function PlanCard({ plan, wanted, isFirst, ...props }: PlanCardProps) {
  const { tags, unitWord, costEach, askHref, isPending, take } = props;
  const goOn = useGoOn();
  const { title, means, note } = WORDS[plan.kind](plan, unitWord);
  const units = plan.each * plan.treatments;
  return (
    <li data-first={isFirst || undefined}>
      <h3>{title}</h3>
      <p>{means}</p>
      <PlanDrawing tags={tags.slice(0, plan.treatments)} each={plan.each} />
      <p>
        <b>{Math.round(100 * plan.smallestSeen)}%</b> or more is likely to be seen
      </p>
      <SeenBar smallest={plan.smallestSeen} wanted={wanted} />
      {wanted !== null && (
        <small>The mark is at {Math.round(100 * wanted)}%, the gain you want to see.</small>
      )}
      <Soft>
        {counted(units, unitWord)}
        {costEach === null
          ? ''
          : `, materials ${(costEach * plan.each * (plan.treatments - 1)).toFixed(2)}`}
        . {note}
      </Soft>
      {plan.kind === 'fewer' ? (
        <Link href={askHref}>Choose which to leave out</Link>
      ) : (
        <Button
          data-tone={isFirst ? 'main' : undefined}
          isPending={isPending}
          onPress={() => {
            goOn();
            take(plan);
          }}
          aria-label={`Use this plan: ${title.toLowerCase()}`}
        >
          Use this plan
        </Button>
      )}
    </li>
  );
}

interface PlanWords {
  readonly title: string;
  readonly means: string;
  readonly note: string;
}

const WORDS: Readonly<
  Record<ProposedPlan['kind'], (plan: ProposedPlan, unitWord: string) => PlanWords>
> = {
  'one-season': ({ each, treatments }, unitWord) => ({
    title: 'All in one season',
    means: `${counted(each, unitWord)} of each, ${treatments === 2 ? `in ${each} pairs` : `one of each in ${each} blocks`}`,
    note: 'Most gardeners start here.',
  }),
  matched: ({ each }, unitWord) => ({
    title: 'The same, better matched',
    means: `${each} pairs of ${pluralOf(unitWord)} alike in size, chosen from more`,
    note: 'Raise a third more and measure them before the deal. How much that helps is a guess.',
  }),
  fewer: ({ each }, unitWord) => ({
    title: 'More of fewer',
    means: `Two treatments with ${counted(each, unitWord)} of each`,
    note: 'The rest can have its own trial next year.',
  }),
  'two-seasons': ({ each }, unitWord) => ({
    title: 'Two seasons',
    means: `${counted(each, unitWord)} of each this year and ${each} next, judged together`,
    note: 'The surest, where both years are alike; the answer comes next year.',
  }),
};

/** From nothing to twice as much: what is likely to be seen, and what is wanted. */
function SeenBar({
  smallest,
  wanted,
}: {
  readonly smallest: number;
  readonly wanted: number | null;
}) {
  return (
    <Bar aria-hidden>
      <i style={{ left: `${100 * Math.min(1, smallest)}%` }} />
      {wanted !== null && <b style={{ left: `${100 * Math.min(1, wanted)}%` }} />}
    </Bar>
  );
}

const Plans = styled.section`
  display: grid; gap: 16px;
  & > h2 { font-size: 1.75rem; }
  & > ul { list-style: none; padding: 0; margin: 0; display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 16px 40px; }
  & > ul > li { border-top: 2px solid var(--ink); padding-top: 12px; display: flex; flex-direction: column; gap: 6px; align-items: start; }
  & > ul > li > :last-child { margin-top: auto; }
  & > ul > li > small { color: var(--ink-soft); margin-top: -4px; }
  & > ul > li[data-first] { border-color: var(--clay); }
  & > ul > li > p > b { font-family: var(--font-heading), sans-serif; font-size: 2rem; font-weight: 700; line-height: 1.1; }
  & > ul > li a { padding-block: 8px; }
  @media (max-width: 820px) { & > ul { grid-template-columns: minmax(0, 1fr); } }
`;

const Fields = styled.div`
  display: grid; grid-template-columns: 150px 260px minmax(0, 1fr); gap: 24px; align-items: end;
  & > p { padding-bottom: 10px; }
  @media (max-width: 820px) { grid-template-columns: minmax(0, 1fr); gap: 12px; }
`;

const Bar = styled.div`
  position: relative; height: 10px; width: 100%; background: var(--slate-deep); overflow: visible; margin-block: 2px 6px;
  & i { position: absolute; inset-block: 0; right: 0; background: var(--leaf); }
  & b { position: absolute; inset-block: -5px; width: 2px; background: var(--clay); }
  @media (forced-colors: active) { border: 1px solid; & i { background: Highlight; } & b { background: CanvasText; } }
`;
