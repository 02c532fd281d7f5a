/** What a column of a table holds. */
export type ColumnRole =
  | { readonly kind: (typeof PLAIN_ROLES)[number] }
  /** Of a harvest: what the scale showed, in the unit of its head. */
  | { readonly kind: 'weight'; readonly unit: string }
  /** A measure of its own; `unit` as the head gives it, behind every bare number of the column. */
  | { readonly kind: 'measure'; readonly measureId: string; readonly unit: string };

/** The columns that are known by their kind alone. `kind`: whether a row is a pick or a reading, as this garden’s own files say. */
export const PLAIN_ROLES = [
  'unit',
  'day',
  'part',
  'note',
  'by',
  'measure-name',
  'value',
  'tare',
  'pieces',
  'grade',
  'kind',
  'outcome',
  'out-of',
  'unit-of-measure',
  'nothing',
] as const;

const HEADS: readonly (readonly [RegExp, ColumnRole])[] = [
  [/^(code|pot|unit|plot|bed|trough|label|id)$/i, { kind: 'unit' }],
  [/^(date|day|datum|taken ?on)$/i, { kind: 'day' }],
  [/^(part|plant|sub-?sample|core|leaf|spot|rep)$/i, { kind: 'part' }],
  [/^(notes?|remarks?|comments?)$/i, { kind: 'note' }],
  [/^(observer|by|who|read ?by|person)$/i, { kind: 'by' }],
  [/^(measure|variable|trait)$/i, { kind: 'measure-name' }],
  [/^(value|reading|result)$/i, { kind: 'value' }],
  [/^tare$/i, { kind: 'tare' }],
  [/^(pieces|count|number|no\.?|how many)$/i, { kind: 'pieces' }],
  [/^(grade|cull|cull reason|quality)$/i, { kind: 'grade' }],
  [/^kind$/i, { kind: 'kind' }],
  [/^(outcome|look)$/i, { kind: 'outcome' }],
  [/^(out[ _-]?of)$/i, { kind: 'out-of' }],
  // What was dealt is known here; a file of this garden's own says it for other readers.
  [/^(treatment|block)$/i, { kind: 'nothing' }],
];

/** What each column is likely to be, by its head: `height (cm)`, `Leaf spot %`, `pot`. A proposal that can be changed. */
export function matchColumns(
  heads: readonly string[],
  measures: readonly { readonly id: string; readonly name: string }[],
  unitWord = 'pot',
): readonly ColumnRole[] {
  const hasCodes = heads.some(head => /^codes?$/i.test(head.trim()));
  return heads.map(head => {
    const said = head.trim();
    // “Trimmed, dry” is a name, and dry no unit.
    const whole = measures.find(each => each.name.toLowerCase() === said.toLowerCase());
    if (whole) return { kind: 'measure', measureId: whole.id, unit: '' };
    const { name, unit } = headParts(said);
    const exact = measures.find(each => plain(each.name) === plain(name));
    // A file of this garden's own has codes, and under “unit” what the value is in.
    if (hasCodes && /^units?$/i.test(said)) return { kind: 'unit-of-measure' };
    if (!hasCodes && isWord(said, unitWord)) return { kind: 'unit' };
    const known = exact ? undefined : HEADS.find(([pattern]) => pattern.test(said));
    if (known) return known[1];
    if (!exact && WEIGHED.test(name)) return { kind: 'weight', unit };
    const measure =
      measures.find(each => plain(each.name) === plain(name)) ??
      measures.find(each => plain(name) !== '' && plain(each.name).startsWith(plain(name)));
    return measure ? { kind: 'measure', measureId: measure.id, unit } : { kind: 'nothing' };
  });
}

const WEIGHED = /^(weight|gross|net|mass|harvest|yield|picked)$/i;

/** The trial's own word for what gets a treatment, one or several of it. */
function isWord(said: string, unitWord: string): boolean {
  const wanted = plain(unitWord);
  return [wanted, `${wanted}s`, `${wanted}code`, `${wanted}no`, `${wanted}id`].includes(
    plain(said),
  );
}

/** `height (cm)`, `height, cm`, `height [in]`, `spot %`: the name, and the unit behind it. */
export function headParts(head: string): { readonly name: string; readonly unit: string } {
  const found =
    /^(.*?)\s*(?:[([]\s*([^)\]]+?)\s*[)\]]|,\s*([a-z%°/"]+)|\s(%|mm|cm|m|in|inch(?:es)?|ft|g|kg|oz|lb|ml|l|gal))\s*$/i.exec(
      head,
    );
  return found?.[1]
    ? { name: found[1], unit: (found[2] ?? found[3] ?? found[4] ?? '').trim() }
    : { name: head, unit: '' };
}

function plain(name: string): string {
  return name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');
}

/** Why a table can't be read with these roles; undefined where it can. */
export function rolesTrouble(roles: readonly ColumnRole[]): string | undefined {
  const count = (kind: ColumnRole['kind']): number =>
    roles.filter(role => role.kind === kind).length;
  for (const kind of ONCE)
    if (count(kind) > 1) return `Two columns are said to be the ${ROLE_WORDS[kind]}.`;
  if (count('unit') === 0) return 'Say which column holds the codes of the pots.';
  const isLong = count('measure-name') > 0 || count('value') > 0;
  if (isLong)
    return count('measure-name') === 1 && count('value') === 1
      ? count('measure') > 0
        ? 'Either a column for each measure, or one with their names and one with the values.'
        : undefined
      : 'A column of names wants a column of values.';
  const isHarvest = count('weight') > 0 || count('pieces') > 0;
  return count('measure') === 0 && !isHarvest
    ? 'Say which column holds a measure, or the weight or pieces of a harvest.'
    : undefined;
}

const ONCE = [...PLAIN_ROLES.filter(kind => kind !== 'nothing'), 'weight'] as const;

export const ROLE_WORDS: Readonly<Record<Exclude<ColumnRole['kind'], 'measure'>, string>> = {
  unit: 'code',
  day: 'day',
  part: 'part',
  note: 'note',
  by: 'who read it',
  'measure-name': 'name of the measure',
  value: 'value',
  weight: 'weight of a harvest',
  tare: 'empty container',
  pieces: 'pieces of a harvest',
  grade: 'sound, or why not',
  kind: 'pick or reading',
  outcome: 'what was found',
  'out-of': 'of how many',
  'unit-of-measure': 'unit of the value',
  nothing: 'nothing',
};
