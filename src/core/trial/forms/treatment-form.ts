import { z } from 'zod';
import { failure, type Result, success } from '@/core/result';
import { BLANK_TREATMENT } from '@/core/trial/model/blank-facts';
import { TreatmentId } from '@/core/trial/model/ids';
import { ControlKind, type Factor, type Treatment } from '@/core/trial/model/treatment';
import type { FieldTroubles } from './field-troubles';

const MOST_TREATMENTS = 12;
const Line = z.string().trim().max(60, 'At most 60 characters.');

/** How treatments are made, as it is typed: listed by name, crossed from factors, or a series of doses. */
export const TreatmentsForm = z.object({
  made: z.enum(['listed', 'crossed', 'series']).default('listed'),
  treatments: z
    .array(
      z.object({
        name: Line,
        detail: z.string().trim().max(600, 'At most 600 characters.').default(''),
        /** What a control or reference is; empty for what is put to the test. */
        controlKind: ControlKind.or(z.literal('')).default(''),
      }),
    )
    .max(MOST_TREATMENTS, 'At most twelve treatments: with more, each gets too few pots.'),
  /** Index of the control among the listed. */
  control: z.int().min(0),
  factors: z
    .array(z.object({ name: Line, levels: z.array(Line).max(6, 'At most six levels.') }))
    .max(3, 'At most three factors: with more, each cell gets too few pots.')
    .default([]),
  /** Crossed: the names of the cells that are not grown. */
  emptyCells: z.array(z.string().max(200)).default([]),
  series: z
    .object({
      name: Line,
      unit: z.string().trim().max(20, 'At most 20 characters.'),
      doses: z.string().max(120, 'That is too long.'),
    })
    .default({ name: '', unit: '', doses: '' }),
});
export type TreatmentsForm = z.infer<typeof TreatmentsForm>;

/** What is compared, as the trial holds it. */
export interface Compared {
  readonly factors: readonly Factor[];
  readonly treatments: readonly Treatment[];
}

/** Reads treatments as they came from the form. Field troubles are keyed as the form's fields are. */
export function readTreatments(
  form: TreatmentsForm,
  unitWord: string,
  newId: () => string,
): Result<Compared, FieldTroubles> {
  switch (form.made) {
    case 'listed':
      return readListed(form, unitWord, newId);
    case 'crossed':
      return readCrossed(form, unitWord, newId);
    case 'series':
      return readSeries(form, unitWord, newId);
  }
}

interface Made extends Partial<Pick<Treatment, 'controlKind' | 'dose' | 'detail' | 'role'>> {
  readonly name: string;
  readonly levels: Readonly<Record<string, string>>;
  readonly isControl: boolean;
}

function treatmentsOf(made: readonly Made[], newId: () => string): readonly Treatment[] {
  return made.map(
    ({ name, levels, isControl, role, ...facts }, position): Treatment => ({
      ...BLANK_TREATMENT,
      id: TreatmentId.parse(newId()),
      name,
      letter: String.fromCharCode(65 + position),
      position,
      role: isControl ? 'control' : (role ?? 'test'),
      levels,
      ...facts,
    }),
  );
}

function readListed(
  form: TreatmentsForm,
  unitWord: string,
  newId: () => string,
): Result<Compared, FieldTroubles> {
  const names = form.treatments.map(({ name }) => name);
  const troubles: FieldTroubles = {
    ...(names.length < 2
      ? { treatments: 'Compare at least two treatments, one of them the control.' }
      : {}),
    ...emptyNames(names),
    ...doubleNames(names),
    ...(form.control >= names.length
      ? { control: 'Mark one of the treatments as the control.' }
      : {}),
  };
  if (Object.keys(troubles).length > 0) return failure(troubles);
  const treatments = treatmentsOf(
    form.treatments.map(({ name, detail, controlKind }, i) => ({
      name,
      levels: { treatment: name },
      isControl: i === form.control,
      detail,
      controlKind: controlKind === '' ? null : controlKind,
      ...(controlKind !== '' && i !== form.control ? { role: 'reference' as const } : {}),
    })),
    newId,
  );
  return success({
    factors: [{ name: 'treatment', levels: names, dealtAt: unitWord }],
    treatments,
  });
}

function emptyNames(names: readonly string[]): FieldTroubles {
  return Object.fromEntries(
    names.flatMap((name, i) =>
      name === '' ? [[`treatments.${i}.name`, 'Give this treatment a name, or take it out.']] : [],
    ),
  );
}

function doubleNames(names: readonly string[]): FieldTroubles {
  const keys = names.map(name => name.toLocaleLowerCase());
  return Object.fromEntries(
    names.flatMap((name, i) =>
      name !== '' && keys.indexOf(keys[i]!) < i
        ? [[`treatments.${i}.name`, `There is a “${name}” already. Two treatments need two names.`]]
        : [],
    ),
  );
}

