import type { TrialSummary } from '@/core/trial/trial-summary';

/** Which trials are looked for. `unsettled`: closed, and something it asked could not be told. */
export interface TrialSearch {
  readonly words: string;
  readonly show: 'all' | 'running' | 'closed' | 'unsettled';
}

/** Whether a trial has every word that is looked for: in its question, crop, years or verdict. */
export function isFound(summary: TrialSummary, { words, show }: TrialSearch): boolean {
  const { trial, headline, isUnsettled } = summary;
  const isShown = {
    all: true,
    running: trial.state !== 'closed',
    closed: trial.state === 'closed',
    unsettled: isUnsettled,
  }[show];
  const said = plain(
    [trial.question, trial.crop, trial.startsOn, trial.endsOn, headline ?? ''].join(' '),
  );
  return (
    isShown &&
    plain(words)
      .split(/\s+/)
      .every(word => said.includes(word))
  );
}

/** As one types it: whatever the case, the accents and the apostrophes. */
function plain(words: string): string {
  return words.normalize('NFKD').replace(/\p{M}/gu, '').replaceAll('’', "'").toLowerCase().trim();
}
