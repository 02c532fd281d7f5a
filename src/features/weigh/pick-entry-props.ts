import type { RefObject } from 'react';
import type { Measure } from '@/core/trial/model/measure';
import type { Pick } from '@/core/trial/model/pick';
import type { BenchUnit } from '@/features/bench/bench-view';
import type { useRound } from './use-round';

export interface PickEntryProps {
  readonly round: ReturnType<typeof useRound>;
  readonly unit: BenchUnit;
  readonly units: readonly BenchUnit[];
  readonly measure: Measure;
  readonly unitWord: string;
  readonly today: string;
  readonly grossRef: RefObject<HTMLInputElement | null>;
  readonly lastPick: Pick | undefined;
  readonly isDoneToday: boolean;
  /** When a piece is ripe, as it was agreed. */
  readonly ripeRule: string;
}
