import { chanceSeen } from '@/core/judge/planning/chance-seen';
import type { TrialData } from '@/core/trial/model/trial-data';
import { remembering } from './remembering';

const chanceOf = remembering(({ plan, cv }: { readonly plan: TrialData; readonly cv: number }) =>
  chanceSeen(plan, cv),
);

/** The chance of a plan, remembered while only picks and readings come in: they play no part in it, and making seasons up takes long. */
export function rememberedChance(data: TrialData, cv: number): number | null {
  return chanceOf({ plan: { ...data, picks: [], readings: [] }, cv });
}
