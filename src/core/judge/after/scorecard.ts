import { callsOf } from '@/core/judge/outcomes/judge';
import type { Call, Contrast, TreatmentGroup } from '@/core/judge/outcomes/judgement';
import { figureOf, isRead, type JudgeInput } from '@/core/judge/question/judge-input';
import { type AnalysisSpec, judgeInputOf } from '@/core/judge/units/trial-analysis';
import { isBetter, isWorse } from '@/core/judge/verdict/call';
import { groupWords } from '@/core/judge/verdict/words/group-words';
import { METHOD_WORDS } from '@/core/judge/verdict/words/method-words';
import { isGainOrLoss } from '@/core/measure/library/reading-library';
import { partsOf } from '@/core/measure/unit-value/parts-apart';
import { unitValues } from '@/core/measure/unit-value/unit-values';
import { correlation } from '@/core/stats/categorical/rank-tests';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';

/** One treatment in one measure. */
export interface ScoreCell {
  readonly treatment: string;
  /** As one says it; empty where nothing was read. */
  readonly words: string;
  /** Beside the control; null of the control itself. */
  readonly call: Call | null;
  /** How good it is among the treatments, in standard deviations of units treated alike; null where that is not known. */
  readonly standing: number | null;
  /** Of what is judged by kind: how often a deal makes a difference as large. Of means the shuffles say it, and take longer. */
  readonly luck: number | null;
}

/** One measure of a trial, judged by its own method. */
export interface ScoreRow {
  readonly measureId: string;
  /** Of a measure whose parts are kept apart, one of them; null of the whole. */
  readonly part: string | null;
  readonly name: string;
  readonly isMain: boolean;
  readonly better: Measure['better'] | 'neither';
  readonly method: string;
  /** Judged by its mean: then it can be shuffled. */
  readonly isByMean: boolean;
  readonly cells: readonly ScoreCell[];
  /** The measure before it that says the same thing. */
  readonly sameAs: string | null;
}

/** All that was measured, beside each other. */
export interface Scorecard {
  readonly rows: readonly ScoreRow[];
  /** How many were looked at beside the main one, those that say one thing counted as one. */
  readonly measureCount: number;
  /** Of so many, how many would look better or worse by luck alone, and how likely at least one. */
  readonly expectedByChance: number;
  readonly chanceOfOne: number;
}

interface Read {
  readonly measure: Measure;
  /** The trial as far as this measure, or this part of it, was read. */
  readonly data: TrialData;
  readonly part: string | null;
  /** In the units' order. */
  readonly values: readonly (number | null)[];
}

const ALPHA = 0.05;
const SAME = 0.9; // from such a correlation of the units on, two measures are one (common practice, no source)

/** Judges every measure of a trial by its own method. The main one keeps its margin; the others have none of their own. */
export function scorecardOf(
  data: TrialData,
  spec: AnalysisSpec,
  printOf: (measure: Measure) => (value: number) => string,
): Scorecard {
  const read = data.measures
    .flatMap(measure => [{ measure, data, part: null }, ...partsOf(data, measure)])
    .map(
      (each): Read => ({
        ...each,
        values: unitValues(each.data, each.measure).map(unit => unit.value),
      }),
    )
    .filter(({ values }) => values.some(value => value !== null));
  const rows: (ScoreRow & Pick<Read, 'values'>)[] = [];
  for (const { measure, part, values, data: own } of [...read].sort(
    (a, b) => Number(b.measure.isMain) - Number(a.measure.isMain),
  )) {
    const ordered = measure.scale?.kind === 'class' ? [] : values; // the numbers of classes are names
    const same = rows.find(row => saySame(ordered, row.values));
    rows.push({
      ...scoreRow(own, measure, spec, printOf(measure)),
      part,
      sameAs: same?.name ?? null,
      values: ordered,
    });
  }
  const lookedAt = rows.filter(row => !row.isMain && row.sameAs === null).length;
  return {
    rows: rows.map(({ values: _, ...row }) => row),
    measureCount: lookedAt,
    expectedByChance: ALPHA * lookedAt,
    chanceOfOne: 1 - (1 - ALPHA) ** lookedAt,
  };
}

function scoreRow(
  data: TrialData,
  measure: Measure,
  spec: AnalysisSpec,
  print: (value: number) => string,
): Omit<ScoreRow, 'sameAs' | 'part'> {
  const own: AnalysisSpec = {
    ...spec,
    measureId: measure.id,
    margin: measure.isMain ? spec.margin : null,
    shuffles: 0,
  };
  const { id: measureId, name, isMain } = measure;
  const better = isGainOrLoss(measure) ? measure.better : 'neither';
  const input = judgeInputOf(data, own);
  const judged = cellsOf(input, measure, print);
  return { measureId, name, isMain, better, isByMean: input.outcome === 'continuous', ...judged };
}

