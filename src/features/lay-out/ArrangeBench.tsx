'use client';

import { type KeyboardEvent, type PointerEvent, useRef, useState, useTransition } from 'react';
import { styled } from 'styled-components';
import { SiteMarks } from '@/features/bench/SiteMarks';
import type { Result } from '@/core/result';
import type { SiteFeature } from '@/core/trial/trial-data';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { Choice } from '@/ui/Choice';
import { Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';


/** A place that can be stood elsewhere: its corner on the bench, and from the corner of what it stands on. */
export interface Movable {
  readonly id: string;
  readonly name: string;
  readonly kind: 'block' | 'bed' | 'unit';
  readonly shape: 'round' | 'square';
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly ownXMm: number;
  readonly ownYMm: number;
  /** The place it stands on, and all above it. */
  readonly within: readonly string[];
}

interface ArrangeBenchProps {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly places: readonly Movable[];
  readonly site: readonly SiteFeature[];
  readonly closestMm: number | null;
  readonly blockWord: string;
  readonly unitWord: string;
  readonly move: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

interface Shift {
  readonly id: string;
  readonly xMm: number;
  readonly yMm: number;
}

const STEP_MM = 10;
const LONG_STEP_MM = 100;
const STEPS: Readonly<Record<string, readonly [number, number]>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** The bench as it really stands: shelves, beds and pots moved with mouse, finger or arrows, to the centimetre. */
export function ArrangeBench({ widthMm, depthMm, places, site, closestMm, blockWord, unitWord, move }: ArrangeBenchProps) {
  const kinds = (['block', 'bed', 'unit'] as const).filter(kind => places.some(place => place.kind === kind));
  const [moving, setMoving] = useState<Movable['kind']>(kinds[0] ?? 'unit');
  const [shift, setShift] = useState<Shift | null>(null);
  const [trouble, setTrouble] = useState<TrialTrouble>();
  const [said, setSaid] = useState('');
  const [isPending, startTransition] = useTransition();
  const drawing = useRef<SVGSVGElement>(null);
  const grip = useRef<{ readonly pointer: number; readonly fromX: number; readonly fromY: number } | null>(null);
  const scaleOf = (): number => widthOf() / (drawing.current?.getBoundingClientRect().width || 1);
  const widthOf = (): number => widthMm * 1.25;
  const shiftOf = (place: Movable): readonly [number, number] => (shift && (shift.id === place.id || place.within.includes(shift.id)) ? [shift.xMm, shift.yMm] : [0, 0]);
  const settle = (place: Movable, dx: number, dy: number): void => {
    if (dx === 0 && dy === 0) { setShift(null); return; }
    startTransition(async () => {
      const done = await move({ placeId: place.id, xMm: place.ownXMm + dx, yMm: place.ownYMm + dy });
      setTrouble(done.ok ? undefined : done.trouble);
      setSaid(done.ok ? `${place.name}: ${Math.round(Math.max(0, place.ownXMm + dx) / 10)} cm from the left, ${Math.round(Math.max(0, place.ownYMm + dy) / 10)} cm from the far edge.` : '');
      setShift(null);
    });
  };
  const onKeyDown = (event: KeyboardEvent, place: Movable): void => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const size = event.shiftKey ? LONG_STEP_MM : STEP_MM;
    settle(place, step[0] * size, step[1] * size);
  };
  const onPointerDown = (event: PointerEvent<SVGGElement>, place: Movable): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { pointer: event.pointerId, fromX: event.clientX, fromY: event.clientY };
    setShift({ id: place.id, xMm: 0, yMm: 0 });
  };
  const shiftAt = (event: PointerEvent): readonly [number, number] => {
    const scale = scaleOf();
    const round = (mm: number): number => Math.round(mm / STEP_MM) * STEP_MM;
    return grip.current ? [round((event.clientX - grip.current.fromX) * scale), round((event.clientY - grip.current.fromY) * scale)] : [0, 0];
  };
  const labelMm = Math.max(...places.filter(place => place.kind === 'unit').map(place => place.widthMm * 0.24), 20);
  return (
    <Arrange aria-label="Arrange the bench">
      {kinds.length > 1 && <Choice label="Move" name="moving" value={moving} onChange={setMoving} direction="row" options={kinds.map(kind => ({ value: kind, label: kind === 'block' ? `a whole ${blockWord}` : kind === 'bed' ? 'a bed' : `one ${unitWord}` }))} />}
      {/* biome-ignore lint/a11y/useSemanticElements: a fieldset can't stand inside a drawing */}
      <svg ref={drawing} viewBox={`${-widthMm * 0.125} ${-widthMm * 0.1} ${widthMm * 1.25} ${depthMm + widthMm * 0.2}`} role="group" aria-label="Arrange: choose with Tab, move with the arrows, Shift for ten centimetres" data-busy={isPending || undefined}>
        <SiteMarks site={site} widthMm={widthMm} depthMm={depthMm} />
        {places.map(place => {
          const [dx, dy] = shiftOf(place);
          const isMovable = place.kind === moving;
          const shape = place.shape === 'round'
            ? <circle cx={place.widthMm / 2} cy={place.depthMm / 2} r={place.widthMm / 2} />
            : <rect width={place.widthMm} height={place.depthMm} />;
          const label = <text x={place.kind === 'unit' ? place.widthMm / 2 : labelMm * 0.2} y={place.kind === 'unit' ? place.depthMm / 2 + labelMm * 0.35 : labelMm * 0.75} textAnchor={place.kind === 'unit' ? 'middle' : 'start'} fontSize={place.kind === 'unit' ? labelMm : labelMm * 0.7}>{place.name}</text>;
          const at = `translate(${place.xMm + dx} ${place.yMm + dy})`;
          if (!isMovable) return <g key={place.id} transform={at} data-kind={place.kind} pointerEvents="none">{shape}{label}</g>;
          return (
            <Handle
              key={place.id} transform={at} data-kind={place.kind} data-movable role="button" tabIndex={0} aria-label={`${place.name}, ${Math.round(place.ownXMm / 10)} cm from the left, ${Math.round(place.ownYMm / 10)} cm from the far edge`}
              onKeyDown={event => onKeyDown(event, place)} onPointerDown={event => onPointerDown(event, place)}
              onPointerMove={event => { if (grip.current?.pointer === event.pointerId) { const [xMm, yMm] = shiftAt(event); setShift({ id: place.id, xMm, yMm }); } }}
              onPointerUp={event => { if (grip.current?.pointer !== event.pointerId) return; const [xMm, yMm] = shiftAt(event); grip.current = null; settle(place, xMm, yMm); }}
              onPointerCancel={() => { grip.current = null; setShift(null); }}
            >{shape}{label}</Handle>
          );
        })}
      </svg>
      <p role="status">{said}</p>
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Soft>{closestMm === null ? '' : `The closest two ${pluralOf(unitWord)} stand ${(closestMm / 10).toFixed(closestMm < 100 ? 1 : 0)} cm apart${closestMm < 1 ? ': they touch, and may share roots and water' : ''}. `}Codes stay with their places: moving one here says where it really stands. To change which gets what, deal again.</Soft>
    </Arrange>
  );
}

const Arrange = styled.section`
  display: grid; gap: 10px;
  & svg { display: block; width: 100%; max-height: 80vh; touch-action: none; user-select: none; }
  & svg[data-busy] { opacity: 0.8; }
  & [data-kind='block'] > rect { fill: var(--slate-deep); stroke: var(--rule-strong); stroke-width: 4; }
  & [data-kind='bed'] > rect { fill: none; stroke: var(--rule-strong); stroke-width: 4; }
  & [data-kind='unit'] > * { fill: var(--paper); stroke: var(--pot); stroke-width: 8; }
  & text { fill: var(--ink) !important; stroke: none !important; font-weight: 700; }
  & [data-kind='block'] > text, & [data-kind='bed'] > text { fill: var(--ink-soft) !important; font-weight: 400; }
`;

const Handle = styled.g`
  cursor: grab; outline: none;
  &[data-movable] > rect, &[data-movable] > circle { stroke: var(--clay); }
  &:focus-visible > rect, &:focus-visible > circle { stroke-width: 16; }
`;