/** Every combination of the levels, first factor slowest. */
export function crossedCells(
  factors: readonly { readonly name: string; readonly levels: readonly string[] }[],
): readonly { readonly name: string; readonly levels: Readonly<Record<string, string>> }[] {
  return factors.reduce<
    readonly { readonly name: string; readonly levels: Readonly<Record<string, string>> }[]
  >(
    (cells, factor) =>
      cells.flatMap(cell =>
        factor.levels.map(level => ({
          name: cell.name === '' ? level : `${cell.name}, ${level}`,
          levels: { ...cell.levels, [factor.name]: level },
        })),
      ),
    [{ name: '', levels: {} }],
  );
}

function readCrossed(
  form: TreatmentsForm,
  unitWord: string,
  newId: () => string,
): Result<Compared, FieldTroubles> {
  const troubles: Record<string, string> = {};
  if (form.factors.length < 2)
    troubles.factors = 'Cross at least two things, such as soil and feed.';
  form.factors.forEach((factor, f) => {
    const levels = factor.levels.filter(level => level !== '');
    if (factor.name === '') troubles[`factors.${f}.name`] = 'Say what differs: soil, feed, mulch.';
    if (
      form.factors.findIndex(
        other => other.name.toLocaleLowerCase() === factor.name.toLocaleLowerCase(),
      ) < f
    )
      troubles[`factors.${f}.name`] = `There is a “${factor.name}” already.`;
    if (levels.length < 2) troubles[`factors.${f}.levels`] = 'At least two levels.';
    if (new Set(levels.map(level => level.toLocaleLowerCase())).size < levels.length)
      troubles[`factors.${f}.levels`] = 'Two levels have the same name.';
  });
  const factors = form.factors.map(factor => ({
    name: factor.name,
    levels: factor.levels.filter(level => level !== ''),
  }));
  const cells = crossedCells(factors);
  const grown = cells.filter(cell => !form.emptyCells.includes(cell.name));
  if (Object.keys(troubles).length === 0) {
    if (grown.length > MOST_TREATMENTS)
      troubles.factors = `That makes ${grown.length} treatments; at most ${MOST_TREATMENTS}. Leave cells or levels out.`;
    else if (grown.length < 2) troubles.factors = 'Keep at least two of the combinations.';
    else if (grown[0] !== cells[0])
      troubles.factors = `Keep “${cells[0]?.name}”: the first level of each is the control.`;
    const lost = factors.find(factor =>
      factor.levels.some(level => !grown.some(cell => cell.levels[factor.name] === level)),
    );
    if (lost) troubles.factors = `Every level of ${lost.name} must be grown somewhere.`;
  }
  if (Object.keys(troubles).length > 0) return failure(troubles);
  return success({
    factors: factors.map(factor => ({ ...factor, dealtAt: unitWord })),
    treatments: treatmentsOf(
      grown.map((cell, i) => ({
        ...cell,
        isControl: i === 0,
        controlKind: i === 0 ? 'usual' : null,
      })),
      newId,
    ),
  });
}

function readSeries(
  form: TreatmentsForm,
  unitWord: string,
  newId: () => string,
): Result<Compared, FieldTroubles> {
  const { name, unit, doses: written } = form.series;
  const doses = readDoses(written);
  const troubles: FieldTroubles = {
    ...(name === ''
      ? { 'series.name': 'Say what rises: depth of leaf-mould, weight of feed.' }
      : {}),
    ...(doses.ok ? {} : { 'series.doses': doses.trouble }),
  };
  if (!doses.ok || Object.keys(troubles).length > 0) return failure(troubles);
  const nameOf = (dose: number): string => `${String(dose)}${unit === '' ? '' : ` ${unit}`}`;
  return success({
    factors: [{ name, levels: doses.value.map(nameOf), dealtAt: unitWord }],
    treatments: treatmentsOf(
      doses.value.map((dose, i) => ({
        name: nameOf(dose),
        levels: { [name]: nameOf(dose) },
        isControl: i === 0,
        dose,
        controlKind: i === 0 ? (dose === 0 ? 'nothing' : 'usual') : null,
      })),
      newId,
    ),
  });
}

/** Doses of a series, lowest first: numbers with commas, semicolons or spaces between them. */
export function readDoses(written: string): Result<readonly number[], string> {
  const parts = written
    .split(/[;\s]+|,(?!\d)|(?<=\d),(?=\s)/)
    .map(part => part.replace(/,$/, ''))
    .filter(part => part !== '');
  const bad = parts.find(part => !/^\d+([.,]\d+)?$/.test(part));
  if (bad !== undefined)
    return failure(`“${bad}” is not a dose. Write numbers with spaces between them: 0 2.5 5 10.`);
  const doses = [...new Set(parts.map(part => Number(part.replace(',', '.'))))].sort(
    (a, b) => a - b,
  );
  if (doses.length < parts.length) return failure('A dose stands there twice.');
  if (doses.length < 3)
    return failure('A series needs at least three doses; two can’t show where it levels off.');
  return doses.length > MOST_TREATMENTS
    ? failure(`At most ${MOST_TREATMENTS} doses.`)
    : success(doses);
}
