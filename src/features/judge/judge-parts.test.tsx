import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { JudgedUnit } from '@/core/design/linear/design-input';
import type { SeasonAnswer } from '@/core/judge/after/combine-seasons';
import { scorecardOf } from '@/core/judge/after/scorecard';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { type Outcome, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import {
  type Analysis,
  type AnalysisSpec,
  analyse,
  plannedSpec,
} from '@/core/judge/units/trial-analysis';
import { readMeasure } from '@/core/measure/library/own-measure';
import { failure, success } from '@/core/result';
import {
  leaveOutFixture,
  pickFixture,
  readingFixture,
  trialFixture,
} from '@/core/trial/fixtures/trial-fixture';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { tagsOf } from '@/features/bench/bench-view';
import { AskedComparison } from '@/features/judge/answer/AskedComparison';
import { CallsTable } from '@/features/judge/answer/CallsTable';
import { dotRowsOf } from '@/features/judge/answer/dot-rows';
import { MeasureNote, OtherWay } from '@/features/judge/answer/MeasureNote';
import { WaitingCurves } from '@/features/judge/answer/WaitingCurves';
import { WhatIf } from '@/features/judge/answer/WhatIf';
import { RegretForm } from '@/features/judge/closing/RegretForm';
import { AlternativeExplanations } from '@/features/judge/details/AlternativeExplanations';
import { DosePanel, dosesOf } from '@/features/judge/details/DosePanel';
import { GrowthPanel } from '@/features/judge/details/GrowthPanel';
import { NetBenefitPanel } from '@/features/judge/details/NetBenefitPanel';
import { NextSteps } from '@/features/judge/details/NextSteps';
import { NullSimulation } from '@/features/judge/details/NullSimulation';
import { ScorecardPanel } from '@/features/judge/details/ScorecardPanel';
import { SeasonsPanel } from '@/features/judge/details/SeasonsPanel';
import { Sensitivity } from '@/features/judge/details/Sensitivity';
import { useVerdictDetails } from '@/features/judge/details/use-verdict-details';
import { printFigure } from '@/features/judge/print-value';
import { BareButton } from '@/ui/BareButton';
import type { MeasurePValues } from '@/workers/judge.worker';
import { startPermutations } from '@/workers/judge-job';

const trial = trialFixture({ treatments: 3, unitsEach: 4, blockCount: 4 });
const at = (unit: TrialData['units'][number]): number =>
  trial.treatments.findIndex(treatment => treatment.id === unit.treatmentId);
const data: TrialData = {
  ...trial,
  picks: trial.units.map((unit, i) =>
    pickFixture(unit, {
      netG: 300 + 150 * Number(at(unit) === 1) + 4 * (i % 5),
      pieces: 30 + (i % 4),
    }),
  ),
};
const analysis = analyse(
  data,
  { ...plannedSpec(data, STARTING_GUESS_CV), shuffles: 0 },
  judgeWithoutShuffle,
);
const print = (value: number): string => `${Math.round(value)} g`;
/** A season that gave so many per cent. */
const seasonOf = (
  trialId: string,
  percent: number,
  percentCi: readonly [number, number],
): SeasonAnswer => ({
  trialId,
  question: 'Feed?',
  crop: 'beans',
  closedOn: `202${{ a: 4, b: 5, c: 6, d: 3 }[trialId]}-10-01`,
  percent,
  percentCi,
  logRatio: { estimate: Math.log1p(percent / 100), se: 0.1 },
});
const made = (key: string, id: string): Measure => {
  const read = readMeasure({ from: 'library', key }, [], id);
  if (!read.ok) throw new Error(key);
  return read.value;
};

// What is drawn on a canvas is looked at in the browser; here it is enough that it stands there under its name.
jest.mock('react-chartjs-2', () => ({
  Chart: ({
    role,
    'aria-label': label,
  }: {
    readonly role: string;
    readonly 'aria-label': string;
  }) => <canvas role={role} aria-label={label} />,
}));

const running: { readonly resolve: (pValues: readonly MeasurePValues[]) => void }[] = [];
jest.mock('@/workers/judge-job', () => ({
  startPermutations: jest.fn(() => {
    let cancel = (): void => undefined;
    const result = new Promise((resolve, reject) => {
      running.push({ resolve });
      cancel = () => reject(new DOMException('cancelled', 'AbortError'));
    });
    return { result, cancel: () => cancel() };
  }),
}));

const unfold = (name: string): void => {
  fireEvent.click(screen.getByRole('button', { name }));
};

describe('the scorecard', () => {
  const card = scorecardOf(data, analysis.spec, () => print);
  const show = () =>
    render(
      <ScorecardPanel
        trialId="t"
        whole={data}
        spec={analysis.spec}
        card={card}
        tags={tagsOf(data)}
        control="plain water"
        bases={[
          { name: 'Main harvest, a square metre', cells: [{ treatment: 'feed 1', words: '9 kg' }] },
        ]}
      />,
    );
  test('stands every measure beside the others, the main one first, and says how many by luck', () => {
    show();
    const rows = within(
      screen.getByRole('region', { name: 'Every measure and every treatment' }),
    ).getAllByRole('row');
    expect(rows[1]).toHaveTextContent(/^Sound harvest by weightthe main one/);
    expect(rows[1]).toHaveTextContent('clearly better');
    unfold('By ground, mix, hours and money');
    const sums = screen.getByRole('region', { name: 'The main harvest by what it took' });
    expect(within(sums).getAllByRole('row').at(-1)).toHaveTextContent('9 kg');
    expect(
      screen.getByText(/^\d other measures? (was|were) looked at\. Chance alone makes/),
    ).toBeVisible();
  });
  test('a part of the main measure takes none of its weight, and is not weighed by itself', () => {
    const [main] = card.rows;
    if (!main) throw new Error('the card must have a row');
    const part = { ...main, part: 'top', name: `${main.name}, top`, isMain: false };
    render(
      <ScorecardPanel
        trialId="t"
        whole={data}
        spec={analysis.spec}
        card={{ ...card, rows: [...card.rows, part] }}
        tags={tagsOf(data)}
        control="plain water"
        bases={[]}
      />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Say which measures matter to you' }));
    expect(screen.getByLabelText(`Weight of ${main.name}`)).toHaveValue('3');
    expect(screen.queryByLabelText(`Weight of ${part.name}`)).toBeNull();
    expect(screen.queryByRole('link', { name: part.name })).toBeNull();
  });
  test('shuffles every measure that has a mean beside the page, says how far it is, and what luck does', async () => {
    show();
    expect(jest.mocked(startPermutations)).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('button', { name: 'Show what chance alone would do' }));
    const [, , ids, report] = jest.mocked(startPermutations).mock.lastCall ?? [];
    expect(ids).toEqual(card.rows.filter(row => row.isByMean).map(row => row.measureId));
    expect(ids).toHaveLength(4);
    const main = card.rows[0]?.measureId ?? '';
    const found = (pAdjusted: number) => [
      { measureId: main, deals: 20_000, treatments: [{ treatment: 'feed 1', pAdjusted }] },
    ];
    act(() => report?.({ done: 20_000, total: 80_000, pValues: found(0.0004) }));
    expect(screen.getByText(/20,000 of 80,000 shuffles, measure by measure/)).toBeVisible();
    expect(screen.getByText(/^chance alone: fewer than 1 in 1,000$/)).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(await screen.findByText('Stopped.')).toBeVisible();
    expect(screen.getByText(/chance alone: fewer than 1 in 1,000/)).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: 'Shuffle all measures' }));
    expect(screen.queryByText(/chance alone: fewer/)).toBeNull();
    await act(async () => running.at(-1)?.resolve(found(0.034)));
    expect(screen.getByText(/^chance alone: 3 of 100$/)).toBeVisible();
  });
  test('a rank by weights comes only when somebody weighs', () => {
    show();
    expect(screen.queryByLabelText(/^Weight of/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Say which measures matter to you' }));
    expect(screen.queryByText(/A rank by weights/)).toBeNull();
    fireEvent.change(screen.getByLabelText('Weight of Number of sound pieces'), {
      target: { value: '3' },
    });
    expect(screen.getByText(/A rank by weights is a taste, no result/)).toBeVisible();
    expect(screen.getAllByRole('listitem')).toHaveLength(3);
  });
});

