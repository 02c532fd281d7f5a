import { z } from 'zod';
import { failure, type Result, success } from '@/core/result';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { Measure } from '@/core/trial/model/measure';
import { type DerivedTerm, isTaken, type Scale } from '@/core/trial/model/scale';

/** A measure worked out of two others, as it is chosen. */
export const DerivedForm = z.object({
  from: z.literal('derived'),
  name: z.string().trim().min(1, 'Give it a name.').max(120, 'At most 120 characters.'),
  how: z.enum(['over', 'less', 'part', 'share']),
  /** Of `derivedTerms`, by their keys. */
  of: z.string().max(80),
  by: z.string().max(80),
  better: z.enum(['higher', 'lower']),
});
export type DerivedForm = z.infer<typeof DerivedForm>;

/** Something that a measure can be worked out of. */
export interface TermChoice {
  readonly key: string;
  readonly label: string;
  /** What one of it is called behind “per”. */
  readonly unit: string;
  readonly isCount: boolean;
  readonly term: DerivedTerm;
}

const FIXED: readonly TermChoice[] = [
  harvest('sound-weight', 'Sound harvest, weight', 'g'),
  harvest('total-weight', 'Whole harvest, weight', 'g'),
  harvest('sound-count', 'Sound pieces', 'piece'),
  harvest('total-count', 'All pieces', 'piece'),
  built('area', 'Ground or open top, as built', 'm²'),
  built('litres', 'Mix filled in, as built', 'l'),
  built('plants', 'Plants, as built', 'plant'),
  built('seed', 'Weight of seed, as built', 'g'),
  { key: 'hours', label: 'Hours of work', unit: 'hour', isCount: false, term: { kind: 'hours' } },
];

function harvest(
  what: Extract<DerivedTerm, { kind: 'harvest' }>['what'],
  label: string,
  unit: string,
): TermChoice {
  const isCount = unit === 'piece';
  return { key: `harvest ${what}`, label, unit, isCount, term: { kind: 'harvest', what } };
}

function built(
  what: Extract<DerivedTerm, { kind: 'built' }>['what'],
  label: string,
  unit: string,
): TermChoice {
  const isCount = unit === 'plant';
  return { key: `built ${what}`, label, unit, isCount, term: { kind: 'built', what } };
}

const WITH_FIGURES: readonly Scale['kind'][] = ['continuous', 'count', 'percent', 'date', 'days'];

/** What a trial's measures can be worked out of: its harvest, what units were built as, work, and whatever is read as a figure. */
export function derivedTerms(
  measures: readonly Pick<Measure, 'name' | 'unit' | 'scale' | 'kindKey'>[],
): readonly TermChoice[] {
  const read = measures.flatMap(({ name, unit, scale, kindKey }): TermChoice[] =>
    isTaken(scale) && WITH_FIGURES.includes(scale.kind)
      ? [
          {
            key: `read ${name}`,
            label: name,
            unit: unit === '' ? name.toLowerCase() : unit,
            isCount: scale.kind === 'count',
            term: kindKey === null ? { kind: 'named', name } : { kind: 'reading', key: kindKey },
          },
        ]
      : [],
  );
  return [...FIXED, ...read];
}

/** What a measure that is worked out is, beside its id. */
export type DerivedFacts = Pick<Measure, 'name' | 'definition' | 'unit' | 'better'> & {
  readonly scale: Scale;
};

const HOW_WORDS = {
  over: 'over',
  less: 'less',
  part: 'in % of itself and',
  share: 'of all',
} as const;
const LONGEST_UNIT = 24;

/** Reads what is to be worked out of what. */
export function readDerived(
  input: unknown,
  measures: readonly Measure[],
): Result<DerivedFacts, FieldTroubles> {
  const parsed = DerivedForm.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const { name, how, better } = parsed.data;
  const terms = derivedTerms(measures);
  const of = terms.find(term => term.key === parsed.data.of);
  const by = terms.find(term => term.key === parsed.data.by);
  if (!of || !by)
    return failure({
      ...(of ? {} : { of: 'Choose the first.' }),
      ...(by ? {} : { by: 'Choose the second.' }),
    });
  if (of.key === by.key) return failure({ by: 'Another than the first.' });
  if (measures.some(measure => measure.name.toLowerCase() === name.toLowerCase()))
    return failure({ name: 'A measure of this trial has that name.' });
  const isPair = how === 'less' || how === 'part';
  if (isPair && of.unit !== by.unit)
    return failure({ by: `${of.label} and ${by.label} are not in one unit.` });
  if (how === 'share' && !(of.isCount && by.isCount))
    return failure({ by: 'So many of so many: both must be counts.' });
  return success({
    name,
    better,
    definition: `${of.label} ${HOW_WORDS[how]} ${by.label}, worked out for each.`,
    unit: unitOf(how, of, by),
    scale: {
      kind: 'derived',
      how,
      of: of.term,
      by: by.term,
      times: how === 'part' ? 100 : 1,
    },
  });
}

function unitOf(how: DerivedForm['how'], of: TermChoice, by: TermChoice): string {
  if (how === 'part') return '%';
  if (how === 'share') return '';
  const unit = how === 'less' ? of.unit : `${of.unit} per ${by.unit}`;
  // Cut off in its middle it would say something else; what it is of stands in the definition.
  return unit.length > LONGEST_UNIT ? '' : unit;
}
