import { act, renderHook } from '@testing-library/react';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { type Analysis, analyse, plannedSpec } from '@/core/judge/units/trial-analysis';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { useJudgement } from './use-judgement';

const jobs: { readonly spec: unknown; readonly finish: (analysis: Analysis) => void }[] = [];
jest.mock('@/workers/judge-job', () => ({
  startJudging: (_data: unknown, spec: unknown) => {
    let cancel = (): void => undefined;
    const result = new Promise<Analysis>((resolve, reject) => {
      jobs.push({ spec, finish: resolve });
      cancel = () => reject(new DOMException('cancelled', 'AbortError'));
    });
    return { result, cancel: () => cancel() };
  },
}));

const trial = trialFixture({ treatments: 2, unitsEach: 4 });
const data: TrialData = {
  ...trial,
  picks: trial.units.map((unit, i) => pickFixture(unit, { netG: 100 + i })),
};
const first = analyse(
  data,
  { ...plannedSpec(data, STARTING_GUESS_CV), shuffles: 0 },
  judgeWithoutShuffle,
);
const many = { ...first.spec, shuffles: 1_000_000 };
const show = (given: TrialData | null) =>
  renderHook(({ of }: { readonly of: TrialData | null }) => useJudgement(of, first), {
    initialProps: { of: given },
  });

beforeEach(() => {
  jobs.length = 0;
});

test('what is asked before the trial is there waits for it, and is done then', async () => {
  const { result, rerender } = show(null);
  act(() => result.current.judge(many));
  expect(jobs).toHaveLength(0);
  expect(result.current).toMatchObject({
    status: 'running',
    progress: { done: 0, total: 1_000_000 },
  });
  rerender({ of: data });
  expect(jobs.map(job => job.spec)).toEqual([many]);
  const found = { ...first, spec: many };
  await act(async () => jobs[0]?.finish(found));
  expect(result.current).toMatchObject({ status: 'ready', progress: null });
  expect(result.current.analysis).toBe(found);
});

test('stopped while it waits, it is not done when the trial comes', () => {
  const { result, rerender } = show(null);
  act(() => result.current.judge(many));
  act(() => result.current.cancel());
  expect(result.current).toMatchObject({ status: 'stopped', progress: null });
  rerender({ of: data });
  expect(jobs).toHaveLength(0);
  expect(result.current.analysis).toBe(first);
});

test('stopped while it runs, what stood there stays; run again, it counts', async () => {
  const { result } = show(data);
  act(() => result.current.judge(many));
  await act(async () => result.current.cancel());
  expect(result.current).toMatchObject({ status: 'stopped', progress: null });
  act(() => result.current.judge(first.spec));
  const again = { ...first };
  await act(async () => jobs[1]?.finish(again));
  expect(result.current.analysis).toBe(again);
});