function Shown({ of }: { readonly of: TrialData }) {
  const { rest, isFailed, fetchAgain } = useVerdictDetails(
    of.trial.id,
    analysis.spec.measureId,
    of,
  );
  return (
    <>
      <p>
        {rest === null
          ? isFailed
            ? 'broken off'
            : 'on its way'
          : `${rest.data.picks.length} picks`}
      </p>
      <BareButton onClick={fetchAgain}>again</BareButton>
    </>
  );
}

describe('what stands under a verdict', () => {
  const answers: ((data: TrialData) => void)[] = [];
  const answering = () =>
    jest.fn(
      () =>
        new Promise<Response>(answer => {
          answers.push(of =>
            answer({
              ok: true,
              json: () =>
                Promise.resolve(
                  JSON.parse(
                    JSON.stringify({
                      data: of,
                      details: {},
                      audit: { findings: [], checks: 0 },
                      log: [],
                    }),
                  ),
                ),
            } as Response),
          );
        }),
    );
  beforeEach(() => {
    answers.length = 0;
  });
  test('comes after the page, and anew when the page changes; until then the old one stands', async () => {
    global.fetch = answering();
    const { rerender } = render(<Shown of={data} />);
    expect(screen.getByText('on its way')).toBeVisible();
    await act(async () => answers[0]?.(data));
    expect(await screen.findByText('12 picks')).toBeVisible();
    const fewer = { ...data, picks: data.picks.slice(0, 5) };
    rerender(<Shown of={fewer} />);
    expect(screen.getByText('12 picks')).toBeVisible();
    await act(async () => answers[1]?.(fewer));
    expect(await screen.findByText('5 picks')).toBeVisible();
  });
  test('that can’t be fetched is said, and fetched again when asked for', async () => {
    global.fetch = jest.fn().mockRejectedValue(new TypeError('no network'));
    render(<Shown of={data} />);
    expect(await screen.findByText('broken off')).toBeVisible();
    global.fetch = answering();
    fireEvent.click(screen.getByRole('button', { name: 'again' }));
    await act(async () => answers[0]?.(data));
    expect(await screen.findByText('12 picks')).toBeVisible();
  });
  test('is refused where the server says no', async () => {
    global.fetch = jest
      .fn()
      .mockResolvedValue({ ok: false, status: 409, json: () => Promise.resolve({}) });
    render(<Shown of={data} />);
    expect(await screen.findByText('broken off')).toBeVisible();
  });
  test('on its way, the scorecard stands without its shuffles', () => {
    jest.mocked(startPermutations).mockClear();
    render(
      <ScorecardPanel
        trialId="t"
        whole={null}
        spec={analysis.spec}
        card={scorecardOf(data, analysis.spec, () => print)}
        tags={tagsOf(data)}
        control="plain water"
        bases={[]}
      />,
    );
    expect(startPermutations).not.toHaveBeenCalled();
    expect(screen.getByText('clearly better')).toBeVisible();
  });
});

