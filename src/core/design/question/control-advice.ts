import type { ControlKind } from '@/core/trial/model/treatment';
import type { Act } from './question-shape';

/** A control that a kind of act wants, and what can't be told without it. */
export interface ControlNeed {
  readonly kind: ControlKind;
  readonly words: string;
  readonly without: string;
}

/** What each kind of control is called on screen. */
export const CONTROL_WORDS: Readonly<Record<ControlKind, string>> = {
  nothing: 'nothing at all',
  carrier: 'same handling, no active part',
  usual: 'usual practice',
  pooled: 'several references taken together',
};

const NOTHING: ControlNeed = {
  kind: 'nothing',
  words: 'A control that gets nothing shows what happens anyway.',
  without: 'it can’t be told whether anything helps, only which helps more',
};

/** Controls that an act wants, the most needed first. Common practice, no source. */
export const CONTROL_NEEDS: Readonly<Record<Act, readonly ControlNeed[]>> = {
  feed: [
    {
      kind: 'carrier',
      words: 'Plain water, as much and as often as the feed’s: feeding waters, too.',
      without: 'the water may do what the feed is praised for',
    },
  ],
  amendment: [
    {
      kind: 'carrier',
      words:
        'An inert filler of the same bulk, such as grit: the soil is loosened by digging in anything.',
      without: 'loosening may do what the amendment is praised for',
    },
    NOTHING,
  ],
  mix: [
    {
      kind: 'usual',
      words: 'The mix you would use otherwise.',
      without: 'it can’t be told whether to change',
    },
  ],
  pruning: [
    {
      kind: 'nothing',
      words: 'Plants handled and looked over as often, but not cut.',
      without: 'it can’t be told what cutting does',
    },
  ],
  container: [
    {
      kind: 'usual',
      words: 'The container you would use otherwise, filled to the same volume.',
      without: 'it can’t be told whether to change',
    },
  ],
  remedy: [
    {
      kind: 'carrier',
      words:
        'A spray of plain water on the same days: wet leaves and a knocked-off pest are its doing, not the remedy’s.',
      without: 'washing may do what the remedy is praised for',
    },
    NOTHING,
  ],
  barrier: [NOTHING],
  weeds: [NOTHING],
  mulch: [
    {
      kind: 'nothing',
      words: 'Bare ground, watered alike.',
      without: 'it can’t be told what the mulch does',
    },
  ],
  water: [
    {
      kind: 'usual',
      words: 'Watering as you do now.',
      without: 'it can’t be told whether to change',
    },
  ],
  method: [
    {
      kind: 'usual',
      words: 'The way you do it now.',
      without: 'it can’t be told whether to change',
    },
  ],
};

/** Needs of an act that no control or reference meets. What is “nothing” for a feed is the water it comes in: said apart. */
export function missingControls(
  act: Act,
  present: readonly (ControlKind | null)[],
): readonly ControlNeed[] {
  if (present.includes(null)) return []; // a control of which nothing is said may be the right one
  return CONTROL_NEEDS[act].filter(
    (need, i) => i === 0 && !present.includes(need.kind) && !present.includes('pooled'),
  );
}
