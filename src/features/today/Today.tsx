'use client';

import { styled } from 'styled-components';
import type { SeenDue } from '@/core/blinding/bottle-steps';
import type { Result } from '@/core/result';
import type { DueToday } from '@/core/schedule/tasks/due-today';
import { longDay, shortDay } from '@/core/time/days';
import { daysBetween } from '@/core/time/garden-day';
import type { TrialSummary } from '@/core/trial/trial-summary';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import type { WeatherDay } from '@/core/weather/weather-day';
import { counted } from '@/core/words/plural';
import { UnreadProducts } from '@/features/shelf/UnreadProducts';
import { DueBoard } from '@/features/tend/DueBoard';
import type { Untick } from '@/features/tend/DueSteps';
import { Unreadable } from '@/features/trial/Unreadable';
import { FirstFew } from '@/ui/FirstFew';
import { HowFar } from '@/ui/HowFar';
import { Link } from '@/ui/Link';
import { Page, Soft } from '@/ui/Page';
import { EmptyBench } from './EmptyBench';
import { type Errand, errandOf } from './errand';
import { WeatherWords } from './WeatherWords';

interface TodayProps {
  readonly summaries: readonly TrialSummary[];
  /** Trials that can't be read. */
  readonly broken: readonly { readonly id: string; readonly question: string }[];
  readonly brokenProducts: readonly { readonly id: string; readonly name: string }[];
  readonly today: string;
  readonly due: SeenDue;
  readonly weather: WeatherDay | undefined;
  readonly lookIntoBottles: () => Promise<Result<DueToday, TrialTrouble>>;
  readonly tick: (trialId: string, input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly untick: Untick;
}

/** What wants doing today, trial by trial, and what the last closed ones found. */
export function Today({
  summaries,
  broken,
  brokenProducts,
  today,
  due,
  weather,
  tick,
  untick,
  lookIntoBottles,
}: TodayProps) {
  const errands = summaries.flatMap(summary => errandOf(summary, today));
  const running = summaries.filter(summary => summary.trial.state === 'locked');
  const found = summaries.filter(summary => summary.headline !== null);
  return (
    <Page>
      <h1>{longDay(today)}</h1>
      <WeatherWords day={weather} />
      <Unreadable trials={broken} />
      <UnreadProducts products={brokenProducts} />
      {summaries.length === 0 ? (
        <EmptyBench />
      ) : (
        <>
          <Errands errands={errands} />
          {due.steps.length > 0 && (
            <section>
              <h2>To tend</h2>
              <DueBoard
                due={due}
                today={today}
                tick={tick}
                untick={untick}
                lookIntoBottles={lookIntoBottles}
                namesTrial
              />
            </section>
          )}
          {errands.length === 0 && due.steps.length === 0 && (
            <Soft>
              Nothing wants doing. <Link href="/trials/new">Ask a new question</Link>, or let things
              grow.
            </Soft>
          )}
          {running.length > 0 && <RunningTrials running={running} today={today} />}
          {found.length > 0 && (
            <section>
              <h2>Found so far</h2>
              <FirstFew of={found} first={3}>
                {shown => (
                  <Found>
                    {shown.map(({ trial, headline }) => (
                      <li key={trial.id}>
                        <Link href={`/trials/${trial.id}/judge`}>{headline}</Link>
                        <Soft>{trial.question}</Soft>
                      </li>
                    ))}
                  </Found>
                )}
              </FirstFew>
            </section>
          )}
        </>
      )}
    </Page>
  );
}

function Errands({ errands }: { readonly errands: Errand[] }) {
  return (
    <FirstFew of={errands} first={FIRST}>
      {shown => (
        <Round aria-label="What wants doing">
          {shown.map(errand => (
            <li key={errand.id}>
              <Link href={errand.href}>
                <b>{errand.amount}</b>
                <span>
                  <strong>{errand.act}</strong>
                  <small>{errand.why}</small>
                </span>
              </Link>
            </li>
          ))}
        </Round>
      )}
    </FirstFew>
  );
}

interface RunningTrialsProps {
  readonly running: TrialSummary[];
  readonly today: TodayProps['today'];
}

function RunningTrials({ running, today }: RunningTrialsProps) {
  return (
    <section>
      <h2>Under way</h2>
      <FirstFew of={running} first={FIRST}>
        {shown => (
          <UnderWay>
            {shown.map(summary => (
              <li key={summary.trial.id}>
                <Link href={`/trials/${summary.trial.id}/weigh`}>{summary.trial.question}</Link>
                <span>
                  {dayWords(summary, today)} ·{' '}
                  <Link href={`/trials/${summary.trial.id}/tend#work`}>Time the work</Link>
                </span>
                <HowFar
                  label={`Season of ${summary.trial.crop}`}
                  done={seasonShare(summary, today)}
                  of={1}
                  tone="soft"
                />
              </li>
            ))}
          </UnderWay>
        )}
      </FirstFew>
    </section>
  );
}

const FIRST = 12;

function seasonShare({ trial }: TrialSummary, today: string): number {
  return Math.min(
    1,
    Math.max(
      0,
      daysBetween(trial.startsOn, today) / Math.max(1, daysBetween(trial.startsOn, trial.endsOn)),
    ),
  );
}

function dayWords({ trial, unitsRead, units }: TrialSummary, today: string): string {
  const day = daysBetween(trial.startsOn, today);
  const season =
    day < 0
      ? `begins on ${shortDay(trial.startsOn)}`
      : `day ${day} of ${daysBetween(trial.startsOn, trial.endsOn)}, to ${shortDay(trial.endsOn)}`;
  return `${season} · ${unitsRead} of ${counted(units, trial.unitWord)} read`;
}

const UnderWay = styled.ul`
  list-style: none; margin: 12px 0 0; padding: 0; display: grid; gap: 16px;
  & li { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 4px 24px; }
  & a { font-weight: 600; } & span { color: var(--ink-soft); }
  @media (max-width: 640px) { & li { grid-template-columns: minmax(0, 1fr); } }
`;

const Round = styled.ul`
  list-style: none; margin: 0; padding: 0; border-top: 1px solid var(--ink);
  & li { border-bottom: 1px solid var(--rule); }
  & a { display: grid; grid-template-columns: 220px 1fr; gap: 24px; align-items: baseline; padding: 14px 0; text-decoration: none; }
  & a:hover strong { text-decoration: underline; text-underline-offset: 3px; }
  & b { font-family: var(--font-heading), sans-serif; font-size: 1.75rem; font-weight: 650; line-height: 1.1; }
  & strong { display: block; font-size: 1.125rem; }
  & small { font-size: 1rem; color: var(--ink-soft); }
  @media (max-width: 640px) { & a { grid-template-columns: 1fr; gap: 4px; } }
`;

const Found = styled.ul`
  list-style: none; margin: 12px 0 0; padding: 0; display: grid; gap: 12px;
  & a { font-size: 1.25rem; font-family: var(--font-heading), sans-serif; font-weight: 600; text-decoration-color: var(--leaf); text-decoration-thickness: 3px; }
`;