describe('look at it otherwise', () => {
  const whatIf = (onAnalyse: (spec: AnalysisSpec) => void, spec: AnalysisSpec) => (
    <WhatIf
      planned={analysis.spec}
      spec={spec}
      measures={data.measures}
      unit={undefined}
      unitWord="pot"
      printValue={print}
      onAnalyse={onAnalyse}
    />
  );
  const show = (onAnalyse: (spec: AnalysisSpec) => void, spec: AnalysisSpec = analysis.spec) =>
    render(whatIf(onAnalyse, spec));
  test('the place is allowed for on demand, and said not to be as planned', () => {
    const onAnalyse = jest.fn();
    const { unmount } = show(onAnalyse);
    fireEvent.click(screen.getByLabelText(/^Allow for where each pot stands/));
    expect(onAnalyse).toHaveBeenCalledWith({ ...analysis.spec, isByPlace: true });
    unmount();
    show(onAnalyse, { ...analysis.spec, isByPlace: true });
    expect(screen.getByRole('status')).toHaveTextContent(
      'Not as planned: the place on the bench allowed for.',
    );
    fireEvent.click(screen.getByRole('button', { name: 'Back to the plan' }));
    expect(onAnalyse).toHaveBeenLastCalledWith(analysis.spec);
  });
  test('the field shows what is looked at, also where the way back brought another margin', () => {
    const { unmount } = show(jest.fn());
    expect(screen.getByLabelText('Smallest difference worth having, %')).toHaveValue('15');
    unmount();
    const look = (percent: number) => ({
      ...analysis.spec,
      margin: { kind: 'percent' as const, percent },
    });
    const { rerender } = render(whatIf(jest.fn(), look(15)));
    rerender(whatIf(jest.fn(), look(40)));
    expect(screen.getByLabelText('Smallest difference worth having, %')).toHaveValue('40');
  });
  test('a margin that is none is told beside its field, and changes nothing', () => {
    const onAnalyse = jest.fn();
    show(onAnalyse);
    fireEvent.change(screen.getByLabelText('Smallest difference worth having, %'), {
      target: { value: 'a lot' },
    });
    expect(
      screen.getByText('A percentage above zero, or nothing for any difference.'),
    ).toBeVisible();
    expect(onAnalyse).not.toHaveBeenCalled();
    fireEvent.change(screen.getByLabelText('Smallest difference worth having, %'), {
      target: { value: '12,5 %' },
    });
    expect(onAnalyse).toHaveBeenCalledWith({
      ...analysis.spec,
      margin: { kind: 'percent', percent: 12.5 },
    });
  });
});

