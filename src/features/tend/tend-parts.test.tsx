import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { isBottle, type SeenStep } from '@/core/blinding/bottle-steps';
import { failure, success } from '@/core/result';
import { materialWords, whenWords } from '@/core/schedule/rules/care-words';
import type { DueTask, DueToday } from '@/core/schedule/tasks/due-today';
import { careActFixture, caredFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { analysisFixture, productFixture } from '@/core/trial/fixtures/product-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { WeatherDay } from '@/core/weather/weather-day';
import { LateToasts } from '@/ui/toasts/LateToasts';
import { Adherence } from './Adherence';
import { DueBoard } from './DueBoard';
import { DueSteps } from './DueSteps';
import { LaidDepth } from './LaidDepth';
import { Ledger } from './Ledger';
import { LogAct } from './LogAct';
import { Missed } from './Missed';
import { MixingList } from './MixingList';
import { PaperLog } from './PaperLog';
import { Reminders } from './Reminders';
import { tendViewOf } from './tend-view';

const weak = productFixture({ name: 'Tidewrack' });
const strong = productFixture({ name: 'Osmund', analysis: analysisFixture(12, 4, 8) });
const data = caredFixture(trialFixture({ treatments: 3, unitsEach: 2 }), [weak, strong]);
const scene = (today: string, weather: readonly WeatherDay[] = []) => ({
  shelf: data.products,
  today,
  now: `${today}T12:00:00.000Z`,
  garden: { system: 'uk' as const, latitude: 51, altitudeM: 50, lastFrost: null, firstFrost: null },
  timeZone: 'UTC',
  weather,
});
const named = (steps: readonly SeenStep[]): readonly DueTask[] =>
  steps.filter((step): step is DueTask => !isBottle(step));
const untick = jest.fn();
const view = (changes: Partial<typeof data> = {}, today = '2026-05-08') =>
  tendViewOf({ ...data, ...changes }, scene(today));

describe('what is due', () => {
  test('is ticked off by one press, with one id however often it is pressed; what is refused says why', async () => {
    const tick = jest
      .fn()
      .mockResolvedValueOnce(failure({ kind: 'closed' }))
      .mockResolvedValue(success(true));
    render(<DueSteps tasks={view().due.steps} today="2026-05-08" tick={tick} untick={untick} />);
    const done = screen.getByRole('button', { name: 'feed 1 weekly: done' });
    fireEvent.click(done);
    expect(await screen.findByText('The trial is closed, and its verdict frozen.')).toBeVisible();
    await waitFor(() => {
      fireEvent.click(done);
      expect(tick.mock.calls.length).toBeGreaterThan(1);
    });
    const [[trialId, first], [, second]] = tick.mock.calls;
    expect(trialId).toBe(data.trial.id);
    expect(second.id).toBe(first.id);
    expect(first).toMatchObject({ nth: 1, doneOn: '2026-05-08', isSkipped: false, amount: null });
    expect(screen.getByText('2 pots: 4.44 ml Tidewrack in 1 l each')).toBeVisible();
  });

  test('can be undone where it was told, whatever became of its line', async () => {
    const tick = jest.fn().mockResolvedValue(success(true));
    const undo = jest.fn().mockResolvedValue(failure({ kind: 'closed' }));
    const tasks = view().due.steps;
    const { rerender } = render(
      <>
        <DueSteps tasks={tasks} today="2026-05-08" tick={tick} untick={undo} />
        <LateToasts />
      </>,
    );
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'feed 1 weekly: done' }));
    rerender(<LateToasts />);
    const told = await screen.findByRole('alertdialog');
    expect(told).toHaveTextContent('Feed 1 weekly: done.');
    await user.click(within(told).getByRole('button', { name: 'Undo' }));
    expect(undo).toHaveBeenCalledWith(data.trial.id, tick.mock.calls[0][1].id, '');
    expect(await screen.findByText('The trial is closed, and its verdict frozen.')).toBeVisible();
  });

  test('an amount that can’t be read is not passed over: its line is in hand, and so is one that the server refuses', async () => {
    const tooMuch = 'That is more than any of them can have got.';
    const tick = jest
      .fn()
      .mockResolvedValue(failure({ kind: 'invalid', fields: { amount: tooMuch } }));
    const user = userEvent.setup();
    render(<DueSteps tasks={view().due.steps} today="2026-05-08" tick={tick} untick={untick} />);
    await user.click(screen.getAllByText('Done differently, or not at all')[0]!);
    const line = screen.getByLabelText('Really given to each');
    const done = screen.getByRole('button', { name: 'feed 1 weekly: done' });
    await user.type(line, 'lots');
    await user.click(done);
    await waitFor(() => expect(line).toHaveFocus());
    expect(tick).not.toHaveBeenCalled();
    await user.clear(line);
    await user.type(line, '20000 l');
    await user.click(done);
    expect(await screen.findByText(tooMuch)).toBeVisible();
    await waitFor(() => expect(line).toHaveFocus());
  });

  test('what is left of a step that was done in part is ticked by an id of its own, for the rest alone', async () => {
    const tick = jest.fn().mockResolvedValue(success(true));
    const user = userEvent.setup();
    const [whole] = named(view().due.steps);
    if (!whole) throw new Error('a feed must be due');
    const { rerender } = render(
      <DueSteps tasks={[whole]} today="2026-05-08" tick={tick} untick={untick} />,
    );
    await user.click(screen.getByText('Done differently, or not at all'));
    await user.click(screen.getByText('only some'));
    const [first] = screen.getAllByRole('checkbox');
    if (!first) throw new Error('there must be pots to tick');
    await user.click(first);
    await user.type(screen.getByLabelText('A note, or why it is left out'), 'My shelf.');
    await user.click(screen.getByRole('button', { name: 'feed 1 weekly: done' }));
    const [done = '', ...rest] = [...(whole.receivers[0]?.codes ?? [])].sort();
    const left = {
      ...whole,
      receivers: [{ label: 'feed 1', codes: rest, of: 2 }],
      task: {
        ...whole.task,
        doneUnitIds: data.units.filter(unit => unit.code === done).map(unit => unit.id),
      },
    };
    rerender(<DueSteps tasks={[left]} today="2026-05-08" tick={tick} untick={untick} />);
    expect(screen.getByText('for the rest')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'feed 1 weekly: done' }));
    const [[, part], [, other]] = tick.mock.calls;
    expect([part.codes, part.note]).toEqual([[done], 'My shelf.']);
    expect([other.codes, other.note]).toEqual([rest, '']);
    expect(other.id).not.toBe(part.id);
  });

  test('late steps say how late', () => {
    render(
      <DueSteps
        tasks={view({}, '2026-05-10').due.steps}
        today="2026-05-10"
        tick={jest.fn()}
        untick={untick}
      />,
    );
    expect(screen.getAllByText('2 days late')).toHaveLength(2);
  });

  test('of a blind trial only bottles, until whoever mixes looks', async () => {
    const blind = { ...data, trial: { ...data.trial, isBlind: true } };
    const open = view({
      trial: { ...data.trial, isBlind: true, keyOpenedAt: '2026-05-02T08:00:00.000Z' },
    }).due;
    const looked: DueToday = {
      ...open,
      tasks: named(open.steps).map((task, i) => ({
        ...task,
        trial: blind.trial,
        receivers: task.receivers.map(receiver => ({
          ...receiver,
          label: `bottle ${'RT'.charAt(i)}`,
        })),
      })),
      mixing: open.mixing.map((mix, i) => ({
        ...mix,
        each: mix.each.map(part => ({ ...part, forWhom: `bottle ${'RT'.charAt(i)}` })),
      })),
    };
    render(
      <DueBoard
        due={tendViewOf(blind, scene('2026-05-08')).due}
        today="2026-05-08"
        tick={jest.fn()}
        untick={untick}
        lookIntoBottles={async () => success(looked)}
      />,
    );
    expect(screen.getAllByText(/^Give bottle [RT]$/)).toHaveLength(2);
    expect(screen.queryByText(/Tidewrack/)).toBeNull();
    await userEvent
      .setup()
      .click(screen.getByRole('button', { name: 'Show what is in the bottles' }));
    expect(await screen.findByText(/^Tidewrack, full strength/)).toBeVisible();
    expect(screen.getByLabelText('In the bottles')).toHaveTextContent(/bottle R: feed 1 weekly/);
  });
});

