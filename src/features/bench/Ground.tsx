'use client';

import type { BenchView, Placed } from './bench-view';

interface BedProps {
  readonly bed: Placed;
  readonly potMm: number;
  readonly labelMm: number;
}

export function Bed({ bed, potMm, labelMm }: BedProps) {
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
  readonly view: BenchView;
  readonly labelMm: number;
}

export function Shelf({ shelf, view, labelMm }: ShelfProps) {
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
export function GroundBench({ bench, potMm, labelMm }: GroundBenchProps) {
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
