'use client';

import { styled } from 'styled-components';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import type { Measure } from '@/core/trial/model/measure';
import type { Amendment } from '@/core/trial/model/plan-record';
import type { Trial } from '@/core/trial/model/trial';
import { counted } from '@/core/words/plural';
import { PageLink } from '@/ui/pages/PageNav';
import { MeasureNote } from './MeasureNote';
import { VerdictNotes } from './VerdictNotes';

interface VerdictHeadProps {
  readonly trial: Trial;
  readonly measure: Measure;
  readonly amendments: readonly Amendment[];
  readonly frozen: { readonly closedAt: string; readonly headline: string } | null;
  /** On how many days somebody looked while it ran. */
  readonly interimLooks: number;
  /** What was planned. */
  readonly first: Analysis;
  readonly analysis: Analysis;
  /** On the pages beside the answer: the sentence alone. */
  readonly isInShort: boolean;
  /** What was looked at otherwise than planned. */
  readonly differs: readonly string[];
}

/** The sentence, how sure, and where it came from. */
export function VerdictHead({ analysis, differs, measure, isInShort, ...props }: VerdictHeadProps) {
  const { trial, amendments, frozen, interimLooks, first } = props;
  const { judgement, input } = analysis;
  if (isInShort)
    return (
      <Verdict data-short>
        <h2>{judgement.verdict.headline}</h2>
        {differs.length > 0 && <p data-differs>Not as planned: {differs.join('; ')}.</p>}
      </Verdict>
    );
  return (
    <Verdict>
      <h2 data-goes-on>
        <Headline words={judgement.verdict.headline} best={judgement.verdict.best} />
      </h2>
      <p>{judgement.verdict.detail}</p>
      <div>
        <MeasureNote trialId={trial.id} measure={measure} input={input} spec={analysis.spec} />
        {input.covariateName && isAllowedFor(analysis) && (
          <p data-soft>
            Each {input.unitWord} is held against {input.covariateName}: that much of the difference
            is no treatment’s doing.
          </p>
        )}
        {differs.length > 0 && <p data-differs>Not as planned: {differs.join('; ')}.</p>}
        {judgement.warnings.length > 0 && (
          <p data-soft>
            <PageLink to="spoiled">
              {counted(judgement.warnings.length, 'thing')} may have spoiled it
            </PageLink>
          </p>
        )}
        <VerdictNotes
          trial={trial}
          amendments={amendments}
          frozen={frozen}
          interimLooks={interimLooks}
          headline={first.judgement.verdict.headline}
        />
      </div>
    </Verdict>
  );
}

function isAllowedFor({ input }: Analysis): boolean {
  return input.units.every(unit => unit.value === null || unit.covariate !== undefined);
}

function Headline({ words, best }: { readonly words: string; readonly best: string | null }) {
  if (best === null || !words.toLowerCase().startsWith(best.toLowerCase())) return words;
  return (
    <>
      <em>{words.slice(0, best.length)}</em>
      {words.slice(best.length)}
    </>
  );
}

const Verdict = styled.section`
  display: grid; grid-template-columns: minmax(0, 7fr) minmax(0, 5fr); gap: 12px 40px; padding-bottom: 16px; border-bottom: 1px solid var(--ink);
  & h2 { font-size: clamp(1.75rem, 4vw, 2.625rem); max-width: 36ch; font-weight: 650; letter-spacing: -0.01em; }
  & h2 em { font-style: normal; text-decoration: underline; text-decoration-color: var(--leaf); text-decoration-thickness: 5px; text-underline-offset: 5px; text-decoration-skip-ink: none; }
  & > h2 { grid-column: 1 / -1; }
  & > div { display: grid; gap: 8px; align-content: start; justify-items: start; }
  &[data-short] { padding-bottom: 12px; grid-template-columns: minmax(0, 1fr); }
  &[data-short] h2 { font-size: 1.25rem; max-width: none; }
  & > p { font-size: 1.0625rem; }
  & p[data-soft] { color: var(--ink-soft); font-size: 0.9375rem; }
  & p[data-differs] { border-left: 3px solid var(--straw); padding-left: 10px; font-weight: 600; }
  @media (max-width: 900px) { grid-template-columns: minmax(0, 1fr); }
`;
