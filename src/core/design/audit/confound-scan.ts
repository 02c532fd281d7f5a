import { fitLinearModel, indicatorColumns, type ModelTerm } from '@/core/stats/linear/linear-model';
import { orthonormalBasis } from '@/core/stats/linear/orthonormal-basis';
import type { TrialData } from '@/core/trial/model/trial-data';
import { BED, type PlanColumn, planColumns } from './plan-columns';

/** Two columns of a plan that go together, so that one can stand for the other. */
export interface Confound {
  readonly what: 'treatment' | string;
  readonly with: string;
  /** A place or an order is dealt by lot, and may fall alike by chance; what has a name was brought along. */
  readonly kind: PlanColumn['kind'];
  /**
   * `wholly`: one can be read off the other. `arms`: some treatments can't be told from the control any more, once the column is
   * allowed for. `partly`: more than a fair deal usually gives.
   */
  readonly how: 'wholly' | 'arms' | 'partly';
  /** The treatments (or levels) of which that holds, and what they are compared with; empty where it holds of all, or of none. */
  readonly arms: readonly string[];
  readonly reference: string;
  /** Of the F test that the column differs between treatments, blocks allowed for; null where nothing is left to test by. */
  readonly p: number | null;
}

// Nine deals in ten pass each column by chance; what is said is “worth knowing”, not a verdict.
const NOTICEABLE = 0.1;

/** Looks at every factor beside every other column of the plan and of what was done. */
export function confoundScan(data: TrialData): readonly Confound[] {
  if (data.units.length === 0) return [];
  const blocks = blockTerms(data);
  const columns = planColumns(data);
  return factorColumns(data).flatMap(factor =>
    columns
      .filter(column => column.name !== BED || factor.name !== data.layout?.wholeFactor)
      .flatMap((column): Confound[] => {
        const found =
          column.kind === 'number'
            ? numberBeside(factor.labels, column.values, blocks)
            : nameBeside(factor, column.values, blocks);
        const { name: what, reference } = factor;
        const { kind } = column;
        return found ? [{ what, with: column.name, kind, reference, arms: [], ...found }] : [];
      }),
  );
}

/** A factor's level at each unit, and the level that the others are held against. */
interface FactorColumn {
  readonly name: string;
  readonly labels: readonly string[];
  readonly reference: string;
}

function factorColumns(data: TrialData): readonly FactorColumn[] {
  const treatmentOf = new Map(data.treatments.map(treatment => [treatment.id, treatment]));
  const treatment = {
    name: 'treatment',
    labels: data.units.map(unit => treatmentOf.get(unit.treatmentId)?.name ?? ''),
    reference:
      (data.treatments.find(each => each.role === 'control') ?? data.treatments[0])?.name ?? '',
  };
  if (data.factors.length < 2) return [treatment];
  return data.factors.map(factor => ({
    name: factor.name,
    labels: data.units.map(unit => treatmentOf.get(unit.treatmentId)?.levels[factor.name] ?? ''),
    reference: factor.levels[0] ?? '',
  }));
}

function blockTerms(data: TrialData): readonly ModelTerm[] {
  const termOf = (name: string, labels: readonly string[]): readonly ModelTerm[] => {
    const levels = [...new Set(labels)];
    return levels.length > 1 ? [{ name, columns: indicatorColumns(labels, levels) }] : [];
  };
  return [
    ...termOf(
      'block',
      data.units.map(unit => unit.blockId ?? ''),
    ),
    ...termOf(
      'column',
      data.units.map(unit => String(unit.column)),
    ),
  ];
}

