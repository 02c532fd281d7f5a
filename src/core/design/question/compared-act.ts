import type { Trial } from '@/core/trial/model/trial';
import { questionPattern } from './question-patterns';
import { Act } from './question-shape';

/** What kind of thing a trial compares: as was chosen on Ask, else by the pattern it began from. */
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
