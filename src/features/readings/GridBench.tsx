'use client';

import { counted } from '@/core/words/plural';
import { Bench } from '@/features/bench/Bench';
import type { BenchUnit, BenchView } from '@/features/bench/bench-view';
import { Soft } from '@/ui/Page';
import type { DeskView } from './desk-view';

interface GridBenchProps {
  readonly bench: BenchView;
  readonly view: Pick<DeskView, 'day' | 'unitWord' | 'units' | 'columns'>;
  /** Whether something stands in every column that is shown. */
  readonly isRead: (unitId: string) => boolean;
  /** Goes to the unit's row. */
  readonly open: (unitId: string) => void;
}

/** Where they stand, and which are read: a press leads to the row. */
export function GridBench({ bench, view, isRead, open }: GridBenchProps) {
  const read = view.units.filter(unit => isRead(unit.id)).length;
  const lens = (unit: BenchUnit) => ({
    state: isRead(unit.id) ? ('done' as const) : ('open' as const),
    share: null,
    words: isRead(unit.id) ? 'read' : 'not read yet',
  });
  return (
    <div>
      <Bench
        view={bench}
        label="The bench from above: which are read"
        lens={lens}
        onOpen={unit => open(unit.id)}
      />
      <Soft>
        {read === view.units.length
          ? `All ${counted(view.units.length, view.unitWord)} read.`
          : `${read} of ${counted(view.units.length, view.unitWord)} read. Press one to go to its row.`}
      </Soft>
    </div>
  );
}
