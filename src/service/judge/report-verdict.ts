import type { JudgedUnit } from '@/core/design/linear/design-input';
import type { Contrast, EstimableContrast, Judgement } from '@/core/judge/outcomes/judgement';
import { figureOf, isRead, type JudgeInput } from '@/core/judge/question/judge-input';
import { marginAmount } from '@/core/judge/verdict/call';
import { figurePrinter } from '@/core/judge/verdict/figure-printer';
import { gapFigure, intervalFigures } from '@/core/judge/verdict/gap-figures';
import type { PlannedVerdict } from '@/core/judge/verdict/planned-verdict';
import { shownInterval } from '@/core/judge/verdict/shown-interval';
import { groupWords } from '@/core/judge/verdict/words/group-words';
import { METHOD_WORDS } from '@/core/judge/verdict/words/method-words';
import { unitWords } from '@/core/judge/verdict/words/unit-words';
import { pluralOf } from '@/core/words/plural';
import type { Report, ReportDots, ReportTable } from '@/print/report/report';

type VerdictOfReport = Pick<
  Report,
  'headline' | 'detail' | 'unitWord' | 'dots' | 'band' | 'calls' | 'printValue' | 'control'
> & {
  readonly warnings: readonly string[];
  /** What the judge was given, unit by unit. */
  readonly judged: ReportTable;
};

const CALLS = {
  'clearly-better': 'clearly better',
  better: 'better',
  'no-difference-that-matters': 'no difference that matters',
  worse: 'worse',
  'clearly-worse': 'clearly worse',
  'cant-tell': 'can’t tell',
  'no-test': 'no test',
} as const;

/**
 * What a report tells of a verdict, whatever it was judged by.
 *
 * @param printMeasured a value of a measure that has a mean, in its own unit
 */
export function verdictOfReport(
  { input, judgement }: PlannedVerdict,
  printMeasured: (value: number) => string,
): VerdictOfReport {
  const printValue = figurePrinter(input, printMeasured);
  const {
    verdict: { headline, detail },
    warnings,
  } = judgement;
  return {
    headline,
    detail,
    unitWord: input.unitWord,
    printValue,
    warnings: warnings.map(warning => warning.message),
    control: input.control,
    dots: dotsOf(input, judgement),
    band: bandOf(input, judgement),
    calls: callsTable(input, judgement, printValue),
    judged: judgedTable(input, printValue),
  };
}

/** On the measure’s own scale, whichever way the gap is told. */
function dotsOf(input: JudgeInput, judgement: Judgement): readonly ReportDots[] {
  const control = controlMean(input, judgement);
  return input.treatments.map(treatment => {
    const own = input.units.filter(isRead).filter(unit => unit.treatment === treatment);
    const contrast = judgement.contrasts.find(each => each.treatment === treatment);
    const { ci, percentCi } =
      contrast?.estimable === true && contrast.call !== 'no-test'
        ? shownInterval(contrast, input)
        : { ci: null, percentCi: null };
    const ends = percentCi ? percentCi.map(percent => control * (percent / 100)) : ci;
    return {
      treatment,
      values: own.map(figureOf),
      mean: hasMean(input)
        ? (judgement.groups.find(group => group.treatment === treatment)?.mean ?? null)
        : null,
      interval:
        ends && hasMean(input) ? [control + (ends[0] ?? 0), control + (ends[1] ?? 0)] : null,
    };
  });
}

function bandOf(input: JudgeInput, judgement: Judgement): Report['band'] {
  const control = controlMean(input, judgement);
  const margin = marginAmount(input.margin, control);
  if (!hasMean(input) || !(margin > 0)) return null;
  return { control, ends: [control - margin, control + margin] };
}

function controlMean({ control }: JudgeInput, { adjustedMeans, groups }: Judgement): number {
  return adjustedMeans[control] ?? groups.find(group => group.treatment === control)?.mean ?? 0;
}

function hasMean({ outcome }: JudgeInput): boolean {
  return outcome === 'continuous' || outcome === 'count';
}

function callsTable(
  input: JudgeInput,
  { groups, contrasts }: Judgement,
  printValue: (value: number) => string,
): ReportTable {
  const own = (name: string): readonly string[] => {
    const group = groups.find(each => each.treatment === name);
    const found =
      input.outcome === 'continuous' && group ? printValue(group.mean) : groupWords(input, group);
    return [String(group?.n ?? 0), found];
  };
  return {
    title:
      input.outcome === 'continuous'
        ? `Every treatment against ${input.control}`
        : `Every treatment against ${input.control}, judged by ${METHOD_WORDS[input.outcome]}`,
    heads: [
      'treatment',
      pluralOf(input.unitWord),
      input.outcome === 'continuous' ? 'mean' : 'found',
      'gap',
      '95% interval, all together',
      'p, all together',
      'Result',
    ],
    rows: [
      ...contrasts.map(contrast => [
        contrast.treatment,
        ...own(contrast.treatment),
        ...againstControl(input, contrast, printValue),
      ]),
      [input.control, ...own(input.control), '', '', '', 'the control'],
    ],
  };
}

function againstControl(
  input: JudgeInput,
  contrast: Contrast,
  printValue: (value: number) => string,
): readonly string[] {
  if (!contrast.estimable) return ['', '', '', 'can’t be compared'];
  const gap = gapFigure(contrast, input, printValue);
  if (contrast.call === 'no-test') return [gap, '—', '—', CALLS[contrast.call]];
  const p = contrast.pAdjusted;
  return [
    gap,
    intervalOf(contrast, input, printValue),
    p === null ? '—' : p < 0.001 ? '< 0.001' : p.toFixed(3),
    CALLS[contrast.call],
  ];
}

/** The interval that the call rests on; named where it is not the usual one. */
function intervalOf(
  contrast: EstimableContrast,
  input: JudgeInput,
  printValue: (value: number) => string,
): string {
  const { confidence } = shownInterval(contrast, input);
  const ends = intervalFigures(contrast, input, printValue);
  const which = confidence === 95 ? '' : ` (${confidence}%)`;
  return ends ? `${ends.join(' to ')}${which}` : '—';
}

function judgedTable(input: JudgeInput, printValue: (value: number) => string): ReportTable {
  const wordsOf = (unit: JudgedUnit): string => unitWords(unit, input, printValue);
  return {
    title: 'What was judged',
    heads: ['code', 'treatment', ...input.blockNames, input.response],
    rows: input.units.map(unit => [unit.id, unit.treatment, ...unit.blocks, wordsOf(unit)]),
  };
}
