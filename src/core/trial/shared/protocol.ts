import { z } from 'zod';
import { failure, type Result } from '@/core/result';
import { liesInGardens } from '@/core/trial/garden-word';
import { CareSettings } from '@/core/trial/model/care-plan';
import { CareRule } from '@/core/trial/model/care-rule';
import { TrialId } from '@/core/trial/model/ids';
import { LayoutKind } from '@/core/trial/model/layout';
import { Name } from '@/core/trial/model/limits';
import { Measure } from '@/core/trial/model/measure';
import { Product } from '@/core/trial/model/product';
import { Factor, Treatment } from '@/core/trial/model/treatment';
import { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import { type FileTrouble, readFile } from './shared-file';

/** What the garden that made the plan dealt, as a proposal: the other deals by its own lot. */
export const ProposedLayout = z
  .object({
    kind: LayoutKind,
    unitsEach: z.int().min(1).max(500),
    blockWord: Name,
    blockCount: z.int().min(0).max(500),
    controlEach: z.int().min(1).max(500).nullable(),
    perBlock: z.int().min(2).max(500).nullable(),
    columnWord: Name.nullable(),
    wholeWord: Name.nullable(),
    wholeFactor: Name.nullable(),
  })
  .readonly();
export type ProposedLayout = z.infer<typeof ProposedLayout>;

/** A trial's plan for another garden: all that was agreed, nothing that was dealt, found or spent. */
export const Protocol = z
  .object({
    format: z.literal('turnspit-protocol'),
    version: z.literal(1),
    /** The trial that it was made from: what results name when they come back. */
    id: TrialId,
    madeAt: z.iso.datetime(),
    /** Who asks; empty where they don’t want to be named. */
    from: z.object({ garden: z.string().max(120), person: z.string().max(120) }).readonly(),
    trial: z
      .object({
        ...Trial.unwrap().pick({
          question: true,
          crop: true,
          unitWord: true,
          isBlind: true,
          startsOn: true,
          endsOn: true,
          pattern: true,
          rules: true,
        }).shape,
      })
      .readonly(),
    factors: z.array(Factor).max(8).readonly(),
    treatments: z.array(Treatment).min(2).max(100).readonly(),
    measures: z.array(Measure).min(1).max(200).readonly(),
    layout: ProposedLayout,
    care: z
      .object({ settings: CareSettings, rules: z.array(CareRule).max(60).readonly() })
      .readonly(),
    products: z.array(Product).max(500).readonly(),
  })
  .readonly();
export type Protocol = z.infer<typeof Protocol>;

/** Who the plan is from, and when it was made. */
export interface ProtocolFrom {
  readonly garden: string;
  readonly person: string;
  readonly madeAt: string;
}

/** The plan of a trial that was dealt; undefined before that. Nothing personal is in it but what `from` says. */
export function protocolOf(
  data: TrialData,
  { madeAt, ...from }: ProtocolFrom,
): Protocol | undefined {
  // What this ground was given no other garden has.
  if (!data.layout || data.layout.keptFrom) return undefined;
  const { question, crop, unitWord, isBlind, startsOn, endsOn, pattern, rules } = data.trial;
  return {
    format: 'turnspit-protocol',
    version: 1,
    id: data.trial.protocolId ?? data.trial.id,
    madeAt,
    from,
    trial: { question, crop, unitWord, isBlind, startsOn, endsOn, pattern, rules },
    factors: data.factors.map(factor => ({ ...factor, dealtAt: unitWord })),
    treatments: data.treatments,
    measures: data.measures,
    layout: proposalOf(data, data.layout),
    care: {
      settings: { ...data.care.settings, hourWorth: null },
      rules: data.care.rules
        .filter(rule => !rule.isUnplanned)
        .map(rule => ({ ...rule, material: rule.material && { ...rule.material, batchId: null } })),
    },
    products: data.products.map(product => ({ ...product, batches: [], stepUp: null })),
  };
}

/** Of a trial that is in several gardens already, what one of them holds. */
function proposalOf(
  { units, treatments }: TrialData,
  layout: NonNullable<TrialData['layout']>,
): ProposedLayout {
  const { blockWord, controlEach, perBlock, columnWord, wholeWord, wholeFactor } = layout;
  const rest = { blockWord, controlEach, perBlock, columnWord, wholeWord, wholeFactor };
  const test = treatments.find(({ role }) => role !== 'control');
  const each = units.filter(unit => unit.treatmentId === test?.id).length;
  return liesInGardens(layout)
    ? {
        ...rest,
        kind: 'complete-randomisation',
        unitsEach: Math.max(1, Math.round(each / Math.max(1, layout.blockCount))),
        blockCount: 0,
      }
    : { ...rest, kind: layout.kind, unitsEach: layout.unitsEach, blockCount: layout.blockCount };
}

/** Reads a plan that another garden made: its shape, then whether it hangs together. */
export function readProtocol(input: unknown): Result<Protocol, FileTrouble> {
  const read = readFile(input, 'turnspit-protocol', Protocol);
  if (!read.ok) return read;
  const loose = looseEnd(read.value);
  return loose === undefined ? read : failure({ kind: 'does-not-hang-together', finding: loose });
}

/** What does not fit together in a plan, as the end of a sentence; undefined where all does. */
function looseEnd(protocol: Protocol): string | undefined {
  const { treatments, measures, care, products, trial } = protocol;
  const ids = new Set<string>(treatments.map(({ id }) => id));
  const names = new Set(treatments.map(({ name }) => name.toLowerCase()));
  const productIds = new Set(products.map(({ id }) => id as string));
  if (ids.size < treatments.length || names.size < treatments.length)
    return 'two of its treatments are the same';
  if (treatments.filter(({ role }) => role === 'control').length !== 1)
    return 'it must have one control';
  if (measures.filter(({ isMain }) => isMain).length !== 1) return 'it must have one main measure';
  if (new Set(measures.map(({ id }) => id)).size < measures.length)
    return 'two of its measures have the same id';
  if (trial.endsOn < trial.startsOn) return 'it ends before it begins';
  if (care.rules.some(rule => rule.treatmentIds.some(id => !ids.has(id))))
    return 'a task of it is for a treatment that is not in it';
  return care.rules.some(({ material }) => material && !productIds.has(material.productId))
    ? 'a task of it gives a product that is not in it'
    : undefined;
}
