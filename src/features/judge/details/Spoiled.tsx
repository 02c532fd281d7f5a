'use client';

import { styled } from 'styled-components';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import type { UnitValue } from '@/core/measure/unit-value/unit-values';
import { shortDay, withShortDays } from '@/core/time/days';
import { pluralOf } from '@/core/words/plural';
import { Soft } from '@/ui/Page';

interface SpoiledProps {
  readonly analysis: Analysis;
  readonly mentions: readonly UnitValue[];
  /** Units that are judged on a shorter season, in sentences. */
  readonly cuts: readonly string[];
  /** What is seen with the units that are left, where some were left out. */
  readonly lostChance: readonly string[];
  /** Days on which only a part of the units was picked. */
  readonly brokenRounds: readonly {
    readonly day: string;
    readonly done: number;
    readonly of: number;
  }[];
}

/** What may have spoiled it: as far as the readings and the layout can show. */
export function Spoiled({
  analysis: { judgement, input },
  mentions,
  cuts,
  lostChance,
  brokenRounds,
}: SpoiledProps) {
  const scales = judgement.otherScales;
  const lines = [
    ...judgement.warnings.map(warning => warning.message),
    ...lostChance,
    ...mentions.flatMap(mentionWords),
    ...cuts.map(withShortDays),
    ...brokenRounds.map(
      round =>
        `On ${shortDay(round.day)} only ${round.done} of ${round.of} ${pluralOf(input.unitWord)} were picked: until the round is finished, the rest are behind by one pick.`,
    ),
    ...scales
      .filter(scale => scale.changes)
      .map(
        scale =>
          `${SCALE_WORDS[scale.scale]} the call would be another: ${scale.directions.map(({ treatment, direction }) => `${treatment} ${DIRECTION_WORDS[direction]}`).join(', ')}.`,
      ),
  ];
  const same = scales.filter(scale => !scale.changes).map(scale => SCALE_WORDS[scale.scale]);
  return (
    <section aria-label="What may have spoiled it">
      <h2>What may have spoiled it</h2>
      {lines.length > 0 ? (
        <Lines>
          {lines.map(line => (
            <li key={line}>{line}</li>
          ))}
        </Lines>
      ) : (
        <p>Nothing that the readings or the layout show.</p>
      )}
      {same.length > 0 && (
        <Soft>
          {same
            .map((words, i) => (i === 0 ? words : words.charAt(0).toLowerCase() + words.slice(1)))
            .join(' and ')}{' '}
          the calls stay what they are.
        </Soft>
      )}
    </section>
  );
}

const SCALE_WORDS = {
  log: 'On the log scale',
  ranks: 'On ranks',
  'own-spread': 'With a spread of its own for each treatment (Welch)',
} as const;
const DIRECTION_WORDS = { up: 'up', down: 'down', 'cant-tell': 'can’t tell' } as const;

function mentionWords({ unit, status, missedOn }: UnitValue): readonly string[] {
  const { code } = unit;
  switch (status) {
    case 'dead':
      return [
        `${code} died. What it gave until then stands; death may be the treatment’s doing: it is not left out by itself.`,
      ];
    case 'gone':
      return [`${code} is gone. What it gave until then stands.`];
    case 'unmeasured':
      return [`${code} is missing: something was picked from it that nobody counted or weighed.`];
    case 'measured':
    case 'not-looked':
    case 'no-entry':
      return missedOn.length === 0
        ? []
        : [
            `${code} was not looked at on ${missedOn.map(shortDay).join(', ')}: its total may lack something.`,
          ];
  }
}

const Lines = styled.ul`
  margin: 8px 0; padding-left: 20px; max-width: var(--measure); display: grid; gap: 6px;
`;
