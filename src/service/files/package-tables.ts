import type { TrialData } from '@/core/trial/model/trial-data';
import { entryRows, unitRows } from '@/service/judge/report-rows';

type Rows = readonly (readonly string[])[];

/** A table of a data package: its file, its rows with their head, and what its columns hold. */
export interface PackageTable {
  readonly name: string;
  readonly title: string;
  readonly rows: Rows;
}

/** A trial as tables that anything reads. @param isBlind codes only: nothing says which unit got what */
export function packageTables(data: TrialData, isBlind: boolean): readonly PackageTable[] {
  return [
    {
      name: 'units',
      title: 'One row for each pot or bed, one column a measure: what the judge compares',
      rows: unitRows(data, isBlind),
    },
    {
      name: 'entries',
      title: 'Every pick and reading as it was entered',
      rows: entryRows(data, isBlind),
    },
    {
      name: 'layout',
      title: 'Where each stands, seen from above',
      rows: layoutRows(data, isBlind),
    },
    { name: 'acts', title: 'What was done, and left out', rows: actRows(data, isBlind) },
    {
      name: 'mishaps',
      title: 'What happened to them, and what was decided',
      rows: mishapRows(data),
    },
    { name: 'measures', title: 'What is measured, and how', rows: measureRows(data) },
  ];
}

function layoutRows(data: TrialData, isBlind: boolean): Rows {
  const traits = [...new Set(data.units.flatMap(unit => Object.keys(unit.traits)))];
  const [nameOf, blockOf] = [namesOf(data.treatments), namesOf(data.blocks)];
  return [
    [
      'code',
      ...(isBlind ? [] : ['treatment', 'dose']),
      'block',
      'column',
      'place',
      'x_mm',
      'y_mm',
      'width_mm',
      'depth_mm',
      ...traits,
    ],
    ...data.units.map(unit => {
      const { path, xMm, yMm, widthMm, depthMm } = placeOf(data, unit.placeId);
      const treatment = data.treatments.find(each => each.id === unit.treatmentId);
      return [
        unit.code,
        ...(isBlind ? [] : [nameOf(unit.treatmentId), figure(treatment?.dose)]),
        blockOf(unit.blockId),
        unit.column === null ? '' : String(unit.column + 1),
        path,
        ...[xMm, yMm, widthMm, depthMm].map(String),
        ...traits.map(trait => unit.traits[trait] ?? ''),
      ];
    }),
  ];
}

/** A place’s way down from the ground in words, and its corner from the ground’s. */
function placeOf({ places }: TrialData, id: string) {
  const own = places.find(place => place.id === id);
  const way = [];
  let [xMm, yMm] = [0, 0];
  for (let at = own; at; at = places.find(place => place.id === at?.parentId)) {
    way.unshift(at.name);
    xMm += at.xMm;
    yMm += at.yMm;
  }
  return {
    path: way.join(' > '),
    xMm: Math.round(xMm),
    yMm: Math.round(yMm),
    widthMm: Math.round(own?.widthMm ?? 0),
    depthMm: Math.round(own?.depthMm ?? 0),
  };
}

/** Of a blind trial only what all got: the rest tells who got what. */
function actRows(data: TrialData, isBlind: boolean): Rows {
  const nameOf = namesOf(data.treatments);
  const codes = new Map<string, string>(data.units.map(unit => [unit.id, unit.code]));
  const kept = data.care.acts.flatMap(act => {
    const rule = data.care.rules.find(each => each.id === act.ruleId);
    return rule && !(isBlind && rule.treatmentIds.length > 0) ? [{ act, rule }] : [];
  });
  return [
    ['day', 'task', 'kind', 'product', 'given', 'done', 'for', 'codes', 'note', 'observer'],
    ...kept.map(({ act, rule }) => [
      act.doneOn,
      rule.name,
      rule.kind,
      data.products.find(each => each.id === rule.material?.productId)?.name ?? '',
      figure(act.amount),
      act.isSkipped ? 'no' : 'yes',
      rule.treatmentIds.length === 0 ? 'all' : rule.treatmentIds.map(nameOf).join('; '),
      (act.unitIds ?? []).map(id => codes.get(id) ?? '').join(' '),
      act.note,
      act.by,
    ]),
  ];
}

function mishapRows({ incidents, units }: TrialData): Rows {
  const codes = new Map<string, string>(units.map(unit => [unit.id, unit.code]));
  return [
    ['day', 'code', 'what', 'cause', 'by_treatment', 'decision', 'why', 'observer'],
    ...incidents.map(each => [
      each.happenedOn,
      codes.get(each.unitId) ?? '',
      each.what,
      each.cause ?? '',
      each.byTreatment,
      each.decision,
      each.why,
      each.by,
    ]),
  ];
}

function measureRows({ measures }: TrialData): Rows {
  return [
    ['measure', 'definition', 'unit', 'summary', 'scale', 'better', 'main'],
    ...measures.map(each => [
      each.name,
      each.definition,
      each.unit,
      each.summary,
      each.scale?.kind ?? 'harvest',
      each.better,
      each.isMain ? 'yes' : 'no',
    ]),
  ];
}

function figure(value: number | null | undefined): string {
  return value == null ? '' : String(value);
}

function namesOf(
  list: readonly { readonly id: string; readonly name: string }[],
): (id: string | null) => string {
  const names = new Map(list.map(({ id, name }) => [id, name]));
  return id => (id === null ? '' : (names.get(id) ?? ''));
}