describe('is it worth it', () => {
  const show = () =>
    render(
      <NetBenefitPanel
        contrasts={analysis.judgement.contrasts.flatMap(contrast =>
          contrast.estimable ? [contrast] : [],
        )}
        control="plain water"
        unitWord="pot"
        costs={[
          { treatment: 'plain water', materials: 0, minutes: 5, total: 0 },
          { treatment: 'feed 1', materials: 0.3, minutes: 11, total: 0.3 },
        ]}
        worthPerKg={null}
      />,
    );
  test('says nothing of money until a kilogram has a worth', () => {
    show();
    const row = screen.getByRole('row', { name: /^feed 1/ });
    expect(within(row).getByRole('textbox')).toHaveValue('0.30');
    expect(row).toHaveTextContent(/an extra kilogram costs [12]\.\d\d/);
    fireEvent.change(screen.getByLabelText('A kilogram is worth'), { target: { value: '6' } });
    expect(row).toHaveTextContent(/9\d of 100|100 of 100/);
  });
  test('what has no known cost does not cost nothing: it is asked for, and nothing is said of what it leaves', () => {
    show();
    fireEvent.change(screen.getByLabelText('A kilogram is worth'), { target: { value: '6' } });
    const row = screen.getByRole('row', { name: /^feed 2/ });
    expect(within(row).getByRole('textbox')).toHaveValue('');
    expect(row).toHaveTextContent(/what it costs more is not known: write it$/);
    expect(row).not.toHaveTextContent('of 100');
    fireEvent.change(screen.getByLabelText('feed 2 costs more'), { target: { value: '0' } });
    expect(row).toHaveTextContent(/of 100/);
  });
  test('what is no sum is told, and nothing is worked out of it', () => {
    show();
    fireEvent.change(screen.getByLabelText('A kilogram is worth'), { target: { value: '6' } });
    const row = screen.getByRole('row', { name: /^feed 1/ });
    fireEvent.change(screen.getByLabelText('feed 1 costs more'), { target: { value: '1e2' } });
    expect(row).toHaveTextContent(/A figure, such as 0\.60\.$/);
    expect(row).not.toHaveTextContent('of 100');
    fireEvent.change(screen.getByLabelText('A kilogram is worth'), { target: { value: 'much' } });
    expect(screen.getByLabelText('A kilogram is worth')).toBeInvalid();
  });
  test('what costs more than it brings leaves less than nothing', () => {
    show();
    fireEvent.change(screen.getByLabelText('A kilogram is worth'), { target: { value: '1,5' } });
    fireEvent.change(screen.getByLabelText('feed 1 costs more'), { target: { value: '4' } });
    expect(screen.getByRole('row', { name: /^feed 1/ })).toHaveTextContent(/−3\.\d\d/);
  });
});

