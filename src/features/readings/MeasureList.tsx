'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { MeasureForm } from '@/core/measure/library/own-measure';
import type { Result } from '@/core/result';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { DerivedMeasure } from './DerivedMeasure';
import type { DeskView } from './desk-view';
import { BLANK_MEASURE_FORM, OwnMeasure, type OwnMeasureForm } from './OwnMeasure';

interface MeasureListProps {
  readonly view: Pick<DeskView, 'measures' | 'offered' | 'state'>;
  readonly add: (input: MeasureForm) => Promise<Result<unknown, TrialTrouble>>;
  readonly drop: (measureId: string) => Promise<Result<unknown, TrialTrouble>>;
}

/** What is read beside the harvest; more from the library, or one’s own. */
export function MeasureList({ view, add, drop }: MeasureListProps) {
  const [own, setOwn] = useState<OwnMeasureForm | null>(null);
  const { trouble, fields, isPending, run } = useTrialAction();
  const isClosed = view.state === 'closed';
  return (
    <Box aria-label="What is read">
      <h2>What is read beside the harvest</h2>
      {view.measures.length === 0 && (
        <Soft>
          Nothing yet. Few measures, read well, tell more than many: each takes its minutes every
          week, and of many one shines by chance.
        </Soft>
      )}
      <ul>
        {view.measures.map(measure => (
          <ChosenMeasure
            key={measure.id}
            measure={measure}
            isPending={isPending}
            drop={isClosed ? null : () => run(() => drop(measure.id))}
          />
        ))}
      </ul>
      {trouble && Object.keys(fields).every(field => !(field in BLANK_MEASURE_FORM)) && (
        <Trouble>{trialSentence(trouble)}</Trouble>
      )}
      {!isClosed && (
        <Library
          offered={view.offered}
          isPending={isPending}
          read={key => run(() => add({ from: 'library', key }))}
        />
      )}
      {!isClosed && own === null && (
        <Acts>
          <Button onPress={() => setOwn(BLANK_MEASURE_FORM)}>One of your own</Button>
        </Acts>
      )}
      {!isClosed && <DerivedMeasure measures={view.measures} add={add} />}
      {!isClosed && own !== null && (
        <OwnMeasure
          form={own}
          change={changes => setOwn(now => now && { ...now, ...changes })}
          troubles={fields}
          isPending={isPending}
          read={() =>
            run(
              () => add(own),
              () => setOwn(null),
            )
          }
          close={() => setOwn(null)}
        />
      )}
    </Box>
  );
}

interface ChosenMeasureProps {
  readonly measure: DeskView['measures'][number];
  readonly isPending: boolean;
  /** null where nothing can be changed any more. */
  readonly drop: (() => void) | null;
}

function ChosenMeasure({ measure, isPending, drop }: ChosenMeasureProps) {
  return (
    <li>
      <div>
        <strong>{measure.name}</strong>{' '}
        <small>
          {measure.isMain ? 'the main measure, ' : ''}
          {measure.readings === 0 ? 'not read yet' : counted(measure.readings, 'reading')}
        </small>
        <p>{measure.definition}</p>
        <small>{measure.scaleWords}</small>
      </div>
      {drop && !measure.isMain && measure.readings === 0 && (
        <Button
          data-tone="quiet"
          aria-label={`Don’t read ${measure.name}`}
          onPress={drop}
          isPending={isPending}
        >
          Don’t read it
        </Button>
      )}
    </li>
  );
}

const SHOWN = 12;

interface LibraryProps {
  readonly offered: DeskView['offered'];
  readonly isPending: boolean;
  readonly read: (key: string) => void;
}

/** What can be read of a plant, found by any word of it. */
function Library({ offered, isPending, read }: LibraryProps) {
  const [find, setFind] = useState('');
  const words = find.trim().toLowerCase().split(/\s+/);
  const found = offered.filter(({ name, definition, when, instrument }) => {
    const said = [name, definition, when, instrument].join(' ').toLowerCase();
    return words.every(word => said.includes(word));
  });
  return (
    <Fold title={`From the library, ${offered.length}`}>
      <TextField
        label="Find"
        name="findMeasure"
        value={find}
        onChange={setFind}
        placeholder="height, slug, weekly"
      />
      <ul data-offer>
        {found.slice(0, SHOWN).map(kind => (
          <li key={kind.key}>
            <div>
              <strong>{kind.name}</strong>
              <p>{kind.definition}</p>
              <small>
                {kind.when}, {kind.instrument}
              </small>
            </div>
            <Button
              aria-label={`Read ${kind.name}`}
              onPress={() => read(kind.key)}
              isPending={isPending}
            >
              Read it
            </Button>
          </li>
        ))}
      </ul>
      {found.length > SHOWN && <Soft>{found.length - SHOWN} more: write a word of it above.</Soft>}
      {found.length === 0 && <Soft>None of them. Make your own below.</Soft>}
    </Fold>
  );
}

const Box = styled.section`
  display: grid; gap: 12px;
  & ul { list-style: none; margin: 0; padding: 0; }
  & li { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 12px; align-items: start; padding: 10px 0; border-bottom: 1px solid var(--rule); }
  & small { color: var(--ink-soft); font-size: 0.9375rem; }
`;
