'use client';

import dynamic from 'next/dynamic';
import { styled } from 'styled-components';
import { shownUnit } from '@/core/measure/library/shown-unit';
import { valueWords } from '@/core/measure/reading/read-value';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { shortDay } from '@/core/time/days';
import { Button } from '@/ui/Button';
import { LateFold } from '@/ui/LateFold';
import { PanelBoundary } from '@/ui/PanelBoundary';
import { MeasureDrawing } from './MeasureDrawing';
import type { NoValueProps } from './NoValue';
import {
  loadCoverPanel,
  loadKeyInstrument,
  loadNoValue,
  loadScalePanel,
} from './offline/lazy-panels';
import { PictureCard } from './PictureCard';
import type { Walking } from './use-walk';
import { ValueEntry } from './ValueEntry';
import type { Stop } from './walk-order';
import type { WalkMeasure, WalkView } from './walk-view';

// Only who weighs, or looks from above, shows these.
const ScalePanel = dynamic(loadScalePanel, { ssr: false });
const KeyInstrument = dynamic(loadKeyInstrument, { ssr: false });
const NoValue = dynamic(loadNoValue, { ssr: false });
const CoverPanel = dynamic(loadCoverPanel, { ssr: false });

export function AtPot({ walk, view }: { readonly walk: Walking; readonly view: WalkView }) {
  const { measure, unit, stop, entry } = walk;
  if (!measure || !unit || !stop) return null;
  const isOwnButton =
    measure.scale.kind === 'yes-no' ||
    measure.scale.kind === 'class' ||
    measure.scale.kind === 'date';
  return (
    <>
      <PotHead unit={unit} stop={stop} measure={measure} walk={walk} />
      <Asked>
        {measure.drawing && <MeasureDrawing drawing={measure.drawing} />}
        <p>
          <b>{measure.name}</b> {measure.definition}
        </p>
      </Asked>
      {measure.drawing === 'spots' && measure.scale.kind === 'percent' && <PictureCard />}
      {!isOwnButton && (
        <Figure aria-live="polite" data-empty={entry.typed === '' || undefined}>
          {entry.typed === '' ? '—' : entry.typed}
          <small>{shownUnit(measure.unit, view.system).name}</small>
        </Figure>
      )}
      <LastTime>{standingWords(walk, measure, view.system)}</LastTime>
      {entry.trouble && <p role="alert">{entry.trouble}</p>}
      <ValueEntry walk={walk} />
      <PanelBoundary what="The instrument">
        <Instruments walk={walk} measure={measure} unitWord={view.unitWord} system={view.system} />
      </PanelBoundary>
      {!isOwnButton && (
        <Button
          data-tone="main"
          onPress={() => void walk.save('picked')}
          isDisabled={entry.typed === ''}
        >
          {entry.asked !== null ? 'Yes, it is' : `Next ${view.unitWord}`}
        </Button>
      )}
      <Others>
        <Button onPress={() => walk.go((walk.here + walk.stops.length - 1) % walk.stops.length)}>
          Back
        </Button>
        <Button onPress={() => walk.go((walk.here + 1) % walk.stops.length)}>Later</Button>
        <Button onPress={() => void walk.undo()} isDisabled={!walk.canUndo}>
          Undo
        </Button>
      </Others>
      <WhyNoValue walk={walk} view={view} unit={unit} />
    </>
  );
}

interface InstrumentsProps {
  readonly walk: Walking;
  readonly measure: WalkMeasure;
  readonly unitWord: string;
  readonly system: MeasureSystem;
}

/** What gives the value without a key: scale, caliper, probe, picture. */
function Instruments({ walk, measure, unitWord, system }: InstrumentsProps) {
  const { last, entry, save } = walk;
  const { scale, unit } = measure;
  const take = (written: string, device: string): void => void save('picked', written, device);
  // Instruments speak metric: where a bare number would be an inch or an ounce, their unit is said.
  const measured = (figure: string, unitName: string): string =>
    system === 'us' ? `${figure} ${unitName}` : figure;
  if (scale.kind === 'continuous' && unit === 'g')
    return (
      <ScalePanel
        unitWord={unitWord}
        lastG={last?.value ?? null}
        take={(massG, device) => take(measured(massG.toFixed(1), 'g'), device)}
      />
    );
  if (scale.kind === 'continuous' && unit === 'mm')
    return (
      <KeyInstrument
        key={measure.id}
        kind="caliper"
        lastMm={last?.value ?? null}
        take={(mm, device) => take(measured(mm, 'mm'), device)}
      />
    );
  if (scale.kind === 'ordinal' && scale.hasBeyond)
    return <KeyInstrument key={measure.id} kind="probe" lastMm={null} take={take} />;
  if (scale.kind === 'percent' && measure.fromPicture !== null)
    return (
      <CoverPanel counts={measure.fromPicture} take={percent => entry.type(percent.toFixed(1))} />
    );
  return null;
}

/** What stands at the stop already, and what stood there before. */
function standingWords(
  { now, last }: Walking,
  measure: WalkMeasure,
  system: MeasureSystem,
): string {
  const current = now
    ? `Now ${valueWords(measure, now, system)}; a new value takes its place. `
    : '';
  if (last) return `${current}Last, on ${shortDay(last.on)}: ${valueWords(measure, last, system)}`;
  return now ? current : 'The first look at it.';
}

interface PotHeadProps {
  readonly unit: { readonly id: string; readonly code: string; readonly where: string };
  readonly stop: Stop;
  readonly measure: WalkMeasure;
  readonly walk: Walking;
}

function PotHead({ unit, stop, measure, walk }: PotHeadProps) {
  return (
    <Pot>
      <h1>{unit.code}</h1>
      <p>
        {unit.where}
        {stop.part === '' ? '' : `, ${stop.part} of ${measure.parts}`}
        <small>
          {walk.done} of {walk.stops.length} read{walk.isRepeat ? ', a second time' : ''}
        </small>
      </p>
    </Pot>
  );
}

/** What is said where no value is: fetched when it is asked for. */
function WhyNoValue({ walk, view, unit }: NoValueProps) {
  return (
    <LateFold title="No value, a note, a picture" what="The list">
      <NoValue walk={walk} view={view} unit={unit} />
    </LateFold>
  );
}

const Pot = styled.div`
  display: flex; justify-content: space-between; gap: 16px; align-items: end;
  & h1 { font-size: 3.5rem; line-height: 1; font-feature-settings: 'zero'; }
  & p { text-align: right; } & small { display: block; color: var(--ink-soft); }
`;

const Asked = styled.div`
  display: flex; gap: 12px; align-items: center;
  & b { display: block; }
`;

const Figure = styled.output`
  display: block; border-bottom: 2px solid var(--ink); font-family: var(--font-heading), sans-serif; font-size: 3rem; font-weight: 650; line-height: 1.1; text-align: right; font-variant-numeric: tabular-nums;
  &[data-empty] { color: var(--rule-strong); }
  & small { font-size: 1.25rem; font-weight: 400; margin-left: 8px; color: var(--ink-soft); }
`;

const LastTime = styled.p`
  color: var(--ink-soft); margin-top: -16px; text-align: right;
`;

export const Others = styled.div`
  display: grid; grid-template-columns: repeat(3, 1fr); gap: 8px;
`;
