import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { I18nProvider } from 'react-aria-components';
import type { WeatherDay } from '@/core/weather/weather-day';
import { Weather } from './Weather';

const day = (changes: Partial<WeatherDay>): WeatherDay => ({
  day: '2026-07-06',
  tmaxC: 21.5,
  tminC: 12.3,
  rainMm: 0,
  windMs: 2.078,
  rhMax: 84,
  rhMin: 63,
  sunHours: 9.25,
  source: 'file',
  ...changes,
});
const shown = (
  days: readonly WeatherDay[],
  importCsv = jest.fn().mockResolvedValue(null),
  fetchStandIn = jest.fn().mockResolvedValue(undefined),
) => {
  render(
    <Weather
      days={days}
      unread={0}
      latitude={50.8}
      altitudeM={100}
      importCsv={importCsv}
      fetchStandIn={fetchStandIn}
    />,
  );
  return { importCsv, fetchStandIn };
};

test('a day’s water is that of the paper’s own example, and frost is named', () => {
  shown([day({}), day({ day: '2026-07-07', tminC: -1, rainMm: 4.2 })]);
  expect(screen.getByText('3.9 mm')).toBeVisible();
  expect(screen.getByText('frost')).toBeVisible();
  expect(screen.getByText(/4.2 mm of rain/)).toBeVisible();
  expect(screen.queryByText(/stand-in station are made up/)).toBeNull();
});

test('days that can’t be read are told, and what to do', () => {
  render(
    <Weather
      days={[day({})]}
      unread={2}
      latitude={50.8}
      altitudeM={100}
      importCsv={jest.fn()}
      fetchStandIn={jest.fn()}
    />,
  );
  expect(screen.getByRole('alert')).toHaveTextContent(
    /^2 days can’t be read: the data in the file are damaged\. They count as not known\./,
  );
});

test('made-up days are called so', () => {
  shown([day({ source: 'stand-in' })]);
  expect(screen.getByText('Days of the stand-in station are made up, not measured.')).toBeVisible();
});

test('a bad table says why, and the stand-in is asked by a press', async () => {
  const { importCsv, fetchStandIn } = shown(
    [],
    jest.fn().mockResolvedValue({ file: 'The table has no rows.' }),
  );
  expect(screen.getByText(/^No day is known yet/)).toBeVisible();
  await userEvent.setup().upload(
    screen.getByLabelText('Choose a file'),
    Object.assign(new File(['date,tmax'], 'station.csv', { type: 'text/csv' }), {
      text: async () => 'date,tmax',
    }),
  );
  expect(await screen.findByText('The table has no rows.')).toBeVisible();
  expect(importCsv).toHaveBeenCalledWith('date,tmax');
  await waitFor(() => {
    fireEvent.click(screen.getByRole('button', { name: 'Ask the stand-in station' }));
    expect(fetchStandIn).toHaveBeenCalled();
  });
});

test('how long a full watering lasts follows soil, crop and mulch', async () => {
  const user = userEvent.setup();
  shown([]); // 4 mm a day is taken where nothing is known
  expect(screen.getByText('A full watering lasts about 6.5 days')).toBeVisible();
  await user.selectOptions(screen.getByLabelText('Soil'), 'sand');
  expect(screen.getByText('A full watering lasts about 3.5 days')).toBeVisible();
  fireEvent.change(screen.getByLabelText('Ground mulched, %'), { target: { value: '100' } });
  expect(screen.getByText('A full watering lasts about 7 days')).toBeVisible();
  // A share that can't be read is not taken for bare ground.
  fireEvent.change(screen.getByLabelText('Ground mulched, %'), { target: { value: 'all' } });
  expect(screen.getByText('From 0 to 100.')).toBeVisible();
  expect(screen.queryByText(/A full watering lasts/)).toBeNull();
  fireEvent.change(screen.getByLabelText('Roots down to, cm'), { target: { value: '0' } });
  expect(screen.getByText('From 5 to 200.')).toBeVisible();
});

test('an American garden reads inches, square feet, gallons and Fahrenheit, and no metric unit', async () => {
  render(
    <I18nProvider locale="en-US">
      <Weather
        days={[day({ rainMm: 25.4 })]}
        unread={0}
        latitude={50.8}
        altitudeM={100}
        importCsv={jest.fn()}
        fetchStandIn={jest.fn()}
      />
    </I18nProvider>,
  );
  expect(screen.getByLabelText('Roots down to, in')).toHaveValue('20');
  expect(screen.getByLabelText('Bed, sq ft')).toHaveValue('10');
  expect(screen.getByText('70.7')).toBeVisible(); // 21.5 °C
  const needs = screen.getByRole('region', { name: 'Does it need water?' });
  // 20 in of loam hold as much as 50.8 cm; a bed of 10 sq ft is 0.93 m².
  expect(needs.textContent).toMatch(/It takes 0\.1\d in a day, \d\.\d+ gal a week on this bed\./);
  expect(needs.textContent).not.toMatch(/\d (mm|cm|l|ml|m²)\b/);
});
