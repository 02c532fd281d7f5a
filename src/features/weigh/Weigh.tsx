'use client';

import type { RefObject } from 'react';
import { useEffect, useRef } from 'react';
import { styled } from 'styled-components';
import { checkSums } from '@/core/measure/reading/check-sums';
import type { YieldMeasures } from '@/core/measure/unit-value/yield-bases';
import { type MassStyle, printMass } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import { shortDay } from '@/core/time/days';
import type { HistoryLine } from '@/core/trial/history-line';
import type { Measure } from '@/core/trial/model/measure';
import type { Pick } from '@/core/trial/model/pick';
import type { TrialState } from '@/core/trial/model/trial';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { counted, pluralOf } from '@/core/words/plural';
import { Bench } from '@/features/bench/Bench';
import type { UnitLens } from '@/features/bench/bench-lens';
import type { BenchUnit, BenchView } from '@/features/bench/bench-view';
import { WriterName } from '@/features/frame/WriterName';
import { useSeasonDay } from '@/features/trial/season-day';
import { WeighWays } from '@/features/trial/WeighWays';
import { Link } from '@/ui/Link';
import { Soft, TwoParts } from '@/ui/Page';
import { AllDone } from './AllDone';
import { Checked } from './Checked';
import { Mishaps } from './Mishaps';
import type { MishapView, UnitGroup } from './mishap-view';
import { PickEntry } from './PickEntry';
import { PotStrip } from './PotStrip';
import { UnitPicks } from './UnitPicks';
import { type RoundActions, useRound } from './use-round';
import { isDone } from './use-unit-in-hand';
import { useWeighKeys } from './use-weigh-keys';
import { type RoundSums, roundSums, soundSums } from './weigh-sums';

interface WeighProps extends RoundActions {
  readonly trialId: string;
  readonly state: TrialState;
  readonly unitWord: string;
  readonly measure: Measure;
  readonly system: MeasureSystem;
  readonly today: string;
  /** The code on a label that was scanned. */
  readonly asked?: string | undefined;
  readonly bench: BenchView | null;
  readonly picks: readonly Pick[];
  readonly history: (unitId: string) => Promise<readonly Pick[]>;
  /** What one unit's harvest may be counted by. */
  readonly groups: readonly UnitGroup[];
  readonly yieldMeasures: Readonly<Record<string, YieldMeasures>>;
  /** Tops at the end, in g, of the units whose tops were weighed. */
  readonly topsG: Readonly<Record<string, number>>;
  readonly ripeRule: string;
  readonly mishaps: readonly MishapView[];
  /** What is left of the plan, in sentences. */
  readonly standing: readonly string[];
  readonly isKeyOpen: boolean;
  readonly mishapHistory: () => Promise<readonly HistoryLine[]>;
  readonly recordMishap: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly takeBackMishap: (incidentId: string) => Promise<Result<unknown, TrialTrouble>>;
}

/** The round: pot by pot, by code, as fast as one can read a scale. */
export function Weigh(props: WeighProps) {
  const { bench, state, trialId } = props;
  if (state === 'planned' || !bench) {
    return (
      <TwoParts>
        <div>
          <h2>Nothing is weighed before the plan is locked</h2>
          <p>
            What is decided after the first reading can’t be told from what was hoped for. So the
            question, the smallest difference worth having and the deal come first.
          </p>
          <p>
            <Link href={`/trials/${trialId}/lay-out`}>Lay out and lock</Link>
          </p>
        </div>
      </TwoParts>
    );
  }
  return <Round {...props} bench={bench} />;
}

type RoundProps = WeighProps & { readonly bench: BenchView };

function Round(props: RoundProps) {
  const round = useRound({ ...props, units: props.bench.units });
  const gross = useRef<HTMLInputElement>(null);
  useWeighKeys();
  useFocusOnNext(gross, round.unit?.id, round.saves);
  if (!round.unit) return null;
  return (
    <TwoParts>
      <EntryPart {...props} round={round} unit={round.unit} gross={gross} />
      <BenchPart {...props} round={round} unit={round.unit} />
    </TwoParts>
  );
}

/**
 * After a save, or when another pot is in hand, the next key belongs to the number. Not when the page merely catches up
 * with what was stored: by then someone may be writing elsewhere.
 */
function useFocusOnNext(
  gross: RefObject<HTMLInputElement | null>,
  unitId: string | undefined,
  saves: number,
): void {
  // biome-ignore lint/correctness/useExhaustiveDependencies: these two say when, the effect does not read them
  useEffect(() => {
    if (
      document.activeElement === document.body ||
      document.activeElement instanceof HTMLInputElement ||
      document.activeElement instanceof HTMLButtonElement
    )
      gross.current?.focus({ preventScroll: true });
  }, [unitId, saves]);
}

interface InHand {
  readonly round: ReturnType<typeof useRound>;
  readonly unit: BenchUnit;
}