describe('what each is given', () => {
  test('stands side by side, with what is unequal and how to make it fair', async () => {
    render(<Ledger view={view()} />);
    const rows = screen.getAllByRole('row');
    expect(within(rows[1] ?? document.body).getByText('nothing')).toBeVisible();
    expect(screen.getByText(/feed 2 gives 2.4 times the nitrogen of feed 1/)).toBeVisible();
    expect(screen.getByText(/Can’t be done within the labels: feed 1 gives/)).toBeVisible();
    await userEvent.setup().click(screen.getByText('as done so far'));
    expect(screen.getAllByText(/^0 × /)).toHaveLength(2);
  });
});

test('how it was kept, with a way back', async () => {
  const [rule] = data.care.rules;
  if (!rule) throw new Error('there must be a rule');
  const untick = jest.fn().mockResolvedValue(success(true));
  const acts = [
    careActFixture(rule, 0, '2026-05-01'),
    careActFixture(rule, 1, '2026-05-08', { isSkipped: true, note: 'Rain.' }),
  ];
  const history = async () => [
    {
      id: 'b',
      at: '2026-05-08T18:00:00.000Z',
      by: 'Ida',
      says: 'feed 1 weekly of 2026-05-08, left out. Rain.',
    },
  ];
  render(
    <Adherence
      view={view({ care: { ...data.care, acts } }, '2026-05-20')}
      untick={untick}
      history={history}
    />,
  );
  fireEvent.click(screen.getByText('History of every task'));
  expect(
    await screen.findByText('2026-05-08 18:00 UTC, Ida: feed 1 weekly of 8 May, left out. Rain.'),
  ).toBeVisible();
  expect(screen.getByText(/Some treatments missed more than others/)).toBeVisible();
  expect(screen.getByText('8 May: feed 1 weekly, left out. Rain.')).toBeVisible();
  await userEvent
    .setup()
    .click(screen.getByRole('button', { name: 'Undo feed 1 weekly of 1 May' }));
  expect(untick).toHaveBeenCalledWith(data.trial.id, acts[0]?.id, '');
});

