import { overallCall } from '@/core/judge/verdict/call';
import { compareKinds, type MetaRegression } from '@/core/stats/meta/meta-regression';
import type { SiteFacts } from '@/core/trial/shared/results-file';
import type { GardenAnswer, GardenGap } from './garden-answer';
import { type PooledComparison, type PooledGarden, poolGardens } from './pooled-gardens';
import type { TogetherMeasure } from './together-measure';
import { isShareTold } from './told-in';

/** One garden in one season, as it is taken together with others. */
export interface GardenSource {
  readonly id: string;
  readonly gardenId: string;
  readonly name: string;
  /** The year in which it ended. */
  readonly season: string;
  readonly crop: string;
  readonly site: Pick<SiteFacts, 'place' | 'soil' | 'traits'>;
  /** In what it differs from the plan; each a sentence. */
  readonly differs: readonly string[];
  /** Figures that were typed in, not a trial of ours: from where. */
  readonly typedFrom: string | null;
  /** Whoever measured did not know what each unit got. */
  readonly isBlind: boolean;
  readonly answer: GardenAnswer;
}

/** What a trait of the gardens has to do with what a treatment does there. */
export interface ByTrait {
  readonly trait: string;
  readonly levels: readonly string[];
  readonly counts: readonly number[];
  readonly found: MetaRegression;
}

export interface ComparisonTogether extends PooledComparison {
  /** By soil or another trait of the gardens, where there are enough. */
  readonly byTrait: readonly ByTrait[];
}

/** Every comparison of a question over all gardens and seasons that answered it. */
export function gardensTogether(
  sources: readonly GardenSource[],
  measure: TogetherMeasure,
): readonly ComparisonTogether[] {
  const { better, margin } = measure;
  const asked = comparisonsOf(sources);
  const spec = {
    better,
    margin,
    isShare: isShareTold(measure),
    comparisons: Math.max(1, asked.length),
  };
  return asked.map(comparison => {
    const findings = sources.flatMap(source => {
      const gap = source.answer.gaps.find(each => isSame(each, comparison));
      return gap ? [{ id: source.id, gardenId: source.gardenId, gap }] : [];
    });
    const pooled = poolGardens(comparison, findings, spec);
    return { ...pooled, byTrait: byTraits(pooled.gardens, sources) };
  });
}

/** In the order of the garden that asked, which comes first. */
function comparisonsOf(sources: readonly GardenSource[]): readonly Asked[] {
  const all = sources.flatMap(source => source.answer.gaps);
  return all.filter((gap, i) => all.findIndex(each => isSame(each, gap)) === i);
}

/** What is compared, and how. */
type Asked = Pick<GardenGap, 'treatment' | 'control' | 'isLine'>;

const key = (name: string): string => name.trim().toLowerCase();

function isSame(a: Asked, b: Asked): boolean {
  return (
    a.isLine === b.isLine &&
    key(a.treatment) === key(b.treatment) &&
    key(a.control) === key(b.control)
  );
}

/** Fewer gardens of a kind say nothing of the kind. Common practice, no source. */
const FEWEST_OF_A_KIND = 3;

/** Soil and the other traits: those of which two kinds and more have enough gardens. */
function byTraits(
  gardens: readonly PooledGarden[],
  sources: readonly GardenSource[],
): readonly ByTrait[] {
  const traitsOf = (gardenId: string): Readonly<Record<string, string>> => {
    const site = sources.find(source => source.gardenId === gardenId)?.site;
    return site ? { soil: site.soil, ...site.traits } : {};
  };
  const names = new Set(gardens.flatMap(({ gardenId }) => Object.keys(traitsOf(gardenId))));
  return [...names].flatMap((trait): ByTrait[] => {
    const told = gardens.flatMap(({ gardenId, site }) => {
      const level = key(traitsOf(gardenId)[trait] ?? '');
      return level === '' ? [] : [{ level, site }];
    });
    const levels = [...new Set(told.map(({ level }) => level))]
      .filter(level => told.filter(each => each.level === level).length >= FEWEST_OF_A_KIND)
      .sort();
    if (levels.length < 2) return [];
    const known = told.filter(({ level }) => levels.includes(level));
    const found = compareKinds(
      known.map(({ site }) => site),
      known.map(({ level }) => levels.indexOf(level)),
    );
    const counts = levels.map(level => known.filter(each => each.level === level).length);
    return [{ trait, levels, counts, found }];
  });
}

/** One word for all comparisons. */
export function callTogether(comparisons: readonly ComparisonTogether[]) {
  return overallCall(comparisons.map(({ together }) => ({ call: together?.call ?? 'no-test' })));
}
