import type { Trial } from './model/trial';

/** Whether it may be shown which unit got which treatment. */
export function isKeyOpen(
  trial: Pick<Trial, 'isBlind' | 'keyOpenedAt'> & Partial<Pick<Trial, 'state'>>,
): boolean {
  return !trial.isBlind || trial.keyOpenedAt !== null || trial.state === 'closed';
}
