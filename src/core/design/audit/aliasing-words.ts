import { listed } from '@/core/words/listed';
import type { Aliasing, ShownShare } from './aliasing';

/** What grown combinations can tell and what not, in sentences; what can’t be told at all comes first. */
export interface AliasingWords {
  readonly lost: string;
  readonly told: string;
}

export function aliasingWords({ mainEffects, interactions }: Aliasing): AliasingWords {
  const withShare = (share: ShownShare): readonly string[] =>
    mainEffects.filter(effect => effect.share === share).map(effect => effect.factor);
  const [whole, part, none] = [withShare('whole'), withShare('part'), withShare('none')];
  const sentences = [
    whole.length > 0 &&
      `What ${listed(whole)} ${whole.length === 1 ? 'does' : 'each do'} can be told.`,
    part.length > 0 &&
      `What ${listed(part)} ${part.length === 1 ? 'does' : 'each do'} shows only beside some of the others, not on average.`,
    ...interactions.map(
      ({ factors: [a, b], share }) => `Whether ${a} depends on ${b} ${SHOWN[share]}.`,
    ),
  ];
  return {
    lost:
      none.length > 0
        ? `What ${listed(none)} ${none.length === 1 ? 'does' : 'do'} can’t be told apart from the rest.`
        : '',
    told: sentences.filter(sentence => sentence !== false).join(' '),
  };
}

const SHOWN: Readonly<Record<ShownShare, string>> = {
  whole: 'will show',
  part: 'will show in part',
  none: 'won’t show',
};
