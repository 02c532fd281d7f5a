import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { settledGuess } from '@/core/judge/after/prediction-scores';
import { scorecardOf } from '@/core/judge/after/scorecard';
import { judge } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { analyse, plannedSpec } from '@/core/judge/units/trial-analysis';
import { measureFromLibrary } from '@/core/measure/library/own-measure';
import { readingKind } from '@/core/measure/library/reading-library';
import { success } from '@/core/result';
import { predictionFixture } from '@/core/trial/fixtures/prediction-fixture';
import { leaveOutFixture, readingFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { tagsOf } from '@/features/bench/bench-view';
import { DetailsLoading } from '@/features/judge/details/DetailsLoading';
import { VerdictDetails } from './details/VerdictDetails';
import { JudgeView } from './JudgeView';
import type { VerdictPage } from './pages/verdict-pages';

// Drawn on a canvas that only a browser has.
jest.mock('@/features/judge/answer/DotsChart', () => ({ DotsChart: () => null }));
jest.mock('@/features/judge/answer/ShuffleChart', () => ({ ShuffleChart: () => null }));
jest.mock('@/workers/judge-job', () => ({
  startPermutations: jest.fn(() => ({
    result: new Promise(() => undefined),
    cancel: () => undefined,
  })),
}));

const slugs = readingKind('slugs');
if (!slugs) throw new Error('slugs must be in the library');
const bare = trialFixture({ treatments: 2, unitsEach: 5 });
const measure: Measure = {
  ...measureFromLibrary(slugs, '00000000-0000-7000-8000-0000000000e1'),
  isMain: true,
};
const data: TrialData = {
  ...bare,
  measures: [measure],
  incidents: [leaveOutFixture(bare.units[0]!, { byTreatment: 'no' })],
  readings: bare.units.map((unit, i) =>
    readingFixture(unit, measure, (unit.treatmentId === bare.treatments[1]?.id ? 1 : 12) + (i % 3)),
  ),
};
const spec = plannedSpec(data, STARTING_GUESS_CV);
const first = analyse(data, { ...spec, shuffles: 500 }, judge);
const doors = {
  leaveOut: jest.fn(),
  putBackIn: jest.fn().mockResolvedValue(success(true)),
  askWhatIsLeft: jest.fn(),
  regret: jest.fn(),
  close: jest.fn().mockResolvedValue(success(true)),
};

describe('the verdict on a main measure that is no mean', () => {
  const show = (changes: Partial<Parameters<typeof JudgeView>[0]> = {}) => {
    global.fetch = jest.fn(() => new Promise<Response>(() => undefined));
    return render(
      <JudgeView
        trial={data.trial}
        measure={measure}
        amendments={[]}
        tags={tagsOf(data)}
        frozen={null}
        interimLooks={0}
        guesses={{ guesses: [], records: [], measures: [] }}
        first={first}
        system="uk"
        efficacy={null}
        germination={null}
        {...doors}
        {...changes}
      />,
    );
  };
  test('stands with what must be known beside it, before the rest has come', () => {
    show({ interimLooks: 2, trial: { ...data.trial, interest: 'She sells it.' } });
    expect(
      screen.getByRole('heading', {
        level: 2,
        name: /^Feed 1 gave \d+% fewer slugs found than plain water\.$/,
      }),
    ).toBeVisible();
    expect(screen.getByText(/^Counts spread more the more there are of them/)).toBeVisible();
    expect(screen.getByRole('region', { name: 'Shuffle test' })).toHaveTextContent(
      /turns up in .* shuffles/,
    );
    expect(screen.queryByText('back to the main measure')).toBeNull();
    expect(screen.getByText('The trial is still open: this is how it stands today.')).toBeVisible();
    expect(screen.getByText(/^Looked at on 2 days before the end/)).toBeVisible();
    expect(screen.getByText('Interest declared: She sells it.')).toBeVisible();
    expect(screen.getByRole('status')).toHaveTextContent('on its way');
    expect(global.fetch).toHaveBeenCalledWith(
      `/api/verdict/${data.trial.id}?measure=${measure.id}`,
      expect.anything(),
    );
  });
  test('of a closed trial says when it was frozen, what it said then, and what was guessed', () => {
    show({
      trial: { ...data.trial, state: 'closed' },
      frozen: { closedAt: '2026-08-02T10:00:00.000Z', headline: 'Nothing beat plain water.' },
      guesses: {
        guesses: [
          settledGuess(
            predictionFixture({ expects: 'feed 1', why: 'They hate it.' }),
            first.judgement,
          ),
        ],
        measures: data.measures,
        records: [],
      },
    });
    expect(
      screen.getByText(
        /^Closed and frozen on 2 August 2026. It said then: Nothing beat plain water./,
      ),
    ).toBeVisible();
    expect(screen.queryByText(/still open/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'What was expected' }));
    expect(
      within(screen.getByRole('region', { name: 'What was expected' })).getByText('Ines: feed 1'),
    ).toBeVisible();
  });
});

