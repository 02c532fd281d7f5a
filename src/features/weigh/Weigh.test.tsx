import { act, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { v7 } from 'uuid';
import { seenTrial } from '@/core/blinding/seen-trial';
import { standingLines } from '@/core/judge/planning/standing';
import { failure, type Result, success } from '@/core/result';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { readPick } from '@/core/trial/forms/pick-form';
import type { Pick } from '@/core/trial/model/pick';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { benchViewOf } from '@/features/bench/bench-view';
import { ChosenUnitProvider } from '@/features/bench/ChosenUnit';
import { mishapsOf } from './mishap-view';
import { EMPTY_PICK } from './pick-draft';
import { Weigh } from './Weigh';

const trial = trialFixture({ unitsEach: 2, isBlind: true });
const codes = trial.units.map(unit => unit.code);

interface HeldProps {
  readonly data?: TrialData;
  /** Answers instead of the store. */
  readonly answer?: (input: unknown) => Promise<Result<Pick, TrialTrouble>>;
}

const recordMishap = jest
  .fn()
  .mockResolvedValue(
    failure({ kind: 'invalid', fields: { why: 'Say what happened, and why it is decided so.' } }),
  );

/** Weigh on a store of its own: what is taken shows up as the page would show it. */
function HeldWeigh({ data = trial, answer }: HeldProps) {
  const [picks, setPicks] = useState<readonly Pick[]>(data.picks);
  const measure = data.measures[0];
  if (!measure) throw new Error('the fixture must have a measure');
  const take = async (input: unknown): Promise<Result<Pick, TrialTrouble>> => {
    if (answer) return answer(input);
    const read = readPick(input, {
      system: 'uk',
      today: '2026-07-15',
      startsOn: data.trial.startsOn,
      mainMeasure: measure,
      now: '2026-07-15T10:00:00.000Z',
    });
    if (!read.ok) return failure({ kind: 'invalid', fields: read.trouble });
    setPicks(before => [...before.filter(pick => pick.id !== read.value.supersedes), read.value]);
    return success(read.value);
  };
  const remove = async (pickId: string): Promise<Result<Pick, TrialTrouble>> => {
    const gone = picks.find(pick => pick.id === pickId);
    if (!gone) return failure({ kind: 'changed-meanwhile' });
    setPicks(before => before.filter(pick => pick.id !== pickId));
    return success({ ...gone, isRemoval: true });
  };
  return (
    <ChosenUnitProvider>
      <Weigh
        trialId={data.trial.id}
        state={data.trial.state}
        unitWord="pot"
        measure={measure}
        system="uk"
        today="2026-07-15"
        bench={benchViewOf(seenTrial(data), false)}
        picks={picks}
        take={take}
        remove={remove}
        undoRevision={async () => failure({ kind: 'changed-meanwhile' })}
        history={async () => picks}
        topsG={{}}
        ripeRule=""
        groups={[{ label: 'All pots', codes }]}
        yieldMeasures={{}}
        mishaps={mishapsOf(seenTrial(data))}
        standing={standingLines(data, false)}
        isKeyOpen={false}
        mishapHistory={async () => []}
        recordMishap={recordMishap}
        takeBackMishap={async () => failure({ kind: 'changed-meanwhile' })}
      />
    </ChosenUnitProvider>
  );
}

const gross = (): HTMLElement => screen.getByLabelText('On the scale');
const inHand = (): HTMLElement => screen.getByLabelText('Code in hand');

beforeEach(() => window.localStorage.clear());

test('Enter after each number walks round every pot once', async () => {
  const user = userEvent.setup();
  render(<HeldWeigh />);
  expect(screen.queryByText(/^All 4 pots are done/)).toBeNull();
  for (const [i, code] of codes.entries()) {
    await waitFor(() => expect(inHand()).toHaveValue(code));
    await user.type(gross(), `${100 + i}{Enter}`);
    await screen.findByText(`${code}: ${100 + i} g saved.`);
  }
  expect(screen.getByText('4 of 4')).toBeInTheDocument();
  expect(screen.getByText(/^All 4 pots are done/)).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'What it says so far' })).toHaveAttribute(
    'href',
    expect.stringMatching(/\/judge$/),
  );
  expect(screen.getByText('406 g')).toBeInTheDocument();
});

