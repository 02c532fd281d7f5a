'use client';

import { useEffect, useRef, useState } from 'react';
import type { CanopyCover, Picture } from '@/core/image/canopy-cover';
import type { Corners, Point } from '@/core/image/homography';
import type { Counted } from '@/workers/cover.worker';
import { type CoverJob, startCover } from '@/workers/cover-job';
import { WORDS } from './cover-words';
import { openPicture } from './open-picture';

export interface FramedPicture {
  readonly width: number;
  readonly height: number;
  readonly url: string;
}

/** A picture, its frame, and what was counted in it. */
export function useCover(counts: Counted) {
  const [picture, setPicture] = useState<FramedPicture | null>(null);
  const [corners, setCorners] = useState<Corners | null>(null);
  const [cover, setCover] = useState<CanopyCover | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const job = useRef<CoverJob | null>(null);
  // Leaving a corner where it lay asks for nothing.
  const counted = useRef<Corners | null>(null);
  useEffect(() => () => job.current?.end(), []);
  const count = async (to: Corners, threshold: number | null): Promise<void> => {
    counted.current = to;
    setBusy(true);
    const found = await job.current?.cover(to, threshold, counts);
    setBusy(false);
    setCover(found ?? null);
    setTrouble(found ? null : WORDS[counts].notFound);
  };
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setBusy(true);
    const opened = await openPicture(file);
    setBusy(false);
    setTrouble(opened.ok ? null : opened.trouble);
    setCover(null);
    if (!opened.ok) {
      setPicture(null);
      return;
    }
    const { width, height } = opened.value;
    job.current ??= startCover();
    setPicture({ width, height, url: URL.createObjectURL(file) });
    const whole = wholeOf(opened.value);
    setCorners(whole);
    await job.current.hold(opened.value);
    await count(whole, null);
  };
  const move = (at: number, to: Point): void => {
    if (corners && picture) setCorners(movedCorner(corners, at, to, picture));
  };
  const settle = (): void => {
    if (corners && counted.current !== corners) void count(corners, null);
  };
  return { picture, corners, cover, trouble, isBusy, count, open, move, settle };
}

/** A corner elsewhere, within the picture. */
function movedCorner(
  corners: Corners,
  at: number,
  to: Point,
  { width, height }: FramedPicture,
): Corners {
  const held: Point = {
    x: Math.min(width, Math.max(0, to.x)),
    y: Math.min(height, Math.max(0, to.y)),
  };
  const [a, b, c, d] = corners;
  return [at === 0 ? held : a, at === 1 ? held : b, at === 2 ? held : c, at === 3 ? held : d];
}

function wholeOf({ width, height }: Pick<Picture, 'width' | 'height'>): Corners {
  return [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
}