test('to mix: how much, how strong, and what must never meet', () => {
  const { mixing } = view().due;
  render(
    <MixingList
      mixing={mixing}
      forbidden={[{ a: 'Verjuice', b: 'Whitewash', why: 'they give off chlorine' }]}
    />,
  );
  expect(screen.getAllByText('2.2 l')).toHaveLength(2);
  expect(screen.getByRole('alert')).toHaveTextContent(
    'Never Verjuice and Whitewash in one can: they give off chlorine.',
  );
});

test('rules in words', () => {
  const [rule] = data.care.rules;
  if (!rule) throw new Error('there must be a rule');
  expect(whenWords(rule, data.care.rules)).toBe('weekly from the start');
  expect(
    whenWords(
      {
        ...rule,
        repeat: { kind: 'times', times: 3, days: 2 },
        from: { kind: 'stage', stage: 'first flower', days: 3 },
      },
      [],
    ),
  ).toBe('3 times, 2 days apart, 3 days after first flower');
  expect(
    whenWords(
      {
        ...rule,
        repeat: { kind: 'weekdays', weekdays: [1, 4] },
        from: { kind: 'start', days: -42 },
        until: { kind: 'stage', stage: 'first flower', days: 0 },
      },
      [],
    ),
  ).toBe('on Monday, Thursday 42 days before the start until first flower');
  expect(materialWords(rule, 'Tidewrack')).toBe(
    'Tidewrack, as on the label, full strength, 1 l each',
  );
});

test('a product planned oftener than its label allows is told', () => {
  const often = (most: number | null) =>
    tendViewOf(
      { ...data, products: [{ ...weak, mostApplications: most }, strong] },
      scene('2026-05-08'),
    ).tooOften;
  expect([often(10), often(14), often(null)]).toEqual([
    [{ product: 'Tidewrack', planned: 14, most: 10 }],
    [],
    [],
  ]);
});

test('water put down is added up by treatment, and hours by what they are worth', () => {
  const [rule] = data.care.rules;
  if (!rule) throw new Error('there must be a rule');
  const watering = {
    ...rule,
    id: '00000000-0000-7000-8000-0000000000aa',
    name: 'can',
    kind: 'water' as const,
    material: null,
  };
  const toAll = { ...watering, id: '00000000-0000-7000-8000-0000000000ab', treatmentIds: [] };
  const acts = [
    careActFixture(watering, 0, '2026-05-01', { amount: 500 }),
    careActFixture(toAll, 0, '2026-05-02', { amount: 750 }),
    careActFixture(toAll, 1, '2026-05-03'),
  ];
  const care = {
    ...data.care,
    rules: [{ ...rule, minutesEach: 3 }, watering, toAll],
    acts,
    settings: { ...data.care.settings, hourWorth: 12 },
  };
  const found = view({ care }, '2026-05-20');
  expect(found.water.map(each => each.ml)).toEqual([750, 1250, 750]);
  render(<Ledger view={found} />);
  expect(screen.getByText('8.65 with the hours, 0.25 without')).toBeVisible();
});

