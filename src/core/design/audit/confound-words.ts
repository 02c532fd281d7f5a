import type { TrialData } from '@/core/trial/model/trial-data';
import { listed } from '@/core/words/listed';
import { counted } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import { type Confound, confoundScan } from './confound-scan';

/** What can't be told from what, without the full stop. Which treatment it is would be a hint while a trial is blind. */
export function confoundWords(found: Confound, { trial }: TrialData): string {
  const { what, with: column, how, arms, reference } = found;
  if (how === 'wholly') return sentenceCase(`${what} and ${column} go together wholly`);
  const does = arms.length === 1 ? 'does' : 'do';
  return trial.isBlind && trial.keyOpenedAt === null
    ? `What ${counted(arms.length, 'treatment')} ${does} can’t be told from ${column}`
    : `What ${listed(arms)} ${does} beside ${reference} can’t be told from ${column}`;
}

/** All that a trial can't tell apart, each in words; undefined where there is nothing of the kind. */
export function inseparable(data: TrialData): readonly string[] | undefined {
  const lost = confoundScan(data).filter(({ how }) => how !== 'partly');
  return lost.length === 0 ? undefined : lost.map(found => confoundWords(found, data));
}
