'use client';

import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import type { Drawing } from '@/core/measure/library/reading-kind';

const plant = (
  <>
    <path d="M24 40V16" />
    <path d="M24 24c-7 0-9-4-9-8 6 0 9 3 9 8zM24 30c7 0 9-4 9-8-6 0-9 3-9 8z" />
    <path d="M10 40h28" />
  </>
);
const LINES: Readonly<Record<Drawing, ReactNode>> = {
  height: (
    <>
      {plant}
      <path d="M41 40V14M38 14h6M38 40h6" data-mark />
    </>
  ),
  across: (
    <>
      <circle cx="24" cy="24" r="9" />
      <path d="M6 24h8M34 24h8M14 18v12M34 18v12" data-mark />
    </>
  ),
  leaf: (
    <>
      <path d="M24 42V32" />
      <path d="M24 32c-10 0-13-9-13-20 12 0 17 8 13 20zM24 32c8 0 12-6 13-15-8 0-13 5-13 15z" />
    </>
  ),
  pieces: (
    <>
      <circle cx="15" cy="28" r="7" />
      <circle cx="31" cy="28" r="7" />
      <circle cx="23" cy="16" r="6" />
    </>
  ),
  scale: (
    <>
      <path d="M8 40h32l-4-12H12z" />
      <path d="M14 20h20" />
      <circle cx="24" cy="34" r="3" />
      <path d="M24 28v-8" data-mark />
    </>
  ),
  card: (
    <>
      <path d="M6 14h9v20H6zM15 14h9v20h-9zM24 14h9v20h-9zM33 14h9v20h-9z" />
      <path d="M26 40l2.500-4 2.500 4z" data-mark />
    </>
  ),
  probe: (
    <>
      <path d="M8 26h32" />
      <path d="M24 8v30l-3-4M24 38l3-4" data-mark />
      <path d="M18 8h12" />
    </>
  ),
  jar: (
    <>
      <path d="M14 10h20v4h-2v26H16V14h-2z" />
      <path d="M16 26h16" data-mark />
    </>
  ),
  root: (
    <>
      <path d="M24 6v16M12 22h24" />
      <path d="M24 22c0 8-6 8-7 18M24 22c0 8 6 8 7 18M24 22v18M18 30l-6 4M30 30l6 4" data-mark />
    </>
  ),
  day: (
    <>
      <path d="M8 12h32v28H8zM8 20h32M16 8v8M32 8v8" />
      <path d="M20 29l4 4 8-9" data-mark />
    </>
  ),
  spots: (
    <>
      <path d="M24 42V34" />
      <path d="M24 34c-12-2-14-14-10-26 8 2 24 10 10 26z" />
      <circle cx="20" cy="20" r="2.500" data-mark />
      <circle cx="26" cy="26" r="3" data-mark />
    </>
  ),
  soil: (
    <>
      <path d="M6 18h36M6 18v22h36V18" />
      <path d="M12 26h4M24 24h4M34 28h3M18 34h4M30 36h4" data-mark />
    </>
  ),
};

/** A measure's little drawing: what is read, from where to where. */
export function MeasureDrawing({ drawing }: { readonly drawing: Drawing }) {
  return (
    <Lines viewBox="0 0 48 48" aria-hidden="true">
      {LINES[drawing]}
    </Lines>
  );
}

const Lines = styled.svg`
  width: 48px; height: 48px; flex: none; fill: none; stroke: var(--ink-soft); stroke-width: 1.75; stroke-linecap: round; stroke-linejoin: round;
  & [data-mark] { stroke: var(--clay); stroke-width: 2.25; }
`;