test('rain on a spray is told', () => {
  const [rule] = data.care.rules;
  if (!rule) throw new Error('there must be a rule');
  const care = {
    ...data.care,
    rules: [{ ...rule, washedOffByMm: 5 }],
    acts: [careActFixture(rule, 0, '2026-05-05')],
  };
  const day = {
    day: '2026-05-06',
    tmaxC: 15,
    tminC: 8,
    rainMm: 9,
    windMs: null,
    rhMax: null,
    rhMin: null,
    sunHours: null,
    source: 'file' as const,
  };
  const washed = (rainMm: number) =>
    tendViewOf({ ...data, care }, scene('2026-05-08', [{ ...day, rainMm }])).washedOff;
  expect([washed(9), washed(2)]).toEqual([[{ name: rule.name, on: '2026-05-05', rainMm: 9 }], []]);
});

test('rain that ran through the pots, and what the weather takes from them, are worked out', () => {
  const day = {
    day: '2026-05-06',
    tmaxC: 21.5,
    tminC: 12.3,
    rainMm: 90,
    windMs: 2,
    rhMax: 84,
    rhMin: 63,
    sunHours: 9,
    source: 'file' as const,
  };
  const care = { ...data.care, settings: { ...data.care.settings, mixMl: 3000 } };
  const { leached, thirst, areaM2 } = tendViewOf(
    { ...data, care, trial: { ...data.trial, crop: 'dwarf beans' } },
    scene('2026-05-08', [day]),
  );
  expect(leached).toEqual([
    { on: '2026-05-06', rainMm: 90, ml: expect.closeTo(90 * (areaM2 ?? 0) * 1000 - 750, 6) },
  ]);
  expect(thirst).toMatchObject({
    isCropKnown: true,
    weeklyMl: expect.closeTo(1000 * 7 * 1.05 * (thirst?.etoMm ?? 0) * (areaM2 ?? 0), 6),
  });
  expect(tendViewOf(data, scene('2026-05-08')).thirst).toBeNull();
});

test('only some of the pots got it: they are ticked by code, and sent with the reason', async () => {
  const tick = jest.fn().mockResolvedValue(success(true));
  render(
    <DueSteps
      tasks={view().due.steps.slice(0, 1)}
      today="2026-05-08"
      tick={tick}
      untick={untick}
    />,
  );
  const user = userEvent.setup();
  await user.click(screen.getByText('Done differently, or not at all'));
  await user.click(screen.getByText('only some'));
  const [first] = screen.getAllByRole('checkbox');
  if (!first) throw new Error('there must be a pot to tick');
  await user.click(first);
  fireEvent.change(screen.getByLabelText('A note, or why it is left out'), {
    target: { value: 'The can ran dry.' },
  });
  await user.click(screen.getByRole('button', { name: 'feed 1 weekly: done' }));
  const code = first.closest('label')?.textContent?.trim();
  expect(tick.mock.calls[0]?.[1]).toMatchObject({
    codes: [code],
    outcome: null,
    note: 'The can ran dry.',
  });
});

test('a round of the barriers puts down what it found', async () => {
  const tick = jest.fn().mockResolvedValue(success(true));
  const [task] = named(view().due.steps);
  if (!task) throw new Error('something must be due');
  render(
    <DueSteps
      tasks={[
        { ...task, product: null, rule: { ...task.rule, name: 'barriers', kind: 'barrier' } },
      ]}
      today="2026-05-08"
      tick={tick}
      untick={untick}
    />,
  );
  await userEvent.setup().click(screen.getByText('Done differently, or not at all'));
  await userEvent.setup().selectOptions(screen.getByLabelText('Found'), 'not so: bridged, or off');
  await userEvent.setup().click(screen.getByRole('button', { name: 'barriers: done' }));
  expect(tick.mock.calls[0]?.[1]).toMatchObject({ outcome: 'not-as-it-should-be' });
});

