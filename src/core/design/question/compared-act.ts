import type { FeedingAsked } from '@/core/materials/ledger/nutrient-ledger';
import type { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import { questionPattern } from './question-patterns';
import { Act } from './question-shape';

/** What kind of thing a trial compares: as was chosen on Ask, else by the pattern it began from; trials of earlier versions, which asked for neither, were of feeds. */
export function comparedAct({ rules, pattern }: Pick<Trial, 'rules' | 'pattern'>): Act {
  return Act.safeParse(rules.act).data ?? questionPattern(pattern)?.form.act ?? 'feed';
}

export const ACT_WORDS: Readonly<Record<Act, string>> = {
  feed: 'a feed',
  amendment: 'something dug into the soil',
  mix: 'a growing mix',
  pruning: 'a way of pruning',
  container: 'a container',
  remedy: 'a remedy',
  barrier: 'a barrier or a trap',
  weeds: 'a way with weeds',
  mulch: 'a mulch',
  water: 'a way of watering',
  method: 'something else',
};

const FEEDING: Readonly<Record<Act, FeedingAsked>> = {
  feed: 'which',
  amendment: 'which',
  mix: 'comes-along',
  mulch: 'comes-along',
  method: 'comes-along',
  pruning: 'not-asked',
  container: 'not-asked',
  remedy: 'not-asked',
  barrier: 'not-asked',
  weeds: 'not-asked',
  water: 'not-asked',
};

/** What feeding is to a trial's question. A series of doses asks how much. */
export function feedingAsked({
  trial,
  treatments,
}: Pick<TrialData, 'trial' | 'treatments'>): FeedingAsked {
  const asked = FEEDING[comparedAct(trial)];
  return asked === 'which' && treatments.some(treatment => treatment.dose !== null)
    ? 'how-much'
    : asked;
}
