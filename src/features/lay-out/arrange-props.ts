import type { Result } from '@/core/result';
import type { SiteFeature } from '@/core/trial/model/layout';
import type { TrialTrouble } from '@/core/trial/trial-trouble';

/** A place that can be stood elsewhere: its corner on the ground, and from the corner of what it stands on. */
export interface Movable {
  readonly id: string;
  readonly name: string;
  readonly kind: 'bench' | 'block' | 'bed' | 'unit' | 'guard';
  readonly shape: 'round' | 'square';
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly ownXMm: number;
  readonly ownYMm: number;
  /** The place it stands on, and all above it. */
  readonly within: readonly string[];
}

export interface ArrangeBenchProps {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly places: readonly Movable[];
  readonly site: readonly SiteFeature[];
  readonly closestMm: number | null;
  readonly blockWord: string;
  readonly unitWord: string;
  readonly move: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly drawSite: (site: readonly SiteFeature[]) => Promise<Result<unknown, TrialTrouble>>;
}
