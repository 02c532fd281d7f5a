import { loadAskName } from '@/features/frame/load-ask-name';
import { loadWorkForm } from '@/features/labour/load-work-form';

// What only some walks show. Each is loaded when it is asked for, and once ahead of that so that it is there without a connection.

export const loadScalePanel = () =>
  import('@/features/walk/instruments/ScalePanel').then(file => file.ScalePanel);
export const loadKeyInstrument = () =>
  import('@/features/walk/instruments/KeyInstrument').then(file => file.KeyInstrument);
export const loadRefused = () =>
  import('@/features/walk/outbox/Refused').then(file => file.Refused);
export const loadNoValue = () => import('@/features/walk/NoValue').then(file => file.NoValue);
export const loadCoverPanel = () =>
  import('@/features/inspect/cover/CoverPanel').then(file => file.CoverPanel);

/** The counter of cover is a worker, whose script comes when it starts: started once under the eyes of the store, it is kept. */
async function loadCoverWorker(): Promise<void> {
  const { startCover } = await import('@/workers/cover-job');
  const job = startCover();
  try {
    await job.hold({ width: 1, height: 1, rgba: new Uint8ClampedArray(4) });
  } finally {
    job.end();
  }
}

/** Loads all of them. */
export async function loadAllPanels(): Promise<void> {
  await Promise.all([
    loadScalePanel(),
    loadKeyInstrument(),
    loadNoValue(),
    loadWorkForm(),
    loadAskName(),
    loadRefused(),
    loadCoverPanel(),
    loadCoverWorker(),
  ]);
}