test('a weight that is half typed is there again after a reload, and gone once it is saved', async () => {
  const user = userEvent.setup();
  const { unmount } = render(<HeldWeigh />);
  await user.type(gross(), '41');
  unmount();
  const again = render(<HeldWeigh />);
  await waitFor(() => expect(gross()).toHaveValue('41'));
  await user.type(gross(), '2{Enter}');
  await screen.findByText(`${codes[0]}: 412 g saved.`);
  again.unmount();
  window.sessionStorage.clear();
  render(<HeldWeigh />);
  await waitFor(() => expect(inHand()).toHaveValue(codes[0]));
  expect(gross()).toHaveValue('');
});

test('what was typed on another day is not today’s', async () => {
  const kept = (day: string): void => {
    const draft = { ...EMPTY_PICK, gross: '77' };
    const typed = { day, byUnit: { [trial.units[0]!.id]: { id: v7(), draft } } };
    window.localStorage.setItem(`turnspit-weights-${trial.trial.id}`, JSON.stringify(typed));
  };
  kept('2026-07-14');
  const { unmount } = render(<HeldWeigh />);
  await waitFor(() => expect(inHand()).toHaveValue(codes[0]));
  expect(gross()).toHaveValue('');
  unmount();
  kept('2026-07-15');
  render(<HeldWeigh />);
  await waitFor(() => expect(gross()).toHaveValue('77'));
});

test('typing a code takes that pot in hand, whatever its case', async () => {
  const user = userEvent.setup();
  render(<HeldWeigh />);
  await user.clear(inHand());
  await user.type(inHand(), (codes[2] ?? '').toLowerCase());
  await waitFor(() => expect(inHand()).toHaveValue(codes[2]));
  expect(screen.getByRole('heading', { name: `${codes[2]} so far: 0 g` })).toBeInTheDocument();
});

test('an answer that the trial was closed meanwhile is said, and the number stays', async () => {
  const user = userEvent.setup();
  render(<HeldWeigh answer={async () => failure({ kind: 'closed' })} />);
  await user.type(gross(), '140{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent(
    'The trial is closed, and its verdict frozen.',
  );
  expect(gross()).toHaveValue('140');
});

