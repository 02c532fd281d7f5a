'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import type { TrialEfficacy } from '@/core/judge/after/trial-efficacy';
import type { trialGermination } from '@/core/judge/after/trial-germination';
import type { OutcomeContrast, OutcomeJudgement } from '@/core/judge/outcomes/outcome-judgement';
import type { OutcomeInput } from '@/core/judge/question/outcome-input';
import { isBetter, isWorse } from '@/core/judge/verdict/call';
import { groupWords, METHOD_WORDS } from '@/core/judge/verdict/outcome-words';
import { pluralOf } from '@/core/words/plural';
import type { TagView } from '@/features/bench/bench-view';
import { shortDay } from '@/features/frame/days';
import { CALL_WORDS, DIFFERENCE_WORDS } from '@/features/judge/call-words';
import { printFigure, printP } from '@/features/judge/print-value';
import { Soft } from '@/ui/Page';
import { PlantLabel } from '@/ui/PlantLabel';
import { WideTable } from '@/ui/WideTable';
import { OutcomePicture } from './OutcomePicture';

interface OutcomeViewProps {
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

function GerminationTable({
  germination,
}: {
  readonly germination: NonNullable<OutcomeViewProps['germination']>;
}) {
  return (
    <WideTable label="How many, and how fast">
      <thead>
        <tr>
          <th scope="col">Treatment</th>
          <th scope="col">of</th>
          <th scope="col">came up</th>
          <th scope="col">half of those by day</th>
          <th scope="col">on average on day</th>
        </tr>
      </thead>
      <tbody>
        {germination.map(each => (
          <tr key={each.treatment}>
            <th scope="row">{each.treatment}</th>
            <td>{each.sown}</td>
            <td>{Math.round(each.percent)}%</td>
            <td>{each.t50Days === null ? '—' : printFigure(each.t50Days)}</td>
            <td>{each.meanDays === null ? '—' : printFigure(each.meanDays)}</td>
          </tr>
        ))}
      </tbody>
    </WideTable>
  );
}

interface TreatmentTableProps {
  readonly input: OutcomeViewProps['input'];
  readonly judgement: OutcomeViewProps['judgement'];
  readonly tags: OutcomeViewProps['tags'];
}

function TreatmentTable({ input, judgement, tags }: TreatmentTableProps) {
  return (
    <WideTable label={`Every treatment against ${input.control}`}>
      <thead>
        <tr>
          <th scope="col">Treatment</th>
          <th scope="col">so it is</th>
          <th scope="col">found</th>
          <th scope="col">how large</th>
          <th scope="col">95% interval</th>
          <th scope="col">p</th>
          <th scope="col">by dealing again</th>
          <th scope="col">by</th>
        </tr>
      </thead>
      <tbody>
        {judgement.groups.map(group => {
          const contrast = judgement.contrasts.find(each => each.treatment === group.treatment);
          return (
            <tr key={group.treatment}>
              <th scope="row">
                <Tagged>
                  <PlantLabel look={tags.find(tag => tag.name === group.treatment)} width={14} />
                  {group.treatment}
                </Tagged>
              </th>
              <Cells input={input} contrast={contrast} found={groupWords(input, group)} />
            </tr>
          );
        })}
      </tbody>
    </WideTable>
  );
}

function Cells({
  input: { kind, hasNoGoodDirection = false },
  contrast,
  found,
}: {
  readonly input: OutcomeInput;
  readonly contrast: OutcomeContrast | undefined;
  readonly found: string;
}) {
  if (!contrast)
    return (
      <>
        <td>the control</td>
        <td>{found}</td>
        <td colSpan={5} />
      </>
    );
  if (!contrast.estimable)
    return (
      <>
        <td>can’t be compared</td>
        <td>{found}</td>
        <td colSpan={5} />
      </>
    );
  const { call, p, pAdjusted, method } = contrast;
  const size = sizeOf(kind, contrast);
  const tone = hasNoGoodDirection
    ? 'ink'
    : isBetter(call)
      ? 'leaf'
      : isWorse(call)
        ? 'beet'
        : 'straw';
  return (
    <>
      <td data-call={tone}>
        <b style={{ color: `var(--${tone})` }}>
          {(hasNoGoodDirection ? DIFFERENCE_WORDS : CALL_WORDS)[call]}
        </b>
      </td>
      <td>{found}</td>
      <td>{size.words}</td>
      <td>{size.ci}</td>
      <td>{printP(p)}</td>
      <td>{printP(pAdjusted)}</td>
      <td data-long>{METHOD_WORDS[method]}</td>
    </>
  );
}

const OVERALL_WORDS = {
  friedman: 'Friedman',
  'kruskal-wallis': 'Kruskal-Wallis',
  'chi-square-shuffled': 'chi-square, by dealing again',
} as const;

/** How often each class came under each treatment; a class is chosen by its name. */
function Classes({
  classes,
  input,
  linkOf,
}: {
  readonly classes: readonly string[];
  readonly input: OutcomeInput;
  readonly linkOf: (at: number) => string;
}) {
  const shown = classes
    .map((name, at) => ({ name, at }))
    .filter(({ name }) => input.units.some(unit => unit.className === name));
  return (
    <section aria-label="How often each came">
      <h2>How often each came</h2>
      <WideTable label="Classes by treatment">
        <thead>
          <tr>
            <th scope="col">Treatment</th>
            {shown.map(({ name, at }) => (
              <th key={name} scope="col">
                {input.countedClass === name ? (
                  <b>{name}, counted below</b>
                ) : (
                  <Link href={linkOf(at)}>{name}</Link>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {input.treatments.map(treatment => (
            <tr key={treatment}>
              <th scope="row">{treatment}</th>
              {shown.map(({ name }) => (
                <td key={name}>
                  {
                    input.units.filter(
                      unit => unit.treatment === treatment && unit.className === name,
                    ).length
                  }
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </WideTable>
    </section>
  );
}

/** How much of a pest each remedy took away, allowing for what the untreated did. */
function Efficacy({
  found: { method, beforeOn, afterOn, control, treatments, isUnlikeBefore },
}: {
  readonly found: TrialEfficacy;
}) {
  return (
    <section aria-label="Efficacy">
      <h2>How much it took away</h2>
      <WideTable label="Efficacy of every remedy">
        <thead>
          <tr>
            <th scope="col">Remedy</th>
            {beforeOn && <th scope="col">{shortDay(beforeOn)}</th>}
            <th scope="col">{shortDay(afterOn)}</th>
            <th scope="col">taken away</th>
          </tr>
        </thead>
        <tbody>
          {treatments.map(each => (
            <tr key={each.treatment}>
              <th scope="row">{each.treatment}</th>
              {beforeOn && <td>{each.before === null ? '—' : shortFigure(each.before)}</td>}
              <td>{shortFigure(each.after)}</td>
              <td>{each.percent === null ? '—' : `${Math.round(each.percent)}%`}</td>
            </tr>
          ))}
          <tr>
            <th scope="row">{control.name}</th>
            {beforeOn && <td>{control.before === null ? '—' : shortFigure(control.before)}</td>}
            <td>{shortFigure(control.after)}</td>
            <td>the control</td>
          </tr>
        </tbody>
      </WideTable>
      <Soft>
        {method === 'abbott'
          ? 'By Abbott, from the last count: nothing was counted before the first treatment, so that all are taken to have begun alike.'
          : 'By Henderson and Tilton, from the counts before and after.'}
        {isUnlikeBefore ? ' They began unlike: the count after alone would mislead.' : ''} A
        percentage without the spread of the units is no test; that stands above.
      </Soft>
    </section>
  );
}

const shortFigure = (value: number): string => printFigure(Number(value.toPrecision(3)));

/** How large it is, with an interval on the same scale. */
function sizeOf(
  kind: OutcomeInput['kind'],
  { effect, difference, ci }: Extract<OutcomeContrast, { readonly estimable: true }>,
): { readonly words: string; readonly ci: string } {
  const signed = (value: number, by = 1): string =>
    `${value < 0 ? '−' : '+'}${printFigure(Math.abs(Number((value * by).toPrecision(3))))}`;
  const range = (ends: readonly [number, number] | null, by = 1): string =>
    ends ? ends.map(end => signed(end, by)).join(' to ') : '—';
  if (effect?.what === 'rate-ratio')
    return {
      words: `${printFigure(Number(effect.value.toPrecision(3)))} times as many`,
      ci: effect.ci
        ? effect.ci.map(end => printFigure(Number(end.toPrecision(3)))).join(' to ')
        : '—',
    };
  if (effect?.what === 'chance-of-larger')
    return {
      words: `larger in ${Math.round(100 * effect.value)} of 100`,
      ci: effect.ci ? effect.ci.map(end => String(Math.round(100 * end))).join(' to ') : '—',
    };
  if (kind === 'proportion')
    return { words: `${signed(difference, 100)} points`, ci: range(ci, 100) };
  return {
    words: kind === 'time' ? `${signed(difference)} days` : signed(difference),
    ci: range(ci),
  };
}

const Verdict = styled.section`
  display: grid; gap: 12px; padding-bottom: 20px; border-bottom: 1px solid var(--ink);
  & h2 { font-size: clamp(1.75rem, 4vw, 2.625rem); max-width: 22ch; font-weight: 650; letter-spacing: -0.01em; }
  & > p[data-soft] { color: var(--ink-soft); font-size: 0.9375rem; }
  & > p[data-differs] { border-left: 3px solid var(--straw); padding-left: 10px; font-weight: 600; }
`;

const Tagged = styled.span`
  display: inline-flex; gap: 8px; align-items: center;
`;

const Lines = styled.ul`
  margin: 8px 0; padding-left: 20px; max-width: var(--measure); display: grid; gap: 6px;
`;
