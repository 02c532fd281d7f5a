'use client';

import type { RefObject } from 'react';
import { type KeyboardEvent, useRef } from 'react';
import { styled } from 'styled-components';
import { PlantLabel } from '@/ui/PlantLabel';
import type { UnitLens } from './bench-lens';
import type { BenchUnit, BenchView } from './bench-view';
import { useChosenUnit } from './ChosenUnit';
import { GuardPlant, PlotFromAbove, PotFromAbove, Scale } from './drawings';
import { Bed, GroundBench, Shelf } from './Ground';
import { SiteMarks } from './SiteMarks';
import { siteExtent } from './site-extent';

export interface BenchProps {
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
      {/* biome-ignore lint/a11y/useSemanticElements: a fieldset can’t stand inside a drawing */}
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
      <CodePlate unit={unit} labelMm={labelMm} />
    </Pot>
  );
}

interface CodePlateProps {
  readonly unit: BenchUnit;
  readonly labelMm: number;
}

/** The unit's code on its near edge. */
function CodePlate({ unit, labelMm }: CodePlateProps) {
  return (
    <>
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
    </>
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
  overflow-x: auto; padding-block: 4px; min-width: 0;
  & svg[role='group'] { display: block; width: 100%; max-height: 80vh; }
  @media (max-width: 640px) { & svg[role='group'] { min-width: 620px; max-height: none; } }
`;

const Pot = styled.g`
  cursor: pointer; outline: none;
  &[data-chosen] [data-rim] { stroke: var(--clay); stroke-width: 34; }
  &:focus-visible [data-rim] { stroke: var(--clay); stroke-width: 44; }
`;
