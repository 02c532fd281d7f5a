import { blocksOfTwo, type OutcomeInput, readUnits } from '@/core/judge/question/outcome-input';
import { heterogeneity } from '@/core/stats/categorical/two-by-two';
import { logChoose } from '@/core/stats/distributions/binomial';
import { counted, pluralOf } from '@/core/words/plural';
import type { OutcomeGroup, OutcomeWarning } from './outcome-judgement';

/** What may have spoiled it, as far as the readings and the layout show it. */
export function warningsOf(
  input: OutcomeInput,
  groups: readonly OutcomeGroup[],
): readonly OutcomeWarning[] {
  return [
    ...replication(input, groups),
    ...reachable(input, groups),
    ...balance(input, groups),
    ...crowding(input),
    ...alike(input),
    ...declared(input),
  ];
}

function replication(
  { unitWord, kind, blockNames, units }: OutcomeInput,
  groups: readonly OutcomeGroup[],
): readonly OutcomeWarning[] {
  if (groups.some(group => group.n > 1) || blockNames.length > 0) return [];
  const isItems = kind === 'proportion' && units.some(unit => (unit.outOf ?? 1) > 1);
  const items = isItems
    ? ` The p takes every item for itself; items of one ${unitWord} share its luck.`
    : '';
  return [
    {
      code: 'no-replication',
      message: `One ${unitWord} each: a story, not a result.${items}`,
    },
  ];
}

const CALLED = 0.05;

/** Where so few could have been dealt in so few ways that no gap, however large, could be called by deals alone. */
function reachable(
  input: OutcomeInput,
  groups: readonly OutcomeGroup[],
): readonly OutcomeWarning[] {
  if (groups.some(group => group.n <= 1)) return [];
  const smallest = input.treatments
    .filter(name => name !== input.control)
    .map(name => smallestDealP(input, name))
    .filter(p => p > CALLED);
  if (smallest.length === 0) return [];
  const p = Math.round(100 * Math.min(...smallest));
  return [
    {
      code: 'tiny-sample',
      message: `So few ${pluralOf(input.unitWord)} that even the largest gap turns up in ${p} of 100 deals of two treatments: nothing can be called by that. More of each, or more ${input.blockNames.length > 0 ? 'blocks' : pluralOf(input.unitWord)}, would do.`,
    },
  ];
}

/** The share of deals of a treatment and the control that the best-looking one could ever have; with even numbers its mirror image ties. */
function smallestDealP(input: OutcomeInput, treatment: string): number {
  const open = blocksOfTwo(input, treatment)
    .map(({ treated, control }) => [treated.length, control.length] as const)
    .filter(([treated, control]) => treated > 0 && control > 0);
  const deals = Math.exp(open.reduce((sum, [k, l]) => sum + logChoose(k + l, k), 0));
  const isMirrored = open.every(([treated, control]) => treated === control);
  return Math.min(1, (isMirrored ? 2 : 1) / deals);
}

function balance(input: OutcomeInput, groups: readonly OutcomeGroup[]): readonly OutcomeWarning[] {
  const missing = input.units.length - readUnits(input).length;
  const isUneven = new Set(groups.map(group => group.n)).size > 1;
  const numbers = groups.map(group => `${group.treatment} ${group.n}`).join(', ');
  return [
    ...(missing > 0
      ? [
          {
            code: 'missing-units' as const,
            message: `${counted(missing, input.unitWord)} gave no reading.`,
          },
        ]
      : []),
    ...(isUneven
      ? [
          {
            code: 'unbalanced' as const,
            message: `Not the same number of ${pluralOf(input.unitWord)} each: ${numbers}.`,
          },
        ]
      : []),
  ];
}

function crowding(input: OutcomeInput): readonly OutcomeWarning[] {
  if (input.kind !== 'proportion') return [];
  const units = readUnits(input);
  const found = heterogeneity(
    input.treatments.map(name =>
      units
        .filter(unit => unit.treatment === name)
        .map(unit => ({ k: unit.value, n: unit.outOf ?? 1 })),
    ),
  );
  if (!found || found.p >= 0.05) return [];
  const { unitWord } = input;
  return [
    {
      code: 'overdispersed',
      message: `${pluralOf(unitWord)} of one treatment differ more than chance lets items differ: what counts is the ${unitWord}, not the item, and the call rests on the ${pluralOf(unitWord)}.`,
    },
  ];
}

function alike(input: OutcomeInput): readonly OutcomeWarning[] {
  const units = readUnits(input);
  const values = new Set(units.map(unit => `${unit.value}/${unit.outOf}/${unit.hasCome}`));
  return values.size === 1 && units.length > 1
    ? [{ code: 'all-alike', message: 'All gave the same: nothing is there to compare.' }]
    : [];
}

function declared({ isDeclared }: OutcomeInput): readonly OutcomeWarning[] {
  return isDeclared
    ? []
    : [
        {
          code: 'not-declared',
          message: 'This was not the main measure before the plan was locked: found along the way.',
        },
      ];
}
