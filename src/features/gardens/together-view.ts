import { evidenceOf } from '@/core/judge/together/evidence';
import type { ComparisonTogether, GardenSource } from '@/core/judge/together/gardens-together';
import type { PooledGarden } from '@/core/judge/together/pooled-gardens';
import type { TogetherMeasure } from '@/core/judge/together/together-measure';
import {
  comparisonSentences,
  gapWords,
  rangeWords,
  togetherHeadline,
} from '@/core/judge/together/together-words';
import type { Trial } from '@/core/trial/model/trial';
import { listed } from '@/core/words/listed';
import { counted } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';

type Interval = readonly [number, number];

/** A row of the picture: a garden with its pots, all together, or one more garden. */
export interface ForestRow {
  readonly key: string;
  readonly kind: 'garden' | 'together' | 'next';
  readonly name: string;
  readonly note: string;
  readonly gap: string;
  readonly x: number | null;
  readonly interval: Interval | null;
  /** Its pots of the treatment, against its own control. */
  readonly dots: readonly number[];
  /** How much of the mean it is, in %. */
  readonly weight: number | null;
}

export interface ForestView {
  /** What is held against what. */
  readonly title: string;
  readonly sentences: readonly string[];
  readonly isShare: boolean;
  /** What stands behind a figure on the axis. */
  readonly unit: string;
  readonly rows: readonly ForestRow[];
  readonly band: Interval | null;
  readonly byTrait: readonly string[];
  readonly without: readonly string[];
}

/** Something that can be taken in or out for a look. */
export interface SourceRow {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly isIn: boolean;
  readonly isOwn: boolean;
}

export interface TogetherView {
  readonly headline: string;
  /** Said where the look is not at all there is. */
  readonly look: string;
  readonly forests: readonly ForestView[];
  readonly sources: readonly SourceRow[];
  readonly differs: readonly string[];
  /** How much it rests on. */
  readonly evidence: readonly string[];
}

/** @param own the trial that is looked at: it always counts */
export function togetherViewOf(
  taken: {
    readonly measure: TogetherMeasure;
    readonly sources: readonly GardenSource[];
    readonly out: ReadonlySet<string>;
    readonly comparisons: readonly ComparisonTogether[];
  },
  { id: ownId, unitWord, rules }: Pick<Trial, 'id' | 'unitWord' | 'rules'>,
): TogetherView {
  const { measure, sources, out, comparisons } = taken;
  const counting = sources.filter(source => !out.has(source.id));
  const left = sources.filter(source => out.has(source.id) && isOfPlan(source, sources));
  return {
    headline: togetherHeadline(comparisons),
    look:
      left.length === 0
        ? ''
        : `For a look, without ${left.map(({ name }) => name).join(', ')}. The answer counts them all.`,
    forests: comparisons.map(each => forestOf(each, counting, measure)),
    sources: sources.map(source => ({
      id: source.id,
      name: source.name,
      note: noteOf(source, unitWord),
      isIn: !out.has(source.id),
      isOwn: source.id === ownId || source.id.startsWith(`${ownId} `),
    })),
    differs: differencesOf(counting),
    evidence: [
      ...evidenceOf(counting, unitWord).says,
      ...agreedSeasons(counting, ownId, rules.seasons),
    ],
  };
}

/** How many seasons were agreed on before the first, and how many are in: a question is not asked until the answer is liked. */
function agreedSeasons(
  sources: readonly GardenSource[],
  ownId: string,
  agreed: number,
): readonly string[] {
  if (agreed < 2) return [];
  const own = sources.find(({ id }) => id === ownId || id.startsWith(`${ownId} `));
  const seasons = new Set(
    sources.filter(({ gardenId }) => gardenId === own?.gardenId).map(({ season }) => season),
  ).size;
  return [
    `${counted(agreed, 'season')} were agreed on before the start; ${counted(seasons, 'season')} of this garden ${seasons === 1 ? 'is' : 'are'} in${seasons > agreed ? ', more than was agreed: what came after is not part of the answer that was planned' : ''}.`,
  ];
}

/** What several gardens did otherwise is said once. */
function differencesOf(sources: readonly GardenSource[]): readonly string[] {
  const said = [...new Set(sources.flatMap(({ differs }) => differs))];
  return said.map(sentence => {
    const names = sources.filter(({ differs }) => differs.includes(sentence));
    return `${listed(names.map(({ name }) => name))}: ${sentence}`;
  });
}

/** This garden’s other seasons are taken in by a tick; all else is in from the start. */
function isOfPlan(source: GardenSource, sources: readonly GardenSource[]): boolean {
  const first = sources.find(each => each.gardenId === source.gardenId);
  return first === undefined || first.id === source.id;
}

function noteOf({ season, crop, typedFrom, answer }: GardenSource, unitWord: string): string {
  if (typedFrom !== null) return [season, 'figures typed in'].filter(Boolean).join(', ');
  const lost = answer.missing > 0 ? `, ${answer.missing} without a value` : '';
  const away = answer.leftOut > 0 ? `, ${answer.leftOut} left out` : '';
  return `${[season, crop].filter(Boolean).join(', ')}: ${counted(answer.units, unitWord)}${lost}${away}`;
}

