'use client';
import { styled } from 'styled-components';
import type { Pair } from '@/core/judge/outcomes/judgement';
import type { AgreedComparison, BetterWay, Outcome } from '@/core/judge/question/judge-input';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import { gapSize } from '@/core/judge/verdict/gap-figures';
import { GAP_WAYS } from '@/core/judge/verdict/words/size-words';
import { listed } from '@/core/words/listed';
import { sentenceCase } from '@/core/words/sentence-case';
import { printP } from '@/features/judge/print-value';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { useForm } from '@/ui/fields/use-form';
import { Soft } from '@/ui/Page';

interface AskedComparisonProps {
  readonly question: string;
  /** What was agreed on before the start. */
  readonly agreed: AgreedComparison | null;
  readonly analysis: Analysis;
  readonly printValue: (value: number) => string;
}

/** Was the question answered? Any two treatments beside each other, where the question was not about the control. */
export function AskedComparison({
  question,
  agreed,
  analysis: { judgement, input },
  printValue,
}: AskedComparisonProps) {
  const { form, field } = useForm({
    a:
      agreed?.one[0] ??
      judgement.verdict.best ??
      input.treatments.find(name => name !== input.control) ??
      '',
    b: agreed?.other[0] ?? input.control,
  });
  const { a, b } = form;
  const isAgreed =
    agreed !== null &&
    agreed.one.length === 1 &&
    agreed.other.length === 1 &&
    [a, b].every(name => [agreed.one[0], agreed.other[0]].includes(name));
  const pair = judgement.pairs.find(
    each => (each.a === a && each.b === b) || (each.a === b && each.b === a),
  );
  const options = input.treatments.map(name => ({ value: name, label: name }));
  const isFolded = agreed === null && !input.factors;
  const held = (
    <>
      <div>
        <Select label="Hold" {...field('a')} options={options} />
        <Select label="against" {...field('b')} options={options} />
      </div>
      <p role="status">
        {a === b
          ? 'Choose two that differ.'
          : pair
            ? pairWords(pair, a, {
                isAgreed,
                better: input.better,
                outcome: input.outcome,
                printSize: value => gapSize(value, input, printValue),
              })
            : 'These two can’t be compared.'}
      </p>
      {input.factors && <p>{dependsWords(judgement.interactions, input.factors.names)}</p>}
      <Soft>
        {isAgreed
          ? 'Agreed on before the start as what the question is about: held against each other by themselves.'
          : `Allowed for all pairs together (Tukey-Kramer). ${agreed ? `Agreed on before the start was ${listed(agreed.one)} against ${listed(agreed.other)}.` : 'A question about two of them only is best agreed on before the start.'}`}
      </Soft>
    </>
  );
  return (
    <Box aria-label="Was the question answered?">
      {isFolded ? (
        <Fold title="Hold any two against each other" tone="heading">
          {held}
        </Fold>
      ) : (
        <>
          <h2>“{question}”</h2>
          {held}
        </>
      )}
    </Box>
  );
}

/** What a treatment did, by what is read of it. */
const VERBS: Readonly<Record<Outcome, string>> = {
  continuous: 'gave',
  count: 'gave',
  proportion: 'gave',
  ordinal: 'stood',
  time: 'came',
};

interface PairContext {
  readonly isAgreed: boolean;
  readonly better: BetterWay;
  readonly outcome: Outcome;
  readonly printSize: (value: number) => string;
}

function pairWords(
  pair: Pair,
  first: string,
  { isAgreed, better, outcome, printSize }: PairContext,
): string {
  if (!pair.estimable) return `This layout can’t compare ${pair.a} and ${pair.b}.`;
  const [a, b, sign] = pair.a === first ? [pair.a, pair.b, 1] : [pair.b, pair.a, -1];
  const gap = sign * pair.difference;
  const [up, down] = GAP_WAYS[outcome];
  const size = `${VERBS[outcome]} ${printSize(gap)} ${gap >= 0 ? up : down}`;
  const [ci, p] = isAgreed ? [pair.ci, pair.p] : [pair.ciAdjusted, pair.pAdjusted];
  if (!ci || p === null)
    return `${sentenceCase(a)} ${size} than ${b}; how sure that is can’t be told.`;
  const ends = ci.map(end => sign * end).sort((x, y) => x - y);
  const [low = 0, high = 0] = ends;
  if (low > 0 || high < 0)
    return `${gap > 0 === (better === 'higher') ? 'Yes' : `No, ${b} did better`}: ${a} ${size} than ${b}, between ${printSize(Math.min(...ends.map(Math.abs)))} and ${printSize(Math.max(...ends.map(Math.abs)))} (p ${printP(p)}).`;
  return `Not settled: ${a} ${size} than ${b}; anything from ${printSize(low)} ${down} to ${printSize(high)} ${up} would fit (p ${printP(p)}). That one lifted the other’s level is neither shown nor ruled out.`;
}

/** Does one factor’s effect depend on the other? From the interaction’s row. */
function dependsWords(
  interactions: Analysis['judgement']['interactions'],
  names: readonly string[],
): string {
  const row = interactions.find(each => each.term === names.join(':'));
  if (!row || row.p === null) return `Whether ${names[1]} depends on ${names[0]} can’t be told.`;
  return row.p < 0.05
    ? `What ${names[1]} does depends on ${names[0]} (p ${printP(row.p)}): speak of each combination by itself.`
    : `That ${names[1]} does otherwise by ${names[0]} does not show (p ${printP(row.p)}); it may still, a little.`;
}

const Box = styled.section`
  display: grid; gap: 12px;
  & h2 { font-family: var(--font-text), sans-serif; font-size: 1.125rem; font-weight: 700; }
  & > div:not([data-fold]), & [data-folded] > div { display: grid; grid-template-columns: repeat(auto-fit, minmax(160px, 1fr)); gap: 12px; }
  & p { max-width: var(--measure); }
`;
