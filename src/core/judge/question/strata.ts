import type { JudgedUnit } from '@/core/design/linear/design-input';
import { isRead, type JudgeInput, type ReadUnit } from './judge-input';

type Blocked = Pick<JudgeInput, 'blockNames' | 'units'>;

/**
 * By what name the units are told that were dealt among themselves. In a Latin square every cell of row and column holds one
 * unit: there the rows stand for both, which is on the safe side, as the columns' luck counts for error.
 */
export function stratumOf(input: Blocked): (unit: Pick<JudgedUnit, 'blocks'>) => string {
  const whole = (unit: Pick<JudgedUnit, 'blocks'>): string => JSON.stringify(unit.blocks);
  const isOneACell =
    input.blockNames.length > 1 && new Set(input.units.map(whole)).size === input.units.length;
  return isOneACell ? unit => unit.blocks[0] ?? '' : whole;
}

/** Some treatments and those they are held against, block by block; without blocks all in one. */
export interface BlockOfTwo {
  readonly treated: readonly ReadUnit[];
  readonly control: readonly ReadUnit[];
}

export function blocksOfTwo(
  input: Blocked,
  treated: readonly string[],
  controls: readonly string[],
): readonly BlockOfTwo[] {
  const nameOf = stratumOf(input);
  const blocks = new Map<string, { treated: ReadUnit[]; control: ReadUnit[] }>();
  for (const unit of input.units.filter(isRead)) {
    const isTreated = treated.includes(unit.treatment);
    if (!isTreated && !controls.includes(unit.treatment)) continue;
    const key = nameOf(unit);
    const block = blocks.get(key) ?? { treated: [], control: [] };
    block[isTreated ? 'treated' : 'control'].push(unit);
    blocks.set(key, block);
  }
  return [...blocks.values()];
}
