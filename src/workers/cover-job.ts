import * as Comlink from 'comlink';
import type { CanopyCover, Picture } from '@/core/image/canopy-cover';
import type { Corners } from '@/core/image/homography';
import type { Counted, CoverApi } from './cover.worker';

/** The cover's worker, for one picture after another. */
export interface CoverJob {
  readonly hold: (picture: Picture) => Promise<void>;
  readonly cover: (
    corners: Corners,
    threshold: number | null,
    counts: Counted,
  ) => Promise<CanopyCover | undefined>;
  readonly end: () => void;
}

export function startCover(): CoverJob {
  const worker = new Worker(new URL('./cover.worker.ts', import.meta.url), { type: 'module' });
  const api = Comlink.wrap<CoverApi>(worker);
  return {
    hold: picture => api.hold(Comlink.transfer(picture, [picture.rgba.buffer])),
    cover: (corners, threshold, counts) => api.cover(corners, threshold, counts),
    end: () => {
      api[Comlink.releaseProxy]();
      worker.terminate();
    },
  };
}
