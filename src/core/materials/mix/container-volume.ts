/** A container by its inner measures, filled to depthMm. All > 0, in mm. */
export type Container =
  | { readonly shape: 'cylinder'; readonly diameterMm: number; readonly depthMm: number }
  /** A pot: wider at the top. */
  | {
      readonly shape: 'frustum';
      readonly topMm: number;
      readonly bottomMm: number;
      readonly depthMm: number;
    }
  | {
      readonly shape: 'box';
      readonly lengthMm: number;
      readonly widthMm: number;
      readonly depthMm: number;
    };

const ML_PER_MM3 = 0.001;

/** What it holds, in ml. A pot's trade size is only its name. */
export function containerMl(container: Container): number {
  const { depthMm } = container;
  switch (container.shape) {
    case 'cylinder':
      return (Math.PI / 4) * container.diameterMm ** 2 * depthMm * ML_PER_MM3;
    case 'frustum': {
      const { topMm: a, bottomMm: b } = container;
      return (Math.PI / 12) * depthMm * (a * a + a * b + b * b) * ML_PER_MM3;
    }
    case 'box':
      return container.lengthMm * container.widthMm * depthMm * ML_PER_MM3;
  }
}

/** Several stacked on each other: a tower. */
export function stackMl(containers: readonly Container[]): number {
  return containers.reduce((sum, each) => sum + containerMl(each), 0);
}

/** A round top, in m². */
export function circleM2(diameterMm: number): number {
  return (Math.PI / 4) * (diameterMm / 1000) ** 2;
}

/** How far apart plants stand in a row: from end to end they share the gaps between, or each has its own stretch. */
export function spacingInRow(
  lengthMm: number,
  plants: number,
): { readonly eachMm: number; readonly betweenMm: number | null } {
  return { eachMm: lengthMm / plants, betweenMm: plants > 1 ? lengthMm / (plants - 1) : null };
}

/** Ground that each plant has, at so much in the row and between rows. */
export function plantGround(
  inRowMm: number,
  betweenRowsMm: number,
): { readonly eachM2: number; readonly plantsPerM2: number } {
  const eachM2 = (inRowMm * betweenRowsMm) / 1e6;
  return { eachM2, plantsPerM2: 1 / eachM2 };
}
