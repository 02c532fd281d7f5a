'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import type { TrialEfficacy } from '@/core/judge/after/trial-efficacy';
import type { trialGermination } from '@/core/judge/after/trial-germination';
import type { OutcomeJudgement } from '@/core/judge/outcomes/outcome-judgement';
import type { OutcomeInput } from '@/core/judge/question/outcome-input';
import { pluralOf } from '@/core/words/plural';
import type { TagView } from '@/features/bench/bench-view';
import { printP } from '@/features/judge/print-value';
import { Soft } from '@/ui/Page';
import { Classes, OVERALL_WORDS } from './Classes';
import { Efficacy } from './Efficacy';
import { GerminationTable } from './Germination';
import { OutcomePicture } from './OutcomePicture';
import { TreatmentTable } from './TreatmentTable';

export interface OutcomeViewProps {
  readonly trialId: string;
  readonly measureId: string;
  /** Ranks were wanted of what has a mean. */
  readonly isChosen: boolean;
  readonly name: string;
  readonly definition: string;
  readonly input: OutcomeInput;
  readonly judgement: OutcomeJudgement;
  readonly tags: readonly TagView[];
  readonly efficacy: TrialEfficacy | null;
  readonly germination: ReturnType<typeof trialGermination> | null;
  /** Of classes: all there are, and the number of the one that is counted. */
  readonly classes: readonly string[];
  /** What must be known beside the verdict on a main measure. */
  readonly notes?: ReactNode;
}

const WHY: Readonly<Record<OutcomeInput['kind'], string>> = {
  count: 'Counts spread more the more there are of them: they are judged by ratios.',
  proportion: 'So many of so many: judged as shares. What was dealt is the unit, not the item.',
  ordinal: 'Steps can be put in order, not added up: they are judged by ranks.',
  time: 'Days until it came, with those still waiting counted as long as they were looked at.',
};

/** A measure that no mean does justice to, by the method of its kind. */
export function OutcomeView({
  trialId,
  measureId,
  isChosen,
  name,
  definition,
  input,
  judgement,
  tags,
  efficacy,
  germination,
  classes,
  notes,
}: OutcomeViewProps) {
  return (
    <>
      <OutcomeHead
        name={name}
        input={input}
        trialId={trialId}
        judgement={judgement}
        isChosen={isChosen}
        classes={classes}
        definition={definition}
        measureId={measureId}
        notes={notes}
      />
      {classes.length > 0 && (
        <Classes
          classes={classes}
          input={input}
          linkOf={i => `/trials/${trialId}/judge?measure=${measureId}&class=${i}`}
        />
      )}
      <section aria-label="Every unit">
        <h2>Every {input.unitWord}</h2>
        <OutcomePicture input={input} />
      </section>
      <TreatmentTable input={input} judgement={judgement} tags={tags} />
      {efficacy && <Efficacy found={efficacy} />}
      {germination && <GerminationTable germination={germination} />}
      {judgement.overall && (
        <Soft>
          Whether they differ at all: {OVERALL_WORDS[judgement.overall.method]}, p{' '}
          {printP(judgement.overall.p)}.
        </Soft>
      )}
      {judgement.warnings.length > 0 && (
        <section aria-label="What may have spoiled it">
          <h2>What may have spoiled it</h2>
          <Lines>
            {judgement.warnings.map(warning => (
              <li key={warning.message}>{warning.message}</li>
            ))}
          </Lines>
        </section>
      )}
    </>
  );
}

interface OutcomeHeadProps {
  readonly name: OutcomeViewProps['name'];
  readonly input: OutcomeViewProps['input'];
  readonly trialId: OutcomeViewProps['trialId'];
  readonly judgement: OutcomeViewProps['judgement'];
  readonly isChosen: OutcomeViewProps['isChosen'];
  readonly classes: OutcomeViewProps['classes'];
  readonly definition: OutcomeViewProps['definition'];
  readonly measureId: OutcomeViewProps['measureId'];
  readonly notes: OutcomeViewProps['notes'];
}

function OutcomeHead({
  name,
  input,
  trialId,
  judgement,
  isChosen,
  classes,
  definition,
  measureId,
  notes,
}: OutcomeHeadProps) {
  return (
    <Verdict>
      <p data-soft>
        {name}
        {input.isDeclared ? (
          ', the main measure'
        ) : (
          <>
            , found along the way ·{' '}
            <Link href={`/trials/${trialId}/judge`}>back to the main measure</Link>
          </>
        )}
      </p>
      <h2>{judgement.headline}</h2>
      <p>{judgement.detail}</p>
      {isChosen && (
        <p data-differs>
          By ranks, because you chose so; planned was the mean. Two ways to judge are two chances to
          be lucky.
        </p>
      )}
      <p data-soft>
        {isChosen
          ? ''
          : classes.length > 0
            ? `Classes have no order: one of them is counted, and ${pluralOf(input.unitWord)} that show it are held against those that don’t. Each class that is tried is another chance to be lucky.`
            : WHY[input.kind]}{' '}
        {definition}{' '}
        {classes.length === 0 && (
          <Link
            href={`/trials/${trialId}/judge?measure=${measureId}${isChosen ? '' : '&by=means'}`}
          >
            {isChosen ? 'By its mean, as planned' : 'Judge it by means instead'}
          </Link>
        )}
      </p>
      {notes}
    </Verdict>
  );
}

const Verdict = styled.section`
  display: grid; gap: 12px; padding-bottom: 20px; border-bottom: 1px solid var(--ink);
  & h2 { font-size: clamp(1.75rem, 4vw, 2.625rem); max-width: 22ch; font-weight: 650; letter-spacing: -0.01em; }
  & > p[data-soft] { color: var(--ink-soft); font-size: 0.9375rem; }
  & > p[data-differs] { border-left: 3px solid var(--straw); padding-left: 10px; font-weight: 600; }
`;
const Lines = styled.ul`
  margin: 8px 0; padding-left: 20px; max-width: var(--measure); display: grid; gap: 6px;
`;
