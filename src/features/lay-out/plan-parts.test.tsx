import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { seenTrial } from '@/core/blinding/seen-trial';
import type { AuditFinding } from '@/core/design/audit/audit-view';
import { failure, success } from '@/core/result';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_FEATURE } from '@/core/trial/model/blank-facts';
import { AuditList } from '@/features/audit/AuditList';
import { benchViewOf } from '@/features/bench/bench-view';
import { AmendPlan } from './AmendPlan';
import { ArrangeBench } from './ArrangeBench';
import { groundOf } from './ground';
import { MovePots } from './MovePots';
import { SitePanel } from './SitePanel';
import { TraitPanel } from './TraitPanel';

const data = trialFixture({ treatments: 2, unitsEach: 2, blockCount: 2 });
const withSlope = {
  ...data,
  layout: data.layout && {
    ...data.layout,
    site: [{ kind: 'slope' as const, side: 'left' as const, percent: 30, ...BLANK_FEATURE }],
  },
};

describe('the ground', () => {
  test('says where everything stands, and in a blind trial not which treatment leans', () => {
    const open = groundOf(withSlope, true);
    const shut = groundOf(withSlope, false);
    expect(open?.places.map(place => place.kind)).toEqual([
      'block',
      'block',
      'unit',
      'unit',
      'unit',
      'unit',
    ]);
    expect(open?.biases[0]?.biases[0]?.treatment).toBe('feed 1');
    expect(JSON.stringify(shut)).not.toContain('feed 1');
    expect(shut?.biases[0]?.biases[0]?.percent).toBe(open?.biases[0]?.biases[0]?.percent);
    expect(groundOf({ ...data, layout: null }, true)).toBeNull();
  });

  test('stands units on the bench where the bench shows them', () => {
    const view = benchViewOf(seenTrial(data), true);
    const units = groundOf(data, true)?.places.filter(place => place.kind === 'unit') ?? [];
    expect(units.map(unit => [unit.name, unit.xMm, unit.yMm]).sort()).toEqual(
      view?.units.map(unit => [unit.code, unit.xMm, unit.yMm]).sort(),
    );
  });
});

describe('arranging', () => {
  const ground = groundOf(data, true);
  if (!ground) throw new Error('the fixture must be dealt');
  const shelf = ground.places[0];

  test('an arrow moves by a centimetre, with Shift by ten, and what is refused says why', async () => {
    const move = jest
      .fn()
      .mockResolvedValueOnce(success(true))
      .mockResolvedValueOnce(failure({ kind: 'place-taken', by: 'shelf 2' }));
    render(
      <ArrangeBench
        {...ground}
        blockWord="shelf"
        unitWord="pot"
        move={move}
        drawSite={jest.fn()}
      />,
    );
    const handle = screen.getByRole('button', { name: /^shelf 1,/ });
    fireEvent.keyDown(handle, { key: 'ArrowRight' });
    await waitFor(() => expect(move).toHaveBeenCalledWith({ placeId: shelf?.id, xMm: 10, yMm: 0 }));
    expect(
      await screen.findByText('shelf 1: 1 cm from the left, 0 cm from the far edge.'),
    ).toBeVisible();
    fireEvent.keyDown(handle, { key: 'ArrowDown', shiftKey: true });
    await waitFor(() =>
      expect(move).toHaveBeenLastCalledWith({ placeId: shelf?.id, xMm: 10, yMm: 100 }),
    );
    expect(await screen.findByText('There it would stand on shelf 2.')).toBeVisible();
    fireEvent.keyDown(handle, { key: 'a' });
    expect(move).toHaveBeenCalledTimes(2);
  });

  test('arrows that come faster than answers add up, and a refusal drops what was built upon it', async () => {
    const answers: ((
      result: Awaited<ReturnType<React.ComponentProps<typeof ArrangeBench>['move']>>,
    ) => void)[] = [];
    const move = jest.fn(
      () =>
        new Promise<Awaited<ReturnType<React.ComponentProps<typeof ArrangeBench>['move']>>>(
          answer => answers.push(answer),
        ),
    );
    render(
      <ArrangeBench
        {...ground}
        blockWord="shelf"
        unitWord="pot"
        move={move}
        drawSite={jest.fn()}
      />,
    );
    const handle = screen.getByRole('button', { name: /^shelf 1,/ });
    const press = (): boolean => fireEvent.keyDown(handle, { key: 'ArrowRight' });
    press();
    press();
    press();
    expect(move).toHaveBeenCalledTimes(1);
    answers[0]?.(success(true));
    await waitFor(() =>
      expect(move).toHaveBeenLastCalledWith({ placeId: shelf?.id, xMm: 30, yMm: 0 }),
    );
    expect(move).toHaveBeenCalledTimes(2);
    press();
    answers[1]?.(failure({ kind: 'place-taken', by: 'shelf 2' }));
    expect(await screen.findByText('There it would stand on shelf 2.')).toBeVisible();
    expect(move).toHaveBeenCalledTimes(2);
    press();
    await waitFor(() =>
      expect(move).toHaveBeenLastCalledWith({ placeId: shelf?.id, xMm: 20, yMm: 0 }),
    );
    answers[2]?.(success(true)); // a transition left open would hold up the next test's
    expect(
      await screen.findByText('shelf 1: 2 cm from the left, 0 cm from the far edge.'),
    ).toBeVisible();
  });

  test('one pot can be chosen to be moved instead of its shelf', async () => {
    render(
      <ArrangeBench
        {...ground}
        blockWord="shelf"
        unitWord="pot"
        move={jest.fn()}
        drawSite={jest.fn()}
      />,
    );
    await userEvent.setup().click(screen.getByText('one pot'));
    expect(screen.queryByRole('button', { name: /^shelf 1,/ })).toBeNull();
    expect(screen.getAllByRole('button', { name: /from the far edge/ })).toHaveLength(4);
    expect(screen.getByText(/The closest two pots stand 5.0 cm apart/)).toBeVisible();
  });
});