/** The bench as it stands today, what was weighed so far, and what went wrong. */
function BenchPart({ round, unit, ...props }: RoundProps & InHand) {
  const { bench, state, unitWord, picks } = props;
  const { style } = round;
  const day = round.round.pickedOn;
  const { on } = useSeasonDay();
  const then = on ?? day;
  const stood = on === null ? picks : picks.filter(pick => pick.pickedOn <= on);
  const isClosed = state === 'closed';
  return (
    <BenchSide>
      <WeighWays trialId={props.trialId} here="weigh" canWalk={state === 'locked'} />
      <div data-desk>
        <Bench
          view={bench}
          label="The bench from above: full pots are done today"
          lens={lensOf(bench.units, stood, then, style)}
          onOpen={each => round.choose(each.id)}
        />
      </div>
      <SumsSoFar
        day={day}
        sums={roundSums(picks, day)}
        units={bench.units}
        unitWord={unitWord}
        style={style}
      />
      <Checked checks={checkSums(picks, props.system)} style={style} />
      <UnitPicks
        unit={unit}
        picks={picks.filter(pick => pick.unitId === unit.id)}
        style={style}
        measures={props.yieldMeasures[unit.id]}
        topsG={props.topsG[unit.id]}
        isClosed={isClosed}
        history={props.history}
        onEdit={round.edit}
        onTakeOut={pick => void round.takeOut(pick)}
      />
      <Mishaps
        mishaps={props.mishaps}
        standing={props.standing}
        codes={bench.units.map(each => each.code)}
        code={unit.code}
        groups={props.groups}
        today={props.today}
        isClosed={isClosed}
        isKeyOpen={props.isKeyOpen}
        history={props.mishapHistory}
        record={props.recordMishap}
        takeBack={props.takeBackMishap}
      />
    </BenchSide>
  );
}

/** How each unit is drawn: done today or not, dead, and how much it gave beside the one that gave most. */
function lensOf(
  units: readonly BenchUnit[],
  picks: readonly Pick[],
  day: string,
  style: MassStyle,
): (unit: BenchUnit) => UnitLens {
  const picksOf = (unit: BenchUnit) => picks.filter(pick => pick.unitId === unit.id);
  const most = Math.max(1, ...units.map(each => soundSums(picksOf(each)).netG));
  return unit => {
    const own = picksOf(unit);
    const { netG } = soundSums(own);
    const share = netG / most;
    if (own.some(pick => pick.outcome === 'dead')) return { state: 'dead', share, words: 'dead' };
    const hasDone = isDone(unit, picks, day);
    return {
      state: hasDone ? 'done' : 'open',
      share,
      words: `${hasDone ? 'done' : 'still to do'} on ${shortDay(day)}, ${printMass(netG, style)} so far`,
    };
  };
}

/** The pot in hand and what the scale shows. */
function EntryPart({
  round,
  unit,
  gross,
  ...props
}: RoundProps & InHand & { readonly gross: RefObject<HTMLInputElement | null> }) {
  const { bench, picks, state } = props;
  const day = round.round.pickedOn;
  return (
    <EntrySide>
      <PotStrip
        units={bench.units}
        chosen={unit.id}
        isDone={each => isDone(each, picks, day)}
        onChoose={round.choose}
      />
      {state === 'closed' ? (
        <Soft>The trial is closed. Its picks can be looked at, not changed.</Soft>
      ) : (
        <PickEntry
          round={round}
          unit={unit}
          units={bench.units}
          measure={props.measure}
          unitWord={props.unitWord}
          today={props.today}
          grossRef={gross}
          lastPick={lastPickBefore(picks, unit, day)}
          isDoneToday={isDone(unit, picks, day)}
          ripeRule={props.ripeRule}
        />
      )}
      {state !== 'closed' && roundSums(picks, day).unitsDone === bench.units.length && (
        <AllDone trialId={props.trialId} units={counted(bench.units.length, props.unitWord)} />
      )}
      {state !== 'closed' && <WriterName />}
    </EntrySide>
  );
}

interface SumsSoFarProps {
  readonly day: string;
  readonly sums: RoundSums;
  readonly units: readonly BenchUnit[];
  readonly unitWord: string;
  readonly style: 'metric' | 'pounds-and-ounces';
}

function SumsSoFar({ day, sums, units, unitWord, style }: SumsSoFarProps) {
  return (
    <Sums aria-live="polite">
      <div>
        <dt>{shortDay(day)}</dt>
        <dd>
          {sums.unitsDone} of {units.length}
          <small>{pluralOf(unitWord)} done</small>
        </dd>
      </div>
      <div>
        <dt>picked</dt>
        <dd>
          {printMass(sums.netG, style)}
          <small>{sums.pieces} sound pieces</small>
        </dd>
      </div>
      <div>
        <dt>mean</dt>
        <dd>
          {sums.meanG === null ? '—' : printMass(sums.meanG, style)}
          <small>a {unitWord} done</small>
        </dd>
      </div>
    </Sums>
  );
}

function lastPickBefore(picks: readonly Pick[], unit: BenchUnit, day: string): Pick | undefined {
  return picks
    .filter(pick => pick.unitId === unit.id && pick.pickedOn < day)
    .sort((a, b) => (a.pickedOn < b.pickedOn ? 1 : -1))[0];
}

/** What one weighs comes first by keys and on a phone; a desk shows it to the right. */
const EntrySide = styled.div`
  @media (min-width: 901px) { order: 2; }
`;

const BenchSide = styled.div`
  @media (max-width: 900px) { & [data-desk] { display: none; } }
`;

const Sums = styled.dl`
  margin: 0; display: grid; grid-template-columns: repeat(auto-fit, minmax(min(6rem, 100%), 1fr)); border-block: 1px solid var(--rule); padding-block: 10px;
  & dt, & small { color: var(--ink-soft); font-size: 0.9375rem; }
  & dd { margin: 0; font-family: var(--font-heading), sans-serif; font-size: 1.5rem; font-weight: 650; line-height: 1.2; }
  & small { display: block; font-family: var(--font-text), sans-serif; font-weight: 400; line-height: 1.5; }
`;
