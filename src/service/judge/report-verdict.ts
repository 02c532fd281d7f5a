import type { EstimableContrast, Judgement } from '@/core/judge/outcomes/judgement';
import type { OutcomeContrast, OutcomeJudgement } from '@/core/judge/outcomes/outcome-judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { OutcomeInput, OutcomeUnit } from '@/core/judge/question/outcome-input';
import { effectWords, groupWords, METHOD_WORDS } from '@/core/judge/verdict/outcome-words';
import type { PlannedVerdict } from '@/core/judge/verdict/planned-verdict';
import { shownInterval } from '@/core/judge/verdict/shown-interval';
import { pluralOf } from '@/core/words/plural';
import type { Report, ReportTable } from '@/print/report-html';

type VerdictOfReport = Pick<
  Report,
  'headline' | 'detail' | 'unitWord' | 'dots' | 'calls' | 'printValue'
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

/** What a report tells of a verdict, whatever it was judged by. */
export function verdictOfReport(
  verdict: PlannedVerdict,
  printValue: (value: number) => string,
): VerdictOfReport {
  return verdict.by === 'kind'
    ? ofKind(verdict.input, verdict.judgement)
    : ofMeans(verdict.input, verdict.judgement, printValue);
}

function ofMeans(
  input: JudgeInput,
  judgement: Judgement,
  printValue: (value: number) => string,
): VerdictOfReport {
  const {
    verdict: { headline, detail },
    groups,
    contrasts,
    warnings,
  } = judgement;
  const groupOf = (name: string) => groups.find(group => group.treatment === name);
  const own = (name: string): readonly string[] => {
    const group = groupOf(name);
    return [String(group?.n ?? 0), group ? printValue(group.mean) : '—'];
  };
  return {
    headline,
    detail,
    unitWord: input.unitWord,
    printValue,
    warnings: warnings.map(warning => warning.message),
    dots: input.treatments.map(treatment => ({
      treatment,
      values: input.units.flatMap(unit =>
        unit.treatment === treatment && unit.value !== null ? [unit.value] : [],
      ),
      mean: groupOf(treatment)?.mean ?? null,
    })),
    calls: {
      title: `Every treatment against ${input.control}`,
      heads: [
        'treatment',
        pluralOf(input.unitWord),
        'mean',
        'gap',
        '95% interval, all together',
        'so it is',
      ],
      rows: [
        ...contrasts.map(contrast => [
          contrast.treatment,
          ...own(contrast.treatment),
          ...(contrast.estimable
            ? [
                contrast.percent === null
                  ? printValue(contrast.difference)
                  : percent(contrast.percent),
                intervalOf(contrast, printValue),
                CALLS[contrast.call],
              ]
            : ['', '', 'can’t be compared']),
        ]),
        [input.control, ...own(input.control), '', '', 'the control'],
      ],
    },
    judged: judgedTable(input, unit =>
      unit.isLeftOut ? 'left out' : unit.value === null ? 'no reading' : printValue(unit.value),
    ),
  };
}

function percent(value: number): string {
  return `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(0)}%`;
}

/** The interval that the call rests on; named where it is not the usual one. */
function intervalOf(contrast: EstimableContrast, printValue: (value: number) => string): string {
  const { ci, percentCi, confidence } = shownInterval(contrast);
  const which = confidence === 95 ? '' : ` (${confidence}%)`;
  if (percentCi) return `${percentCi.map(percent).join(' to ')}${which}`;
  return ci ? `${ci.map(printValue).join(' to ')}${which}` : '—';
}

function ofKind(
  input: OutcomeInput,
  { headline, detail, groups, contrasts, warnings }: OutcomeJudgement,
): VerdictOfReport {
  const figureOf = ({ value, outOf }: OutcomeUnit): number | null =>
    value === null ? null : outOf === null ? value : value / outOf;
  const printFigure = (value: number): string =>
    input.kind === 'proportion'
      ? `${Math.round(100 * value)}%`
      : String(Number(value.toPrecision(3)));
  const wordsOf = (unit: OutcomeUnit): string =>
    unit.value === null
      ? 'no reading'
      : unit.outOf !== null && unit.outOf > 1
        ? `${unit.value} of ${unit.outOf}`
        : input.kind === 'time' && !unit.hasCome
          ? `not yet after ${unit.value} days`
          : String(unit.value);
  return {
    headline,
    detail,
    unitWord: input.unitWord,
    printValue: printFigure,
    warnings: warnings.map(warning => warning.message),
    dots: input.treatments.map(treatment => ({
      treatment,
      values: input.units.flatMap(unit => {
        const figure = figureOf(unit);
        return unit.treatment === treatment && figure !== null ? [figure] : [];
      }),
      mean: null,
    })),
    calls: {
      title: `Every treatment against ${input.control}`,
      heads: [
        'treatment',
        pluralOf(input.unitWord),
        'found',
        'how large',
        'p, of all together',
        'by',
        'so it is',
      ],
      rows: groups.map(group => [
        group.treatment,
        String(group.n),
        groupWords(input, group),
        ...againstControl(
          input,
          contrasts.find(each => each.treatment === group.treatment),
        ),
      ]),
    },
    judged: judgedTable(input, wordsOf),
  };
}

function againstControl(
  input: OutcomeInput,
  contrast: OutcomeContrast | undefined,
): readonly string[] {
  if (!contrast) return ['', '', '', 'the control'];
  if (!contrast.estimable) return ['', '', '', 'can’t be compared'];
  const size = effectWords(input, input.control, contrast.effect, contrast.difference);
  if (contrast.call === 'no-test') return [size, '—', '', CALLS[contrast.call]];
  return [
    size,
    contrast.pAdjusted < 0.001 ? '< 0.001' : contrast.pAdjusted.toFixed(3),
    METHOD_WORDS[contrast.method],
    CALLS[contrast.call],
  ];
}

function judgedTable<
  Unit extends {
    readonly id: string;
    readonly treatment: string;
    readonly blocks: readonly string[];
  },
>(
  input: {
    readonly units: readonly Unit[];
    readonly blockNames: readonly string[];
    readonly response: string;
  },
  wordsOf: (unit: Unit) => string,
): ReportTable {
  return {
    title: 'What was judged',
    heads: ['code', 'treatment', ...input.blockNames, input.response],
    rows: input.units.map(unit => [unit.id, unit.treatment, ...unit.blocks, wordsOf(unit)]),
  };
}
