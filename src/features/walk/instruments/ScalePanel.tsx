'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { massCheck } from '@/core/measure/reading/scale-line';
import { printDoseMass } from '@/core/quantity/print-quantity';
import { type MeasureSystem, unitOfMeasure } from '@/core/quantity/unit-of-measure';
import { useSystem } from '@/features/frame/use-garden-units';
import { readAmount } from '@/features/shelf/sums/read-amount';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { TextLine } from '@/ui/fields/TextLine';
import { Soft } from '@/ui/Page';
import { useScale } from './use-scale';

interface ScalePanelProps {
  readonly unitWord: string;
  /** What the unit weighed last time: the stand-in puts on something like it. */
  readonly lastG: number | null;
  readonly take: (massG: number, device: string) => void;
}

/** A scale that gives its values by itself: put the pot on, hold, it settles and is taken; lift it off, next pot. */
export function ScalePanel({ unitWord, lastG, take }: ScalePanelProps) {
  const [checked, setChecked] = useState('');
  const system = useSystem();
  const device = useScale((massG, name) =>
    take(massG, checked === '' ? name : `${name}, ${checked}`.slice(0, 60)),
  );
  const { scale, shownG, isSettled, trouble } = device;
  if (!scale) return <NoScale device={device} />;
  return (
    <Panel title={scale.isStandIn ? 'The stand-in scale, simulated' : 'The scale'} isOpen isRuled>
      <output data-settled={isSettled || undefined}>
        {shownG === null ? '…' : scaleWords(shownG, system)}
        <small>{isSettled ? 'settled' : 'moving'}</small>
      </output>
      <div>
        <Button onPress={scale.tare}>Tare</Button>
        {scale.isStandIn && (
          <Button onPress={() => device.put((lastG ?? 200) * (1 + Math.random() / 10))}>
            Put the {unitWord} on
          </Button>
        )}
        {scale.isStandIn && <Button onPress={() => device.put(0)}>Lift it off</Button>}
        <Button onPress={device.leave}>Without it</Button>
      </div>
      <KnownMass shownG={isSettled ? shownG : null} checked={checked} onChecked={setChecked} />
      {trouble && <p role="alert">{trouble}</p>}
      <Soft>
        Hold still until it settles: the value is taken by itself, and the next {unitWord} comes
        when this one is lifted off.
      </Soft>
    </Panel>
  );
}

/** The ways to a scale that this browser has. */
function NoScale({ device }: { readonly device: ReturnType<typeof useScale> }) {
  return (
    <Panel title="With a scale" isRuled>
      <div>
        <Button onPress={device.useStandIn}>The stand-in scale</Button>
        {device.canConnect && (
          <Button onPress={() => void device.connect()}>A scale on a cable</Button>
        )}
      </div>
      {device.trouble && <p role="alert">{device.trouble}</p>}
      {!device.canConnect && (
        <Soft>This browser gives no way to a scale on a cable. Type what it shows.</Soft>
      )}
    </Panel>
  );
}

interface KnownMassProps {
  /** What the scale shows; null while it moves. */
  readonly shownG: number | null;
  /** How the last check ended, as each value tells it; empty before one. */
  readonly checked: string;
  readonly onChecked: (words: string) => void;
}

/** What a scale's own display would show: grams to a tenth, ounces to a hundredth. */
function scaleWords(massG: number, system: MeasureSystem): string {
  return system === 'us'
    ? `${(massG / unitOfMeasure('oz').perBase).toFixed(2)} oz`
    : `${massG.toFixed(1)} g`;
}

/** A mass one knows says whether the scale can be trusted. */
function KnownMass({ shownG, checked, onChecked }: KnownMassProps) {
  const [known, setKnown] = useState('');
  const system = useSystem();
  const read = readAmount(known, 'mass', system, system === 'us' ? 'oz' : 'g');
  const knownG = read.base ?? 0;
  const check = (): void => {
    if (shownG === null || !(knownG > 0)) return;
    const { offG, isPassed } = massCheck(shownG, knownG);
    onChecked(
      isPassed
        ? `checked with ${printDoseMass(knownG, system)}`
        : `off by ${printDoseMass(offG, system)}`,
    );
  };
  return (
    <>
      <div>
        <TextLine
          label="A known weight on it"
          name="knownMass"
          value={known}
          onChange={setKnown}
          trouble={read.trouble}
          placeholder={system === 'us' ? '7 oz' : '200 g'}
        />
        <Button onPress={check} isDisabled={!(knownG > 0) || shownG === null}>
          Check
        </Button>
      </div>
      {checked !== '' && (
        <p role="status">
          {checked.startsWith('off')
            ? `It is ${checked}: tare it, or have it seen to. Values say so from now on.`
            : `${checked}: it may be trusted to half a percent.`}
        </p>
      )}
    </>
  );
}

const Panel = styled(Fold)`
  & > div { display: flex; flex-wrap: wrap; gap: 8px; align-items: end; }
  & output { display: block; font-family: var(--font-heading), sans-serif; font-size: 2rem; font-weight: 650; color: var(--ink-soft); font-variant-numeric: tabular-nums; }
  & output[data-settled] { color: var(--leaf); }
  & output small { font-size: 1rem; font-weight: 400; margin-left: 12px; }
`;
