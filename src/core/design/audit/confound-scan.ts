import { centresOf } from '@/core/design/site/site-bias';
import { fitLinearModel, indicatorColumns, type ModelTerm } from '@/core/stats/linear/linear-model';
import type { TrialData } from '@/core/trial/model/trial-data';

/** Two columns of a plan that go together, so that one can stand for the other. */
export interface Confound {
  readonly what: 'treatment' | string;
  readonly with: string;
  /** `wholly`: one can be read off the other. `partly`: more than a fair deal usually gives. */
  readonly how: 'wholly' | 'partly';
  /** Of the F test that the column differs between treatments, blocks allowed for; null where nothing is left to test by. */
  readonly p: number | null;
}

const BED = 'the bed'; // goes with the factor that was dealt to whole beds, by plan

/** A column of the plan: a number or a name for every unit. */
type Column =
  | { readonly name: string; readonly kind: 'number'; readonly values: readonly (number | null)[] }
  | { readonly name: string; readonly kind: 'name'; readonly values: readonly (string | null)[] };

// Nine deals in ten pass each column by chance; what is said is “worth knowing”, not a verdict.
const NOTICEABLE = 0.1;

/**
 * Looks at every factor beside every other column of the plan and of what was done: place along and across, edge, order,
 * block, bed, start size, day and order of reading, and whatever else was said to differ: variety, container, batch, tool, person.
 */
export function confoundScan(data: TrialData): readonly Confound[] {
  if (data.units.length === 0) return [];
  const blocks = blockTerms(data);
  const columns = columnsOf(data);
  return factorColumns(data).flatMap(factor =>
    columns
      .filter(column => column.name !== BED || factor.name !== data.layout?.wholeFactor)
      .flatMap((column): Confound[] => {
        const found =
          column.kind === 'number'
            ? numberBeside(factor.labels, column.values, blocks)
            : nameBeside(factor.labels, column.values, blocks);
        return found ? [{ what: factor.name, with: column.name, ...found }] : [];
      }),
  );
}

function factorColumns(
  data: TrialData,
): readonly { readonly name: string; readonly labels: readonly string[] }[] {
  const treatmentOf = new Map(data.treatments.map(treatment => [treatment.id, treatment]));
  const treatment = {
    name: 'treatment',
    labels: data.units.map(unit => treatmentOf.get(unit.treatmentId)?.name ?? ''),
  };
  if (data.factors.length < 2) return [treatment];
  return data.factors.map(factor => ({
    name: factor.name,
    labels: data.units.map(unit => treatmentOf.get(unit.treatmentId)?.levels[factor.name] ?? ''),
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

function columnsOf(data: TrialData): readonly Column[] {
  const at = centresOf(data);
  const middle = (values: readonly number[]): number =>
    (Math.min(...values) + Math.max(...values)) / 2;
  const [xs, ys] = [at.map(place => place.x), at.map(place => place.y)];
  const firstPicks = data.units.map(
    unit =>
      data.picks
        .filter(pick => pick.unitId === unit.id)
        .sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))[0],
  );
  const lastDay = data.picks
    .map(pick => pick.pickedOn)
    .sort()
    .at(-1);
  const order = data.picks
    .filter(pick => pick.pickedOn === lastDay)
    .sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))
    .map(pick => pick.unitId);
  return [
    { name: 'the place along the bench', kind: 'number', values: xs },
    { name: 'the place across the bench', kind: 'number', values: ys },
    {
      name: 'nearness to the edge',
      kind: 'number',
      values: at.map(place =>
        Math.max(Math.abs(place.x - middle(xs)), Math.abs(place.y - middle(ys))),
      ),
    },
    {
      name: 'the order of the round',
      kind: 'number',
      values: data.units.map(unit => unit.position),
    },
    { name: 'the number of the plant', kind: 'number', values: data.units.map(unit => unit.plant) },
    { name: 'start size', kind: 'number', values: data.units.map(unit => unit.startSize) },
    {
      name: 'the day of the first pick',
      kind: 'number',
      values: firstPicks.map(pick => (pick ? Date.parse(pick.pickedOn) / 86_400_000 : null)),
    },
    {
      name: 'the order of the last round',
      kind: 'number',
      values: data.units.map(unit => {
        const place = order.indexOf(unit.id);
        return place < 0 ? null : place;
      }),
    },
    { name: 'the block', kind: 'name', values: data.units.map(unit => unit.blockId) },
    { name: BED, kind: 'name', values: data.units.map(unit => unit.wholePlot) },
    ...traitNames(data).map(
      (name): Column => ({
        name,
        kind: 'name',
        values: data.units.map(unit => unit.traits[name] ?? ''),
      }),
    ),
  ];
}

/** What else was said to differ between units. */
export function traitNames({ units }: TrialData): readonly string[] {
  return [...new Set(units.flatMap(unit => Object.keys(unit.traits)))];
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
  labels: readonly string[],
  values: readonly (string | null)[],
  blocks: readonly ModelTerm[],
): Pick<Confound, 'how' | 'p'> | undefined {
  const names = [...new Set(values)];
  if (
    names.length < 2 ||
    names.length === values.length ||
    names.includes(null) ||
    new Set(labels).size < 2
  )
    return undefined;
  if (names.every(each => new Set(labels.filter((_, i) => values[i] === each)).size === 1))
    return { how: 'wholly', p: null };
  const found = names.flatMap(
    each =>
      numberBeside(
        labels,
        values.map(value => (value === each ? 1 : 0)),
        blocks,
      ) ?? [],
  );
  const least = Math.min(...found.map(each => (each.p ?? 0) * names.length)); // each name is a try of its own
  return found.length > 0 && least < NOTICEABLE ? { how: 'partly', p: least } : undefined;
}
