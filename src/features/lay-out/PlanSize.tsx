'use client';

import { useMemo, useState } from 'react';
import { styled } from 'styled-components';
import { chanceOfSeeing, detectableDifference, unitsForDifference } from '@/core/design/plan-size';
import { Soft } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { pluralOf } from '@/core/words/plural';

interface PlanSizeProps {
  readonly unitsEach: number;
  readonly treatments: number;
  readonly unitWord: string;
  readonly marginPercent: number | null;
}

const GAPS = [15, 25, 40, 60, 100] as const;

/** What so many units can show, before anything is planted. */
export function PlanSize({ unitsEach, treatments, unitWord, marginPercent }: PlanSizeProps) {
  const [spread, setSpread] = useState('30');
  const cv = Number(spread.replace(',', '.')) / 100;
  const isSpread = cv >= 0.01 && cv <= 2;
  const plan = useMemo(() => ({ cv, alpha: 0.05, power: 0.8, comparisons: Math.max(1, treatments - 1) }), [cv, treatments]);
  const isCount = Number.isInteger(unitsEach) && unitsEach >= 1 && unitsEach <= 240;
  return (
    <Section>
      <h2>What {isCount ? unitsEach * treatments : 'so many'} {pluralOf(unitWord)} can show</h2>
      {isCount && isSpread && unitsEach === 1 && <p><b>One {unitWord} each can’t decide anything.</b> The gap between two {pluralOf(unitWord)} treated alike can’t be told from the gap between two feeds. At least two each; four to eight tell something.</p>}
      {isCount && isSpread && unitsEach >= 2 && (
        <>
          <p>A gap of <b>{Math.round(100 * detectableDifference(plan, unitsEach))}%</b> from the control would be seen four times in five.{marginPercent !== null && ` ${worthWords(marginPercent, plan, unitsEach, unitWord)}`}</p>
          <table>
            <thead><tr><th scope="col">If the true gap is</th>{gapsWith(marginPercent).map(gap => <th key={gap} scope="col">{gap}%</th>)}</tr></thead>
            <tbody><tr><th scope="row">it is seen, of 100 times</th>{gapsWith(marginPercent).map(gap => <td key={gap}>{Math.round(100 * chanceOfSeeing(plan, unitsEach, gap / 100))}</td>)}</tr></tbody>
          </table>
        </>
      )}
      <div data-spread>
        <TextField label={`Two ${pluralOf(unitWord)} treated alike usually differ by, %`} name="spread" value={spread} onChange={setSpread} inputMode="decimal" trouble={isSpread ? undefined : 'Between 1 and 200.'} />
      </div>
      <Soft>The spread is a starting guess (standard deviation over mean), not your own figure. Exact power of the t test at 5%, shared out over {treatments - 1} {treatments === 2 ? 'comparison' : 'comparisons'} after Šidák.</Soft>
    </Section>
  );
}

function gapsWith(marginPercent: number | null): readonly number[] {
  const gaps = marginPercent === null || GAPS.some(gap => gap === marginPercent) ? [...GAPS] : [...GAPS, marginPercent];
  return gaps.sort((a, b) => a - b);
}

function worthWords(marginPercent: number, plan: Parameters<typeof chanceOfSeeing>[0], unitsEach: number, unitWord: string): string {
  if (chanceOfSeeing(plan, unitsEach, marginPercent / 100) >= plan.power) return `The ${marginPercent}% worth having would be seen, too.`;
  const needed = unitsForDifference(plan, marginPercent / 100);
  return `For the ${marginPercent}% worth having it would take ${needed === null ? 'more than a thousand' : needed} ${pluralOf(unitWord)} of each; fewer treatments leave more for each.`;
}

const Section = styled.section`
  display: grid; gap: 12px; border-top: 1px solid var(--rule); padding-top: 16px;
  & table { font-size: 0.9375rem; }
  & th, & td { padding-right: 8px; }
  & [data-spread] { max-width: 340px; }
  & [data-spread] input { max-width: 120px; }
`;
