'use client';

import { type ReactNode, useState } from 'react';
import { styled } from 'styled-components';
import { dueCodesOf } from '@/core/blinding/bottle-steps';
import type { Result } from '@/core/result';
import type { DueToday } from '@/core/schedule/tasks/due-today';
import { shortDay, withShortDays } from '@/core/time/days';
import type { HistoryLine } from '@/core/trial/history-line';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { Bench } from '@/features/bench/Bench';
import type { BenchView } from '@/features/bench/bench-view';
import { WriterName } from '@/features/frame/WriterName';
import { Cautions } from '@/features/shelf/Cautions';
import { CareSettingsForm } from '@/features/tend/plan/CareSettingsForm';
import { RuleList } from '@/features/tend/plan/RuleList';
import { Stages } from '@/features/tend/plan/Stages';
import { Known } from '@/features/trial/Known';
import { Link } from '@/ui/Link';
import { Mind, Soft, TwoParts } from '@/ui/Page';
import { useAddress } from '@/ui/pages/address';
import { PageLink, PageNav } from '@/ui/pages/PageNav';
import { Adherence } from './Adherence';
import { Covers } from './Covers';
import { DueBoard } from './DueBoard';
import type { Untick } from './DueSteps';
import { LaidDepth } from './LaidDepth';
import { Ledger } from './Ledger';
import { LogAct } from './LogAct';
import { Missed } from './Missed';
import { PaperLog } from './PaperLog';
import { Reminders } from './Reminders';
import type { TendView } from './tend-scene';
import { Weathered } from './Weathered';

type Acting = (...input: readonly unknown[]) => Promise<Result<unknown, TrialTrouble>>;

