'use client';

import { Fold } from '@/ui/Fold';
import { Ticks } from '@/ui/fields/Ticks';
import { gridMeasures } from './day-measures';
import type { DeskView } from './desk-view';

interface OtherMeasuresProps {
  readonly view: DeskView;
  readonly picked: readonly string[];
  readonly pick: (picked: readonly string[]) => void;
}

/** What else could be read on the day: nobody types past empty columns to get to the one that is meant. */
export function OtherMeasures({ view, picked, pick }: OtherMeasuresProps) {
  const all = gridMeasures(view.columns);
  if (all.length < 2) return null;
  const hidden = all.filter(id => !picked.includes(id)).length;
  return (
    <Fold title={hidden === 0 ? 'Fewer measures' : `Another measure, ${hidden} more`} tone="soft">
      <Ticks
        legend="In the grid"
        options={all.map(value => ({
          value,
          label: view.measures.find(measure => measure.id === value)?.name ?? value,
        }))}
        chosen={picked}
        onChange={pick}
        isInColumns
      />
    </Fold>
  );
}
