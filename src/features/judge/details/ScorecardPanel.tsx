'use client';

import type { Dispatch, SetStateAction } from 'react';
import { useState } from 'react';
import { styled } from 'styled-components';
import { type Scorecard, type ScoreRow, winsOf } from '@/core/judge/after/scorecard';
import type { WeightedPlace } from '@/core/judge/after/weighted-rank';
import { weightedRank } from '@/core/judge/after/weighted-rank';
import type { AnalysisSpec } from '@/core/judge/units/trial-analysis';
import { quotedIfNone } from '@/core/judge/verdict/words/size-words';
import type { TrialData } from '@/core/trial/model/trial-data';
import { counted } from '@/core/words/plural';
import type { TagView } from '@/features/bench/bench-view';
import { CALL_WORDS, DIFFERENCE_WORDS } from '@/features/judge/call-words';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { HowFar } from '@/ui/HowFar';
import { Link } from '@/ui/Link';
import { Acts, Soft } from '@/ui/Page';
import { PlantLabel } from '@/ui/PlantLabel';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import { chanceOfCell, chanceWords, toneOf } from './score-words';
import { type PermutationPValuesState, usePermutationPValues } from './use-permutation-p-values';

interface ScorecardPanelProps {
  readonly trialId: string;
  /** With the readings of all measures; null while they are on their way. */
  readonly whole: TrialData | null;
  readonly spec: AnalysisSpec;
  readonly card: Scorecard;
  readonly tags: readonly TagView[];
  readonly control: string;
  /** Yields by other bases, and what they cost, by treatment. */
  readonly bases: readonly {
    readonly name: string;
    readonly cells: readonly { readonly treatment: string; readonly words: string }[];
  }[];
}

const WEIGHTS = [0, 1, 2, 3] as const;

/** All that was measured beside each other, each by its own method; and whose favourite wins when measures are weighed. */
export function ScorecardPanel({
  trialId,
  whole,
  spec,
  card,
  tags,
  control,
  bases,
}: ScorecardPanelProps) {
  const treatments = card.rows[0]?.cells.map(cell => cell.treatment) ?? [];
  const wholeRows = card.rows.filter(row => row.part === null);
  const [weights, setWeights] = useState<Readonly<Record<string, number>>>(() =>
    Object.fromEntries(wholeRows.map(row => [row.measureId, row.isMain ? 3 : 0])),
  );
  const [isClose, setClose] = useState(false);
  const [wasClose, setWasClose] = useState(false); // nothing is shuffled for who does not ask
  const permutations = usePermutationPValues(
    wasClose ? whole : null,
    spec,
    wholeRows.filter(row => row.isByMean).map(row => row.measureId),
  );
  const turnClose = (): void => {
    setClose(!isClose);
    setWasClose(true);
  };
  const ranked = weightedRank(card.rows, weights);
  const wins = winsOf(card);
  const [isWeighing, setWeighing] = useState(false);
  const isWeighed = wholeRows.some(row => !row.isMain && (weights[row.measureId] ?? 0) > 0);
  return (
    <Card aria-label="Scorecard">
      <h2>All that was measured</h2>
      <ScoreTable
        treatments={treatments}
        tags={tags}
        card={card}
        trialId={trialId}
        permutations={permutations}
        weights={weights}
        setWeights={isWeighing ? setWeights : null}
        isClose={isClose}
      />
      {bases.length > 0 && <BaseTable treatments={treatments} bases={bases} />}
      {isClose && card.rows.some(row => row.isByMean) && (
        <PermutationProgress state={permutations} />
      )}
      <p>
        {chanceWords(card)}{' '}
        {[...wins]
          .filter(([, each]) => each.better + each.worse > 0)
          .map(([name, each]) => `${name}: ${tradeWords(each, control)}.`)
          .join(' ')}
      </p>
      <Acts>
        <Button onPress={() => setWeighing(!isWeighing)}>
          {isWeighing ? 'Hide the weights' : 'Say which measures matter to you'}
        </Button>
        <Button onPress={turnClose}>
          {isClose ? 'Hide the chances' : 'Show what chance alone would do'}
        </Button>
      </Acts>
      {isWeighing && isWeighed && ranked.length > 0 && <RankedByWeight ranked={ranked} />}
    </Card>
  );
}

type BasesProps = Pick<ScorecardPanelProps, 'bases'>;
type SetWeights = Dispatch<SetStateAction<Readonly<Record<string, number>>>>;

interface ScoreTableProps {
  readonly treatments: string[];
  readonly tags: ScorecardPanelProps['tags'];
  readonly card: ScorecardPanelProps['card'];
  readonly trialId: ScorecardPanelProps['trialId'];
  readonly permutations: PermutationPValuesState;
  readonly weights: Readonly<Record<string, number>>;
  /** null where they are not asked for. */
  readonly setWeights: SetWeights | null;
  /** With the chance of every gap, and how each measure was judged. */
  readonly isClose: boolean;
}

function ScoreTable({
  treatments,
  tags,
  card,
  trialId,
  permutations,
  weights,
  setWeights,
  isClose,
}: ScoreTableProps) {
  return (
    <WideTable label="Every measure and every treatment">
      <thead>
        <tr>
          <th scope="col">Measure</th>
          {treatments.map(name => (
            <th key={name} scope="col">
              <PlantLabel look={tags.find(tag => tag.name === name)} width={14} /> {name}
            </th>
          ))}
          {isClose && <th scope="col">by</th>}
          {setWeights && <th scope="col">weight</th>}
        </tr>
      </thead>
      <tbody>
        {card.rows.map(row => (
          <MeasureRow
            key={`${row.measureId} ${row.part ?? ''}`}
            row={row}
            trialId={trialId}
            permutations={permutations}
            weights={weights}
            setWeights={setWeights}
            isClose={isClose}
          />
        ))}
      </tbody>
    </WideTable>
  );
}

