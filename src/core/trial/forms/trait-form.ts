import { z } from 'zod';
import { failure, type Result, success } from '@/core/result';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { type FieldTroubles, fieldTroublesOf } from './field-troubles';

/** What else differs between units, as it is typed: a name, and a line for each of its values. */
export const TraitForm = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'Say what it is: variety, container, batch.')
    .max(40, 'At most 40 characters.'),
  /** `terracotta: KA3 KB7`, `plastic: shelf 2`, `glazed: the rest`. */
  lines: z.string().max(4000, 'That is too long.'),
});
export type TraitForm = z.infer<typeof TraitForm>;

/** The value of every unit that has one, by the unit's id. */
export interface Trait {
  readonly name: string;
  readonly byUnit: ReadonlyMap<ExperimentalUnit['id'], string>;
}

const REST = /^the rest$/i;

/** Reads what else differs. A line names codes, or a block by its name, or “the rest”. */
export function readTrait(input: unknown, data: TrialData): Result<Trait, FieldTroubles> {
  const parsed = TraitForm.safeParse(input);
  if (!parsed.success) {
    const { form, ...fields } = fieldTroublesOf(parsed.error);
    return failure(form === undefined ? fields : { lines: form });
  }
  const byUnit = new Map<ExperimentalUnit['id'], string>();
  for (const [i, line] of parsed.data.lines
    .split('\n')
    .map(each => each.trim())
    .filter(each => each !== '')
    .entries()) {
    const [value = '', which = ''] = splitLine(line);
    if (value === '' || which === '')
      return failure({
        lines: `Line ${i + 1}: write what it is, a colon, and which: “terracotta: KA3 KB7”.`,
      });
    if (value.length > 60)
      return failure({ lines: `Line ${i + 1}: at most 60 characters before the colon.` });
    const units = unitsNamed(which, data, byUnit);
    if (!units.ok) return failure({ lines: `Line ${i + 1}: ${units.trouble}` });
    for (const id of units.value) byUnit.set(id, value);
  }
  return byUnit.size === 0
    ? failure({ lines: 'Say which have it.' })
    : success({ name: parsed.data.name, byUnit });
}

function splitLine(line: string): readonly string[] {
  const colon = line.indexOf(':');
  return colon < 0 ? [] : [line.slice(0, colon).trim(), line.slice(colon + 1).trim()];
}

function unitsNamed(
  which: string,
  data: TrialData,
  taken: ReadonlyMap<string, string>,
): Result<readonly ExperimentalUnit['id'][], string> {
  if (REST.test(which))
    return success(data.units.filter(unit => !taken.has(unit.id)).map(unit => unit.id));
  const placeOf = new Map(data.places.map(place => [place.id, place]));
  const found: ExperimentalUnit['id'][] = [];
  for (const word of which
    .split(/\s*[,;]\s*|\s+and\s+/)
    .flatMap(part => (isBlockName(part, data) ? [part] : part.split(/\s+/)))
    .filter(part => part !== '')) {
    const own = data.units.filter(
      unit =>
        unit.code === word.toUpperCase() || blockNameOf(unit, data, placeOf) === word.toLowerCase(),
    );
    if (own.length === 0) return failure(`“${word}” is no code and no block here.`);
    found.push(...own.map(unit => unit.id));
  }
  const twice = found.find(id => taken.has(id));
  return twice === undefined
    ? success(found)
    : failure(`${data.units.find(unit => unit.id === twice)?.code} stands in two lines.`);
}

function isBlockName(word: string, { places }: TrialData): boolean {
  return places.some(place => place.name.toLowerCase() === word.toLowerCase());
}

function blockNameOf(
  unit: ExperimentalUnit,
  { blocks }: TrialData,
  placeOf: ReadonlyMap<string, TrialData['places'][number]>,
): string | undefined {
  const place = blocks.find(block => block.id === unit.blockId)?.placeId;
  return place ? placeOf.get(place)?.name.toLowerCase() : undefined;
}

/** A trial's traits as they can be read out: each value with its codes. */
export function traitLines({ units }: TrialData): readonly {
  readonly name: string;
  readonly values: readonly { readonly value: string; readonly codes: readonly string[] }[];
}[] {
  const names = [...new Set(units.flatMap(unit => Object.keys(unit.traits)))];
  return names.map(name => ({
    name,
    values: [...new Set(units.flatMap(unit => unit.traits[name] ?? []))].map(value => ({
      value,
      codes: units.filter(unit => unit.traits[name] === value).map(unit => unit.code),
    })),
  }));
}
