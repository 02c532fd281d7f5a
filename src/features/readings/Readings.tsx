'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { styled } from 'styled-components';
import type { BenchView } from '@/features/bench/bench-view';
import { WriterName } from '@/features/frame/WriterName';
import { WeighWays } from '@/features/trial/WeighWays';
import { TextField } from '@/ui/fields/TextField';
import { LateFold } from '@/ui/LateFold';
import { Soft } from '@/ui/Page';
import { Courses } from './Courses';
import type { DeskView } from './desk-view';
import type { ImportTableProps } from './ImportTable';
import { MeasureList } from './MeasureList';
import { Notes } from './Notes';
import { PracticeEye } from './PracticeEye';
import { ReadingGrid } from './ReadingGrid';
import { ReadingHistory } from './ReadingHistory';

// It brings a reader of tables along.
const ImportTable = dynamic(() => import('./ImportTable').then(file => file.ImportTable), {
  ssr: false,
});

interface ReadingsProps {
  readonly view: DeskView;
  readonly bench: BenchView | null;
  readonly season: Parameters<typeof Courses>[0]['season'];
  readonly add: Parameters<typeof MeasureList>[0]['add'];
  readonly drop: Parameters<typeof MeasureList>[0]['drop'];
  readonly history: Parameters<typeof ReadingHistory>[0]['history'];
  readonly undoImport: ImportTableProps['undo'];
}

/** Readings at the desk: the grid of a day, and what is read at all. */
export function Readings({ view, bench, season, add, drop, undoImport, history }: ReadingsProps) {
  const router = useRouter();
  const canRead = view.state !== 'planned' && view.units.length > 0 && view.columns.length > 0;
  return (
    <Desk>
      <WeighWays
        trialId={view.trialId}
        here="readings"
        canWalk={canRead && view.state === 'locked'}
      />
      {canRead ? (
        <section aria-label="The grid">
          <TextField
            label="Of the day"
            name="deskDay"
            type="date"
            value={view.day}
            onChange={day => {
              if (/^\d{4}-\d{2}-\d{2}$/.test(day) && day <= view.today)
                router.push(`/trials/${view.trialId}/readings?day=${day}`);
            }}
          />
          <ReadingGrid
            key={`${view.day} ${view.columns.map(column => column.measureId).join()} ${view.cells.length}`}
            view={view}
            bench={bench}
          />
          {view.state === 'locked' && <WriterName />}
          <ReadingHistory
            units={view.units}
            unitWord={view.unitWord}
            measures={view.measures}
            history={history}
          />
        </section>
      ) : (
        <Soft>
          {view.state === 'planned'
            ? 'Choose now what is read; the grid opens when the plan is locked.'
            : 'Choose what is read, and the grid opens.'}
        </Soft>
      )}
      {view.state === 'locked' && view.units.length > 0 && (
        <LateFold title="From a file, or pasted" what="The table">
          <ImportTable view={view} undo={undoImport} />
        </LateFold>
      )}
      {view.courses.length > 0 && (
        <Courses courses={view.courses} unitWord={view.unitWord} season={season} />
      )}
      {view.state !== 'planned' && <Notes notes={view.notes} />}
      {view.measures.some(measure => measure.scale?.kind === 'percent') && (
        <PracticeEye seed={Number(view.today.replaceAll('-', ''))} />
      )}
      <MeasureList view={view} add={add} drop={drop} />
    </Desk>
  );
}

const Desk = styled.div`
  display: grid; gap: 24px; grid-template-columns: minmax(0, 1fr);
  & > section { display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr); }
  & > section > div:first-child { max-width: 220px; }
`;