/** The main harvest by what it stood on, was fed or took: sums, not tested. */
function BaseTable({ treatments, bases }: Pick<ScoreTableProps, 'treatments'> & BasesProps) {
  return (
    <Fold title="By ground, mix, hours and money" tone="soft">
      <WideTable label="The main harvest by what it took">
        <TableHead of={['A sum, not tested', ...treatments]} />
        <tbody>
          {bases.map(base => (
            <tr key={base.name}>
              <th scope="row">{base.name}</th>
              {treatments.map(name => (
                <td key={name}>{base.cells.find(cell => cell.treatment === name)?.words ?? '—'}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </WideTable>
    </Fold>
  );
}

function RankedByWeight({ ranked }: { readonly ranked: readonly WeightedPlace[] }) {
  return (
    <div>
      <h3>Weighed by you</h3>
      <ol>
        {ranked.map(place => (
          <li key={place.treatment}>
            <b>{place.treatment}</b> first in {Math.round(100 * place.firstShare)} of 100 when the
            weights are moved about
          </li>
        ))}
      </ol>
      <Soft>
        A rank by weights is a taste, no result.{' '}
        {(ranked[0]?.firstShare ?? 0) < 0.8
          ? 'This one hangs on the weights: somebody else’s taste puts another first.'
          : 'This one stands whatever the weights.'}
      </Soft>
    </div>
  );
}

interface MeasureRowProps {
  readonly row: ScoreRow;
  readonly trialId: ScorecardPanelProps['trialId'];
  readonly permutations: PermutationPValuesState;
  readonly weights: Readonly<Record<string, number>>;
  readonly setWeights: SetWeights | null;
  readonly isClose: boolean;
}

function MeasureRow({ row, trialId, permutations, weights, setWeights, isClose }: MeasureRowProps) {
  return (
    <tr>
      <th scope="row">
        {row.part === null ? (
          <Link href={`/trials/${trialId}/judge?measure=${row.measureId}`}>{row.name}</Link>
        ) : (
          row.name
        )}
        <small>
          {row.isMain
            ? 'the main one'
            : row.sameAs === null
              ? row.better === 'neither'
                ? 'a difference, no gain'
                : row.better === 'lower'
                  ? 'less is better'
                  : ''
              : `says the same as ${row.sameAs.toLowerCase()}`}
        </small>
      </th>
      {row.cells.map(cell => (
        <td key={cell.treatment} data-call={toneOf(cell.call, row.better)}>
          {cell.words || '—'}
          {cell.call !== null && (
            <small>
              {row.better === 'neither' ? DIFFERENCE_WORDS[cell.call] : CALL_WORDS[cell.call]}
            </small>
          )}
          {isClose && cell.call !== null && (
            <small data-luck>{chanceOfCell(cell, row, permutations.pValues)}</small>
          )}
        </td>
      ))}
      {isClose && <td data-method>{row.method}</td>}
      {setWeights && (
        <td>
          {row.better !== 'neither' && row.part === null && (
            <Select
              label={`Weight of ${row.name}`}
              hidesLabel
              name={`weight-${row.measureId}`}
              value={String(weights[row.measureId] ?? 0)}
              onChange={weight => setWeights({ ...weights, [row.measureId]: Number(weight) })}
              options={WEIGHTS.map(weight => ({ value: String(weight), label: String(weight) }))}
            />
          )}
        </td>
      )}
    </tr>
  );
}

function PermutationProgress({ state }: { readonly state: PermutationPValuesState }) {
  const { progress, status, pValues, start, cancel } = state;
  if (status === 'running')
    return (
      progress && (
        <div role="status">
          <HowFar label="Shuffles of all measures" done={progress.done} of={progress.total} />{' '}
          {progress.done.toLocaleString('en')} of {progress.total.toLocaleString('en')} shuffles,
          measure by measure{' '}
          <Button data-tone="quiet" onPress={cancel}>
            Stop
          </Button>
        </div>
      )
    );
  if (status !== 'ready')
    return (
      <p role="status">
        {status === 'stopped' ? 'Stopped.' : 'The shuffles broke off.'}{' '}
        <Button data-tone="quiet" onPress={start}>
          Shuffle all measures
        </Button>
      </p>
    );
  return (
    <Soft>
      {pValues.length === 0
        ? 'No measure of them could be shuffled.'
        : 'Chance alone: in how many shuffles of the labels the gap is as wide.'}
    </Soft>
  );
}

function tradeWords(
  { better, worse }: { readonly better: number; readonly worse: number },
  control: string,
): string {
  const named = quotedIfNone(control);
  if (better > 0 && worse > 0)
    return `better than ${named} in ${better}, worse in ${worse}: a trade, not a win`;
  return better > 0
    ? `better than ${named} in ${counted(better, 'measure')}, worse in none`
    : `worse than ${named} in ${counted(worse, 'measure')}, better in none`;
}

const Card = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr);
  & small { display: block; color: var(--ink-soft); font-weight: 400; }
  & td[data-method] { white-space: normal; min-width: 140px; color: var(--ink-soft); font-size: 0.9375rem; }
  & td[data-call] { font-weight: 600; }
  & td[data-call='leaf'] small { color: var(--leaf); } & td[data-call='beet'] small { color: var(--beet); }
  & thead svg { vertical-align: -6px; }
  & p { max-width: var(--measure); }
  & select { min-height: 32px; min-width: 64px; background: var(--paper); border: 0; border-bottom: 2px solid var(--rule-strong); }
  & ol { margin: 4px 0; padding-left: 22px; }
  @media (pointer: coarse) { & select { min-height: 48px; } }
`;
