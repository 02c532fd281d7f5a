'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import type { Dispatch, SetStateAction } from 'react';
import { useEffect, useState } from 'react';
import { styled } from 'styled-components';
import { valueWords } from '@/core/measure/reading/read-value';
import { readerError } from '@/core/measure/reading/reader-error';
import { counted } from '@/core/words/plural';
import { shortDay } from '@/features/frame/days';
import { Refused } from '@/features/walk/outbox/Refused';
import { type OutboxState, useOutbox } from '@/features/walk/outbox/use-outbox';
import { Button } from '@/ui/Button';
import { Page, Soft } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { MeasureDrawing } from './MeasureDrawing';
import { useWalk, type Walking } from './use-walk';
import { ValueEntry } from './ValueEntry';
import type { WalkView } from './walk-view';

// Only who weighs, or looks from above, loads these.
const ScalePanel = dynamic(
  () => import('@/features/walk/instruments/ScalePanel').then(file => file.ScalePanel),
  {
    ssr: false,
  },
);
const KeyInstrument = dynamic(
  () => import('@/features/walk/instruments/KeyInstrument').then(file => file.KeyInstrument),
  {
    ssr: false,
  },
);
const WalkPhoto = dynamic(() => import('./WalkPhoto').then(file => file.WalkPhoto), { ssr: false });
const CoverPanel = dynamic(
  () => import('@/features/inspect/cover/CoverPanel').then(file => file.CoverPanel),
  { ssr: false },
);

/** Walking round: one pot, one question, large keys. Every value is safe in this browser before the next pot comes. */
export function Walk({ view }: { readonly view: WalkView }) {
  const outbox = useOutbox(view.trialId);
  const walk = useWalk(view, outbox);
  useEffect(() => {
    // Only in production: in development the pages change under the store's hands.
    if (process.env.NODE_ENV === 'production' && 'serviceWorker' in navigator)
      void navigator.serviceWorker.register('/sw.js');
  }, []);
  if (view.state !== 'locked' || view.measures.length === 0 || !walk.measure)
    return <Nothing view={view} />;
  return (
    <Page style={{ maxWidth: 640 }} data-walk>
      <Head>
        <Link href={`/trials/${view.trialId}/weigh`}>Leave the walk</Link>
        <ConnectionStatus outbox={outbox} />
      </Head>
      <Refused view={view} outbox={outbox} />
      {walk.isAllDone && walk.now ? (
        <Done walk={walk} view={view} />
      ) : (
        <AtPot walk={walk} view={view} />
      )}
      <HowToWalk walk={walk} view={view} />
    </Page>
  );
}

function Nothing({ view }: { readonly view: WalkView }) {
  return (
    <Page style={{ maxWidth: 640 }}>
      <h1>Nothing to walk round for</h1>
      <p>
        {view.state === 'planned'
          ? 'Nothing is read before the plan is locked.'
          : view.state === 'closed'
            ? 'The trial is closed.'
            : 'Choose first what is read beside the harvest.'}
      </p>
      <p>
        <Link href={`/trials/${view.trialId}/weigh`}>Back to Weigh</Link>
      </p>
    </Page>
  );
}

function ConnectionStatus({
  outbox: { waiting, isConnected, isKnown },
}: {
  readonly outbox: OutboxState;
}) {
  if (!isKnown) return <span role="status">…</span>;
  return (
    <span role="status" data-waits={waiting.length > 0 || undefined}>
      {waiting.length === 0
        ? 'all sent'
        : isConnected
          ? `sending ${waiting.length}`
          : `no connection: ${waiting.length} kept here`}
    </span>
  );
}