describe('was the question answered', () => {
  test('any two are held against each other, and one against itself is no question', () => {
    render(
      <AskedComparison
        question="Does feed 1 beat feed 2?"
        agreed={null}
        analysis={analysis}
        printValue={print}
      />,
    );
    unfold('Hold any two against each other');
    fireEvent.change(screen.getByLabelText('against'), { target: { value: 'feed 2' } });
    expect(screen.getByRole('status')).toHaveTextContent(
      /^Yes: feed 1 gave 1\d\d g more than feed 2/,
    );
    fireEvent.change(screen.getByLabelText('Hold'), { target: { value: 'feed 2' } });
    fireEvent.change(screen.getByLabelText('against'), { target: { value: 'feed 1' } });
    expect(screen.getByRole('status')).toHaveTextContent(
      /^No, feed 1 did better: feed 2 gave 1\d\d g less than feed 1/,
    );
    fireEvent.change(screen.getByLabelText('Hold'), { target: { value: 'plain water' } });
    fireEvent.change(screen.getByLabelText('against'), { target: { value: 'feed 2' } });
    expect(screen.getByRole('status')).toHaveTextContent(
      /^Not settled: plain water gave \d+ g (more|less) than feed 2/,
    );
    fireEvent.change(screen.getByLabelText('Hold'), { target: { value: 'feed 2' } });
    expect(screen.getByRole('status')).toHaveTextContent('Choose two that differ.');
  });
});

test('of days one comes later or sooner, and gives nothing', () => {
  const days: Analysis = {
    ...analysis,
    input: { ...analysis.input, outcome: 'time', better: 'higher' },
  };
  render(<AskedComparison question="Later?" agreed={null} analysis={days} printValue={print} />);
  unfold('Hold any two against each other');
  fireEvent.change(screen.getByLabelText('against'), { target: { value: 'feed 2' } });
  expect(screen.getByRole('status')).toHaveTextContent(/feed 1 came .* later than feed 2/);
});

test('what was agreed on before the start is held by itself, what comes to mind later with all pairs', () => {
  render(
    <AskedComparison
      question="Does feed 1 beat feed 2?"
      agreed={{ one: ['feed 2'], other: ['plain water'] }}
      analysis={analysis}
      printValue={print}
    />,
  );
  const agreedP = /\(p (0\.\d+)\)/.exec(screen.getByRole('status').textContent)?.[1];
  expect(
    screen.getByText(/^Agreed on before the start as what the question is about/),
  ).toBeVisible();
  fireEvent.change(screen.getByLabelText('against'), { target: { value: 'feed 1' } });
  expect(
    screen.getByText(/Agreed on before the start was feed 2 against plain water\./),
  ).toBeVisible();
  const pair = analysis.judgement.pairs.find(
    each => [each.a, each.b].includes('feed 2') && [each.a, each.b].includes('plain water'),
  );
  if (!pair?.estimable) throw new Error('the fixture must be able to compare');
  expect(Number(agreedP)).toBeCloseTo(pair.p ?? 0, 3);
  expect(pair.p ?? 1).toBeLessThan(pair.pAdjusted ?? 0);
});

test('a regret is kept for the next one; too short a one says so and stays', async () => {
  const user = userEvent.setup();
  const keep = jest
    .fn()
    .mockResolvedValueOnce(
      failure({ kind: 'invalid', fields: { text: 'Write what you would do otherwise.' } }),
    )
    .mockResolvedValueOnce(success(true));
  render(<RegretForm keep={keep} />);
  const field = screen.getByLabelText('What would you do otherwise?');
  await user.type(field, 'no');
  await user.click(screen.getByRole('button', { name: 'Keep it for the next one' }));
  expect(await screen.findByText('Write what you would do otherwise.')).toBeVisible();
  expect(field).toHaveValue('no');
  await user.type(field, 't so late');
  await user.click(screen.getByRole('button', { name: 'Keep it for the next one' }));
  await waitFor(() => expect(field).toHaveValue(''));
  expect(keep).toHaveBeenLastCalledWith({ text: 'not so late' });
});