test('what is easily forgotten goes into the plan by one press', async () => {
  const plan = jest.fn().mockResolvedValue(success(true));
  render(<Reminders reminders={view().reminders} isLocked plan={plan} />);
  await userEvent.setup().click(screen.getByText(/^Often forgotten/));
  await userEvent
    .setup()
    .click(screen.getByRole('button', { name: 'Plan it: check the scale with a known mass' }));
  expect(plan).toHaveBeenCalledWith(
    expect.objectContaining({ kind: 'check', everyDays: '14' }),
    expect.stringContaining('Often forgotten'),
  );
});

test('whole bags give another depth, and the level is called by it', async () => {
  const name = jest.fn().mockResolvedValue(success(true));
  render(
    <LaidDepth
      treatments={[
        { id: 'a', name: 'none' },
        { id: 'b', name: '5 cm leaf-mould' },
      ]}
      areaM2={1.08}
      unitWord="bed"
      system="uk"
      name={name}
    />,
  );
  await userEvent.setup().click(screen.getByText('How deep was it really?'));
  fireEvent.change(screen.getByLabelText('Bags on each bed'), { target: { value: '1' } });
  fireEvent.change(screen.getByLabelText('A bag holds'), { target: { value: '40 l' } });
  await userEvent
    .setup()
    .click(screen.getByRole('button', { name: 'Call it “3.7 cm leaf-mould”' }));
  expect(name).toHaveBeenCalledWith({
    treatmentId: 'b',
    bags: 1,
    bagMl: 40_000,
    name: '3.7 cm leaf-mould',
  });
});

test('the view is plain data: it crosses from the server to the page as it is', () => {
  const tomatoes = view({ trial: { ...data.trial, question: 'Does char feed tomatoes?' } });
  expect(tomatoes.facts.map(each => each.id)).toEqual(['blossom-end-rot', 'char-share']);
  expect(JSON.parse(JSON.stringify(tomatoes))).toEqual(tomatoes);
});

describe('what nobody ticked in time', () => {
  const late = view({}, '2026-05-30');

  test('can be ticked with its own day, the oldest first, as a paper log has them', async () => {
    const tick = jest.fn().mockResolvedValue(success(true));
    render(<Missed view={late} tick={tick} untick={untick} stateAll={jest.fn()} />);
    await userEvent.click(screen.getByText(/^Not ticked in time: \d+ tasks$/));
    const days = named(late.missed).map(({ task }) => task.dueOn ?? '');
    expect(days).toEqual([...days].sort());
    fireEvent.click(screen.getAllByRole('button', { name: 'feed 1 weekly of 15 May: done' })[0]!);
    await waitFor(() => expect(tick).toHaveBeenCalled());
    expect(tick.mock.calls[0][1]).toMatchObject({ nth: 2, doneOn: '2026-05-15' });
  });
  test('can be stated as given, all at once, by who says so', async () => {
    const stateAll = jest
      .fn()
      .mockResolvedValueOnce(failure({ kind: 'invalid', fields: { by: 'Say who says so.' } }))
      .mockResolvedValue(success(6));
    render(<Missed view={late} tick={jest.fn()} untick={untick} stateAll={stateAll} />);
    await userEvent.click(screen.getByText(/^Not ticked in time/));
    const button = screen.getByRole('button', { name: /^All \d+ were given as planned$/ });
    fireEvent.click(button);
    expect(await screen.findByText('Say who says so.')).toBeVisible();
    fireEvent.change(screen.getByLabelText('Who says that all was given'), {
      target: { value: 'Ines' },
    });
    fireEvent.click(button);
    await waitFor(() => expect(stateAll).toHaveBeenLastCalledWith({ by: 'Ines' }));
  });
  test('of a blind trial names no rule', () => {
    const shut = tendViewOf(
      { ...data, trial: { ...data.trial, isBlind: true, keyOpenedAt: null } },
      scene('2026-05-30'),
    );
    expect(shut.missed.length).toBeGreaterThan(0);
    expect(shut.missed.every(isBottle)).toBe(true);
  });
});

test('water that only some of a treatment’s pots got counts by their share; the others got none', () => {
  const [rule, own] = [
    careRuleFixture({ kind: 'water', treatmentIds: [] }),
    data.units.filter(unit => unit.treatmentId === data.treatments[1]?.id),
  ];
  const acts = [careActFixture(rule, 0, '2026-05-01', { amount: 500, unitIds: [own[0]!.id] })];
  expect(view({ care: { ...data.care, rules: [rule], acts } }).water.map(({ ml }) => ml)).toEqual([
    0, 250, 0,
  ]);
});

