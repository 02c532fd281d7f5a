import { wholeTrialSentence } from '@/core/trial/whole-trial';
import type { ResultsTrouble } from './results-file';
import { fileSentence } from './shared-file';

/** What is wrong with a results file, for whoever brought it. */
export function resultsSentence(trouble: ResultsTrouble): string {
  switch (trouble.kind) {
    case 'still-running':
      return 'That trial is not closed yet. Ask for its results when it is.';
    case 'no-trial':
      return wholeTrialSentence(trouble);
    default:
      return fileSentence(trouble);
  }
}
