import type { UnitMeasures } from '@/core/materials/dose/given-dose';
import type { Measured } from '@/core/materials/label/analysis';
import { isKeyOpen } from '@/core/trial/key';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { CaredTrial } from './cared-trial';
import { measuresOfGroup } from './unit-measures';

/** Who gets it: a treatment, or a bottle's code where the trial is blind. Codes in walking order. */
export interface Receiver {
  readonly label: string;
  readonly codes: readonly string[];
  /** How many units it has in all: more than the codes where some had the step before. */
  readonly of: number;
  /** What each of these gets, where units of other sizes get other amounts. */
  readonly each?: Measured | null;
}

/** Who gets what a rule gives. In a blind trial whose key is shut, bottles by code. @param without units that had it before */
export function receiversOf(
  rule: CareRule,
  { trial, care, treatments, units }: CaredTrial,
  without: ReadonlySet<string> = new Set(),
): readonly Receiver[] {
  const isOpen = isKeyOpen(trial);
  // What all get alike has no bottle: which pots stand together is nobody's business there.
  const groups =
    isOpen || rule.treatmentIds.length > 0
      ? groupsOf(rule, treatments, units).map(({ treatment, own }) => ({
          own,
          label: isOpen ? treatment.name : bottleLabel(care.bottles[treatment.id] ?? '?'),
        }))
      : [{ own: units, label: 'all alike' }];
  return groups
    .map(({ own, label }) => ({
      label,
      of: own.length,
      codes: own
        .filter(unit => !without.has(unit.id))
        .sort((a, b) => a.position - b.position)
        .map(unit => unit.code),
    }))
    .filter(receiver => receiver.codes.length > 0 || units.length === 0);
}

function groupsOf(
  rule: CareRule,
  treatments: CaredTrial['treatments'],
  units: CaredTrial['units'],
): readonly {
  readonly treatment: CaredTrial['treatments'][number];
  readonly own: CaredTrial['units'];
}[] {
  return treatments
    .filter(treatment => rule.treatmentIds.length === 0 || rule.treatmentIds.includes(treatment.id))
    .map(treatment => ({
      treatment,
      own: units.filter(unit => unit.treatmentId === treatment.id),
    }));
}
/** What a bottle of a blind trial is called. */
export function bottleLabel(code: string): string {
  return `bottle ${code}`;
}

/** Receivers, those of different sizes apart where the rate goes by size; of a bottle of a blind trial, whose pots stay together, by their mean. */
export function receiversBySize(
  rule: CareRule,
  cared: CaredTrial,
  without: ReadonlySet<string>,
): readonly (Receiver & { readonly unit: UnitMeasures })[] {
  const byCode = new Map(cared.units.map(unit => [unit.code, unit]));
  return receiversOf(rule, cared, without).flatMap(receiver => {
    const own = receiver.codes.flatMap(code => byCode.get(code) ?? []);
    const groups = isKeyOpen(cared.trial) ? bySize(own) : [own];
    return groups.map(group => ({
      label: receiver.label,
      codes: group.map(unit => unit.code),
      of: groups.length === 1 ? receiver.of : group.length,
      unit: measuresOfGroup(cared.unit, group),
    }));
  });
}

function bySize(units: CaredTrial['units']): readonly CaredTrial['units'][] {
  const groups = new Map<string, CaredTrial['units'][number][]>();
  for (const unit of units) {
    const { areaM2 = null, mixMl = null, plants = null } = unit.built ?? {};
    const key = JSON.stringify([areaM2, mixMl, plants]);
    groups.set(key, [...(groups.get(key) ?? []), unit]);
  }
  return groups.size === 0 ? [units] : [...groups.values()];
}
