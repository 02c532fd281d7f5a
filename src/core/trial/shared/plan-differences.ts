import type { CareRule } from '@/core/trial/model/care-rule';
import type { Treatment } from '@/core/trial/model/treatment';
import type { TrialData } from '@/core/trial/model/trial-data';
import { listed } from '@/core/words/listed';
import type { Protocol } from './protocol';

/** In what a garden’s trial is another than the plan it was to run by; each a sentence. */
export interface PlanDifferences {
  /** It answers another question: it can’t be taken together with the rest. */
  readonly grave: readonly string[];
  /** Told beside the garden; it stays in. */
  readonly told: readonly string[];
}

/** Holds a garden’s trial against the plan, by what is said, since every garden has ids of its own. */
export function planDifferences(plan: Protocol, run: TrialData): PlanDifferences {
  return {
    grave: [...treatmentsDiffer(plan, run), ...mainMeasureDiffers(plan, run)],
    told: [...factsDiffer(plan, run), ...layoutDiffers(plan, run), ...careDiffers(plan, run)],
  };
}

const sameName = (a: string, b: string): boolean =>
  a.trim().toLowerCase() === b.trim().toLowerCase();

function treatmentsDiffer(plan: Protocol, run: TrialData): readonly string[] {
  const missing = without(plan.treatments, run.treatments);
  const added = without(run.treatments, plan.treatments);
  return [
    ...(missing.length > 0 ? [`It has no ${quoted(missing)}.`] : []),
    ...(added.length > 0 ? [`It has ${quoted(added)}, which the plan has not.`] : []),
    ...plan.treatments.flatMap(planned => {
      const own = run.treatments.find(({ name }) => sameName(name, planned.name));
      return own ? treatmentDiffers(planned, own) : [];
    }),
  ];
}

function without(
  of: readonly Treatment[],
  others: readonly Treatment[],
): readonly Pick<Treatment, 'name'>[] {
  return of.filter(({ name }) => !others.some(other => sameName(other.name, name)));
}

function quoted(treatments: readonly Pick<Treatment, 'name'>[]): string {
  return listed(treatments.map(({ name }) => `“${name}”`));
}

function treatmentDiffers(planned: Treatment, own: Treatment): readonly string[] {
  if ((planned.role === 'control') !== (own.role === 'control'))
    return [`“${planned.name}” is what the others are held against in one of the two only.`];
  return planned.dose === own.dose
    ? []
    : [
        `“${planned.name}” is ${own.dose ?? 'no dose'} there, ${planned.dose ?? 'no dose'} by the plan.`,
      ];
}

function mainMeasureDiffers(plan: Protocol, run: TrialData): readonly string[] {
  const [asked, own] = [plan.measures, run.measures].map(list => list.find(each => each.isMain));
  if (!asked || !own) return [];
  const isSame =
    asked.summary === own.summary &&
    asked.kindKey === own.kindKey &&
    asked.unit === own.unit &&
    asked.scale?.kind === own.scale?.kind &&
    (asked.kindKey !== null || asked.scale === null || sameName(asked.name, own.name));
  if (!isSame) return [`Its main measure is “${own.name}”, that of the plan is “${asked.name}”.`];
  return asked.better === own.better
    ? []
    : [`Of “${own.name}” ${own.better} is better there, ${asked.better} by the plan.`];
}

function factsDiffer(plan: Protocol, { trial, measures }: TrialData): readonly string[] {
  const main = measures.find(each => each.isMain);
  const asked = plan.measures.find(each => each.isMain);
  return [
    ...(sameName(plan.trial.question, trial.question) ? [] : [`It asks “${trial.question}”.`]),
    ...(sameName(plan.trial.crop, trial.crop)
      ? []
      : [`It grew ${trial.crop}, not ${plan.trial.crop}.`]),
    ...(plan.trial.isBlind && !trial.isBlind ? ['It was not run blind.'] : []),
    ...(JSON.stringify(main?.margin) === JSON.stringify(asked?.margin)
      ? []
      : ['It agreed on another smallest difference worth having.']),
    ...(main?.definition === asked?.definition
      ? []
      : [`It measured “${main?.name}” as: ${main?.definition}`]),
  ];
}

function layoutDiffers({ layout }: Protocol, run: TrialData): readonly string[] {
  const own = run.layout;
  if (!own || own.kind === layout.kind) return [];
  return ['It was laid out in another way than the plan proposed.'];
}

/** What was to be given, by the names of treatments and products. */
function careDiffers(plan: Protocol, run: TrialData): readonly string[] {
  const here = plan.care.rules.map(rule => ruleSays(rule, plan.treatments, plan.products));
  const there = run.care.rules
    .filter(rule => !rule.isUnplanned)
    .map(rule => ruleSays(rule, run.treatments, run.products));
  const left = plan.care.rules.filter((_, i) => !there.includes(here[i] ?? ''));
  const more = run.care.rules
    .filter(rule => !rule.isUnplanned)
    .filter((_, i) => !here.includes(there[i] ?? ''));
  const names = (rules: readonly CareRule[]) => listed(rules.map(({ name }) => `“${name}”`));
  return [
    ...(left.length > 0 ? [`It changed or left out of its care: ${names(left)}.`] : []),
    ...(more.length > 0 ? [`Its own care has ${names(more)}.`] : []),
  ];
}

function ruleSays(
  rule: CareRule,
  treatments: readonly Treatment[],
  products: Protocol['products'],
): string {
  const { name, kind, treatmentIds, repeat, material } = rule;
  const to = treatmentIds
    .map(id => treatments.find(each => each.id === id)?.name.toLowerCase())
    .sort();
  const product = products.find(each => each.id === material?.productId)?.name;
  return JSON.stringify([
    name,
    kind,
    to,
    repeat,
    material && [product, material.rate, material.choice, material.strength, material.waterMl],
  ]);
}