describe('how firm it is', () => {
  test('each unit is left out in turn, and none turns a clear verdict', async () => {
    const user = userEvent.setup();
    render(
      <Sensitivity
        trial={data.trial}
        analysis={analysis}
        position={{ gradientP: 0.4, towards: 'the left', neighbours: { likeness: 0.1, p: 0.3 } }}
        readerWords={[]}
      />,
    );
    expect(screen.getByText(/all three ways of counting are one/)).toBeVisible();
    expect(screen.getByText(/^No slope is left along or across the bench/)).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Leave each pot out in turn' }));
    await waitFor(
      () =>
        expect(
          screen.getByText(
            /^Whichever one of the 12 is left out|would change a call if left out:$/,
          ),
        ).toBeVisible(),
      { timeout: 20_000 },
    );
  });
  test('with a unit left out the three sets stand beside each other', () => {
    const [first] = data.units;
    const less: TrialData = {
      ...data,
      incidents: [leaveOutFixture(first!, { byTreatment: 'no' })],
    };
    render(
      <Sensitivity
        trial={data.trial}
        analysis={analyse(
          less,
          { ...plannedSpec(less, STARTING_GUESS_CV), shuffles: 0 },
          judgeWithoutShuffle,
        )}
        position={{ gradientP: 0.001, towards: 'the right', neighbours: null }}
        readerWords={['The reader’s own error: none to speak of.']}
      />,
    );
    expect(
      within(screen.getByRole('region', { name: 'The verdict by what is counted' }))
        .getAllByRole('row')
        .map(row => row.textContent?.match(/\d+ pots/)?.[0]),
    ).toEqual([undefined, '12 pots', '11 pots', '11 pots']);
    expect(screen.getByText(/^What is left rises towards the right of the bench/)).toBeVisible();
    expect(screen.getByText('The reader’s own error: none to speak of.')).toBeVisible();
  });
});

test('seasons in which nothing works are grown and counted', async () => {
  const user = userEvent.setup();
  render(<NullSimulation analysis={analysis} />);
  await user.click(screen.getByText('Try it with no effect'));
  await user.click(screen.getByRole('button', { name: 'Grow one season' }));
  await user.click(screen.getByRole('button', { name: 'Grow 20' }));
  expect(screen.getByRole('status')).toHaveTextContent(
    /^\d+ of 21 seasons with nothing in them were called/,
  );
  expect(screen.getAllByRole('listitem')).toHaveLength(8);
  await user.click(screen.getByRole('button', { name: 'Clear' }));
  expect(screen.queryAllByRole('listitem')).toHaveLength(0);
});

describe('a series of doses', () => {
  const treatments = trial.treatments.map((treatment, i) => ({
    ...treatment,
    name: `${2 * i} cm`,
    dose: 2 * i,
  }));
  const dosed: TrialData = {
    ...data,
    treatments,
    picks: trial.units.map((unit, i) =>
      pickFixture(unit, { netG: 300 + 60 * at(unit) + 3 * (i % 4) }),
    ),
  };
  const dosedLook = analyse(
    dosed,
    { ...plannedSpec(dosed, STARTING_GUESS_CV), shuffles: 0 },
    judgeWithoutShuffle,
  );
  test('shows trend and curve, and the dose that leaves the most for the money', () => {
    const doses = dosesOf(dosed, dosedLook);
    if (!doses) throw new Error('must be a series');
    render(
      <DosePanel
        doses={doses}
        printValue={print}
        roundUnit={() => 1}
        isWeight
        unitWord="box"
        worthPerKg={3}
      />,
    );
    expect(screen.getByText(/^Each extra cm of feed adds about \d+ g/)).toBeVisible();
    fireEvent.change(screen.getByLabelText('Each extra cm of feed costs, a box'), {
      target: { value: '5' },
    });
    expect(screen.getByRole('status')).toHaveTextContent(/^The most is left at 0:/);
    fireEvent.change(screen.getByLabelText('Each extra cm of feed costs, a box'), {
      target: { value: '0' },
    });
    expect(screen.getByRole('status')).toHaveTextContent(/^The most is left at 4:/);
    fireEvent.change(screen.getByLabelText('A kilogram is worth'), {
      target: { value: 'priceless' },
    });
    expect(screen.getByLabelText('A kilogram is worth')).toBeInvalid();
    expect(screen.getByText('A figure, such as 0.60.')).toBeVisible();
    expect(screen.queryByText(/^The most is left/)).toBeNull();
  });
  test('treatments without doses are no series', () => {
    expect(dosesOf(data, analysis)).toBeNull();
  });
});

