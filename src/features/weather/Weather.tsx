'use client';

import { styled } from 'styled-components';
import { figures } from '@/core/materials/amount-words';
import {
  bareTemperature,
  degreeDaysIn,
  printTemperature,
  scaleOf,
} from '@/core/quantity/temperature';
import { shortDay } from '@/core/time/days';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { degreeDays } from '@/core/weather/degree-days';
import { etoOfDay } from '@/core/weather/reference-et';
import { alertOf, type WeatherDay } from '@/core/weather/weather-day';
import { counted } from '@/core/words/plural';
import { useRainWords, useSystem } from '@/features/frame/use-garden-units';
import { useFieldAction } from '@/ui/actions/use-field-action';
import { Button } from '@/ui/Button';
import { FilePick } from '@/ui/fields/FilePick';
import { Acts, Page, Soft, TwoParts } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { Trouble } from '@/ui/Trouble';
import { WideTable } from '@/ui/WideTable';
import { Thirst } from './Thirst';

interface WeatherProps {
  readonly days: readonly WeatherDay[];
  /** Of the same stretch, those whose data in the file are damaged. */
  readonly unread: number;
  readonly latitude: number;
  readonly altitudeM: number;
  /** @returns what was wrong, by field */
  readonly importCsv: (csv: string) => Promise<FieldTroubles | undefined>;
  readonly fetchStandIn: () => Promise<FieldTroubles | undefined>;
}

interface WeatherRow {
  readonly day: WeatherDay;
  readonly etoMm: number;
  /** Degree days over 10 °C. */
  readonly warmth: number;
}

const ALERT_WORDS = { frost: 'frost', 'frost-risk': 'near frost', heat: 'heat' } as const;

/** The garden's weather: what it took in water, how warm it was, and what it asks to mind. */
export function Weather(props: WeatherProps) {
  const { days, unread, latitude, altitudeM, importCsv, fetchStandIn } = props;
  const inRain = useRainWords();
  const system = useSystem();
  const { fields, isPending, send } = useFieldAction();
  const [trouble] = Object.values(fields);
  const rows: readonly WeatherRow[] = days
    .map(day => ({
      day,
      etoMm: etoOfDay(day, { latitude, altitudeM }),
      warmth: degreeDays('simple', day.tmaxC, day.tminC, 10),
    }))
    .reverse();
  const sum = (of: (row: WeatherRow) => number): number =>
    rows.reduce((total, row) => total + of(row), 0);
  const take = (file: File | undefined): void => {
    if (file) void send(async () => importCsv(await file.text()));
  };
  return (
    <Page>
      <h1>The weather</h1>
      <TwoParts>
        <Asked>
          <Thirst etoMm={rows.length === 0 ? 4 : sum(row => row.etoMm) / rows.length} />
          <StationTable
            take={take}
            isPending={isPending}
            trouble={trouble}
            ask={() => void send(fetchStandIn)}
          />
        </Asked>
        <div>
          {unread > 0 && (
            <Trouble>
              {counted(unread, 'day')} can’t be read: the data in the file{' '}
              {unread === 1 ? 'is' : 'are'} damaged. {unread === 1 ? 'It counts' : 'They count'} as
              not known. Take your station’s table in again, or a backup under Garden.
            </Trouble>
          )}
          {rows.length === 0 ? (
            <Soft>
              No day is known yet. Take in your station’s table, or let the stand-in station make
              some up.
            </Soft>
          ) : (
            <>
              <p>
                <b>{rows.length} days:</b> {inRain(sum(row => row.day.rainMm))} of rain,{' '}
                {inRain(sum(row => row.etoMm))} used by short grass (ET₀),{' '}
                {figures(
                  degreeDaysIn(
                    sum(row => row.warmth),
                    system,
                  ),
                )}{' '}
                degree days above {printTemperature(10, system)}.
              </p>
              <DayTable rows={rows} />
              {rows.some(row => row.day.source === 'stand-in') && (
                <Soft>Days of the stand-in station are made up, not measured.</Soft>
              )}
            </>
          )}
        </div>
      </TwoParts>
    </Page>
  );
}

interface StationTableProps {
  readonly take: (file: File | undefined) => void;
  readonly isPending: boolean;
  readonly trouble: string | undefined;
  readonly ask: () => void;
}

function StationTable({ take, isPending, trouble, ask }: StationTableProps) {
  return (
    <Box>
      <h2>A station’s table</h2>
      <Soft>
        CSV with columns date, tmax, tmin in °C, rain in mm, and if there are any wind, rhmax,
        rhmin, sun. All of it is taken, or nothing.
      </Soft>
      <FilePick label="Choose a file" accept=".csv,text/csv" onFile={take} isDisabled={isPending} />
      {trouble && <Trouble>{trouble}</Trouble>}
      <Acts>
        <Button onPress={ask} isPending={isPending}>
          Ask the stand-in station
        </Button>
      </Acts>
    </Box>
  );
}

function DayTable({ rows }: { readonly rows: readonly WeatherRow[] }) {
  const inRain = useRainWords();
  const system = useSystem();
  const scale = scaleOf(system);
  return (
    <WideTable label="Day by day">
      <TableHead
        of={[
          'day',
          `lowest, ${scale}`,
          `highest, ${scale}`,
          'rain',
          'water use (ET₀)',
          'growing degree days',
          'warning',
        ]}
      />
      <tbody>
        {rows.map(({ day, etoMm, warmth }) => {
          const alert = alertOf(day);
          return (
            <tr key={day.day}>
              <th scope="row">{shortDay(day.day)}</th>
              <td>{bareTemperature(day.tminC, system, 1)}</td>
              <td>{bareTemperature(day.tmaxC, system, 1)}</td>
              <td>{day.rainMm === 0 ? '—' : inRain(day.rainMm)}</td>
              <td>{inRain(etoMm)}</td>
              <td>{degreeDaysIn(warmth, system).toFixed(1)}</td>
              <td>{alert ? ALERT_WORDS[alert] : ''}</td>
            </tr>
          );
        })}
      </tbody>
    </WideTable>
  );
}

/** What is asked comes before the record by keys and on a phone; a desk shows it to the right. */
const Asked = styled.div`
  @media (min-width: 901px) { order: 1; }
`;

const Box = styled.section`
  display: grid; gap: 10px;
  & > [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(140px, 1fr)); gap: 12px; align-items: start; }
  & output { font-family: var(--font-heading), sans-serif; font-size: 1.5rem; font-weight: 650; }
`;
