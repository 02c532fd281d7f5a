import { readWeatherTable, weatherSentence } from './weather-table';

const HEADS = ['Date', 'Tmax (°C)', 'Tmin (°C)', 'Rain mm', 'Wind km/h'];
const row = (...cells: readonly string[]) =>
  Object.fromEntries(HEADS.map((head, i) => [head, cells[i] ?? '']));

test('a station’s table is read with its units', () => {
  expect(
    readWeatherTable(HEADS, [
      row('2026-06-01', '21,5', '9.5', '0', '18'),
      row('2026-06-02T00:00', '18', '−1', '4.2', ''),
    ]),
  ).toEqual({
    ok: true,
    value: [
      {
        day: '2026-06-01',
        tmaxC: 21.5,
        tminC: 9.5,
        rainMm: 0,
        windMs: 5,
        rhMax: null,
        rhMin: null,
        sunHours: null,
        source: 'file',
      },
      {
        day: '2026-06-02',
        tmaxC: 18,
        tminC: -1,
        rainMm: 4.2,
        windMs: null,
        rhMax: null,
        rhMin: null,
        sunHours: null,
        source: 'file',
      },
    ],
  });
  const american = readWeatherTable(
    ['day', 'high F', 'low F', 'precip in'],
    [{ day: '2026-06-01', 'high F': '86', 'low F': '50', 'precip in': '1' }],
  );
  expect(american.ok && american.value[0]).toMatchObject({
    tmaxC: expect.closeTo(30, 9),
    tminC: expect.closeTo(10, 9),
    rainMm: 25.4,
  });
});

test.each([
  [HEADS.slice(0, 3), [row('2026-06-01', '20', '10')], 'rain'],
  [HEADS, [], 'no rows'],
  [
    HEADS,
    [row('2026-06-01', '20', '10', '0'), row('2026-06-02', 'warm', '10', '0')],
    'Row 3, Tmax',
  ],
  [HEADS, [row('2026-06-01', '10', '20', '0')], 'Row 2'],
  [HEADS, [row('yesterday', '20', '10', '0')], 'Row 2, Date'],
  [HEADS, [row('2026-06-01', '20', '10', '')], 'Row 2, Rain'],
  [HEADS, [row('2026-06-01', '20', '10', '-4')], 'Row 2, Rain'],
])('what can’t be used is named, and nothing is taken: %#', (heads, rows, sentence) => {
  const read = readWeatherTable(heads, rows);
  expect(read.ok ? '' : weatherSentence(read.trouble)).toContain(sentence);
});
