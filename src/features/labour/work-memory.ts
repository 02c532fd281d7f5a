/** Work that is going on at a trial, as this browser keeps it: it goes on through a reload and an empty battery. */
export interface RunningWork {
  readonly startedAt: number;
  readonly codes: readonly string[];
}

const keyOf = (trialId: string): string => `turnspit-work-${trialId}`;

export function runningWork(trialId: string): RunningWork | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(trialId)) ?? 'null');
    return isRunning(kept) ? kept : null;
  } catch {
    return null; // a browser that keeps nothing, or something else under that name
  }
}

function isRunning(kept: unknown): kept is RunningWork {
  return (
    typeof kept === 'object' &&
    kept !== null &&
    'startedAt' in kept &&
    typeof kept.startedAt === 'number' &&
    'codes' in kept &&
    Array.isArray(kept.codes) &&
    kept.codes.every(code => typeof code === 'string')
  );
}

/** @returns whether it is kept: a private window may refuse */
export function keepWork(trialId: string, work: RunningWork | null): boolean {
  try {
    if (work === null) localStorage.removeItem(keyOf(trialId));
    else localStorage.setItem(keyOf(trialId), JSON.stringify(work));
    return true;
  } catch {
    return false;
  }
}

/** Minutes since a moment, as one would write them: to the minute, half a minute at least. */
export function minutesSince(startedAt: number, now: number): number {
  return Math.max(0.5, Math.round((now - startedAt) / 60_000));
}
