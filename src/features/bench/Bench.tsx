'use client';

import type { RefObject } from 'react';
import { type KeyboardEvent, useRef } from 'react';
import { styled } from 'styled-components';
import { PlantLabel } from '@/ui/PlantLabel';
import type { BenchUnit, BenchView, Placed } from './bench-view';
import { useChosenUnit } from './ChosenUnit';
import { SiteMarks } from './SiteMarks';
import { siteExtent } from './site-extent';

/** What a step's lens shows of a unit. */
export interface UnitLens {
  /** `done` fills the pot, `open` leaves it empty, `dead` crosses it out. */
  readonly state: 'done' | 'open' | 'dead';
  /** 0 to 1: how much of the measure, as the crown's size and shade; null where nothing was read. */
  readonly share: number | null;
  /** Read out, and shown under the pointer: `412 g so far`. */
  readonly words: string;
}

interface BenchProps {
  readonly view: BenchView;
  readonly label: string;
  readonly lens: (unit: BenchUnit) => UnitLens;
  /** Enter or a second press on a unit. */
  readonly onOpen?: (unit: BenchUnit) => void;
}

/** The bench from above, to scale. Arrows walk from pot to pot, as they stand. */
export function Bench({ view, label, lens, onOpen }: BenchProps) {
  const chosen = useChosenUnit();
  const pots = useRef(new Map<string, SVGGElement>());
  const first = view.units[0];
  const potMm = first?.widthMm ?? 200;
  const labelMm = potMm * 0.24;
  const topMm = view.shelves.length > 1 ? potMm * 0.4 : potMm * 0.1;
  const room = siteExtent(view.site, view);
  const walk = (event: KeyboardEvent, from: BenchUnit): void => {
    const next = neighbour(view.units, from, event.key);
    if (!next) return;
    event.preventDefault();
    chosen.choose(next.id);
    pots.current.get(next.id)?.focus();
  };
  const tabStop = view.units.find(unit => unit.id === chosen.unitId) ?? first;
  return (
    <Scroller>
      {/* biome-ignore lint/a11y/useSemanticElements: a fieldset can't stand inside a drawing */}
      <svg
        viewBox={`${-room.left} ${-topMm - room.far} ${view.widthMm + potMm * 0.05 + room.left + room.right} ${view.depthMm + topMm + potMm * 0.4 + room.far + room.near}`}
        role="group"
        aria-label={label}
      >
        <SiteMarks site={view.site} widthMm={view.widthMm} depthMm={view.depthMm} />
        {view.benches.map(bench => (
          <GroundBench key={bench.name} bench={bench} potMm={potMm} labelMm={labelMm} />
        ))}
        {view.guards.map(guard => (
          <GuardPlant key={guard.name} guard={guard} />
        ))}
        {view.shelves.map(shelf => (
          <Shelf key={shelf.name} shelf={shelf} view={view} labelMm={labelMm} />
        ))}
        {view.beds.map(bed => (
          <Bed key={bed.name} bed={bed} potMm={potMm} labelMm={labelMm} />
        ))}
        {view.units.map(unit => {
          const shown = lens(unit);
          const isChosen = unit.id === chosen.unitId;
          return (
            <UnitPot
              key={unit.id}
              unit={unit}
              pots={pots}
              tabStop={tabStop}
              isChosen={isChosen}
              shown={shown}
              chosen={chosen}
              onOpen={onOpen}
              walk={walk}
              labelMm={labelMm}
            />
          );
        })}
        <Scale widthMm={view.widthMm} yMm={view.depthMm + potMm * 0.2} textMm={labelMm * 0.9} />
      </svg>
    </Scroller>
  );
}

interface UnitPotProps {
  readonly unit: BenchUnit;
  readonly pots: RefObject<Map<string, SVGGElement>>;
  readonly tabStop: BenchUnit | undefined;
  readonly isChosen: boolean;
  readonly shown: UnitLens;
  readonly chosen: ReturnType<typeof useChosenUnit>;
  readonly onOpen: BenchProps['onOpen'];
  readonly walk: (event: KeyboardEvent<Element>, from: BenchUnit) => void;
  readonly labelMm: number;
}

