'use client';

import { useEffect, useRef, useState } from 'react';
import { styled } from 'styled-components';
import { v7 } from 'uuid';
import { readBench } from '@/core/design/layouts/bench-form';
import { readQuestion } from '@/core/design/question/question-form';
import { questionPattern } from '@/core/design/question/question-patterns';
import type { QuestionForm } from '@/core/design/question/question-shape';
import type { DryRun } from '@/core/judge/planning/dry-run';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import { plannedReadingOf } from '@/core/judge/planning/planning-guess';
import { agreedComparisonOf } from '@/core/judge/question/agreed-comparison';
import { failure, type Result, success } from '@/core/result';
import { daysBetween } from '@/core/time/garden-day';
import { Button } from '@/ui/Button';
import { Soft } from '@/ui/Page';
import { type Planner, startPlanner } from '@/workers/planner-job';

const USUAL_BENCH = {
  kind: 'complete-blocks',
  unitsEach: '1',
  blockCount: '6',
  blockWord: 'shelf',
  unitWidth: '25 cm',
  isBlind: true,
} as const;
const USUAL_CV = 0.2;

/** What the trial would say in three made-up seasons: does that answer the question? */
export function DryRunPanel({ form }: { readonly form: QuestionForm }) {
  const [runs, setRuns] = useState<readonly DryRun[]>();
  const [says, setSays] = useState('');
  const seed = useRef(1);
  const planner = useRef<Planner>(null);
  useEffect(() => () => planner.current?.end(), []);
  const start = (): void => {
    const planned = plannedOf(form);
    setSays(planned.ok ? '' : planned.trouble);
    if (!planned.ok) {
      setRuns(undefined);
      return;
    }
    const failed = (): void => setSays('The made-up seasons could not be judged.');
    planner.current ??= startPlanner(failed);
    planner.current.dryRuns(planned.value, USUAL_CV, seed.current++).then(setRuns, failed);
  };
  return (
    <Dry aria-label="Dry run">
      <h3>Would the answer fit the question?</h3>
      {runs && (
        <dl>
          {runs.map(run => (
            <div key={run.story}>
              <dt>{run.story}</dt>
              <dd>
                <b>{run.headline}</b>
                <small>{run.detail}</small>
              </dd>
            </div>
          ))}
        </dl>
      )}
      {runs && (
        <Soft>
          Made-up readings, with a spread of 20%. If these sentences are not what you want to know,
          ask otherwise now.
        </Soft>
      )}
      {says && <p role="status">{says}</p>}
      <Button onPress={start}>
        {runs ? 'Another made-up season' : 'Try it with made-up readings'}
      </Button>
    </Dry>
  );
}

/** The question as a trial that could be dealt, on the bench that its pattern takes; or why it is none yet. */
function plannedOf(form: QuestionForm): Result<PlannedTrial, string> {
  const question = readQuestion(form, 'uk', () => v7());
  if (!question.ok) return failure('Fill in the question first: its lines are not all written.');
  const { facts, treatments, measures } = question.value;
  const main = measures.find(measure => measure.isMain);
  const own = { ...USUAL_BENCH, ...questionPattern(facts.pattern)?.bench };
  const benches = [own, USUAL_BENCH].map(bench => readBench(bench, 'uk', treatments));
  const bench = benches.find(each => each.ok);
  if (!bench || !main) return failure('This can’t be laid out yet.');
  const { response, better, margin } = main;
  const { unitWord } = facts;
  return success({
    request: bench.value,
    treatments,
    unitWord,
    response,
    better,
    margin,
    reading: plannedReadingOf(main.scale, daysBetween(facts.startsOn, facts.endsOn)),
    agreed: agreedComparisonOf(facts.rules, treatments),
    looks: facts.rules.looks,
  });
}

const Dry = styled.section`
  display: grid; gap: 10px; justify-items: start; border-top: 1px solid var(--rule); padding-top: 16px;
  & dl { margin: 0; display: grid; gap: 10px; }
  & dt { color: var(--ink-soft); font-size: 0.9375rem; }
  & dd { margin: 0; max-width: var(--measure); }
  & small { display: block; color: var(--ink-soft); font-size: 0.875rem; }
`;
