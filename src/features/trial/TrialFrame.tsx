'use client';

import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import { Link } from '@/ui/Link';
import { Page } from '@/ui/Page';
import { SeasonLine } from './SeasonLine';
import { SeasonDayProvider } from './season-day';
import { STEPS, type StepKey, type TrialFrameView } from './trial-view';

interface TrialFrameProps {
  readonly frame: TrialFrameView;
  /** null: a page beside the steps. */
  readonly step: StepKey | null;
  readonly children: ReactNode;
}

/** A trial's page: its question, the five steps with the one fact of each, the step itself, the season under it. */
export function TrialFrame({ frame, step, children }: TrialFrameProps) {
  return (
    <Page>
      <Head>
        <h1>{frame.question}</h1>
        <p>
          {frame.stateWords} · <Link href={`/trials/${frame.id}/gardens`}>Other gardens</Link>
        </p>
      </Head>
      <Steps aria-label="Steps">
        {STEPS.map(({ key, label }) => (
          <Link
            key={key}
            href={`/trials/${frame.id}/${key}`}
            aria-current={key === step ? 'step' : undefined}
          >
            <strong>{label}</strong>
            <span>{frame.facts[key]}</span>
          </Link>
        ))}
      </Steps>
      <SeasonDayProvider>
        {children}
        <SeasonLine season={frame.season} />
      </SeasonDayProvider>
    </Page>
  );
}

const Head = styled.div`
  display: flex; flex-wrap: wrap; justify-content: space-between; gap: 4px 32px; align-items: baseline;
  & h1 { font-size: 1.125rem; font-family: var(--font-text), sans-serif; font-weight: 700; }
  & p { color: var(--ink-soft); }
`;

const Steps = styled.nav`
  display: grid; grid-template-columns: repeat(5, 1fr); margin-top: -8px;
  & a { text-decoration: none; border-top: 1px solid var(--rule); padding-top: 7px; margin-top: 3px; display: grid; align-content: start; padding-right: 12px; }
  & a[aria-current] { border-top: 4px solid var(--clay); margin-top: 0; }
  & strong { font-family: var(--font-heading), sans-serif; font-size: 1.25rem; font-weight: 650; color: var(--ink-soft); }
  & a[aria-current] strong, & a:hover strong { color: var(--ink); }
  & span { font-size: 0.9375rem; color: var(--ink-soft); }
  @media (max-width: 640px) {
    display: flex; flex-wrap: wrap; gap: 0 4px;
    & a { flex: 1 0 auto; }
    & span { display: none; }
    & strong { font-size: 1rem; white-space: nowrap; }
    & a { padding-right: 4px; }
    & a { min-height: 48px; }
  }
`;