/** One unit in its true place, as the lens shows it. */
function UnitPot({
  unit,
  pots,
  tabStop,
  isChosen,
  shown,
  chosen,
  onOpen,
  walk,
  labelMm,
}: UnitPotProps) {
  return (
    <Pot
      ref={node => {
        if (node) pots.current.set(unit.id, node);
        else pots.current.delete(unit.id);
      }}
      role="button"
      tabIndex={unit.id === tabStop?.id ? 0 : -1}
      aria-pressed={isChosen}
      aria-label={`${unit.code}, ${unit.where}${unit.tag ? `, ${unit.tag.name}` : ''}${unit.isLeftOut ? ', left out' : ''}. ${shown.words}`}
      data-state={shown.state}
      data-chosen={isChosen || undefined}
      data-left-out={unit.isLeftOut || undefined}
      onClick={() => {
        chosen.choose(unit.id);
        onOpen?.(unit);
      }}
      onFocus={() => chosen.choose(unit.id)}
      onKeyDown={event => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          chosen.choose(unit.id);
          onOpen?.(unit);
        } else walk(event, unit);
      }}
      transform={`translate(${unit.xMm} ${unit.yMm})`}
    >
      <title>{`${unit.code}: ${shown.words}`}</title>
      {unit.shape === 'round' ? (
        <PotFromAbove widthMm={unit.widthMm} lens={shown} isLeftOut={unit.isLeftOut} />
      ) : (
        <PlotFromAbove
          widthMm={unit.widthMm}
          depthMm={unit.depthMm}
          lens={shown}
          isLeftOut={unit.isLeftOut}
        />
      )}
      <PlantLabel
        look={unit.tag ?? undefined}
        x={unit.widthMm * 0.8}
        y={-unit.widthMm * 0.06}
        width={unit.widthMm * 0.27}
      />
      <rect
        x={unit.widthMm * 0.2}
        y={unit.depthMm - unit.widthMm * 0.3}
        width={unit.widthMm * 0.6}
        height={unit.widthMm * 0.3}
        rx={unit.widthMm * 0.02}
        fill="var(--plate)"
      />
      <text
        x={unit.widthMm * 0.5}
        y={unit.depthMm - unit.widthMm * 0.07}
        textAnchor="middle"
        fontSize={labelMm}
        fontWeight="700"
        fill="var(--ink)"
      >
        {unit.code}
      </text>
    </Pot>
  );
}

interface BedProps {
  readonly bed: Placed;
  readonly potMm: number;
  readonly labelMm: number;
}

function Bed({ bed, potMm, labelMm }: BedProps) {
  return (
    <g>
      <rect
        x={bed.xMm}
        y={bed.yMm}
        width={bed.widthMm}
        height={bed.depthMm}
        fill="none"
        stroke="var(--rule-strong)"
        strokeWidth={potMm * 0.02}
      />
      <text
        x={bed.xMm + labelMm * 0.3}
        y={bed.yMm + labelMm * 0.85}
        fontSize={labelMm * 0.8}
        fill="var(--ink-soft)"
      >
        {bed.name}
      </text>
    </g>
  );
}

interface ShelfProps {
  readonly shelf: Placed;
  readonly view: BenchProps['view'];
  readonly labelMm: number;
}

function Shelf({ shelf, view, labelMm }: ShelfProps) {
  return (
    <g>
      <rect
        x={shelf.xMm}
        y={shelf.yMm}
        width={shelf.widthMm}
        height={shelf.depthMm}
        fill="var(--slate-deep)"
      />
      {view.shelves.length > 1 && (
        <text
          x={shelf.xMm}
          y={shelf.yMm - labelMm * 0.35}
          fontSize={labelMm * 0.95}
          fill="var(--ink-soft)"
        >
          {shelf.name}
        </text>
      )}
    </g>
  );
}

