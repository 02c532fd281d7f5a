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
    ...gapSteps(contrast, judgement, input),
    ...spreadSteps(contrast, judgement),
    ...(shuffle && contrast.shufflePAdjusted !== null && hasSpread(contrast, judgement)
      ? [shuffleStep(contrast.shufflePAdjusted, shuffle.exact, shuffle.arrangements)]
      : []),
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

function hasSpread({ se, t }: EstimableContrast, { anova }: Judgement): boolean {
  return se !== null && t !== null && anova.length > 0;
}

/** From the spread of units treated alike to the interval; none where there is no spread to judge by. */
function spreadSteps(
  { se, df, t, p, pAdjusted, difference, ciAdjusted }: EstimableContrast,
  { anova, criticalT }: Judgement,
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
  if (criticalT !== null && ciAdjusted)
    steps.push({
      figure: '95% interval',
      formula: 'gap ± critical value × standard error',
      numbers: `${printFigure(difference)} ± ${printFigure(criticalT)} × ${printFigure(se)} = ${printFigure(ciAdjusted[0])} to ${printFigure(ciAdjusted[1])}; adjusted p ${printP(pAdjusted)}`,
      source: 'Dunnett 1955: it holds for all comparisons with the control together',
    });
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