function AtPot({ walk, view }: { readonly walk: Walking; readonly view: WalkView }) {
  const [isOpen, setOpen] = useState(false);
  const { measure, unit, stop, last, now } = walk;
  if (!measure || !unit || !stop) return null;
  const isOwnButton =
    measure.scale.kind === 'yes-no' ||
    measure.scale.kind === 'class' ||
    measure.scale.kind === 'date';
  return (
    <>
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
      <Asked>
        {measure.drawing && <MeasureDrawing drawing={measure.drawing} />}
        <p>
          <b>{measure.name}</b> {measure.definition}
        </p>
      </Asked>
      {!isOwnButton && (
        <Figure aria-live="polite" data-empty={walk.typed === '' || undefined}>
          {walk.typed === '' ? '—' : walk.typed}
          <small>{measure.unit}</small>
        </Figure>
      )}
      <LastTime>
        {now ? `Now ${valueWords(measure, now)}; a new value takes its place. ` : ''}
        {last
          ? `Last, on ${shortDay(last.on)}: ${valueWords(measure, last)}`
          : now
            ? ''
            : 'The first look at it.'}
      </LastTime>
      {walk.trouble && <p role="alert">{walk.trouble}</p>}
      <ValueEntry walk={walk} />
      {measure.scale.kind === 'continuous' && measure.unit === 'g' && (
        <ScalePanel
          unitWord={view.unitWord}
          lastG={last?.value ?? null}
          take={(massG, device) => void walk.save('picked', massG.toFixed(1), device)}
        />
      )}
      {measure.scale.kind === 'continuous' && measure.unit === 'mm' && (
        <KeyInstrument
          key={measure.id}
          kind="caliper"
          lastMm={last?.value ?? null}
          take={(written, device) => void walk.save('picked', written, device)}
        />
      )}
      {measure.scale.kind === 'ordinal' && measure.scale.hasBeyond && (
        <KeyInstrument
          key={measure.id}
          kind="probe"
          lastMm={null}
          take={(written, device) => void walk.save('picked', written, device)}
        />
      )}
      {measure.scale.kind === 'percent' && measure.fromPicture !== null && (
        <CoverPanel counts={measure.fromPicture} take={percent => walk.type(percent.toFixed(1))} />
      )}
      {!isOwnButton && (
        <Button
          data-tone="main"
          onPress={() => void walk.save('picked')}
          isDisabled={walk.typed === ''}
        >
          {walk.isAsked ? 'Yes, it is' : `Next ${view.unitWord}`}
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
      <WhyNoValue setOpen={setOpen} isOpen={isOpen} walk={walk} view={view} unit={unit} />
    </>
  );
}

interface WhyNoValueProps {
  readonly setOpen: Dispatch<SetStateAction<boolean>>;
  readonly isOpen: boolean;
  readonly walk: Walking;
  readonly view: WalkView;
  readonly unit: NonNullable<
    { readonly id: string; readonly code: string; readonly where: string } | undefined
  >;
}

function WhyNoValue({ setOpen, isOpen, walk, view, unit }: WhyNoValueProps) {
  return (
    <details onToggle={event => setOpen(event.currentTarget.open)}>
      <summary>No value, a note, a picture</summary>
      {isOpen && (
        <Why>
          <TextField label="Note" name="walkNote" value={walk.note} onChange={walk.setNote} />
          <Button onPress={() => void walk.save('not-looked')}>Not looked at</Button>
          <Button onPress={() => void walk.save('nothing-there')}>Nothing there: zero</Button>
          <Button onPress={() => void walk.save('dead')}>It is dead</Button>
          <Link href={`/trials/${view.trialId}/weigh?pot=${unit.code}`}>
            A mishap happened to {unit.code}
          </Link>
          <WalkPhoto trialId={view.trialId} unitId={unit.id} code={unit.code} day={walk.day} />
        </Why>
      )}
    </details>
  );
}

/** All are read: what comes next, and how sure the reader is. */
function Done({ walk, view }: { readonly walk: Walking; readonly view: WalkView }) {
  const error = readerError(walk.pairs);
  return (
    <>
      <h1>
        {walk.isRepeat ? 'Read twice' : `All ${counted(view.units.length, view.unitWord)} read`}
      </h1>
      {error && (
        <p>
          Read twice, {counted(error.pairs, 'value')} differ by ±{Number(error.sd.toPrecision(2))}{' '}
          {walk.measure?.unit}: so far you are from yourself. A smaller gap between treatments may
          be your eye.
        </p>
      )}
      <Others>
        {!walk.isRepeat && (
          <Button data-tone="main" onPress={() => walk.repeat(true)}>
            Read a few again
          </Button>
        )}
        <Button onPress={() => void walk.undo()} isDisabled={!walk.canUndo}>
          Undo the last
        </Button>
        {walk.isRepeat && <Button onPress={() => walk.repeat(false)}>To the first readings</Button>}
      </Others>
      {!walk.isRepeat && (
        <Soft>A few, without looking at what stands: then your own error is known.</Soft>
      )}
    </>
  );
}

function HowToWalk({ walk, view }: { readonly walk: Walking; readonly view: WalkView }) {
  return (
    <Why as="details">
      <summary>What, and in which order</summary>
      <Select
        label="What is read"
        name="walkMeasure"
        value={walk.measure?.id ?? ''}
        onChange={walk.choose}
        options={view.measures.map(measure => ({ value: measure.id, label: measure.name }))}
      />
      <Soft>{walk.measure?.scaleWords}</Soft>
      <Select
        label="In the order"
        name="walkOrder"
        value={walk.order}
        onChange={walk.setOrder}
        options={[
          { value: 'bench', label: 'of the bench' },
          { value: 'random', label: 'of today’s lot' },
        ]}
      />
    </Why>
  );
}

const Head = styled.div`
  display: flex; justify-content: space-between; gap: 12px; align-items: baseline;
  & > span { color: var(--leaf); font-weight: 600; }
  & > span[data-waits] { color: var(--straw); }
  & > a { padding: 8px 0; }
`;

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

const Others = styled.div`
  display: grid; grid-template-columns: repeat(3, 1fr); gap: 8px;
`;

const Why = styled.div`
  display: grid; gap: 10px; margin-top: 8px;
  & > summary { cursor: pointer; padding: 10px 0; }
`;