interface GroundBenchProps {
  readonly bench: Placed;
  readonly potMm: number;
  readonly labelMm: number;
}

/** One bench or strip of ground, under all that stands on it. */
function GroundBench({ bench, potMm, labelMm }: GroundBenchProps) {
  return (
    <g>
      <rect
        x={bench.xMm}
        y={bench.yMm}
        width={bench.widthMm}
        height={bench.depthMm}
        fill="none"
        stroke="var(--rule)"
        strokeWidth={potMm * 0.03}
      />
      <text
        x={bench.xMm + bench.widthMm}
        y={bench.yMm - labelMm * 0.35}
        textAnchor="end"
        fontSize={labelMm * 0.95}
        fill="var(--ink-soft)"
      >
        {bench.name}
      </text>
    </g>
  );
}

function PotFromAbove({
  widthMm,
  lens,
  isLeftOut,
}: {
  readonly widthMm: number;
  readonly lens: UnitLens;
  readonly isLeftOut: boolean;
}) {
  const r = widthMm / 2;
  const reach = r * (0.36 + 0.4 * (lens.share ?? 0.25));
  return (
    <>
      <circle
        data-rim
        cx={r}
        cy={r}
        r={r * 0.94}
        fill={lens.state === 'open' ? 'var(--slate)' : 'var(--soil)'}
        stroke="var(--pot)"
        strokeWidth={r * 0.12}
        strokeDasharray={isLeftOut ? `${r * 0.2} ${r * 0.16}` : undefined}
      />
      {lens.state === 'dead' ? (
        <path
          d={`M${r * 0.5} ${r * 0.4}L${r * 1.5} ${r * 1.3}M${r * 1.5} ${r * 0.4}L${r * 0.5} ${r * 1.3}`}
          stroke="var(--slate)"
          strokeWidth={r * 0.12}
        />
      ) : (
        <g
          fill="var(--crown)"
          opacity={
            isLeftOut ? 0.25 : lens.state === 'open' ? 0.75 : 0.35 + 0.65 * (lens.share ?? 0.6)
          }
        >
          {LEAVES.map(turn => (
            <ellipse
              key={turn}
              cx={r}
              cy={r - reach / 2}
              rx={reach * 0.3}
              ry={reach / 2}
              transform={`rotate(${turn} ${r} ${r})`}
            />
          ))}
        </g>
      )}
    </>
  );
}

/** A plant that nobody reads: an empty outline. */
function GuardPlant({ guard }: { readonly guard: BenchView['guards'][number] }) {
  const line = Math.min(guard.widthMm, guard.depthMm) * 0.05;
  const look = {
    fill: 'none',
    stroke: 'var(--crown)',
    strokeWidth: line,
    strokeDasharray: `${line * 2} ${line * 2}`,
  } as const;
  return guard.shape === 'round' ? (
    <circle
      cx={guard.xMm + guard.widthMm / 2}
      cy={guard.yMm + guard.depthMm / 2}
      r={guard.widthMm * 0.42}
      {...look}
    >
      <title>guard plant</title>
    </circle>
  ) : (
    <rect
      x={guard.xMm + line}
      y={guard.yMm + line}
      width={guard.widthMm - 2 * line}
      height={guard.depthMm - 2 * line}
      {...look}
    >
      <title>guard plants</title>
    </rect>
  );
}

const ROWS = [0.3, 0.7] as const;
const PLANTS = [0.18, 0.5, 0.82] as const;