describe('counts, shares, steps and days', () => {
  const unit = (
    id: number,
    treatment: string,
    value: number,
    changes: Partial<JudgedUnit> = {},
  ): JudgedUnit => ({ id: String(id), treatment, blocks: [], value, ...changes });
  const lookAt = (outcome: Outcome, units: readonly JudgedUnit[]): Analysis => {
    const input = judgeInputFixture(units, { outcome, response: 'first bite', control: 'plain' });
    const judged = judgeWithoutShuffle(input);
    return { spec: analysis.spec, input, judgement: judged, allIn: null, sound: null };
  };
  const showTable = (look: Analysis) =>
    render(<CallsTable analysis={look} tags={[]} printValue={printFigure} />);
  test('days: who still waits is drawn, and the median that never came is said', () => {
    const look = lookAt('time', [
      ...[40, 40, 40, 40].map((days, i) => unit(i, 'soap', days, { hasCome: false })),
      ...[9, 11, 8, 11].map((days, i) => unit(10 + i, 'plain', days, { hasCome: true })),
    ]);
    expect(look.judgement.verdict.headline).toBe('Soap beat plain: first bite 30 days later.');
    render(<WaitingCurves input={look.input} />);
    expect(
      screen.getByRole('img', { name: 'Share still waiting, day by day, of soap, plain' }),
    ).toBeVisible();
    showTable(look);
    expect(screen.getByText('0 of 4 came, fewer than half')).toBeVisible();
    expect(screen.getByText(/^\+\d+ days to \+\d+ days$/)).toBeVisible();
  });
  test('steps: their middle, the shift in steps, and the chance of a better one in the sentence', () => {
    const look = lookAt('ordinal', [
      ...[4, 5, 5, 4].map((step, i) => unit(i, 'soap', step)),
      ...[1, 2, 1, 2].map((step, i) => unit(10 + i, 'plain', step)),
    ]);
    expect(look.judgement.verdict.headline).toBe('Soap beat plain: higher in 100 of 100 pairs.');
    showTable(look);
    expect(screen.getByText('middle 4.5')).toBeVisible();
    expect(screen.getByText('+3 steps')).toBeVisible();
  });
  test('shares: k of n, in points', () => {
    const look = lookAt('proportion', [
      ...[18, 19, 17, 20].map((k, i) => unit(i, 'soap', k, { outOf: 20 })),
      ...[9, 8, 10, 7].map((k, i) => unit(10 + i, 'plain', k, { outOf: 20 })),
    ]);
    expect(look.judgement.verdict.headline).toBe('Soap beat plain: 50 points more.');
    showTable(look);
    expect(screen.getByText(/74 of 80 \(93%\)/)).toBeVisible();
    expect(screen.getByText('+50 points')).toBeVisible();
  });
  test('their dots stand where they were read, not in percent of the control', () => {
    const look = lookAt('proportion', [
      ...[18, 19].map((k, i) => unit(i, 'soap', k, { outOf: 20 })),
      ...[9, 8].map((k, i) => unit(10 + i, 'plain', k, { outOf: 20 })),
    ]);
    const tag = { name: 'soap', letter: 'S', index: 0 } as Parameters<typeof dotRowsOf>[1][number];
    const { axis, rows } = dotRowsOf(look, [tag], String);
    expect([axis, rows[0]?.points.map(point => point.x)]).toEqual(['value', [0.9, 0.95]]);
  });
  test('found along the way is said, with the way back and the other way to judge it', () => {
    const look = lookAt(
      'count',
      [3, 4, 5, 4].map((value, i) => unit(i, i < 2 ? 'plain' : 'soap', value)),
    );
    const aphids = { ...made('slugs', '00000000-0000-7000-8000-0000000000d2'), isMain: false };
    const { rerender } = render(
      <>
        <MeasureNote trialId="t" measure={aphids} input={look.input} spec={look.spec} />
        <OtherWay trialId="t" measure={aphids} input={look.input} spec={look.spec} />
      </>,
    );
    expect(screen.getByText(/found along the way/)).toBeVisible();
    expect(screen.getByRole('link', { name: 'Judge it by means instead' })).toHaveAttribute(
      'href',
      `/trials/t/judge?measure=${aphids.id}&by=means`,
    );
    rerender(
      <MeasureNote
        trialId="t"
        measure={aphids}
        input={look.input}
        spec={{ ...look.spec, by: 'means' }}
      />,
    );
    expect(screen.getByText(/By its mean, because you chose so/)).toBeVisible();
  });
});

