import { doseOf } from '@/core/materials/dose/given-dose';
import { ownMeasures, unitMeasuresOf } from '@/core/schedule/tasks/unit-measures';
import type { Treatment } from '@/core/trial/model/treatment';
import type { TrialData } from '@/core/trial/model/trial-data';

/** Amounts may be so much off the levels that name them; common practice, no source. */
const TOLERANCE = 0.05;

const DEPTHS_MM: readonly (readonly [RegExp, number])[] = [
  [/\d\s*(?:in|inch|inches|")(?![a-z])/i, 25.4],
  [/\d\s*cm(?![a-z])/i, 10],
  [/\d\s*mm(?![a-z])/i, 1],
];

/**
 * Of rising doses, a level whose rule gives another amount than its name says: a depth that is not laid, or an amount that is out of
 * step with the other levels'. Undefined where names and amounts go together, or nothing is planned that could be compared.
 */
export function dosesOffLevel(data: TrialData): string | undefined {
  const levels = data.treatments.flatMap(treatment => {
    const given = treatment.dose === null ? null : givenTo(treatment, data);
    return treatment.dose === null || given === null
      ? []
      : [{ treatment, dose: treatment.dose, ...given }];
  });
  const deep = levels.flatMap(({ treatment, laidMm }) => {
    const saidMm = depthIn(treatment);
    return laidMm === null || saidMm === null || isNear(laidMm, saidMm)
      ? []
      : [`${treatment.name}: the plan lays ${inUnitOf(treatment, laidMm)}.`];
  });
  if (deep.length > 0) return deep.join(' ');
  const rising = levels.filter(({ dose }) => dose > 0);
  const [first] = rising;
  if (!first || rising.length < 2) return undefined;
  const off = rising.find(({ amount, dose }) => !isNear(amount / dose, first.amount / first.dose));
  return off
    ? `${off.treatment.name} is planned ${short(off.amount / first.amount)} times as much as ${first.treatment.name}; its level is ${short(off.dose / first.dose)} times that.`
    : undefined;
}

/** What a level's own rules give a unit once, all together; null where nothing of its own is planned, or it can't be reckoned. */
function givenTo(
  { id }: Treatment,
  { care, products, places, units }: TrialData,
): { readonly amount: number; readonly laidMm: number | null } | null {
  const place = places.find(each => each.id === units[0]?.placeId);
  const unit = ownMeasures(unitMeasuresOf(place, care.settings.mixMl, units), units)(id);
  const doses = care.rules
    .filter(rule => rule.treatmentIds.length > 0 && rule.treatmentIds.includes(id))
    .flatMap(({ material }) => {
      const product = products.find(each => each.id === material?.productId);
      const dose = material && product ? doseOf(material, product, unit) : undefined;
      return dose && material ? [{ amount: dose.amount, per: material.rate.per.kind }] : [];
    });
  if (doses.length === 0) return null;
  const amount = doses.reduce(
    (sum, each) => sum + (each.amount.kind === 'mass' ? each.amount.g : each.amount.ml),
    0,
  );
  const isLayer = doses.every(each => each.amount.kind === 'volume' && each.per === 'area');
  // A litre on a square metre is a millimetre.
  return { amount, laidMm: isLayer && unit.areaM2 ? amount / 1000 / unit.areaM2 : null };
}

function depthIn({ name, dose }: Treatment): number | null {
  const unitMm = unitOf(name);
  return dose === null || unitMm === null ? null : dose * unitMm;
}

function unitOf(name: string): number | null {
  return DEPTHS_MM.find(([pattern]) => pattern.test(name))?.[1] ?? null;
}

function inUnitOf({ name }: Treatment, mm: number): string {
  const unitMm = unitOf(name) ?? 1;
  return `${short(mm / unitMm)} ${unitMm === 25.4 ? 'in' : unitMm === 10 ? 'cm' : 'mm'}`;
}

function isNear(a: number, b: number): boolean {
  return Math.abs(a - b) <= TOLERANCE * Math.max(Math.abs(a), Math.abs(b));
}

function short(value: number): string {
  return String(Number(value.toPrecision(2)));
}
