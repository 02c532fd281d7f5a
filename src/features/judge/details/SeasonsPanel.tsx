'use client';

import Link from 'next/link';
import { styled } from 'styled-components';
import type { SeasonsTogether } from '@/core/judge/after/combine-seasons';
import { fullDay } from '@/features/frame/days';
import { printP } from '@/features/judge/print-value';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';

/** The same question in other seasons, each with its interval, and all together. */
export function SeasonsPanel({ seasons }: { readonly seasons: readonly SeasonsTogether[] }) {
  return (
    <Box aria-label="With other seasons">
      <h2>With other seasons</h2>
      {seasons.map(({ treatment, control, seasons: own, combined, percent, percentCi }) => (
        <div key={treatment}>
          <h3>
            {treatment} against {control}
          </h3>
          <WideTable label={`${treatment} in every season`}>
            <TableHead of={['season', 'gap', '95% interval']} />
            <tbody>
              {own.map(season => (
                <tr key={season.trialId}>
                  <th scope="row">
                    <Link href={`/trials/${season.trialId}/judge`}>{fullDay(season.closedOn)}</Link>
                  </th>
                  <td>{signed(season.percent)}</td>
                  <td>{season.percentCi.map(signed).join(' to ')}</td>
                </tr>
              ))}
              {combined && percent !== undefined && percentCi && (
                <tr>
                  <th scope="row">all together</th>
                  <td>{signed(percent)}</td>
                  <td>
                    {percentCi.map(signed).join(' to ')}, p {printP(combined.p)};{' '}
                    {Math.round(combined.i2)}% of the differences lie between seasons
                  </td>
                </tr>
              )}
            </tbody>
          </WideTable>
        </div>
      ))}
      <Soft>
        All closed trials of yours with the same treatment and control, those that could not tell
        among them. Seasons need not have the same true gap (Hartung and Knapp). With two seasons
        the interval is as wide as it must be.
      </Soft>
    </Box>
  );
}

function signed(percent: number): string {
  return `${percent < 0 ? '−' : '+'}${Math.abs(percent) > 999 ? '999 and more' : Math.abs(percent).toFixed(0)}%`;
}

const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr);
  & > div { display: grid; gap: 6px; grid-template-columns: minmax(0, 1fr); }
`;