test('where no answer comes it is said, the number stays, the button lives, and the same press is sent under its id', async () => {
  const user = userEvent.setup();
  const answer = jest
    .fn()
    .mockRejectedValueOnce(new TypeError('Failed to fetch'))
    .mockResolvedValue(failure({ kind: 'closed' }));
  render(<HeldWeigh answer={answer} />);
  await user.type(gross(), '140{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent(/^No answer came: .* press again\.$/);
  expect(gross()).toHaveValue('140');
  await user.click(screen.getByRole('button', { name: /^Save/ }));
  await waitFor(() => expect(answer).toHaveBeenCalledTimes(2));
  const [[first], [second]] = answer.mock.calls;
  expect(second.id).toBe(first.id);
});

test('a weight four times the others’ is asked about, not refused', async () => {
  const user = userEvent.setup();
  const wide = trialFixture({ unitsEach: 3 });
  const data = {
    ...wide,
    picks: wide.units
      .slice(0, 5)
      .map(unit => pickFixture(unit, { pickedOn: '2026-07-15', netG: 100 })),
  };
  render(<HeldWeigh data={data} />);
  await waitFor(() => expect(inHand()).toHaveValue(wide.units[5]?.code));
  await user.type(gross(), '1400{Enter}');
  expect(
    await screen.findByText(/That is 14 times what others gave today\. Undo it if it was a slip\./),
  ).toBeInTheDocument();
});

test('on the final clearing pick the same pot is asked for its green before the next comes', async () => {
  const user = userEvent.setup();
  render(<HeldWeigh />);
  await user.click(screen.getByText('the final clearing pick'));
  await user.type(gross(), '140{Enter}');
  await screen.findByText(`${codes[0]}: 140 g saved.`);
  expect(inHand()).toHaveValue(codes[0]);
  await user.type(gross(), '60{Enter}');
  expect(await screen.findByText(`${codes[0]}: 60 g, cull (green) saved.`)).toBeInTheDocument();
  await waitFor(() => expect(inHand()).toHaveValue(codes[1]));
  expect(
    screen.getByText(/^2 picks, 140 g sound: pot by pot and day by day the same/),
  ).toBeInTheDocument();
});

test('Alt and M opens a mishap of the pot in hand, Alt and N its note', async () => {
  const user = userEvent.setup();
  render(<HeldWeigh />);
  await user.keyboard('{Alt>}n{/Alt}');
  expect(screen.getByLabelText('Note')).toHaveFocus();
  await user.keyboard('{Alt>}m{/Alt}');
  await waitFor(() => expect(screen.getByLabelText('It was')).toHaveFocus());
});

test('undo takes a new pick out again', async () => {
  const user = userEvent.setup();
  render(<HeldWeigh />);
  await user.type(gross(), '120{Enter}');
  await screen.findByText(`${codes[0]}: 120 g saved.`);
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  await screen.findByText('Undone.');
  expect(screen.getByText('0 of 4')).toBeInTheDocument();
});

test('every pot on the bench is a button that tells code, place and standing, and no treatment', () => {
  render(<HeldWeigh />);
  const bench = screen.getByRole('group', { name: /The bench from above/ });
  const pots = within(bench).getAllByRole('button');
  expect(pots).toHaveLength(4);
  for (const pot of pots)
    expect(pot).toHaveAccessibleName(
      /^[A-Z]{2}\d, bench, \w+ of 4\. still to do on 15 July, 0 g so far$/,
    );
  expect(document.body.textContent).not.toMatch(/plain water|feed 1/);
});

test('before the lock nothing is weighed', () => {
  render(<HeldWeigh data={{ ...trial, trial: { ...trial.trial, state: 'planned' } }} />);
  expect(
    screen.getByRole('heading', { name: 'Nothing is weighed before the plan is locked' }),
  ).toBeInTheDocument();
});

test('a mishap is put down for the pot in hand and others, and what is missing is asked beside its field', async () => {
  render(<HeldWeigh />);
  const user = userEvent.setup();
  await user.click(screen.getByText('Something happened'));
  const boxes = screen.getAllByRole('checkbox');
  expect(boxes.filter(box => box instanceof HTMLInputElement && box.checked)).toHaveLength(0);
  expect(screen.getByLabelText('When it happened')).toHaveValue('');
  await user.click(screen.getByRole('button', { name: 'All pots' }));
  expect(boxes.every(box => box instanceof HTMLInputElement && box.checked)).toBe(true);
  await user.click(screen.getByRole('button', { name: /, in hand$/ }));
  const other = boxes.find(box => box instanceof HTMLInputElement && !box.checked);
  if (!other) throw new Error('there must be another pot');
  await user.click(other);
  await user.selectOptions(screen.getByLabelText('It was'), 'frost');
  await user.click(screen.getByRole('button', { name: 'Put it on record' }));
  expect(recordMishap).toHaveBeenCalledWith(
    expect.objectContaining({
      cause: 'frost',
      decision: 'keep',
      byTreatment: 'no',
      codes: expect.arrayContaining([expect.any(String)]),
    }),
  );
  expect(recordMishap.mock.calls[0][0].codes).toHaveLength(2);
  expect(await screen.findByText('Say what happened, and why it is decided so.')).toBeVisible();
});

describe('racing fingers', () => {
  const potOnBench = (i: number): HTMLElement =>
    screen.getAllByRole('button', { name: new RegExp(`^${codes[i]}`) })[0] as HTMLElement;
  /** Answers when it is told to. */
  function slow() {
    const waiting: (() => void)[] = [];
    const sent: { readonly unitId: string; readonly gross: string; readonly id: string }[] = [];
    const answer = (input: unknown): Promise<Result<Pick, TrialTrouble>> => {
      const form = input as (typeof sent)[number];
      sent.push(form);
      const unit = trial.units.find(each => each.id === form.unitId);
      return new Promise(resolve =>
        waiting.push(() =>
          resolve(
            success(pickFixture(unit!, { netG: Number(form.gross), pickedOn: '2026-07-15' })),
          ),
        ),
      );
    };
    return { sent, answer, arrive: () => act(async () => waiting.shift()?.()) };
  }

  test('who has gone on to another pot before the answer came stays there, with what was typed', async () => {
    const user = userEvent.setup();
    const { sent, answer, arrive } = slow();
    render(<HeldWeigh answer={answer} />);
    await user.type(gross(), '100{Enter}');
    await user.click(potOnBench(2));
    await user.type(gross(), '222');
    await arrive();
    expect(inHand()).toHaveValue(codes[2]);
    expect(gross()).toHaveValue('222');
    await user.type(gross(), '{Enter}');
    expect(sent.map(({ unitId, gross: written }) => [unitId, written])).toEqual([
      [trial.units[0]?.id, '100'],
      [trial.units[2]?.id, '222'],
    ]);
  });
  test('a change begun on one pot stays with it when another is chosen on the bench', async () => {
    const user = userEvent.setup();
    const { sent, answer } = slow();
    const [first] = trial.units;
    const standing = pickFixture(first!, { netG: 100, pickedOn: '2026-07-15' });
    render(<HeldWeigh data={{ ...trial, picks: [standing] }} answer={answer} />);
    await user.click(potOnBench(0));
    await user.click(screen.getByRole('button', { name: /^Change/ }));
    await user.clear(gross());
    await user.type(gross(), '120');
    await user.click(potOnBench(1));
    expect(gross()).toHaveValue('');
    await user.type(gross(), '90{Enter}');
    expect(sent[0]).toMatchObject({ unitId: trial.units[1]?.id, gross: '90', supersedes: null });
    await user.click(potOnBench(0));
    expect(gross()).toHaveValue('120');
    expect(screen.getByText(/You are changing the pick of/)).toBeVisible();
  });
  test('each pot’s entry has an id of its own, and each new one of a pot another', async () => {
    const user = userEvent.setup();
    const { sent, answer, arrive } = slow();
    render(<HeldWeigh answer={answer} />);
    for (const written of ['100', '101', '102']) {
      await user.type(gross(), `${written}{Enter}`);
      await arrive();
    }
    await user.click(potOnBench(0));
    await user.type(gross(), '99{Enter}');
    expect(new Set(sent.map(({ id }) => id)).size).toBe(4);
  });
  test('a weight half typed waits at its own pot', async () => {
    const user = userEvent.setup();
    render(<HeldWeigh />);
    await user.type(gross(), '31');
    await user.click(potOnBench(1));
    expect(gross()).toHaveValue('');
    await user.click(potOnBench(0));
    expect(gross()).toHaveValue('31');
  });
  test('the same once more is asked about, and kept when it is saved again; an edit asks anew', async () => {
    const user = userEvent.setup();
    const sent: unknown[] = [];
    const again = 'The same is on record for that day already.';
    render(
      <HeldWeigh
        answer={async input => {
          sent.push(input);
          return failure({ kind: 'invalid', fields: { again } });
        }}
      />,
    );
    await user.type(gross(), '100{Enter}');
    expect(await screen.findByText(again)).toBeVisible();
    await user.type(gross(), '{Enter}');
    await user.type(gross(), '5{Enter}');
    expect(sent).toMatchObject([
      { gross: '100', isSecond: false },
      { gross: '100', isSecond: true },
      { gross: '1005', isSecond: false },
    ]);
    const ids = new Set(sent.map(each => (each as { readonly id: string }).id));
    expect(ids.size).toBe(1);
  });
});
