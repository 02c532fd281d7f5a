'use client';

import { useId } from 'react';

/** How a treatment's stake looks: letter first, pattern second, colour third. `index` −1 is the control: outline only. */
export interface LabelLook {
  readonly letter: string;
  /** Place among the treatments that aren't the control, from 0; −1 for the control. */
  readonly index: number;
}

interface PlantLabelProps {
  /** undefined: the label turns its back, and says nothing. */
  readonly look: LabelLook | undefined;
  readonly x?: number;
  readonly y?: number;
  /** In the units of the drawing around it, or px. */
  readonly width?: number;
}

const WIDTH = 22;
const HEIGHT = 34;
const STAKE = `M1 1H${WIDTH - 1}V${HEIGHT - 12}L${WIDTH / 2} ${HEIGHT - 1}L1 ${HEIGHT - 12}Z`;

/** The colour of a treatment as a CSS variable. */
export function hueOf(index: number): string {
  return index < 0 ? 'var(--ink)' : `var(--hue-${(index % 8) + 1})`;
}

/** A plant label: a stake seen from the front, or from behind in a blind trial. */
export function PlantLabel({ look, x, y, width = WIDTH }: PlantLabelProps) {
  const patternId = useId();
  return (
    <svg
      x={x}
      y={y}
      width={width}
      height={(width * HEIGHT) / WIDTH}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      aria-hidden
      focusable="false"
      style={{ flex: 'none', overflow: 'visible' }}
    >
      {look ? (
        <Front look={look} patternId={patternId} />
      ) : (
        <path d={STAKE} fill="var(--slate-deep)" stroke="var(--rule-strong)" strokeWidth="1.5" />
      )}
    </svg>
  );
}

function Front({ look, patternId }: { readonly look: LabelLook; readonly patternId: string }) {
  const hue = hueOf(look.index);
  const isPlain = look.index <= 0;
  return (
    <>
      {!isPlain && (
        <defs>
          <pattern id={patternId} width="8" height="8" patternUnits="userSpaceOnUse">
            <rect width="8" height="8" fill="var(--plate)" />
            <g stroke={hue} fill="none" strokeWidth="2">
              {PATTERNS[look.index % 8]}
            </g>
          </pattern>
        </defs>
      )}
      <path
        d={STAKE}
        fill={look.index < 0 ? 'var(--plate)' : isPlain ? hue : `url(#${patternId})`}
        stroke={hue}
        strokeWidth="1.8"
      />
      {!isPlain && <circle cx={WIDTH / 2} cy="11" r="8.5" fill="var(--plate)" />}
      <text
        x={WIDTH / 2}
        y="16"
        textAnchor="middle"
        fontSize="14"
        fontWeight="750"
        fill={look.index === 0 ? 'var(--plate)' : hue}
      >
        {look.letter}
      </text>
    </>
  );
}

// solid, slant, dots, cross, bars, rings, chevrons, waves
const PATTERNS = [
  null,
  <path key="slant" d="M-2 2L2 -2M0 8L8 0M6 10L10 6" />,
  <path key="dots" d="M2 2h.01M6 6h.01" strokeLinecap="round" strokeWidth="3.4" />,
  <path key="cross" d="M0 4H8M4 0V8" strokeWidth="1.5" />,
  <path key="bars" d="M0 2H8M0 6H8" />,
  <circle key="rings" cx="4" cy="4" r="2.5" strokeWidth="1.5" />,
  <path key="chevrons" d="M0 6L4 2L8 6" />,
  <path key="waves" d="M0 4Q2 1 4 4T8 4" />,
] as const;
