'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { styled } from 'styled-components';
import type { Judgement } from '@/core/judge/outcomes/judgement';
import { type JudgeInput, testsOf } from '@/core/judge/question/judge-input';
import type { PermutationResult } from '@/core/stats/permutation/permutation-test';
import { pluralOf } from '@/core/words/plural';
import type { TagView } from '@/features/bench/bench-view';
import type { JudgingState } from '@/features/judge/use-judgement';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/fields/Choice';
import { HowFar } from '@/ui/HowFar';
import { Acts, Soft } from '@/ui/Page';
import { PlantLabel } from '@/ui/PlantLabel';
import { howOften } from './how-often';
import { observedGap } from './observed-gap';
import type { WatchedShuffle } from './use-shuffle-watch';
import { useShuffleWatch, type WatchSpeed } from './use-shuffle-watch';

// The chart library is the heaviest part of the page: the page takes input before it is there.
const ShuffleChart = dynamic(() => import('./ShuffleChart').then(module => module.ShuffleChart), {
  ssr: false,
  loading: () => <div style={{ minHeight: 250 }} />,
});

interface ShufflePanelProps {
  readonly state: JudgingState;
  readonly tags: readonly TagView[];
  readonly onCancel: () => void;
  readonly onRunAgain: () => void;
  /** Far more random deals, for a finer p. */
  readonly onRunMore: () => void;
}

/** The shuffle test: could luck have done it? To be watched, stopped, and run again. */
export function ShufflePanel({ state, tags, onCancel, onRunAgain, onRunMore }: ShufflePanelProps) {
  const { input, judgement } = state.analysis;
  const { watched, isRunning, start, stop } = useShuffleWatch(input);
  const [speed, setSpeed] = useState<WatchSpeed>('rising');
  const shuffle = watched?.result ?? judgement.shuffle;
  return (
    <Panel aria-label="Shuffle test">
      <h2>Could chance alone have done it?</h2>
      {!shuffle && state.status === 'ready' && (
        <p>
          There is nothing to shuffle:{' '}
          {judgement.verdict.call === 'no-test'
            ? 'no spread to judge by.'
            : 'the labels could have been dealt in one way only.'}
        </p>
      )}
      {shuffle && <Soft>{howDealt(shuffle, input, watched !== null)}</Soft>}
      {shuffle && <ShuffleChart shuffle={shuffle} summary={chanceWords(shuffle, input)} />}
      {shuffle && (
        <p data-luck>
          <b>{watched ? chanceSoFar(watched.result) : chanceWords(shuffle, input)}</b>
        </p>
      )}
      {state.progress && <ShuffleProgress progress={state.progress} onCancel={onCancel} />}
      <BrokenOff status={state.status} onRunAgain={onRunAgain} />
      {watched && isRunning && (
        <Deal
          input={input}
          labels={watched.labels}
          tags={tags}
          words={`Deal ${watched.result.arrangements.toLocaleString('en')}: the same harvests under these labels make a gap of ${watched.largestT.toFixed(2)} standard errors; yours is ${observedGap(watched.result).toFixed(2)}.`}
        />
      )}
      {judgement.shuffle && !state.progress && !isRunning && (
        <Choice
          label="How fast"
          name="watchSpeed"
          value={speed}
          onChange={setSpeed}
          direction="row"
          options={SPEEDS}
        />
      )}
      {judgement.shuffle && !state.progress && (
        <WatchActs
          isRunning={isRunning}
          stop={stop}
          start={start}
          speed={speed}
          watched={watched}
          judgement={judgement}
          onRunMore={onRunMore}
        />
      )}
    </Panel>
  );
}

const SPEEDS = [
  { value: 'slow', label: 'one by one' },
  { value: 'rising', label: 'faster and faster' },
  { value: 'fast', label: 'fast' },
] as const;

type BrokenOffProps = Pick<JudgingState, 'status'> & Pick<ShufflePanelProps, 'onRunAgain'>;

/** The shuffles were stopped, or broke off: how to run them again. */
function BrokenOff({ status, onRunAgain }: BrokenOffProps) {
  if (status === 'stopped')
    return (
      <p role="status">
        Stopped.{' '}
        <Button data-tone="quiet" onPress={onRunAgain}>
          Run the shuffles
        </Button>
      </p>
    );
  if (status === 'failed')
    return (
      <p role="alert">
        The shuffles broke off.{' '}
        <Button data-tone="quiet" onPress={onRunAgain}>
          Try again
        </Button>
      </p>
    );
  return null;
}

