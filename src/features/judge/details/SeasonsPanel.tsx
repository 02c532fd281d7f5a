'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import {
  poolSeasons,
  type SeasonAnswer,
  type SeasonsTogether,
} from '@/core/judge/after/combine-seasons';
import { fullDay } from '@/core/time/days';
import { printP } from '@/features/judge/print-value';
import { Fold } from '@/ui/Fold';
import { Tick } from '@/ui/fields/Tick';
import { Link } from '@/ui/Link';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';

interface SeasonsPanelProps {
  /** Of the trial that is judged: its own season is always taken in. */
  readonly trialId: string;
  readonly seasons: readonly SeasonsTogether[];
}

/** The same question in other seasons, each with its interval, and those together that are ticked. */
export function SeasonsPanel({ trialId, seasons }: SeasonsPanelProps) {
  const [left, setLeft] = useState<ReadonlySet<string>>(() => otherCrops(trialId, seasons));
  const tick = (id: string, isIn: boolean): void => {
    const without = [...left].filter(each => each !== id);
    setLeft(new Set(isIn ? without : [...without, id]));
  };
  return (
    <Box aria-label="With other seasons">
      <h2>With other seasons</h2>
      <Soft>
        Your other closed trials of the same treatments, by the same measure. Tick those that belong
        together; those of another crop are not ticked.
      </Soft>
      {seasons.map(({ treatment, control, seasons: own }) => (
        <div key={treatment}>
          <h3>
            {treatment} against {control}
          </h3>
          <WideTable label={`${treatment} in every season`}>
            <TableHead of={['season', 'gap', '95% interval']} />
            <tbody>
              {own.map(season => (
                <SeasonRow
                  key={season.trialId}
                  season={season}
                  isOwn={season.trialId === trialId}
                  isIn={!left.has(season.trialId)}
                  tick={tick}
                />
              ))}
              <TogetherRow seasons={own.filter(season => !left.has(season.trialId))} />
            </tbody>
          </WideTable>
        </div>
      ))}
      <Fold title="How they are put together" tone="soft">
        <Soft>
          What a treatment does may differ from season to season, and the range of all together
          allows for it (random effects by REML, interval of Hartung and Knapp). With two seasons it
          is very wide.
        </Soft>
      </Fold>
    </Box>
  );
}

interface SeasonRowProps {
  readonly season: SeasonAnswer;
  readonly isOwn: boolean;
  readonly isIn: boolean;
  readonly tick: (trialId: string, isIn: boolean) => void;
}

function SeasonRow({ season, isOwn, isIn, tick }: SeasonRowProps) {
  const { trialId, question, crop, closedOn, percent, percentCi, logRatio } = season;
  const name = [question, crop].filter(word => word !== '').join(' · ');
  return (
    <tr>
      <th scope="row">
        <Season>
          <Tick
            isOn={isIn && logRatio !== null}
            isDisabled={isOwn || logRatio === null}
            onChange={isOn => tick(trialId, isOn)}
            label={`Take in ${fullDay(closedOn)}`}
          />
          <span>
            <Link href={`/trials/${trialId}/judge`}>{fullDay(closedOn)}</Link>
            <small>{isOwn ? 'this trial' : name}</small>
          </span>
        </Season>
      </th>
      <td>{percent === null ? 'no share' : signed(percent)}</td>
      <td>{percentCi && logRatio ? percentCi.map(signed).join(' to ') : WITHOUT_RATIO}</td>
    </tr>
  );
}

const WITHOUT_RATIO = 'can’t be taken in: nothing left, or no spread of its own';

function TogetherRow({ seasons }: { readonly seasons: readonly SeasonAnswer[] }) {
  const pooled = poolSeasons(seasons);
  return (
    <tr>
      <th scope="row">{pooled ? `these ${pooled.count} together` : 'together'}</th>
      {pooled ? (
        <>
          <td>{signed(pooled.percent)}</td>
          <td data-long>
            {pooled.percentCi.map(signed).join(' to ')}, p {printP(pooled.p)};{' '}
            {Math.round(pooled.i2)}% of the differences lie between seasons
          </td>
        </>
      ) : (
        <td colSpan={2}>Two seasons at least.</td>
      )}
    </tr>
  );
}

function otherCrops(trialId: string, together: readonly SeasonsTogether[]): ReadonlySet<string> {
  const all = together.flatMap(each => each.seasons);
  const own = all
    .find(season => season.trialId === trialId)
    ?.crop.trim()
    .toLowerCase();
  return new Set(
    all.filter(season => season.crop.trim().toLowerCase() !== own).map(season => season.trialId),
  );
}

function signed(percent: number): string {
  if (percent > 999) return 'more than +999%';
  return `${percent < 0 ? '−' : '+'}${Math.abs(percent).toFixed(0)}%`;
}

const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr);
  & > div { display: grid; gap: 6px; grid-template-columns: minmax(0, 1fr); }
  & td { vertical-align: top; }
`;

const Season = styled.div`
  display: flex; gap: 8px; align-items: flex-start; white-space: normal; min-width: 150px;
  & input { width: 18px; height: 18px; margin: 3px 0 0; accent-color: var(--clay); }
  & small { display: block; font-weight: 400; font-size: 0.875rem; color: var(--ink-soft); }
  @media (pointer: coarse) { & label { min-width: 44px; min-height: 44px; } }
`;