type Judged = Pick<ScoreRow, 'method' | 'cells'>;

function cellsOf(input: JudgeInput, { better }: Measure, print: (value: number) => string): Judged {
  const judged = callsOf(input);
  const groupOf = (treatment: string): TreatmentGroup | undefined =>
    judged.groups.find(group => group.treatment === treatment);
  const levels = input.treatments.map(
    treatment => judged.adjustedMeans[treatment] ?? groupOf(treatment)?.mean ?? null,
  );
  const units = input.units.map(unit => ({
    treatment: unit.treatment,
    value: isRead(unit) ? figureOf(unit) : null,
  }));
  const standings = standingsOf(levels, units, better);
  return {
    method: METHOD_WORDS[input.outcome],
    cells: input.treatments.map((treatment, i) => ({
      treatment,
      words:
        input.outcome === 'continuous'
          ? printed(groupOf(treatment)?.mean, print)
          : wordsOf(input, groupOf(treatment)),
      standing: standings[i] ?? null,
      call: callOfTreatment(treatment, input.control, judged.contrasts),
      luck: input.outcome === 'continuous' ? null : pOf(treatment, judged.contrasts),
    })),
  };
}

function wordsOf(input: JudgeInput, group: TreatmentGroup | undefined): string {
  return group ? groupWords(input, group) : '';
}

function pOf(treatment: string, contrasts: readonly Contrast[]): number | null {
  const contrast = contrasts.find(each => each.treatment === treatment);
  return contrast?.estimable ? contrast.pAdjusted : null;
}

/** The plain mean, as it stands in every other table; what is allowed for blocks is in the call. */
function printed(mean: number | undefined, print: (value: number) => string): string {
  return mean === undefined ? '' : print(mean);
}

function callOfTreatment(
  treatment: string,
  control: string,
  contrasts: readonly { readonly treatment: string; readonly call: Call }[],
): Call | null {
  return treatment === control
    ? null
    : (contrasts.find(contrast => contrast.treatment === treatment)?.call ?? 'no-test');
}

/** Distance from the middle of the treatments, in standard deviations of units treated alike, the good way up. */
function standingsOf(
  values: readonly (number | null)[],
  units: readonly { readonly treatment: string; readonly value: number | null }[],
  better: Measure['better'],
): readonly (number | null)[] {
  const known = values.filter(value => value !== null);
  const middle = known.reduce((sum, value) => sum + value, 0) / Math.max(1, known.length);
  const groups = new Map<string, number[]>();
  for (const { treatment, value } of units)
    if (value !== null) groups.set(treatment, [...(groups.get(treatment) ?? []), value]);
  let [squares, df] = [0, 0];
  for (const own of groups.values()) {
    const mean = own.reduce((sum, value) => sum + value, 0) / own.length;
    squares += own.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    df += own.length - 1;
  }
  const sd = df > 0 ? Math.sqrt(squares / df) : 0;
  return values.map(value =>
    value === null || !(sd > 0) ? null : ((better === 'higher' ? 1 : -1) * (value - middle)) / sd,
  );
}

/** Whether two measures go together over the units so closely that they are one. */
function saySame(a: Read['values'], b: Read['values']): boolean {
  const pairs = a.flatMap((value, i): (readonly [number, number])[] => {
    const other = b[i];
    return value === null || other == null ? [] : [[value, other]];
  });
  return (
    pairs.length > 3 &&
    Math.abs(
      correlation(
        pairs.map(pair => pair[0]),
        pairs.map(pair => pair[1]),
      ),
    ) >= SAME
  );
}

/** How many measures each treatment won or lost against the control, sure calls only. */
export function winsOf({
  rows,
}: Scorecard): ReadonlyMap<string, { readonly better: number; readonly worse: number }> {
  const wins = new Map<string, { readonly better: number; readonly worse: number }>();
  for (const row of rows.filter(each => each.sameAs === null && each.better !== 'neither'))
    for (const { treatment, call } of row.cells) {
      if (call === null) continue;
      const standing = wins.get(treatment) ?? { better: 0, worse: 0 };
      wins.set(treatment, {
        better: standing.better + Number(isBetter(call)),
        worse: standing.worse + Number(isWorse(call)),
      });
    }
  return wins;
}
