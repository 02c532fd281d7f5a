'use client';

import type { Dispatch, SetStateAction } from 'react';
import { useState } from 'react';
import { styled } from 'styled-components';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { pluralOf } from '@/core/words/plural';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Acts, Soft } from '@/ui/Page';

interface Season {
  readonly nth: number;
  readonly headline: string;
  readonly largest: string;
  readonly isCalled: boolean;
}

const MANY = 20;

/** The same layout with the same spread, and nothing that works: what luck alone makes of it, season after season. */
export function NullSimulation({
  analysis: { input, judgement },
}: {
  readonly analysis: Analysis;
}) {
  const [seasons, setSeasons] = useState<readonly Season[]>([]);
  const residual = judgement.anova.find(row => row.term === 'residual');
  const level = judgement.groups.find(group => group.treatment === input.control)?.mean ?? 0;
  // What luck makes of counts, shares, steps and days has no bell curve to be drawn from.
  if (input.outcome !== 'continuous') return null;
  if (!residual || !(residual.ms > 0) || !(level > 0)) return null;
  const grow = (count: number): void => {
    const fresh = Array.from({ length: count }, (_, i): Season => {
      const nth = seasons.length + i + 1;
      const random = seededRandom(nth);
      const made = judgeWithoutShuffle({
        ...input,
        shuffles: 0,
        units: input.units.map(unit =>
          unit.value === null
            ? unit
            : { ...unit, value: Math.max(0, level + Math.sqrt(residual.ms) * normalDraw(random)) },
        ),
      });
      const gaps = made.contrasts.flatMap(contrast =>
        contrast.estimable && contrast.percent !== null
          ? [{ treatment: contrast.treatment, percent: contrast.percent }]
          : [],
      );
      const most = gaps.sort((a, b) => Math.abs(b.percent) - Math.abs(a.percent))[0];
      return {
        nth,
        headline: made.verdict.headline,
        largest: most
          ? `${most.treatment} ${most.percent < 0 ? '−' : '+'}${Math.abs(most.percent).toFixed(0)}%`
          : '',
        isCalled: made.contrasts.some(
          contrast => contrast.call.endsWith('better') || contrast.call.endsWith('worse'),
        ),
      };
    });
    setSeasons([...seasons, ...fresh]);
  };
  const called = seasons.filter(season => season.isCalled).length;
  return (
    <Box title="Try it with no effect">
      <Soft>
        The same {pluralOf(input.unitWord)}, the same spread, and water in every can: what would
        this page have said?
      </Soft>
      <SimulationActs grow={grow} seasons={seasons} setSeasons={setSeasons} />
      {seasons.length > 0 && (
        <p role="status">
          <b>
            {called} of {seasons.length}
          </b>{' '}
          seasons with nothing in them were called; five of 100 are what is allowed.
        </p>
      )}
      <SeasonList seasons={seasons} />
    </Box>
  );
}

interface SimulationActsProps {
  readonly grow: (count: number) => void;
  readonly seasons: readonly Season[];
  readonly setSeasons: Dispatch<SetStateAction<readonly Season[]>>;
}

function SimulationActs({ grow, seasons, setSeasons }: SimulationActsProps) {
  return (
    <Acts>
      <Button onPress={() => grow(1)}>Grow one season</Button>
      <Button onPress={() => grow(MANY)}>Grow {MANY}</Button>
      {seasons.length > 0 && (
        <Button data-tone="quiet" onPress={() => setSeasons([])}>
          Clear
        </Button>
      )}
    </Acts>
  );
}

function SeasonList({ seasons }: { readonly seasons: readonly Season[] }) {
  return (
    <ol reversed>
      {[...seasons]
        .reverse()
        .slice(0, 8)
        .map(season => (
          <li key={season.nth} value={season.nth}>
            {season.headline} <small>largest gap {season.largest}</small>
          </li>
        ))}
    </ol>
  );
}

const Box = styled(Fold)`
  & small { color: var(--ink-soft); }
  & ol { padding-left: 36px; margin: 0; }
`;
