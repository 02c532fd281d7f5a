/** Water in % of the dry mass, from weighing with the tin, wet and after drying. */
export function moistureOfDry(tinG: number, wetG: number, dryG: number): number {
  return (100 * (wetG - dryG)) / (dryG - tinG);
}

/** Dry mass of something whose water is given in % of its wet mass, as on a bag. */
export function dryMass(wetG: number, waterPercentOfWet: number): number {
  return wetG * (1 - waterPercentOfWet / 100);
}

/** Wet mass that holds so much dry: equal doses in spite of water. */
export function wetMassFor(dryG: number, waterPercentOfWet: number): number {
  return dryG / (1 - waterPercentOfWet / 100);
}

/**
 * Solid mass of something weighed hanging in water, its pores full: it loses the weight of the water it pushes aside.
 *
 * @param densityGPerMl of the solid, > 1
 */
export function solidFromSubmerged(submergedG: number, densityGPerMl: number): number {
  return (submergedG * densityGPerMl) / (densityGPerMl - 1);
}
