'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { fullDay } from '@/core/time/days';
import type { TrialSummary } from '@/core/trial/trial-summary';
import { pluralOf } from '@/core/words/plural';
import { EmptyBench } from '@/features/today/EmptyBench';
import { Button } from '@/ui/Button';
import { Link } from '@/ui/Link';
import { Page } from '@/ui/Page';
import { ActionTrouble } from './ActionTrouble';
import { PutAwayList, type WholeTrialDoors } from './PutAway';
import { SearchTrials } from './SearchTrials';
import { TakeIn } from './TakeIn';
import { isFound, type TrialSearch } from './trial-search';
import { Unreadable } from './Unreadable';
import { useTrialAction } from './use-trial-action';

interface TrialListProps extends WholeTrialDoors {
  readonly summaries: readonly TrialSummary[];
  readonly broken: readonly { readonly id: string; readonly question: string }[];
}

/** Every trial of the garden with where it stands. */
export function TrialList({ summaries, broken, ...doors }: TrialListProps) {
  const { trouble, isPending, run } = useTrialAction();
  const all = summaries.filter(summary => !summary.isPutAway);
  const [search, setSearch] = useState<TrialSearch>({ words: '', show: 'all' });
  const listed = all.filter(summary => isFound(summary, search));
  return (
    <Page>
      <Head>
        <h1>Trials</h1>
        {all.length > 0 && <Link href="/trials/new">Ask a new question</Link>}
      </Head>
      <Unreadable trials={broken} />
      <ActionTrouble trouble={trouble} />
      {summaries.length === 0 ? (
        <EmptyBench />
      ) : (
        <>
          {all.length >= WORTH_SEARCHING && <SearchTrials search={search} change={setSearch} />}
          {all.length > 0 && listed.length === 0 && <p role="status">None is like that.</p>}
          <Rows>
            {listed.map(summary => (
              <li key={summary.trial.id}>
                <Link href={`/trials/${summary.trial.id}/${stepFor(summary)}`}>
                  {summary.trial.question}
                </Link>
                <p>{summary.headline ?? stateWords(summary)}</p>
                <small>
                  {summary.trial.crop} ·{' '}
                  {summary.units > 0
                    ? `${summary.units} ${pluralOf(summary.trial.unitWord)}`
                    : 'not laid out'}{' '}
                  · {fullDay(summary.trial.startsOn)} to {fullDay(summary.trial.endsOn)}{' '}
                  <Button
                    data-tone="quiet"
                    isPending={isPending}
                    aria-label={`Put away: ${summary.trial.question}`}
                    onPress={() => run(() => doors.putAway(summary.trial.id))}
                  >
                    Put away
                  </Button>
                </small>
              </li>
            ))}
          </Rows>
        </>
      )}
      <PutAwayList summaries={summaries.filter(summary => summary.isPutAway)} {...doors} />
      <TakeIn />
    </Page>
  );
}

/** Fewer are in sight at once. */
const WORTH_SEARCHING = 5;

function stepFor({ trial }: TrialSummary): string {
  return { planned: 'lay-out', locked: 'weigh', closed: 'judge' }[trial.state];
}

function stateWords({ trial, units, unitsRead }: TrialSummary): string {
  if (trial.state === 'planned')
    return units === 0 ? 'Asked, not laid out yet.' : 'Dealt, plan not locked yet.';
  return `Running${trial.isBlind && !trial.keyOpenedAt ? ', blind' : ''}: ${unitsRead} of ${units} ${pluralOf(trial.unitWord)} read.`;
}

const Head = styled.div`
  display: flex; justify-content: space-between; align-items: baseline; gap: 24px; flex-wrap: wrap;
  & a { font-weight: 600; background: var(--clay); color: var(--on-clay); padding: 10px 20px; text-decoration: none; border-radius: 2px; }
`;

const Rows = styled.ul`
  list-style: none; margin: 0; padding: 0; border-top: 1px solid var(--ink);
  & li { border-bottom: 1px solid var(--rule); padding: 14px 0; display: grid; gap: 2px; grid-template-columns: minmax(0, 5fr) minmax(0, 6fr); column-gap: 40px; }
  & a { font-family: var(--font-heading), sans-serif; font-size: 1.25rem; font-weight: 650; text-decoration-color: transparent; grid-row: span 2; }
  & a:hover { text-decoration-color: var(--ink); }
  & small { color: var(--ink-soft); font-size: 0.9375rem; }
  @media (max-width: 900px) { & li { grid-template-columns: minmax(0, 1fr); } & a { grid-row: auto; } }
`;
