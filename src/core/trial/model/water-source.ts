/** Where the water comes from, as far as feeds, brews and seedlings mind. */
export const WATER_SOURCES = [
  'rain',
  'well',
  'tap-chlorine',
  'tap-chloramine',
  'tap-unknown',
] as const;
export type WaterSource = (typeof WATER_SOURCES)[number];
