'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { MeasureForm } from '@/core/measure/library/own-measure';
import type { Result } from '@/core/result';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { Trouble } from '@/ui/Trouble';
import type { DeskView } from './desk-view';

interface MeasureListProps {
  readonly view: Pick<DeskView, 'measures' | 'offered' | 'state'>;
  readonly add: (input: MeasureForm) => Promise<Result<unknown, TrialTrouble>>;
  readonly drop: (measureId: string) => Promise<Result<unknown, TrialTrouble>>;
}

type Own = Extract<MeasureForm, { from: 'own' }>;
const BLANK: Own = {
  from: 'own',
  name: '',
  definition: '',
  scale: 'continuous',
  unit: '',
  steps: '',
  better: 'higher',
  parts: 1,
  days: 'mean',
};
const SCALES: readonly { readonly value: Own['scale']; readonly label: string }[] = [
  { value: 'continuous', label: 'a number' },
  { value: 'count', label: 'a count' },
  { value: 'proportion', label: 'so many of so many' },
  { value: 'percent', label: 'a percentage' },
  { value: 'ordinal', label: 'steps in order' },
  { value: 'class', label: 'kinds without order' },
  { value: 'yes-no', label: 'yes or no' },
  { value: 'date', label: 'the day it came' },
  { value: 'rank', label: 'a rank' },
];
const DAYS: readonly { readonly value: NonNullable<Own['days']>; readonly label: string }[] = [
  { value: 'mean', label: 'averaged' },
  { value: 'last', label: 'the last counts' },
  { value: 'total', label: 'added up' },
  { value: 'highest', label: 'the highest counts' },
  { value: 'area', label: 'area under the course' },
  { value: 'change', label: 'the last less the first' },
  { value: 'rate', label: 'growth a day' },
];

/** What is read beside the harvest; more from the library, or one’s own. */
export function MeasureList({ view, add, drop }: MeasureListProps) {
  const [find, setFind] = useState('');
  const [own, setOwn] = useState<Own | null>(null);
  const { trouble, fields, isPending, run } = useTrialAction();
  const words = find.trim().toLowerCase().split(/\s+/);
  const found = view.offered.filter(({ name, definition, when, instrument }) =>
    words.every(word =>
      [name, definition, when, instrument].join(' ').toLowerCase().includes(word),
    ),
  );
  const isClosed = view.state === 'closed';
  return (
    <Box aria-label="What is read">
      <h2>What is read beside the harvest</h2>
      {view.measures.length === 0 && (
        <Soft>
          Nothing yet. Few measures, read well, tell more than many: each takes its minutes every
          week, and of many one shines by luck.
        </Soft>
      )}
      <ul>
        {view.measures.map(measure => (
          <li key={measure.id}>
            <div>
              <strong>{measure.name}</strong>{' '}
              <small>
                {measure.isMain ? 'the main measure, ' : ''}
                {measure.readings === 0 ? 'not read yet' : counted(measure.readings, 'reading')}
              </small>
              <p>{measure.definition}</p>
              <small>{measure.scaleWords}</small>
            </div>
            {!isClosed && !measure.isMain && measure.readings === 0 && (
              <Button
                data-tone="quiet"
                aria-label={`Don’t read ${measure.name}`}
                onPress={() => run(() => drop(measure.id))}
                isPending={isPending}
              >
                Don’t read it
              </Button>
            )}
          </li>
        ))}
      </ul>
      {trouble && Object.keys(fields).every(field => !(field in BLANK)) && (
        <Trouble>{trialSentence(trouble)}</Trouble>
      )}
      {!isClosed && (
        <details>
          <summary>From the library, {view.offered.length}</summary>
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
                  onPress={() => run(() => add({ from: 'library', key: kind.key }))}
                  isPending={isPending}
                >
                  Read it
                </Button>
              </li>
            ))}
          </ul>
          {found.length > SHOWN && (
            <Soft>{found.length - SHOWN} more: write a word of it above.</Soft>
          )}
          {found.length === 0 && <Soft>None of them. Make your own below.</Soft>}
        </details>
      )}
      {!isClosed &&
        (own === null ? (
          <Acts>
            <Button onPress={() => setOwn(BLANK)}>One of your own</Button>
          </Acts>
        ) : (
          <Own aria-label="A measure of your own">
            <TextField
              label="Name"
              name="ownName"
              value={own.name}
              onChange={name => setOwn({ ...own, name })}
              trouble={fields.name}
            />
            <TextField
              label="From where to where, and what counts"
              name="ownDefinition"
              value={own.definition}
              onChange={definition => setOwn({ ...own, definition })}
              trouble={fields.definition}
              isLong
            />
            <div>
              <Select
                label="It is"
                name="ownScale"
                value={own.scale}
                onChange={scale => setOwn({ ...own, scale })}
                options={SCALES}
              />
              <TextField
                label="Unit"
                name="ownUnit"
                value={own.unit ?? ''}
                onChange={unit => setOwn({ ...own, unit })}
                trouble={fields.unit}
                placeholder="mm, g, none"
              />
              <Select
                label="Better is"
                name="ownBetter"
                value={own.better ?? 'higher'}
                onChange={better => setOwn({ ...own, better })}
                options={[
                  { value: 'higher', label: 'more' },
                  { value: 'lower', label: 'less' },
                ]}
              />
              <Select
                label="Several days are"
                name="ownDays"
                value={own.days ?? 'mean'}
                onChange={days => setOwn({ ...own, days })}
                options={DAYS}
              />
              <TextField
                label="Parts read each time"
                name="ownParts"
                value={String(own.parts ?? 1)}
                onChange={parts => setOwn({ ...own, parts })}
                trouble={fields.parts}
                inputMode="numeric"
              />
            </div>
            {(own.scale === 'ordinal' || own.scale === 'class') && (
              <TextField
                label="Steps, a line each, the lowest first"
                name="ownSteps"
                value={own.steps ?? ''}
                onChange={steps => setOwn({ ...own, steps })}
                trouble={fields.steps}
                isLong
              />
            )}
            <Acts>
              <Button
                data-tone="main"
                onPress={() =>
                  run(
                    () => add(own),
                    () => setOwn(null),
                  )
                }
                isPending={isPending}
              >
                Read it
              </Button>
              <Button onPress={() => setOwn(null)}>Not now</Button>
            </Acts>
          </Own>
        ))}
    </Box>
  );
}

const SHOWN = 12;

const Box = styled.section`
  display: grid; gap: 12px;
  & ul { list-style: none; margin: 0; padding: 0; }
  & li { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 12px; align-items: start; padding: 10px 0; border-bottom: 1px solid var(--rule); }
  & small { color: var(--ink-soft); font-size: 0.9375rem; }
  & summary { cursor: pointer; font-weight: 600; width: fit-content; padding: 4px 0; }
  & details[open] > * + * { margin-top: 10px; }
  @media (pointer: coarse) { & summary { padding: 12px 0; } }
`;

const Own = styled.section`
  display: grid; gap: 12px; background: var(--slate-deep); padding: 16px;
  & > div { display: grid; grid-template-columns: repeat(auto-fit, minmax(130px, 1fr)); gap: 12px; align-items: start; }
`;