function forestOf(
  comparison: ComparisonTogether,
  sources: readonly GardenSource[],
  measure: TogetherMeasure,
): ForestView {
  const { treatment, control, isLine, scale, gardens, together, byTrait, without, by } = comparison;
  const nameOf = (id: string): string =>
    by === 'season'
      ? (sources.find(each => each.id === id)?.season ?? '')
      : (sources.find(each => each.gardenId === id)?.name ?? '');
  const shown = (value: number): number =>
    scale === 'percent' ? value : value / (measure.responseBase ?? 1);
  const within = (interval: Interval | null): Interval | null =>
    interval && [shown(interval[0]), shown(interval[1])];
  const rows = gardens.map(
    (garden): ForestRow => ({
      key: garden.gardenId,
      kind: 'garden',
      name: nameOf(garden.gardenId),
      note: gardenNote(garden, sources),
      gap: sentenceCase(gapWords(garden.gap, scale, measure)),
      x: shown(garden.gap),
      interval: within(garden.ci),
      dots: dotsOf(garden, sources, comparison).map(shown),
      weight: garden.weight,
    }),
  );
  return {
    title: isLine
      ? `from ${control} to ${treatment}, along a line through all`
      : `${treatment} against ${control}`,
    sentences: comparisonSentences(comparison, measure, nameOf),
    isShare: scale === 'percent',
    unit: scale === 'percent' ? '%' : unitName(measure),
    rows: [...rows, ...togetherRows(comparison, measure, within, shown)],
    band: together && bandOf(measure, scale, shown),
    byTrait: byTrait.map(({ trait, levels, counts, found }) =>
      [
        `By ${trait}: `,
        levels
          .map((level, i) => {
            const each = found.levels[i];
            const gap =
              scale === 'percent' ? 100 * Math.expm1(each?.estimate ?? 0) : (each?.estimate ?? 0);
            return `${level} ${gapWords(gap, scale, measure)} (${counted(counts[i] ?? 0, 'garden')})`;
          })
          .join(', '),
        found.p < 0.05
          ? `. They differ (p ${found.p.toFixed(3)}).`
          : `. That they differ can’t be told (p ${found.p.toFixed(2)}).`,
      ].join(''),
    ),
    without: without.map(id => sources.find(each => each.id === id)?.name ?? ''),
  };
}

function togetherRows(
  { gardens, together, scale, by }: ComparisonTogether,
  measure: TogetherMeasure,
  within: (interval: Interval | null) => Interval | null,
  shown: (value: number) => number,
): readonly ForestRow[] {
  if (!together) return [];
  const isNone = together.call === 'no-difference-that-matters';
  const all: ForestRow = {
    key: 'together',
    kind: 'together',
    name: gardens.length === 2 ? 'Both together' : `All ${gardens.length} together`,
    note: `the mean effect: in ${isNone ? 90 : 95} of 100 such sets the bar holds the true one`,
    gap: sentenceCase(gapWords(together.gap, scale, measure)),
    x: shown(together.gap),
    interval: within(isNone ? together.ciEquivalence : together.ciAdjusted),
    dots: [],
    weight: null,
  };
  if (!together.prediction) return [all];
  return [
    all,
    {
      key: 'next',
      kind: 'next',
      name: `A ${by} like these`,
      note: 'where one more may lie',
      gap: sentenceCase(rangeWords(together.prediction, scale, measure)),
      x: null,
      interval: within(together.prediction),
      dots: [],
      weight: null,
    },
  ];
}

function gardenNote(garden: PooledGarden, sources: readonly GardenSource[]): string {
  const own = sources.filter(each => garden.ids.includes(each.id));
  const seasons = [...new Set(own.map(each => each.season))].filter(Boolean).join(', ');
  const soil = own[0]?.site.soil ?? '';
  const typed = own[0]?.typedFrom ? 'typed in' : '';
  return [seasons, soil, typed].filter(Boolean).join(' · ');
}

/** The pots of the treatment as shares of their own garden’s control, or as differences from it. */
function dotsOf(
  garden: PooledGarden,
  sources: readonly GardenSource[],
  { treatment, control, scale, isLine }: ComparisonTogether,
): readonly number[] {
  if (isLine) return []; // the line is of all doses: one of them would seem to be it
  return sources
    .filter(each => garden.ids.includes(each.id))
    .flatMap(({ answer }) => {
      const level = answer.gaps.find(
        gap => !gap.isLine && gap.treatment === treatment && gap.control === control,
      )?.controlLevel;
      const own = answer.dots.filter(dot => dot.treatment === treatment);
      if (level == null || (scale === 'percent' && level <= 0)) return [];
      return own.map(({ value }) =>
        scale === 'percent' ? 100 * (value / level - 1) : value - level,
      );
    });
}

function unitName({ outcome, responseUnit }: TogetherMeasure): string {
  if (outcome === 'time') return 'days';
  return responseUnit ?? '';
}

/** What is not worth having, to either side; none where it was agreed on another scale than gaps are told in. */
function bandOf(
  { margin }: TogetherMeasure,
  scale: ComparisonTogether['scale'],
  shown: (value: number) => number,
): Interval | null {
  if (!margin) return null;
  if (margin.kind === 'absolute') return [-shown(margin.amount), shown(margin.amount)];
  return scale === 'percent' ? [-margin.percent, margin.percent] : null;
}
