import type { EstimableContrast, Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { printFigure, printP } from '@/features/judge/print-value';

/** One step of how a figure came about: the formula, with this trial's numbers in it. */
export interface WorkingStep {
  readonly figure: string;
  readonly formula: string;
  readonly numbers: string;
  readonly source: string;
}

/** How the figures of one comparison came about, in the order in which they build on each other. */
export function workingOf(
  contrast: EstimableContrast,
  judgement: Judgement,
  input: JudgeInput,
): readonly WorkingStep[] {
  const { shuffle } = judgement;
  return [
    ...(input.outcome === 'continuous'
      ? [...gapSteps(contrast, judgement, input), ...spreadSteps(contrast, judgement)]
      : modelSteps(contrast, input)),
    ...intervalSteps(contrast, input),
    ...(shuffle && contrast.shufflePAdjusted !== null && contrast.reach !== null
      ? [shuffleStep(contrast.shufflePAdjusted, shuffle.exact, shuffle.arrangements)]
      : []),
  ];
}

/** What the working model of counts, shares, steps and days has found, on its own scale. */
function modelSteps(
  { reach, effect, difference }: EstimableContrast,
  { outcome, blockNames }: JudgeInput,
): readonly WorkingStep[] {
  if (!reach) return [];
  const within = blockNames.length > 0 ? `, ${blockNames.join(' and ')} allowed for` : '';
  const found = printFigure(reach.estimate);
  switch (outcome) {
    case 'count':
      return [
        {
          figure: 'how many times as many',
          formula: 'e to the difference of the logarithms',
          numbers: `exp(${found}) = ${printFigure(effect?.value ?? Math.exp(reach.estimate))}`,
          source: `quasi-Poisson${within}; Wedderburn 1974`,
        },
      ];
    case 'proportion':
      return [
        {
          figure: 'gap',
          formula: 'share of the one − share of the other',
          numbers: `${printFigure(difference)}, or ${printFigure(100 * difference)} points`,
          source: `shares unit by unit, weighed by their items${within}`,
        },
      ];
    case 'ordinal':
      return [
        {
          figure: 'shift',
          formula: 'the middle of all differences of one unit and another',
          numbers: printFigure(difference),
          source: 'Hodges & Lehmann 1963',
        },
        {
          figure: 'gap in ranks',
          formula: 'mean rank of the one − mean rank of the other',
          numbers: found,
          source: `ranks, each first held against the mean of its block${within}`,
        },
      ];
    case 'time':
      return [
        {
          figure: 'gap in days',
          formula: 'mean wait of the one − mean wait of the other',
          numbers: found,
          source: `up to a day on which all curves are known${within}; Andersen, Hansen & Klein 2004`,
        },
      ];
    case 'continuous':
      return [];
  }
}

const TOGETHER = 'it holds for all comparisons with the control together';

/** From the error that the call rests on to the interval. */
function intervalSteps(
  { reach, ciAdjusted, percentCiAdjusted, pAdjusted }: EstimableContrast,
  { outcome }: JudgeInput,
): readonly WorkingStep[] {
  if (!reach || !ciAdjusted) return [];
  const { estimate, se, df, critical, isOwnSpread } = reach;
  const source = isOwnSpread
    ? `each treatment’s own spread, on ${printFigure(df)} degrees of freedom (Welch 1947; Hasler & Hothorn 2008): ${TOGETHER}`
    : `Dunnett 1955: ${TOGETHER}`;
  const ends = outcome === 'count' && percentCiAdjusted ? percentCiAdjusted : ciAdjusted;
  const after = outcome === 'count' ? ', in percent after e to it' : '';
  const formula =
    outcome === 'ordinal'
      ? 'all shifts that, taken off again, the ranks let stand'
      : 'gap ± critical value × standard error';
  const sum =
    outcome === 'ordinal'
      ? `|t| below ${printFigure(critical)}`
      : `${printFigure(estimate)} ± ${printFigure(critical)} × ${printFigure(se)}${after}`;
  return [
    {
      figure: '95% interval',
      formula,
      numbers: `${sum} = ${printFigure(ends[0])} to ${printFigure(ends[1])}; adjusted p ${printP(pAdjusted)}`,
      source,
    },
  ];
}

function gapSteps(
  { treatment, control: name, difference, percent }: EstimableContrast,
  { adjustedMeans }: Judgement,
  { blockNames }: JudgeInput,
): readonly WorkingStep[] {
  const treated = adjustedMeans[treatment] ?? null;
  const control = adjustedMeans[name] ?? null;
  const adjusted =
    blockNames.length > 0 ? `means adjusted for ${blockNames.join(' and ')}` : 'plain means';
  const steps: WorkingStep[] = [];
  if (treated !== null && control !== null)
    steps.push({
      figure: 'gap',
      formula: `mean of ${treatment} − mean of ${name}`,
      numbers: `${printFigure(treated)} − ${printFigure(control)} = ${printFigure(difference)}`,
      source: `${adjusted}, least squares`,
    });
  if (percent !== null && control !== null)
    steps.push({
      figure: 'gap in %',
      formula: '100 × gap ÷ mean of the control',
      numbers: `100 × ${printFigure(difference)} ÷ ${printFigure(control)} = ${printFigure(percent)}%`,
      source: 'interval: Fieller 1954',
    });
  return steps;
}

/** From the spread of units treated alike to Student's t; none where there is no spread to judge by. */
function spreadSteps(
  { se, df, t, p, difference }: EstimableContrast,
  { anova }: Judgement,
): readonly WorkingStep[] {
  const residual = anova.at(-1);
  if (se === null || t === null || !residual) return [];
  const residualMs = residual.ss / residual.df;
  const steps: WorkingStep[] = [
    {
      figure: 'spread of units treated alike',
      formula: '√(residual sum of squares ÷ its degrees of freedom)',
      numbers: `√(${printFigure(residual.ss)} ÷ ${residual.df}) = ${printFigure(Math.sqrt(residualMs))}`,
      source: 'analysis of variance',
    },
    {
      figure: 'standard error of the gap',
      formula: 'spread × √(share that the numbers of units leave)',
      numbers: `${printFigure(Math.sqrt(residualMs))} × √${printFigure((se * se) / residualMs)} = ${printFigure(se)}`,
      source: 'with equal numbers n each: √(2 ÷ n)',
    },
    {
      figure: 't',
      formula: 'gap ÷ standard error',
      numbers: `${printFigure(difference)} ÷ ${printFigure(se)} = ${printFigure(t)}, p ${printP(p)} on ${df} degrees of freedom`,
      source: 'Student 1908',
    },
  ];
  return steps;
}

function shuffleStep(pAdjusted: number, isExact: boolean, deals: number): WorkingStep {
  return isExact
    ? {
        figure: 'shuffle p',
        formula: 'deals with as large a gap ÷ all deals',
        numbers: `${Math.round(pAdjusted * deals)} ÷ ${deals} = ${printP(pAdjusted)}`,
        source: 'exact; largest gap of each deal, Westfall & Young 1993',
      }
    : {
        figure: 'shuffle p',
        formula: '(deals with as large a gap + 1) ÷ (deals + 1)',
        numbers: `(${Math.round(pAdjusted * (deals + 1)) - 1} + 1) ÷ (${deals} + 1) = ${printP(pAdjusted)}`,
        source: 'Phipson & Smyth 2010; largest gap of each deal, Westfall & Young 1993',
      };
}
