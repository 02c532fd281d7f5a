import { isKept } from '@/core/blinding/seen-acts';
import { seenLayout } from '@/core/blinding/seen-layout';
import { isKeyOpen } from '@/core/trial/key';
import { TreatmentId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';

declare const SEEN: unique symbol;

/** A trial whose key may be seen: nothing is kept back. */
export type OpenTrial = TrialData & { readonly [SEEN]: 'open' };

/**
 * A trial whose key is shut, without it: all units are under one treatment that is none of the trial's, the deal has no seed, and
 * bottles, the rules for some only and what was done by them are not in it.
 */
export type BlindTrial = TrialData & { readonly [SEEN]: 'blind' };

/** What a screen may be made of. Whoever has a whole trial gets one by `seenTrial`, and by nothing else. */
export type SeenTrial = OpenTrial | BlindTrial;

/** Under which all units of a blind trial are. */
export const KEPT_BACK = TreatmentId.parse('00000000-0000-7000-8000-000000000000');

export function seenTrial(data: TrialData): SeenTrial {
  return isKeyOpen(data.trial) ? openTrial(data) : blindTrial(data);
}

/** With its key, whatever its state: for who looks before the end, which goes on record. */
export function openTrial(data: TrialData): OpenTrial {
  return data as OpenTrial;
}

function blindTrial(data: TrialData): BlindTrial {
  const { care, units, layout } = data;
  const hidden = new Set(care.rules.filter(rule => isKept(rule, data)).map(rule => rule.id));
  const blind: TrialData = {
    ...data,
    layout: layout && { ...layout, seed: seenLayout(data)?.seed ?? 0 },
    units: units.map(unit => ({ ...unit, treatmentId: KEPT_BACK })),
    care: {
      ...care,
      bottles: {},
      rules: care.rules.filter(rule => !hidden.has(rule.id)),
      acts: care.acts.filter(act => !hidden.has(act.ruleId)),
    },
  };
  return blind as BlindTrial;
}
