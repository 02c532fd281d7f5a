import type { AgreedPair, BetterWay, Margin } from './judge-input';

/** Kinds of reading that no mean does justice to. */
export type OutcomeKind = 'count' | 'proportion' | 'ordinal' | 'time';

/** One experimental unit with what was read of it. */
export interface OutcomeUnit {
  readonly id: string;
  readonly treatment: string;
  readonly blocks: readonly string[];
  /** Of a split plot: the bed it lies in. */
  readonly wholePlot?: string | undefined;
  /** A count; k of n; a step; days waited. null where the unit gave none. */
  readonly value: number | null;
  /** Of k of n: n, ≥ 1. */
  readonly outOf: number | null;
  /** Of a count: the parts that were read, over those of a unit read whole. 1 where it is not said. */
  readonly effort?: number | undefined;
  /** Of days: whether it came, or is still waited for. */
  readonly hasCome: boolean;
  /** Of classes: which of them it was; then `value` says whether it is the one that is counted. */
  readonly className?: string | null | undefined;
}

/** All that is judged of one measure of such a kind. */
export interface OutcomeInput {
  readonly kind: OutcomeKind;
  /** What was measured, as a noun: `leaves with spots`. */
  readonly response: string;
  readonly unitWord: string;
  readonly treatmentName: string;
  readonly treatments: readonly string[];
  readonly control: string;
  readonly blockNames: readonly string[];
  /** Blocks of two, dealt by the toss of a coin. */
  readonly isPaired: boolean;
  readonly units: readonly OutcomeUnit[];
  readonly better: BetterWay;
  /** Neither way is a gain: then what is found is more or less, not better or worse. */
  readonly hasNoGoodDirection?: boolean;
  /** Of classes: the one that is counted. */
  readonly countedClass?: string | undefined;
  readonly margin: Margin | null;
  /** Two treatments that were agreed on before the lock as what the question is about; then the headline is theirs. */
  readonly agreed?: AgreedPair | undefined;
  readonly confidence: number;
  readonly seed: number;
  readonly isDeclared: boolean;
}

/** A unit that gave something. */
export type ReadUnit = OutcomeUnit & { readonly value: number };

export function effortOf(unit: OutcomeUnit): number {
  return unit.effort ?? 1;
}

export function readUnits(input: OutcomeInput): readonly ReadUnit[] {
  return input.units.flatMap(unit => (unit.value === null ? [] : [{ ...unit, value: unit.value }]));
}

/** Whether beds were dealt, too: then units of one bed share its luck. */
export function isSplit(input: OutcomeInput): boolean {
  return input.units.some(unit => unit.wholePlot !== undefined);
}

/**
 * By what name the units are told that were dealt among themselves. In a Latin square every cell of row and column holds one
 * unit: there the rows stand for both, which is on the safe side, as the columns' luck counts for error.
 */
export function stratumOf(input: OutcomeInput): (unit: OutcomeUnit) => string {
  const whole = (unit: OutcomeUnit): string => JSON.stringify(unit.blocks);
  const isOneACell =
    input.blockNames.length > 1 && new Set(input.units.map(whole)).size === input.units.length;
  return isOneACell ? unit => unit.blocks[0] ?? '' : whole;
}

/** A treatment and the control, block by block; without blocks all in one. */
export interface BlockOfTwo {
  readonly treated: readonly ReadUnit[];
  readonly control: readonly ReadUnit[];
}

export function blocksOfTwo(input: OutcomeInput, treatment: string): readonly BlockOfTwo[] {
  const nameOf = stratumOf(input);
  const blocks = new Map<string, { treated: ReadUnit[]; control: ReadUnit[] }>();
  for (const unit of readUnits(input)) {
    if (unit.treatment !== treatment && unit.treatment !== input.control) continue;
    const key = nameOf(unit);
    const block = blocks.get(key) ?? { treated: [], control: [] };
    block[unit.treatment === treatment ? 'treated' : 'control'].push(unit);
    blocks.set(key, block);
  }
  return [...blocks.values()];
}