interface TendProps {
  readonly view: TendView;
  readonly bench: BenchView | null;
  readonly tick: (trialId: string, input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly stateAll: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly lookIntoBottles: () => Promise<Result<DueToday, TrialTrouble>>;
  readonly untick: Untick;
  readonly history: () => Promise<readonly HistoryLine[]>;
  readonly saveRule: (
    ruleId: string | null,
    input: unknown,
    why: string,
  ) => Promise<Result<unknown, TrialTrouble>>;
  readonly dropRule: (ruleId: string, why: string) => Promise<Result<unknown, TrialTrouble>>;
  readonly log: Acting;
  readonly enterLog: (input: unknown) => Promise<Result<number, TrialTrouble>>;
  readonly changeSettings: Acting;
  readonly dateStage: Acting;
  readonly nameByDepth: Acting;
  /** Where work is timed. */
  readonly work?: ReactNode;
}

const PAGES = [
  { key: 'due', label: 'Due' },
  { key: 'plan', label: 'Care plan' },
  { key: 'given', label: 'What each is given' },
] as const;

/** What is due, the plan it comes from, and what each is given by it: a page each. */
export function Tend(props: TendProps) {
  // Where nothing is planned yet the plan comes first, and stays while it is being made.
  const [first] = useState(props.view.care.rules.length === 0 ? 'plan' : 'due');
  const asked = useAddress().get('page') ?? first;
  const page = PAGES.find(each => each.key === asked)?.key ?? 'due';
  return (
    <>
      <PageNav label="Pages of the care" pages={PAGES} page={page} />
      {page === 'due' && <TendNow {...props} />}
      {page === 'plan' && <ThePlan {...props} />}
      {page === 'given' && <WhatIsGiven {...props} />}
    </>
  );
}

/** What is due and what comes, with the bench; and what can be put down that was not planned. */
function TendNow(props: TendProps) {
  const { view, bench, tick, untick, stateAll, lookIntoBottles, work } = props;
  const { due, care, trial } = view;
  return (
    <TwoParts>
      <div>
        {due.steps.length > 0 && (
          <>
            <h2>Due</h2>
            <DueBoard
              due={due}
              today={view.today}
              tick={tick}
              untick={untick}
              lookIntoBottles={lookIntoBottles}
            />
          </>
        )}
        {trial.state !== 'closed' && care.rules.length > 0 && <WriterName />}
        {trial.state !== 'closed' && (
          <Missed view={view} tick={tick} untick={untick} stateAll={stateAll} />
        )}
        <Weathered view={view} />
        {due.steps.length === 0 && <NothingDue view={view} />}
        {view.coming.length > 0 && <ComingTasks view={view} />}
        {trial.state !== 'closed' && <PutDown {...props} />}
        {work}
      </div>
      <div>
        <BenchDue view={view} bench={bench} />
        <Cautions hazards={view.hazards} extra={waitingWords(view)} />
      </div>
    </TwoParts>
  );
}

function NothingDue({ view: { care, trial, isKeyShut } }: Pick<TendProps, 'view'>) {
  if (care.rules.length === 0)
    return (
      <Soft>
        Nothing is planned yet. <PageLink to="plan">Plan the care</PageLink>
      </Soft>
    );
  return (
    <Soft>
      {isKeyShut && trial.state === 'planned'
        ? 'The bottles get their codes when the plan is locked: nothing is given before.'
        : 'Nothing is due today.'}
    </Soft>
  );
}

/** Which have something due. */
function BenchDue({ view, bench }: Pick<TendProps, 'view' | 'bench'>) {
  const dueCodes = new Set(view.due.steps.flatMap(dueCodesOf));
  if (!bench)
    return (
      <Soft>
        Nothing stands on the bench yet.{' '}
        <Link href={`/trials/${view.trial.id}/lay-out`}>Lay the trial out.</Link>
      </Soft>
    );
  return (
    <Bench
      view={bench}
      label="The bench from above"
      lens={unit => ({
        state: dueCodes.has(unit.code) ? 'open' : 'done',
        share: null,
        words: dueCodes.has(unit.code) ? 'something is due' : (unit.tag?.name ?? unit.where),
      })}
    />
  );
}

/** The care plan: what is done when, what is agreed for all alike, and what is often forgotten. */
function ThePlan(props: TendProps) {
  const { view, saveRule, dropRule, dateStage } = props;
  const { trial } = view;
  return (
    <TwoParts>
      <div>
        <RuleList view={view} save={saveRule} drop={dropRule} />
        {view.limits.map(limit => (
          <Mind key={limit}>{withShortDays(limit)}</Mind>
        ))}
        {view.tooOften.map(each => (
          <p key={each.product} role="alert">
            <b>
              {each.product} is planned {each.planned} times; its label allows {each.most}.
            </b>{' '}
            Plan it less often.
          </p>
        ))}
      </div>
      <div>
        <Reminders
          reminders={view.reminders}
          isLocked={trial.state === 'locked'}
          plan={(draft, why) => saveRule(null, draft, why)}
        />
        <Stages stages={view.stages} isClosed={trial.state === 'closed'} date={dateStage} />
        {trial.state !== 'closed' && (
          <CareSettingsForm
            settings={view.care.settings}
            unitWord={trial.unitWord}
            system={view.system}
            save={props.changeSettings}
            thirst={view.thirst}
          />
        )}
        <Known facts={view.facts} />
        <Cautions hazards={view.hazards} extra={waitingWords(view)} />
      </div>
    </TwoParts>
  );
}

/** What each treatment gets by the plan and got so far, under which covers, and how the plan was kept. */
function WhatIsGiven({ view, untick, history }: TendProps) {
  if (view.care.rules.length === 0 && view.recent.length === 0)
    return (
      <Soft>
        Nothing is planned yet. What each {view.trial.unitWord} is given, and what is in it, stands
        here once it is. <PageLink to="plan">Plan the care</PageLink>
      </Soft>
    );
  return (
    <>
      <Ledger view={view} />
      <Covers lines={view.covers} unitWord={view.trial.unitWord} codes={view.codes} />
      <Adherence view={view} untick={untick} history={history} />
    </>
  );
}

/** What was done without having been planned, and how deep a layer really is. */
function PutDown({ view, log, enterLog, nameByDepth }: TendProps) {
  const { treatments, codes, trial, today, areaM2, system, care } = view;
  const planned = care.rules.filter(rule => !rule.isUnplanned);
  return (
    <>
      <LogAct
        treatments={view.isKeyShut ? [] : treatments}
        codes={codes}
        unitWord={trial.unitWord}
        today={today}
        shelf={view.shelf}
        log={log}
      />
      {planned.length > 0 && <PaperLog steps={view.logNames} enter={enterLog} />}
      {areaM2 !== null && (
        <LaidDepth
          treatments={treatments}
          areaM2={areaM2}
          unitWord={trial.unitWord}
          system={system}
          name={nameByDepth}
        />
      )}
    </>
  );
}

function ComingTasks({ view }: { readonly view: TendView }) {
  return (
    <section aria-label="Coming">
      <h2>Coming</h2>
      <Coming>
        {view.coming.map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two steps of one name may fall on one day, and nothing here is typed into.
          <li key={`${step.name} ${step.dueOn} ${i}`}>
            <b>{step.dueOn === null ? `at ${step.waitsFor}` : shortDay(step.dueOn)}</b> {step.name}
          </li>
        ))}
      </Coming>
      <p>
        <a href={`/trials/${view.trial.id}/calendar`} download>
          Take it into a calendar (iCalendar)
        </a>
      </p>
    </section>
  );
}

/** Days before harvest and hours off the bed, by the labels. */
function waitingWords({ care, shelf }: TendView): readonly string[] {
  const used = shelf.filter(product =>
    care.rules.some(rule => rule.material?.productId === product.id),
  );
  return used.flatMap(product => [
    ...(product.waitingDays === null || product.waitingDays === 0
      ? []
      : [`${product.name}: nothing is picked to eat until ${product.waitingDays} days after it.`]),
    ...(product.reentryHours === null || product.reentryHours === 0
      ? []
      : [`${product.name}: stay off the bed for ${product.reentryHours} hours.`]),
  ]);
}

const Coming = styled.ul`
  list-style: none; margin: 8px 0; padding: 0; display: grid; gap: 4px;
  & b { display: inline-block; min-width: 130px; font-weight: 600; }
`;
