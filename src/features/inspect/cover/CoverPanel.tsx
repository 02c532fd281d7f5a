'use client';

import { type PointerEvent, useEffect, useRef, useState } from 'react';
import { styled } from 'styled-components';
import type { CanopyCover } from '@/core/image/canopy-cover';
import type { Corners, Point } from '@/core/image/homography';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { FilePick } from '@/ui/fields/FilePick';
import { Acts, Soft } from '@/ui/Page';
import type { Counted } from '@/workers/cover.worker';
import { WORDS } from './cover-words';
import { type FramedPicture, useCover } from './use-cover';

interface CoverPanelProps {
  readonly counts: Counted;
  /** Takes the percentage as the value. */
  readonly take: (percent: number) => void;
}

const CORNER_WORDS = ['far left', 'far right', 'near right', 'near left'] as const;
const STEP = 0.02;
const [GROUND, LEAF] = [
  [226, 220, 210, 255],
  [170, 196, 160, 255],
] as const;
const COUNTED: Readonly<Record<Counted, readonly number[]>> = {
  green: [47, 107, 60, 255],
  brown: [140, 84, 40, 255],
};

/** Cover from a picture: its frame is marked by four corners, what is green is counted, looked at, and corrected. */
export function CoverPanel({ counts, take }: CoverPanelProps) {
  const { picture, corners, cover, trouble, isBusy, count, open, move, settle } = useCover(counts);
  return (
    <Panel title="From a picture" isRuled>
      <Soft>{WORDS[counts].how} The picture stays in this browser.</Soft>
      <FilePick
        label="Choose a picture"
        accept="image/jpeg,image/png,image/webp"
        usesCamera
        onFile={file => void open(file)}
      />
      {picture && corners && (
        <Frame
          counts={counts}
          picture={picture}
          corners={corners}
          cover={cover}
          onMove={move}
          onDone={settle}
        />
      )}
      {isBusy && <p role="status">Counting…</p>}
      {cover && corners && (
        <CoverFound cover={cover} counts={counts} count={count} corners={corners} take={take} />
      )}
      {trouble && <p role="alert">{trouble}</p>}
    </Panel>
  );
}

interface CoverFoundProps {
  readonly cover: CanopyCover;
  readonly counts: CoverPanelProps['counts'];
  readonly count: (to: Corners, threshold: number | null) => Promise<void>;
  readonly corners: Corners;
  readonly take: CoverPanelProps['take'];
}

function CoverFound({ cover, counts, count, corners, take }: CoverFoundProps) {
  return (
    <>
      <output>
        {cover.percent.toFixed(1)}%<small>± {Math.max(0.5, cover.errorPercent).toFixed(1)}</small>
      </output>
      {cover.isOneClass && (
        <Soft>
          All of it looks alike: it is taken for {WORDS[counts].all[cover.percent > 50 ? 1 : 0]}.
        </Soft>
      )}
      <Acts>
        <Button onPress={() => void count(corners, cover.threshold - STEP)}>
          More is {counts}
        </Button>
        <Button onPress={() => void count(corners, cover.threshold + STEP)}>
          Less is {counts}
        </Button>
        <Button data-tone="main" onPress={() => take(cover.percent)}>
          Take {cover.percent.toFixed(1)}%
        </Button>
      </Acts>
    </>
  );
}

interface FrameProps {
  readonly counts: Counted;
  readonly picture: FramedPicture;
  readonly corners: Corners;
  readonly cover: CanopyCover | null;
  readonly onMove: (at: number, to: Point) => void;
  readonly onDone: () => void;
}

/** The picture with its frame; corners are drawn with a finger, a mouse, or arrow keys. Under it what counted as green, set square. */
function Frame({ counts, picture, corners, cover, onMove, onDone }: FrameProps) {
  const [held, setHeld] = useState<number | null>(null);
  const drag = (event: PointerEvent<SVGSVGElement>): void => {
    if (held === null) return;
    const box = event.currentTarget.getBoundingClientRect();
    onMove(held, {
      x: ((event.clientX - box.left) / box.width) * picture.width,
      y: ((event.clientY - box.top) / box.height) * picture.height,
    });
  };
  const nudge = picture.width / 100;
  const moves: Readonly<Record<string, Point>> = {
    ArrowLeft: { x: -nudge, y: 0 },
    ArrowRight: { x: nudge, y: 0 },
    ArrowUp: { x: 0, y: -nudge },
    ArrowDown: { x: 0, y: nudge },
  };
  return (
    <Pictures>
      <svg
        viewBox={`0 0 ${picture.width} ${picture.height}`}
        aria-label="The picture with its frame"
        onPointerMove={drag}
        onPointerUp={() => {
          setHeld(null);
          if (held !== null) onDone();
        }}
      >
        <image href={picture.url} width={picture.width} height={picture.height} />
        <polygon points={corners.map(corner => `${corner.x},${corner.y}`).join(' ')} />
        {corners.map((corner, i) => (
          // biome-ignore lint/a11y/useSemanticElements: a button can't stand in a drawing
          <circle
            key={CORNER_WORDS[i]}
            cx={corner.x}
            cy={corner.y}
            r={picture.width / 14}
            role="button"
            tabIndex={0}
            aria-label={`Corner, ${CORNER_WORDS[i]}`}
            onPointerDown={event => {
              event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
              setHeld(i);
            }}
            onKeyDown={event => {
              const by = moves[event.key];
              if (by) {
                event.preventDefault();
                onMove(i, { x: corner.x + by.x, y: corner.y + by.y });
              }
              if (event.key === 'Enter') onDone();
            }}
            onBlur={onDone}
          />
        ))}
      </svg>
      {cover && <Mask cover={cover} counts={counts} />}
    </Pictures>
  );
}

function Mask({ cover, counts }: { readonly cover: CanopyCover; readonly counts: Counted }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const image = context.createImageData(cover.side, cover.side);
    cover.mask.forEach((kind, i) => {
      image.data.set(kind === 0 ? GROUND : kind === 1 ? COUNTED[counts] : LEAF, 4 * i);
    });
    context.putImageData(image, 0, 0);
  }, [cover, counts]);
  return (
    <canvas
      ref={canvas}
      width={cover.side}
      height={cover.side}
      role="img"
      aria-label={`What counts as ${counts}: ${cover.percent.toFixed(1)}% of the ${counts === 'green' ? 'frame' : 'leaf'}`}
    />
  );
}

const Panel = styled(Fold)`
  & output { display: block; font-family: var(--font-heading), sans-serif; font-size: 2rem; font-weight: 650; }
  & output small { font-size: 1rem; font-weight: 400; margin-left: 12px; color: var(--ink-soft); }
`;

const Pictures = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 8px; align-items: start;
  @media (max-width: 640px) { grid-template-columns: minmax(0, 1fr); }
  & svg { width: 100%; touch-action: none; }
  & canvas { width: 100%; height: auto; }
  & polygon { fill: none; stroke: var(--clay); stroke-width: 3; vector-effect: non-scaling-stroke; }
  & circle { fill: rgb(255 255 255 / 45%); stroke: var(--clay); stroke-width: 3; vector-effect: non-scaling-stroke; cursor: grab; outline: none; }
  & circle:focus-visible { fill: rgb(255 255 255 / 75%); stroke-width: 6; }
`;