test('how they grew is worked out when it is asked for, and says when there were too few looks', async () => {
  const height = made('height', '00000000-0000-7000-8000-0000000000d1');
  const user = userEvent.setup();
  const readings = [4, 8, 12, 16, 20, 24, 28].flatMap(day =>
    trial.units.map(unit =>
      readingFixture(unit, height, 300 / (1 + Math.exp((20 - day) / 5)), {
        takenOn: `2026-05-${String(1 + day).padStart(2, '0')}`,
      }),
    ),
  );
  const { rerender } = render(
    <GrowthPanel
      data={{ ...data, measures: [...data.measures, height], readings }}
      measure={height}
    />,
  );
  await user.click(screen.getByText('How they grew'));
  await waitFor(() =>
    expect(screen.getByRole('row', { name: /^plain water an S 300 20$/ })).toBeVisible(),
  );
  rerender(
    <GrowthPanel
      data={{ ...data, measures: [...data.measures, height], readings: readings.slice(0, 24) }}
      measure={height}
    />,
  );
  expect(screen.getByText('Growth curves want at least five days of readings.')).toBeVisible();
});

test('other seasons stand one by one and together; rivals and next steps have their reasons', () => {
  render(
    <SeasonsPanel
      trialId="b"
      seasons={[
        {
          treatment: 'feed 1',
          control: 'plain water',
          seasons: [
            seasonOf('a', 12, [-3, 29]),
            seasonOf('b', 30, [14, 48]),
            { ...seasonOf('c', 90, [60, 130]), crop: 'onions' },
            { ...seasonOf('d', -100, [0, 0]), percentCi: null, logRatio: null },
          ],
        },
      ]}
    />,
  );
  const rows = () => screen.getAllByRole('row').map(row => row.textContent ?? '');
  expect(rows()[1]).toContain('Feed? · beans+12%−3% to +29%');
  expect(rows()[2]).toContain('this trial+30%+14% to +48%');
  expect(rows()[4]).toContain('can’t be taken in');
  expect(rows()[5]).toMatch(/^these 2 together\+21%/);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Take in 1 October 2026' }));
  expect(rows()[5]).toMatch(/^these 3 together\+40%/);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Take in 1 October 2026' }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'Take in 1 October 2024' }));
  expect(rows()[5]).toBe('togetherTwo seasons at least.');
  expect(screen.getByRole('checkbox', { name: 'Take in 1 October 2025' })).toBeDisabled();
  render(<AlternativeExplanations explanations={[]} />);
  expect(screen.getByText(/Nothing that the map, the log or the mishaps point to/)).toBeVisible();
  render(
    <NextSteps
      trialId="t"
      steps={[
        { treatment: 'feed 1', step: 'again', says: 'Test it again with about 9 pots of each.' },
      ]}
      lessons={['Pots treated alike differed by 14%.']}
      unitWord="pot"
      askWhatIsLeft={null}
      regret={jest.fn()}
    />,
  );
  expect(screen.getByRole('link', { name: 'Make the next trial from this one' })).toHaveAttribute(
    'href',
    '/trials/new?after=t',
  );
});
