import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { v7 } from 'uuid';
import { seenTrial } from '@/core/blinding/seen-trial';
import { readMeasure } from '@/core/measure/library/own-measure';
import { failure, success } from '@/core/result';
import { pickFixture, readingFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { MeasureId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { benchViewOf } from '@/features/bench/bench-view';
import { walkViewOf } from '@/features/walk/walk-view';
import { deskViewOf } from './desk-view';
import { MeasureList } from './MeasureList';
import { ReadingGrid } from './ReadingGrid';
import { ReadingHistory } from './ReadingHistory';

jest.mock('@/features/walk/outbox/send-outbox', () => ({ postReadings: jest.fn() }));
const { postReadings } = jest.requireMock<{ readonly postReadings: jest.Mock }>(
  '@/features/walk/outbox/send-outbox',
);

const made = (key: string): Measure => {
  const read = readMeasure({ from: 'library', key }, [], v7());
  if (!read.ok) throw new Error(key);
  return read.value;
};
const trial = trialFixture({ treatments: 2, unitsEach: 2, isBlind: true });
const [height, colour] = [made('height'), made('leaf-colour')];
const [first, second] = trial.units;
if (!first || !second) throw new Error('the fixture must have units');
const data: TrialData = {
  ...trial,
  measures: [...trial.measures, height, colour],
  picks: [pickFixture(first)],
  readings: [
    readingFixture(first, height, 213, { takenOn: '2026-06-02', asWritten: '21.3 cm' }),
    readingFixture(second, height, null, { takenOn: '2026-06-02', outcome: 'dead' }),
  ],
};
const view = (changes: Partial<TrialData> = {}) =>
  deskViewOf(
    seenTrial({ ...data, ...changes }),
    { bench: benchViewOf(seenTrial(data), false), isOpen: false },
    '2026-06-02',
    '2026-06-30',
  );

beforeEach(() => postReadings.mockReset());

test('parts that came from a file under names of their own have a column each, so that nobody types them again', () => {
  const [unit] = trial.units;
  if (!unit) throw new Error('the fixture must have units');
  const grid = view({
    readings: ['north', 'south'].map(subsample =>
      readingFixture(unit, height, 40, { subsample, takenOn: '2026-06-02', asWritten: '40' }),
    ),
  });
  expect(
    grid.columns.filter(column => column.measureId === height.id).map(column => column.part),
  ).toEqual(['', 'north', 'south']);
  expect(grid.cells.map(cell => [cell.part, cell.text])).toEqual([
    ['north', '40'],
    ['south', '40'],
  ]);
});

test('what a laboratory reads has columns only on the day of its answer', () => {
  const [unit] = trial.units;
  if (!unit) throw new Error('the fixture must have units');
  const soil = { ...height, id: MeasureId.parse(v7()), name: 'pH of the soil', kindKey: 'lab-ph' };
  const changes = {
    measures: [...data.measures, soil],
    readings: [
      readingFixture(unit, soil, 6.4, { subsample: 'S001', takenOn: '2026-06-02' }),
      readingFixture(unit, height, 40, { subsample: 'north', takenOn: '2026-06-01' }),
    ],
  };
  expect(view(changes).columns.map(column => column.head)).toEqual([
    height.name,
    'Leaf colour 1',
    'Leaf colour 2',
    'Leaf colour 3',
    'pH of the soil S001',
  ]);
  const noAnswer = { ...changes, readings: changes.readings.slice(1) };
  expect(view(noAnswer).columns.map(column => column.measureId)).not.toContain(soil.id);
});

test('neither the desk nor a walk is sent anything that tells whose pot it is', () => {
  const sent = JSON.stringify([
    view(),
    walkViewOf(seenTrial(data), benchViewOf(seenTrial(data), false), '2026-06-02', 'uk'),
  ]);
  expect(
    trial.treatments
      .flatMap(treatment => [treatment.id, treatment.name])
      .filter(secret => sent.includes(secret)),
  ).toEqual([]);
});

test('a measure of several parts has a column for each, and a cell shows what was typed', () => {
  expect(view().columns.map(column => column.head)).toEqual([
    'Plant height',
    'Leaf colour 1',
    'Leaf colour 2',
    'Leaf colour 3',
  ]);
  expect(view().cells.map(cell => cell.text)).toEqual(['21.3 cm', 'dead']);
});

describe('the grid', () => {
  const everyMeasure = (): void => {
    fireEvent.click(screen.getByRole('button', { name: /^Another measure, \d+ more$/ }));
    for (const tick of screen.getAllByRole('checkbox'))
      if (!(tick as HTMLInputElement).checked) fireEvent.click(tick);
  };
  const cell = (unit: typeof first, head = 'Plant height'): HTMLElement =>
    screen.getByLabelText(`${unit.code}, ${head}`);
  test('sends a cell as it is left, in place of what stood there, and says what was refused', async () => {
    postReadings.mockImplementation(
      async (_, entries: readonly { readonly id: string; readonly value: string }[]) =>
        entries.map(entry => ({
          id: entry.id,
          result:
            entry.value === 'tall'
              ? {
                  ok: false,
                  trouble: { kind: 'invalid', fields: { value: '“tall” is not a number.' } },
                }
              : { ok: true, value: null },
        })),
    );
    render(<ReadingGrid bench={null} view={view()} />);
    fireEvent.change(cell(first), { target: { value: '22 cm' } });
    fireEvent.blur(cell(first));
    await waitFor(() => expect(cell(first)).toHaveAttribute('data-state', 'saved'));
    expect(postReadings.mock.calls[0][1]).toMatchObject([
      {
        unitId: first.id,
        measureId: height.id,
        value: '22 cm',
        supersedes: data.readings[0]?.id,
        takenOn: '2026-06-02',
      },
    ]);
    fireEvent.change(cell(first), { target: { value: 'tall' } });
    fireEvent.blur(cell(first));
    expect(
      await screen.findByText(`${first.code}, Plant height: “tall” is not a number.`),
    ).toBeVisible();
    expect(cell(first)).toHaveAttribute('aria-invalid', 'true');
    // Right under its row: on a phone nothing else of the page is in sight.
    expect(cell(first).closest('tr')?.nextElementSibling).toHaveTextContent(
      /^\S+, Plant height: “tall”/,
    );
  });
  test('Enter in the last cell has nowhere to go, and saves it all the same', async () => {
    postReadings.mockImplementation(async (_, entries: readonly { readonly id: string }[]) =>
      entries.map(entry => ({ id: entry.id, result: { ok: true, value: null } })),
    );
    render(<ReadingGrid bench={null} view={view()} />);
    const last = screen.getAllByLabelText(/, Plant height$/).at(-1)!;
    fireEvent.change(last, { target: { value: '231' } });
    fireEvent.keyDown(last, { key: 'Enter' });
    await waitFor(() => expect(last).toHaveAttribute('data-state', 'saved'));
    expect(postReadings).toHaveBeenCalledTimes(1);
  });
  test('a value far from the pot’s last one is asked about, and kept', async () => {
    postReadings.mockImplementation(async (_, entries: readonly { readonly id: string }[]) =>
      entries.map(entry => ({ id: entry.id, result: { ok: true, value: null } })),
    );
    render(
      <ReadingGrid
        bench={null}
        view={view({ readings: [readingFixture(first, height, 213, { takenOn: '2026-05-26' })] })}
      />,
    );
    fireEvent.change(cell(first), { target: { value: '2130' } });
    fireEvent.blur(cell(first));
    expect(
      await screen.findByText(`${first.code}, Plant height: 2130. Sure? Last time it was 213 mm.`),
    ).toBeVisible();
    expect(cell(first)).toHaveAttribute('data-state', 'saved');
  });
  test('an emptied cell takes its reading out; a dash goes to the server as it is written, which knows what it means', async () => {
    postReadings.mockImplementation(async (_, entries: readonly { readonly id: string }[]) =>
      entries.map(entry => ({ id: entry.id, result: { ok: true, value: null } })),
    );
    render(<ReadingGrid bench={null} view={view()} />);
    everyMeasure();
    fireEvent.change(cell(first), { target: { value: '' } });
    fireEvent.blur(cell(first));
    await waitFor(() => expect(postReadings).toHaveBeenCalledTimes(1));
    fireEvent.change(cell(first, 'Leaf colour 2'), { target: { value: '-' } });
    fireEvent.blur(cell(first, 'Leaf colour 2'));
    await waitFor(() => expect(postReadings).toHaveBeenCalledTimes(2));
    expect([postReadings.mock.calls[0][1], postReadings.mock.calls[1][1]]).toMatchObject([
      [{ removes: data.readings[0]?.id }],
      [{ subsample: '2', value: '-' }],
    ]);
  });
  test('without a connection the cell says so, and keeps what was typed', async () => {
    postReadings.mockRejectedValue(new Error('no connection'));
    render(<ReadingGrid bench={null} view={view()} />);
    everyMeasure();
    fireEvent.change(cell(second, 'Leaf colour 1'), { target: { value: '4' } });
    fireEvent.blur(cell(second, 'Leaf colour 1'));
    expect(await screen.findByText(/No connection: it is not saved yet/)).toBeVisible();
    expect(cell(second, 'Leaf colour 1')).toHaveValue('4');
  });
  test('keys go down, up and across', async () => {
    render(<ReadingGrid bench={null} view={view()} />);
    everyMeasure();
    cell(first).focus();
    fireEvent.keyDown(cell(first), { key: 'Enter' });
    expect(cell(second)).toHaveFocus();
    fireEvent.keyDown(cell(second), { key: 'Enter', shiftKey: true });
    expect(cell(first)).toHaveFocus();
    fireEvent.keyDown(cell(first), { key: 'ArrowRight' });
    expect(cell(first, 'Leaf colour 1')).toHaveFocus();
  });
  test('the bench beside it says which are read, and a press leads to the row', () => {
    render(<ReadingGrid bench={benchViewOf(seenTrial(data), false)} view={view()} />);
    const bench = within(screen.getByRole('group', { name: /which are read/ }));
    const pot = bench.getByRole('button', { name: new RegExp(`^${second.code},.*read`) });
    fireEvent.click(pot);
    expect(cell(second)).toHaveFocus();
    expect(screen.getByText(/^\d of \d+ \w+ read\. Press one/)).toBeVisible();
  });
  test('a cell that was not taken does not count as read', async () => {
    postReadings.mockRejectedValue(new Error('no connection'));
    render(
      <ReadingGrid
        bench={benchViewOf(seenTrial(data), false)}
        view={view({ measures: [height], readings: [] })}
      />,
    );
    fireEvent.change(cell(first), { target: { value: '21' } });
    expect(screen.getByText(/^1 of \d+ \w+ read\./)).toBeVisible();
    fireEvent.blur(cell(first));
    expect(await screen.findByText(/^0 of \d+ \w+ read\./)).toBeVisible();
  });
});

describe('what is read', () => {
  test('is found in the library by any of its words, and added', async () => {
    const add = jest.fn().mockResolvedValue(success(true));
    render(<MeasureList view={view()} add={add} drop={jest.fn()} />);
    await userEvent.setup().click(screen.getByText(/^From the library/));
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: 'torch dusk' } });
    await userEvent.setup().click(screen.getByRole('button', { name: 'Read Slugs found' }));
    expect(add).toHaveBeenCalledWith({ from: 'library', key: 'slugs' });
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: 'unicorn' } });
    expect(screen.getByText('None of them. Make your own below.')).toBeVisible();
  });
  test('one’s own wants a definition that two people could follow', async () => {
    const add = jest.fn().mockResolvedValue(
      failure({
        kind: 'invalid',
        fields: {
          definition:
            'From where to where, and what counts? Write it so that two people do the same.',
        },
      }),
    );
    render(<MeasureList view={view()} add={add} drop={jest.fn()} />);
    await userEvent.setup().click(screen.getByRole('button', { name: 'One of your own' }));
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Curl' } });
    await userEvent.setup().selectOptions(screen.getByLabelText('It is'), 'steps in order');
    expect(screen.getByLabelText('Steps, a line each, the lowest first')).toBeVisible();
    await userEvent.setup().click(screen.getByRole('button', { name: 'Read it' }));
    expect(await screen.findByText(/Write it so that two people do the same/)).toBeVisible();
    expect(add).toHaveBeenCalledWith(
      expect.objectContaining({ from: 'own', name: 'Curl', scale: 'ordinal' }),
    );
  });
  test('what was read already has no way out', () => {
    render(<MeasureList view={view()} add={jest.fn()} drop={jest.fn()} />);
    expect(screen.queryByRole('button', { name: 'Don’t read Plant height' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Don’t read Leaf colour' })).toBeVisible();
  });
});

test('the history of a pot says what stood there before, and where it was put down', async () => {
  const before = readingFixture(first, height, 200, { device: 'a phone' });
  const revisions = [
    readingFixture(first, height, 213, {
      supersedes: before.id,
      device: 'import 01890a5d-ac96-774b-bcce-b302099a8057',
    }),
    before,
  ];
  render(
    <ReadingHistory
      units={view().units}
      unitWord="pot"
      measures={view().measures}
      history={async () => revisions}
    />,
  );
  await userEvent.setup().click(screen.getByText('History of every reading'));
  expect(
    await screen.findByText(
      /from a file: Plant height of 1 June, 213 mm in place of an earlier reading/,
    ),
  ).toBeVisible();
  expect(screen.getByText(/a phone: Plant height of 1 June, 200 mm/)).toBeVisible();
});