describe('what stands under it', () => {
  const rest = {
    data,
    details: {
      card: scorecardOf(data, spec, () => String),
      bases: [],
      costs: [],
      people: [],
      position: null,
      lostChance: [],
      lessons: ['Guard against it.'],
      seasons: [],
      explanations: [],
    },
    audit: { findings: [], checks: 54 },
    log: [{ at: '2026-06-01T08:00:00.000Z', what: 'plan locked' }],
  };
  const show = (page: VerdictPage, changes: Partial<TrialData> = {}) =>
    render(
      <VerdictDetails
        page={page}
        {...doors}
        rest={{ ...rest, data: { ...data, ...changes } }}
        planned={first.spec}
        spec={first.spec}
        analysis={first}
        system="uk"
        onAnalyse={jest.fn()}
      />,
    );
  test('is a page of all measures', () => {
    show('measures');
    expect(screen.getByRole('row', { name: /^Slugs found/ })).toHaveTextContent('the main one');
  });
  test('is a page of what may have spoiled it, with the bench', () => {
    show('spoiled');
    const left = within(screen.getByRole('region', { name: 'Left out' }));
    expect(left.getByText(/^With everything back in:/)).toHaveTextContent(
      /Feed 1 gave \d+% fewer slugs found than plain water\./,
    );
    expect(
      screen.getByRole('button', { name: new RegExp(`^${data.units[0]?.code},.*left out`) }),
    ).toBeVisible();
  });
  test('is a page of how firm it is, with what was done, and when', async () => {
    show('firm');
    expect(screen.getByRole('region', { name: 'Look at it otherwise' })).toBeVisible();
    expect(await screen.findByText('What was done, and when')).toBeVisible();
  });
  test('is a page of money, which a measure that is no weight has none of', () => {
    show('money');
    expect(
      screen.getByText(/^Costs are set against a weight that was harvested\. Slugs found is/),
    ).toBeVisible();
  });
  test('is a page of what next', () => {
    show('next');
    fireEvent.click(screen.getByRole('button', { name: 'What it teaches the next one' }));
    expect(screen.getByText('Guard against it.')).toBeVisible();
    expect(screen.getByText(/^Feed 1: keep\.$/)).toBeVisible();
  });
  test('lets an open trial be closed and a closed one not', async () => {
    show('answer');
    fireEvent.click(await screen.findByRole('button', { name: 'Close the trial' }));
    const dialog = within(await screen.findByRole('alertdialog', { name: 'Close the trial?' }));
    expect(doors.close).not.toHaveBeenCalled();
    await act(async () => {
      fireEvent.click(dialog.getByRole('button', { name: 'Close it' }));
    });
    expect(doors.close).toHaveBeenCalledTimes(1);
  });
  test('of a closed trial has no door to close it or to put anything back in', async () => {
    const closed = { trial: { ...data.trial, state: 'closed' as const } };
    show('answer', closed);
    await screen.findByRole('region', { name: 'Was the question answered?' });
    expect(screen.queryByRole('button', { name: 'Close the trial' })).toBeNull();
    show('spoiled', closed);
    expect(screen.queryByRole('button', { name: 'Count it again' })).toBeNull();
  });
});

test('a broken connection is said, and tried again', () => {
  const fetchAgain = jest.fn();
  const { rerender } = render(
    <DetailsLoading state={{ rest: null, isFailed: true, fetchAgain }} />,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Fetch it again' }));
  expect(fetchAgain).toHaveBeenCalledTimes(1);
  rerender(
    <DetailsLoading
      state={{
        rest: {
          data,
          details: {
            card: scorecardOf(data, spec, () => String),
            bases: [],
            costs: [],
            people: [],
            position: null,
            lostChance: [],
            lessons: [],
            seasons: [],
            explanations: [],
          },
          audit: { findings: [], checks: 0 },
          log: [],
        },
        isFailed: false,
        fetchAgain,
      }}
    />,
  );
  expect(screen.queryByText(/on its way|broke off/)).toBeNull();
});