describe('what lies about the bench', () => {
  const wall = {
    kind: 'wall' as const,
    side: 'left' as const,
    percent: 20,
    line: { x1Mm: -100, y1Mm: 0, x2Mm: -100, y2Mm: 900 },
    reachMm: 500,
  };
  const tap = { kind: 'tap' as const, side: 'near' as const, percent: 10, ...BLANK_FEATURE };
  const ground = groundOf(
    { ...data, layout: data.layout && { ...data.layout, site: [wall, tap] } },
    true,
  );
  if (!ground) throw new Error('the fixture must be dealt');

  test('a wall is moved whole or by one end, a tap as it is', async () => {
    const drawSite = jest.fn().mockResolvedValue(success(true));
    render(
      <ArrangeBench
        {...ground}
        blockWord="shelf"
        unitWord="pot"
        move={jest.fn()}
        drawSite={drawSite}
      />,
    );
    await userEvent.setup().click(screen.getByText('walls, fences, paths, taps'));
    expect(
      screen.getAllByRole('button').map(handle => handle.getAttribute('aria-label')?.split(':')[0]),
    ).toEqual(['wall', 'wall, its start', 'wall, its end', 'tap']);
    fireEvent.keyDown(screen.getByRole('button', { name: 'wall' }), {
      key: 'ArrowLeft',
      shiftKey: true,
    });
    await waitFor(() =>
      expect(drawSite).toHaveBeenLastCalledWith([
        { ...wall, line: { x1Mm: -200, y1Mm: 0, x2Mm: -200, y2Mm: 900 } },
        tap,
      ]),
    );
    fireEvent.keyDown(screen.getByRole('button', { name: /^wall, its end/ }), { key: 'ArrowDown' });
    await waitFor(() =>
      expect(drawSite).toHaveBeenLastCalledWith([
        { ...wall, line: { x1Mm: -200, y1Mm: 0, x2Mm: -200, y2Mm: 910 } },
        tap,
      ]),
    );
    fireEvent.keyDown(screen.getByRole('button', { name: 'tap' }), { key: 'ArrowUp' });
    await waitFor(() => expect(drawSite).toHaveBeenCalledTimes(3));
    const [, moved] = drawSite.mock.lastCall?.[0] ?? [];
    expect(moved.line).toMatchObject({ x1Mm: ground.widthMm * 0.85, x2Mm: ground.widthMm * 0.85 });
    expect(moved.line.y1Mm).toBe(moved.line.y2Mm);
  });
});

describe('what else differs', () => {
  test('is written down, told back, and taken out; what is wrong stays with its sentence', async () => {
    const user = userEvent.setup();
    const describeTrait = jest
      .fn()
      .mockResolvedValueOnce(
        failure({
          kind: 'invalid',
          fields: { lines: 'Line 1: “ZZ9” is no code and no block here.' },
        }),
      )
      .mockResolvedValue(success(true));
    const forget = jest.fn().mockResolvedValue(success(true));
    render(
      <TraitPanel
        traits={[
          {
            name: 'variety',
            values: [
              { value: 'Ruby', codes: ['KA3'] },
              { value: 'Ghost', codes: ['KB4', 'KB5', 'KB7', 'KC3', 'KC4', 'KC7', 'KD3'] },
            ],
          },
        ]}
        example=""
        putDown={describeTrait}
        forget={forget}
      />,
    );
    expect(screen.getByText(/Ruby \(KA3\), Ghost \(7 of them\)/)).toBeVisible();
    fireEvent.change(screen.getByLabelText('It is'), { target: { value: 'container' } });
    fireEvent.change(screen.getByLabelText('Which have what, a line each'), {
      target: { value: 'old: ZZ9' },
    });
    await user.click(screen.getByRole('button', { name: 'Put it down' }));
    expect(await screen.findByText(/no code and no block/)).toBeVisible();
    expect(screen.getByLabelText('Which have what, a line each')).toHaveValue('old: ZZ9');
    await user.click(screen.getByRole('button', { name: 'Put it down' }));
    await waitFor(() => expect(screen.getByLabelText('It is')).toHaveValue(''));
    await user.click(screen.getByRole('button', { name: 'Take out variety' }));
    expect(forget).toHaveBeenCalledWith('variety');
  });
});

