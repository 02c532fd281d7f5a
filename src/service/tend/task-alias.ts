import { createHash } from 'node:crypto';
import type { CarePlan } from '@/core/trial/model/care-plan';

/**
 * Another name for a rule of a blind trial, for pages that show which pots get it: by the rule's own id they could be held
 * against the plan of care, which says which treatment that is.
 *
 * @param bottles hold a secret that never leaves the server, put there at the lock
 */
export function taskAlias(trialId: string, ruleId: string, bottles: CarePlan['bottles']): string {
  const hex = createHash('sha256')
    .update(JSON.stringify([trialId, ruleId, bottles]))
    .digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
