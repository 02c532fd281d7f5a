import type { TrialData } from '@/core/trial/model/trial-data';
import { listed } from '@/core/words/listed';
import { counted } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import { type Confound, confoundScan } from './confound-scan';

/** What can't be told from what, without the full stop. Which treatment it is would be a hint while a trial is blind. */
export function confoundWords(found: Confound, { trial }: TrialData): string {
  const { what, with: column, how, arms, reference } = found;
  if (how === 'wholly') return sentenceCase(`${what} can’t be told apart from ${column}`);
  const does = arms.length === 1 ? 'does' : 'do';
  return trial.isBlind && trial.keyOpenedAt === null
    ? `What ${counted(arms.length, 'treatment')} ${does} can’t be told from ${column}`
    : `What ${listed(arms)} ${does} beside ${reference} can’t be told from ${column}`;
}

/**
 * What was brought along and can't be told from a treatment, each in words; undefined where there is nothing of the kind. Where
 * the lot let places fall alike, the audit says so: the deal was fair all the same.
 */
export function inseparable(data: TrialData): readonly string[] | undefined {
  const lost = confoundScan(data).filter(({ how, kind }) => how !== 'partly' && kind === 'name');
  return lost.length === 0 ? undefined : lost.map(found => confoundWords(found, data));
}