describe('the site', () => {
  const draw = jest.fn().mockResolvedValue(success(true));
  const panel = (changes: Partial<Parameters<typeof SitePanel>[0]> = {}) => {
    const ground = groundOf(withSlope, true);
    return (
      <SitePanel
        site={ground?.site ?? []}
        hasGuards={false}
        biases={ground?.biases ?? []}
        blockWord="shelf"
        isTurned={false}
        hasBlocks
        isLocked={false}
        draw={draw}
        {...changes}
      />
    );
  };

  test('a feature is added beside the others, replaces its like, and is taken out again', async () => {
    const user = userEvent.setup();
    render(panel());
    await user.click(screen.getByRole('button', { name: 'Draw what lies about it' }));
    await user.selectOptions(screen.getByLabelText('There is'), 'wall');
    await user.selectOptions(screen.getByLabelText('Where'), 'far');
    await user.click(screen.getByRole('button', { name: 'Draw it' }));
    expect(draw).toHaveBeenLastCalledWith({
      site: [
        ...(withSlope.layout?.site ?? []),
        { kind: 'wall', side: 'far', percent: 20, line: null, reachMm: 600 },
      ],
      hasGuards: false,
    });
    await user.click(screen.getByRole('button', { name: 'Take out slope on the left' }));
    expect(draw).toHaveBeenLastCalledWith({ site: [], hasGuards: false });
  });

  test('a percentage that is none can’t be drawn', () => {
    render(panel());
    fireEvent.click(screen.getByRole('button', { name: 'Draw what lies about it' }));
    fireEvent.change(screen.getByLabelText('From end to end, %'), { target: { value: '900' } });
    expect(screen.getByText('1 to 100')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Draw it' })).toBeDisabled();
  });
});

const finding = (grade: AuditFinding['grade'], says: string): AuditFinding => ({
  code: says,
  grade,
  says,
  why: 'Because.',
  remedy: 'Do this.',
});

test('the audit says the worst first, and keeps what is only worth knowing folded', () => {
  render(
    <AuditList
      checks={46}
      findings={[
        finding('spoils', 'One pot each.'),
        finding('weakens', 'No rule.'),
        finding('note', 'One garden.'),
      ]}
    />,
  );
  expect(screen.getAllByRole('heading', { level: 3 }).map(heading => heading.textContent)).toEqual([
    'Spoils the test',
    'Weakens it',
  ]);
  expect(screen.getByText('One garden.')).not.toBeVisible();
  expect(screen.queryByText(/Nothing found that spoils/)).toBeNull();
});

test('a plan without faults is told so', () => {
  render(<AuditList checks={46} findings={[finding('note', 'One garden.')]} />);
  expect(screen.getByText(/Nothing found that spoils or weakens it/)).toBeVisible();
});

test('an amendment keeps what was typed where it is refused, and its own field says why', async () => {
  const user = userEvent.setup();
  const amend = jest
    .fn()
    .mockResolvedValue(failure({ kind: 'invalid', fields: { why: 'Say why.' } }));
  render(<AmendPlan amendments={[]} amend={amend} />);
  await user.click(screen.getByText('Change something, with a reason'));
  fireEvent.change(screen.getByLabelText('What is done from now on'), {
    target: { value: 'Water twice a day.' },
  });
  await user.click(screen.getByRole('button', { name: 'Put it on record' }));
  expect(await screen.findByText('Say why.')).toBeVisible();
  expect(screen.getByLabelText('What is done from now on')).toHaveValue('Water twice a day.');
  expect(amend).toHaveBeenCalledWith({ what: 'other', to: 'Water twice a day.', why: '', by: '' });
});

test('a closed trial shows its amendments and takes none', () => {
  render(
    <AmendPlan
      amend={null}
      amendments={[
        {
          id: 'x',
          at: '2026-06-01T08:00:00.000Z',
          what: 'margin',
          from: '15%',
          to: '20%',
          why: 'The feed got dearer.',
          by: 'Ines',
          afterKeyOpened: true,
        },
      ]}
    />,
  );
  expect(screen.getByText(/15% → 20%/)).toBeVisible();
  expect(screen.getByText(/with values already in sight/)).toBeVisible();
  expect(screen.queryByText('Change something, with a reason')).toBeNull();
});

test('a moving round is told as a walk', async () => {
  const move = jest.fn().mockResolvedValue(
    success([
      {
        shelf: 'shelf 1',
        steps: [
          { code: 'KM7', to: { kind: 'aside' } },
          { code: 'RT4', to: { kind: 'place', of: 'KM7', name: 'KM7' } },
          { code: 'KM7', to: { kind: 'place', of: 'RT4', name: 'RT4' } },
        ],
      },
    ]),
  );
  render(<MovePots unitWord="pot" movedOn={[]} move={move} />);
  await userEvent.setup().click(screen.getByRole('button', { name: 'Deal new places' }));
  expect(await screen.findByText('Set KM7 aside.')).toBeVisible();
  expect(screen.getByText('RT4 goes where KM7 stood.')).toBeVisible();
});
