import * as Comlink from 'comlink';
import { browning, type CanopyCover, canopyCover, type Picture } from '@/core/image/canopy-cover';
import type { Corners } from '@/core/image/homography';

/** What is counted in a frame. */
export type Counted = 'green' | 'brown';

const SUMS = { green: canopyCover, brown: browning } as const;

let held: Picture | undefined;

const api = {
  /** Keeps a picture, so that corners and threshold can be moved without sending it again. */
  hold: (picture: Picture): void => {
    held = picture;
  },
  cover: (corners: Corners, threshold: number | null, counts: Counted): CanopyCover | undefined =>
    held ? SUMS[counts](held, corners, threshold) : undefined,
};
/** What the worker offers to the page. */
export type CoverApi = typeof api;
Comlink.expose(api);
