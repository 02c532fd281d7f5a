'use client';

import { counted } from '@/core/words/plural';
import { Soft } from '@/ui/Page';
import { Bench } from './Bench';
import type { BenchUnit, BenchView } from './bench-view';

interface DoneBenchProps {
  readonly bench: BenchView;
  readonly unitWord: string;
  /** What was done to those that are filled: `read`, `pictured`. */
  readonly done: string;
  readonly isDone: (unitId: string) => boolean;
  /** Where a press on one leads: `go to its row`. */
  readonly leads: string;
  readonly open: (unitId: string) => void;
}

/** Where they stand, and which are done: a press leads to what there is of one. */
export function DoneBench({ bench, unitWord, done, isDone, leads, open }: DoneBenchProps) {
  const all = bench.units.length;
  const count = bench.units.filter(unit => isDone(unit.id)).length;
  const lens = (unit: BenchUnit) => ({
    state: isDone(unit.id) ? ('done' as const) : ('open' as const),
    share: null,
    words: isDone(unit.id) ? done : `not ${done} yet`,
  });
  return (
    <div>
      <Bench
        view={bench}
        label={`The bench from above: which are ${done}`}
        lens={lens}
        onOpen={unit => open(unit.id)}
      />
      <Soft>
        {count === all
          ? `All ${counted(all, unitWord)} ${done}.`
          : `${count} of ${counted(all, unitWord)} ${done}. Press one to ${leads}.`}
      </Soft>
    </div>
  );
}