/** A plot, trough or bag: soil with two rows of plants. */
function PlotFromAbove({
  widthMm,
  depthMm,
  lens,
  isLeftOut,
}: {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly lens: UnitLens;
  readonly isLeftOut: boolean;
}) {
  const line = widthMm * 0.03;
  const reach = Math.min(widthMm, depthMm) * (0.07 + 0.08 * (lens.share ?? 0.25));
  return (
    <>
      <rect
        data-rim
        x={line / 2}
        y={line / 2}
        width={widthMm - line}
        height={depthMm - line}
        fill={lens.state === 'open' ? 'var(--slate)' : 'var(--soil)'}
        stroke="var(--pot)"
        strokeWidth={line}
        strokeDasharray={isLeftOut ? `${line * 3} ${line * 2}` : undefined}
      />
      {lens.state === 'dead' ? (
        <path
          d={`M${widthMm * 0.3} ${depthMm * 0.2}L${widthMm * 0.7} ${depthMm * 0.6}M${widthMm * 0.7} ${depthMm * 0.2}L${widthMm * 0.3} ${depthMm * 0.6}`}
          stroke="var(--slate)"
          strokeWidth={line * 2}
        />
      ) : (
        <g
          fill="var(--crown)"
          opacity={
            isLeftOut ? 0.25 : lens.state === 'open' ? 0.75 : 0.35 + 0.65 * (lens.share ?? 0.6)
          }
        >
          {ROWS.flatMap(y =>
            PLANTS.map(x => (
              <circle key={`${x} ${y}`} cx={x * widthMm} cy={y * depthMm} r={reach} />
            )),
          )}
        </g>
      )}
    </>
  );
}

const LEAVES = [10, 75, 150, 215, 290] as const;

function Scale({
  widthMm,
  yMm,
  textMm,
}: {
  readonly widthMm: number;
  readonly yMm: number;
  readonly textMm: number;
}) {
  const lengthMm = widthMm > 1500 ? 1000 : widthMm > 600 ? 500 : 100;
  return (
    <g stroke="var(--ink-soft)" strokeWidth={textMm * 0.08}>
      <path
        d={`M${widthMm - lengthMm} ${yMm - textMm * 0.3}v${textMm * 0.6}M${widthMm - lengthMm} ${yMm}H${widthMm}M${widthMm} ${yMm - textMm * 0.3}v${textMm * 0.6}`}
        fill="none"
      />
      <text
        x={widthMm - lengthMm - textMm * 0.5}
        y={yMm + textMm * 0.35}
        textAnchor="end"
        fontSize={textMm}
        fill="var(--ink-soft)"
        stroke="none"
      >
        {lengthMm === 1000 ? '1 m' : `${lengthMm / 10} cm`}
      </text>
    </g>
  );
}

const DIRECTIONS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The nearest unit in the direction of an arrow key; sideways distance counts double. */
function neighbour(
  units: readonly BenchUnit[],
  from: BenchUnit,
  key: string,
): BenchUnit | undefined {
  const direction = DIRECTIONS[key];
  if (!direction) return undefined;
  const distance = (unit: BenchUnit): number => {
    const along = (unit.xMm - from.xMm) * direction[0] + (unit.yMm - from.yMm) * direction[1];
    const aside =
      Math.abs((unit.xMm - from.xMm) * direction[1]) +
      Math.abs((unit.yMm - from.yMm) * direction[0]);
    return along <= 0 ? Number.POSITIVE_INFINITY : along + 2 * aside;
  };
  const nearest = units.reduce(
    (best, unit) => (distance(unit) < distance(best) ? unit : best),
    from,
  );
  return nearest.id === from.id ? undefined : nearest;
}

const Scroller = styled.div`
  overflow-x: auto; padding-block: 4px;
  & svg[role='group'] { display: block; width: 100%; max-height: 80vh; }
  @media (max-width: 640px) { & svg[role='group'] { min-width: 620px; max-height: none; } }
`;

const Pot = styled.g`
  cursor: pointer; outline: none;
  &[data-chosen] [data-rim] { stroke: var(--clay); stroke-width: 34; }
  &:focus-visible [data-rim] { stroke: var(--clay); stroke-width: 44; }
`;
