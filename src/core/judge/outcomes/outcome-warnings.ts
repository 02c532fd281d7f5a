import { type OutcomeInput, readUnits } from '@/core/judge/question/outcome-input';
import { heterogeneity } from '@/core/stats/categorical/two-by-two';
import { counted, pluralOf } from '@/core/words/plural';
import type { OutcomeGroup, OutcomeWarning } from './outcome-judgement';

export function warningsOf(
  input: OutcomeInput,
  groups: readonly OutcomeGroup[],
): readonly OutcomeWarning[] {
  const units = readUnits(input);
  const missing = input.units.length - units.length;
  const crowding =
    input.kind === 'proportion'
      ? heterogeneity(
          input.treatments.map(name =>
            units
              .filter(unit => unit.treatment === name)
              .map(unit => ({ k: unit.value, n: unit.outOf ?? 1 })),
          ),
        )
      : undefined;
  const isItems = input.kind === 'proportion' && units.some(unit => (unit.outOf ?? 1) > 1);
  return [
    ...(groups.every(group => group.n <= 1) && input.blockNames.length === 0
      ? [
          {
            code: 'no-replication' as const,
            message: `One ${input.unitWord} each: a story, not a result.${isItems ? ` The p takes every item for itself; items of one ${input.unitWord} share its luck.` : ''}`,
          },
        ]
      : []),
    ...(missing > 0
      ? [
          {
            code: 'missing-units' as const,
            message: `${counted(missing, input.unitWord)} gave no reading.`,
          },
        ]
      : []),
    ...(new Set(groups.map(group => group.n)).size > 1
      ? [
          {
            code: 'unbalanced' as const,
            message: `Not the same number of ${pluralOf(input.unitWord)} each: ${groups.map(group => `${group.treatment} ${group.n}`).join(', ')}.`,
          },
        ]
      : []),
    ...(crowding && crowding.p < 0.05
      ? [
          {
            code: 'overdispersed' as const,
            message: `${pluralOf(input.unitWord)} of one treatment differ more than chance lets items differ: what counts is the ${input.unitWord}, not the item, and the call rests on the ${pluralOf(input.unitWord)}.`,
          },
        ]
      : []),
    ...(new Set(units.map(unit => `${unit.value}/${unit.outOf}/${unit.hasCome}`)).size === 1 &&
    units.length > 1
      ? [{ code: 'all-alike' as const, message: 'All gave the same: nothing is there to compare.' }]
      : []),
    ...(input.isDeclared
      ? []
      : [
          {
            code: 'not-declared' as const,
            message:
              'This was not the main measure before the plan was locked: found along the way.',
          },
        ]),
  ];
}