test('what two helpers did of one step, each for other pots, is one step that all got', () => {
  const [rule] = data.care.rules;
  const own = data.units.filter(unit => unit.treatmentId === data.treatments[1]?.id);
  const acts = own.map(unit =>
    careActFixture(rule!, 0, '2026-05-01', { unitIds: [unit.id], note: 'Shelf by shelf.' }),
  );
  const found = view({ care: { ...data.care, acts } }, '2026-05-05');
  expect(found.adherence[1]).toMatchObject({ planned: 1, done: 1 });
  expect(found.unevenActs).toEqual([]);
});

describe('what was done besides the plan', () => {
  const props = {
    treatments: data.treatments,
    codes: data.units.map(unit => unit.code),
    unitWord: 'pot',
    today: '2026-05-08',
    shelf: data.products,
  };
  const open = async (log: jest.Mock) => {
    const user = userEvent.setup();
    render(<LogAct {...props} log={log} />);
    await user.click(screen.getByText('Something was done that was not planned'));
    await user.type(screen.getByRole('textbox', { name: 'What' }), 'a can of feed');
    await user.selectOptions(screen.getByRole('combobox', { name: 'With what' }), 'Osmund');
    await user.type(screen.getByRole('textbox', { name: 'Each got' }), '12 ml');
    await user.click(screen.getByRole('button', { name: 'Put it in the log' }));
    return user;
  };

  test('takes a product and how much each got', async () => {
    const log = jest.fn().mockResolvedValue(success(true));
    await open(log);
    expect(log).toHaveBeenCalledWith(
      expect.objectContaining({ productId: strong.id, amount: '12 ml', is: null }),
    );
    expect(screen.getByRole('textbox', { name: 'What' })).toHaveValue('');
  });

  test('asks whether it was the planned step, and sends the answer with all that was typed', async () => {
    const log = jest
      .fn()
      .mockResolvedValueOnce(
        failure({
          kind: 'invalid',
          fields: { planned: '“weekly feed” of 2026-05-08 is planned.' },
        }),
      )
      .mockResolvedValue(success(true));
    await open(log);
    expect(await screen.findByText('“weekly feed” of 8 May is planned.')).toBeVisible();
    expect(screen.getByRole('button', { name: 'It was that task' })).toHaveFocus();
    // Not before the first answer is dealt with: until then the button is busy.
    await waitFor(() => {
      fireEvent.click(screen.getByRole('button', { name: 'It was that task' }));
      expect(log.mock.calls.length).toBeGreaterThan(1);
    });
    expect(log).toHaveBeenLastCalledWith(
      expect.objectContaining({ name: 'a can of feed', amount: '12 ml', is: 'planned' }),
    );
  });
});

test('a paper log that can’t be taken stays as it was pasted, with a sentence for each line', async () => {
  const user = userEvent.setup();
  const enter = jest
    .fn()
    .mockResolvedValueOnce(
      failure({ kind: 'invalid', fields: { table: 'Line 2, day: no day.\nLine 3, step: none.' } }),
    )
    .mockResolvedValue(success(2));
  render(<PaperLog steps={['weekly feed']} enter={enter} />);
  await user.click(screen.getByText('Put in a log kept on paper'));
  const field = screen.getByRole('textbox', { name: 'The log' });
  await user.click(field);
  await user.paste('day,step\n3 June,x\n4 June,y');
  await user.click(screen.getByRole('button', { name: 'Put the log on record' }));
  expect(await screen.findByText(/^Line 2, day: no day\.\s+Line 3, step: none\.$/)).toBeVisible();
  await waitFor(() => expect(field).toHaveFocus());
  expect(field).toHaveValue('day,step\n3 June,x\n4 June,y');
  await user.click(screen.getByRole('button', { name: 'Put the log on record' }));
  expect(await screen.findByText('2 tasks put on record.')).toBeVisible();
  expect(field).toHaveValue('');
});

test('what a timer does stands in no list of what is to come', () => {
  const drip = careRuleFixture({ name: 'drip', kind: 'water', runsByItself: true });
  const weeding = careRuleFixture({ name: 'weeding', kind: 'other' });
  const { coming, due } = view({ care: { ...data.care, rules: [drip, weeding] } });
  expect(new Set(coming.map(step => step.name))).toEqual(new Set(['weeding']));
  expect(named(due.steps).map(task => task.rule.name)).toEqual(['weeding']);
});
