import type { Decision } from '@/core/trial/model/incident';

/** What was decided of a unit after something happened. */
export const DECISION_WORDS: Readonly<Record<Decision, string>> = {
  keep: 'It stays in',
  'leave-out': 'Left out altogether',
  'leave-out-from': 'Left out from that day on',
  replace: 'A spare stands in from that day',
  'start-anew': 'All cut back; what was before does not count',
};