interface ShuffleProgressProps {
  readonly progress: { readonly done: number; readonly total: number };
  readonly onCancel: ShufflePanelProps['onCancel'];
}

function ShuffleProgress({ progress, onCancel }: ShuffleProgressProps) {
  return (
    <div role="status">
      <HowFar label="Shuffles done" done={progress.done} of={progress.total} />{' '}
      {progress.done.toLocaleString('en')} of {progress.total.toLocaleString('en')} shuffles{' '}
      <Button data-tone="quiet" onPress={onCancel}>
        Stop
      </Button>
    </div>
  );
}

interface WatchActsProps {
  readonly isRunning: boolean;
  readonly stop: () => void;
  readonly start: (speed: WatchSpeed) => Promise<void>;
  readonly speed: WatchSpeed;
  readonly watched: WatchedShuffle | null;
  readonly judgement: Judgement;
  readonly onRunMore: ShufflePanelProps['onRunMore'];
}

function WatchActs({
  isRunning,
  stop,
  start,
  speed,
  watched,
  judgement,
  onRunMore,
}: WatchActsProps) {
  return (
    <Acts>
      {isRunning ? (
        <Button onPress={stop}>Stop watching</Button>
      ) : (
        <Button onPress={() => start(speed)}>{watched ? 'Watch again' : 'Watch it happen'}</Button>
      )}
      {!isRunning && !judgement.shuffle?.exact && (
        <Button data-tone="quiet" onPress={onRunMore}>
          A million shuffles
        </Button>
      )}
    </Acts>
  );
}

function howDealt(shuffle: PermutationResult, input: JudgeInput, isWatched: boolean): string {
  const within =
    input.blockNames.length > 0
      ? `within the same ${pluralOf(input.blockNames[0] ?? '')}`
      : 'anywhere on the bench';
  const count = shuffle.arrangements.toLocaleString('en');
  if (isWatched) return `${count} deals of the same labels ${within} so far.`;
  return shuffle.exact
    ? `All ${count} ways to deal the same labels ${within}.`
    : `${count} random deals of the same labels ${within}, seed ${shuffle.seed}.`;
}

function chanceWords(shuffle: PermutationResult, input: JudgeInput): string {
  const strongest = shuffle.comparisons.reduce((best, comparison) =>
    comparison.observed > best.observed ? comparison : best,
  );
  const share = strongest.pAdjusted;
  const name = testsOf(input)[strongest.treatment - 1] ?? '';
  return `A gap as large as ${name}’s turns up in ${howOften(share)} shuffles.`;
}

/** A count, not a share: after a dozen deals a share would say more than is known. */
function chanceSoFar(shuffle: PermutationResult): string {
  const strongest = shuffle.comparisons.reduce((best, comparison) =>
    comparison.observed > best.observed ? comparison : best,
  );
  const asLarge = shuffle.exact
    ? strongest.pAdjusted * shuffle.arrangements
    : strongest.pAdjusted * (shuffle.arrangements + 1) - 1;
  return `So far ${Math.round(asLarge).toLocaleString('en')} of ${shuffle.arrangements.toLocaleString('en')} deals made a gap as large as yours.`;
}

function Deal({
  input,
  labels,
  tags,
  words,
}: {
  readonly input: JudgeInput;
  readonly labels: readonly number[];
  readonly tags: readonly TagView[];
  readonly words: string;
}) {
  const names = [input.control, ...testsOf(input)];
  const measured = input.units.filter(unit => unit.value !== null);
  return (
    <div>
      <Labels aria-hidden>
        {measured.map((unit, i) => (
          <PlantLabel
            key={unit.id}
            look={tags.find(tag => tag.name === names[labels[i] ?? 0])}
            width={15}
          />
        ))}
      </Labels>
      <Soft>{words}</Soft>
    </div>
  );
}

const Panel = styled.section`
  display: grid; gap: 10px; align-content: start;
  & [data-luck] { font-size: 1.0625rem; }
`;

const Labels = styled.div`
  display: flex; flex-wrap: wrap; gap: 6px; padding-block: 6px;
`;
