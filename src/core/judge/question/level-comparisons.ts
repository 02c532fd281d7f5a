import type { QuestionInput } from './judge-input';

/** Two cells of a crossed trial that differ in one factor only. */
export interface CellPair {
  readonly treated: string;
  readonly control: string;
  /** The other factors' levels, which both share. */
  readonly within: Readonly<Record<string, string>>;
}

/** A level of a factor beside that factor's own control level, with the pairs of cells that show it. */
export interface LevelComparison {
  readonly factor: string;
  readonly level: string;
  readonly against: string;
  readonly pairs: readonly CellPair[];
  /** Cells of the level and of what it is held against; more than pairs where one has no partner. */
  readonly cells: number;
  /** The same at a level of another factor. */
  readonly cellsWithin: (other: string, level: string) => number;
}

/** Whether every cell has its partner: an average over some of them would answer another question. */
export function isWhole({ pairs, cells }: Pick<LevelComparison, 'pairs' | 'cells'>): boolean {
  return pairs.length > 0 && cells === 2 * pairs.length;
}

/** Every level of every crossed factor beside that factor’s own control level. */
export function levelComparisonsOf({
  factors,
  treatments,
  control,
}: QuestionInput): readonly LevelComparison[] {
  const { names, levelsOf } = factors ?? { names: [], levelsOf: {} };
  const levels = (treatment: string): readonly string[] => levelsOf[treatment] ?? [];
  return names.flatMap((factor, f) => {
    const against = levels(control)[f] ?? '';
    const others = [...new Set(treatments.map(name => levels(name)[f] ?? ''))];
    return others
      .filter(level => level !== against)
      .map((level): LevelComparison => {
        const pairs = treatments
          .filter(name => levels(name)[f] === level)
          .flatMap((treated): CellPair[] => {
            const rest = levels(treated).map((own, i) => (i === f ? against : own));
            const partner = treatments.find(name =>
              levels(name).every((own, i) => own === rest[i]),
            );
            if (partner === undefined) return [];
            const within = Object.fromEntries(
              names.flatMap((name, i) => (i === f ? [] : [[name, rest[i] ?? '']])),
            );
            return [{ treated, control: partner, within }];
          });
        const own = treatments.filter(name => [level, against].includes(levels(name)[f] ?? ''));
        const cellsWithin = (other: string, at: string): number =>
          own.filter(name => levels(name)[names.indexOf(other)] === at).length;
        return { factor, level, against, pairs, cells: own.length, cellsWithin };
      });
  });
}
