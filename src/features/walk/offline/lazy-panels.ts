// What only some walks show. Each is loaded when it is asked for, and once ahead of that so that it is there without a connection.

export const loadScalePanel = () =>
  import('@/features/walk/instruments/ScalePanel').then(file => file.ScalePanel);
export const loadKeyInstrument = () =>
  import('@/features/walk/instruments/KeyInstrument').then(file => file.KeyInstrument);
export const loadWalkPhoto = () => import('@/features/walk/WalkPhoto').then(file => file.WalkPhoto);
export const loadCoverPanel = () =>
  import('@/features/inspect/cover/CoverPanel').then(file => file.CoverPanel);

/** Loads all of them. */
export async function loadAllPanels(): Promise<void> {
  await Promise.all([loadScalePanel(), loadKeyInstrument(), loadWalkPhoto(), loadCoverPanel()]);
}