function numberBeside(
  labels: readonly string[],
  values: readonly (number | null)[],
  blocks: readonly ModelTerm[],
): Pick<Confound, 'how' | 'p'> | undefined {
  const known = values.filter(value => value !== null);
  const levels = [...new Set(labels)];
  if (known.length < values.length || levels.length < 2 || new Set(known).size < 2)
    return undefined;
  const model = fitLinearModel(known, [
    ...blocks,
    { name: 'factor', columns: indicatorColumns(labels, levels) },
  ]);
  const row = model.anova.find(each => each.term === 'factor');
  if (!row || row.ss < 1e-9) return undefined;
  if (model.residualDf > 0 && model.residualSs < 1e-9 * row.ss)
    return isReadOff(known, labels, levels, blocks, 1e-9 * row.ss)
      ? { how: 'wholly', p: null }
      : { how: 'partly', p: null };
  return row.p !== null && row.p < NOTICEABLE ? { how: 'partly', p: row.p } : undefined;
}

/** Whether every level can be told by its value: in some squares two treatments share the edge evenly, and that is less than going together. */
function isReadOff(
  values: readonly number[],
  labels: readonly string[],
  levels: readonly string[],
  blocks: readonly ModelTerm[],
  tolerance: number,
): boolean {
  return levels.every((a, i) =>
    levels.slice(i + 1).every(b => {
      const merged = labels.map(label => (label === b ? a : label));
      const model = fitLinearModel(
        values,
        levels.length > 2
          ? [
              ...blocks,
              {
                name: 'factor',
                columns: indicatorColumns(
                  merged,
                  levels.filter(level => level !== b),
                ),
              },
            ]
          : blocks,
      );
      return model.residualSs > tolerance;
    }),
  );
}

/** A name that goes with one level only can be mistaken for it: all mulched plots in one bed, all fed tubs from one batch. */
function nameBeside(
  { labels, reference }: FactorColumn,
  values: readonly (string | null)[],
  blocks: readonly ModelTerm[],
): Pick<Confound, 'how' | 'p' | 'arms'> | undefined {
  const names = [...new Set(values)];
  if (
    names.length < 2 ||
    names.length === values.length ||
    names.includes(null) ||
    new Set(labels).size < 2
  )
    return undefined;
  if (names.every(each => new Set(labels.filter((_, i) => values[i] === each)).size === 1))
    return { how: 'wholly', p: null, arms: [] };
  const arms = armsLost(labels, reference, indicatorsOf(values), blocks);
  if (arms.length > 0) return { how: 'arms', p: null, arms };
  const found = names.flatMap(
    each =>
      numberBeside(
        labels,
        values.map(value => (value === each ? 1 : 0)),
        blocks,
      ) ?? [],
  );
  const least = Math.min(...found.map(each => (each.p ?? 0) * names.length)); // each name is a try of its own
  return found.length > 0 && least < NOTICEABLE ? { how: 'partly', p: least, arms: [] } : undefined;
}

function indicatorsOf(values: readonly (string | null)[]): readonly (readonly number[])[] {
  const labels = values.map(value => value ?? '');
  return indicatorColumns(labels, [...new Set(labels)]);
}

/** Levels whose difference from the reference can be estimated in this plan, but no more once the column is allowed for. */
function armsLost(
  labels: readonly string[],
  reference: string,
  column: readonly (readonly number[])[],
  blocks: readonly ModelTerm[],
): readonly string[] {
  const inBlocks = blocks.flatMap(term => term.columns);
  const beside = [...inBlocks, ...column];
  const levels = [reference, ...new Set(labels.filter(label => label !== reference))];
  const own = (level: string): readonly number[] => labels.map(label => Number(label === level));
  return levels.slice(1).filter(level => {
    const others = levels
      .slice(1)
      .filter(other => other !== level)
      .map(own);
    return (
      isNew(own(level), [...inBlocks, ...others]) && !isNew(own(level), [...beside, ...others])
    );
  });
}

/** Whether a column adds something to an intercept and those beside it. */
function isNew(column: readonly number[], beside: readonly (readonly number[])[]): boolean {
  return orthonormalBasis(column.length, [...beside, column]).columns.at(-1)?.vector !== -1;
}
